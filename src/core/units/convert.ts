import { wrongInput } from './input-words';
import { DomainError, type Note } from './domain-error';
import { assertFinite } from './guards';
import { torqueUnitFromLetters } from './torque-unit-name';
import { UNIT_TABLE, type Unit } from './unit-table';

// Lower-cased second chance, for `MM`, `Bar`, `Lbf`; the exact spelling always goes first (`Pa`, `K`).
const FOLDED: ReadonlyMap<string, Unit> = new Map(
  [...UNIT_TABLE].reverse().map(([name, unit]) => [name.toLowerCase().replace(/\s+/g, ''), unit]),
);

/** Finds a unit by any of its names, or undefined. Torque units may be spelt as print spells them. */
function unitNamed(text: string): Unit | undefined {
  const trimmed = text.trim().replace(/\u03bc/g, 'µ');
  const exact = UNIT_TABLE.get(trimmed);
  if (exact) return exact;
  const folded = FOLDED.get(trimmed.toLowerCase().replace(/\s+/g, ''));
  if (folded) return folded;
  const torque = torqueUnitFromLetters(trimmed.toLowerCase().replace(/[\s.·*×⋅-]/g, ''));
  return torque && UNIT_TABLE.get(torque);
}

const required = (text: unknown, field: string): Unit => {
  if (typeof text !== 'string') throw wrongInput(field, `must be the name of a unit, got ${JSON.stringify(text)}.`);
  const unit = unitNamed(text);
  if (!unit) throw new DomainError('unknown-unit', `“${text}” is not a unit known here.`, field);
  return unit;
};

/**
 * Converts a value between two units of one kind: torque, length, force, mass, temperature, volume, pressure or speed.
 * @throws DomainError unknown-unit, unit-mismatch (torque never turns into energy, nor pounds mass into pounds
 * force), bad-field
 * @example convert(1, 'lbf·ft', 'N·m') // 1.3558179483314004
 */
export function convert(value: number, from: string, to: string): number {
  assertFinite(value, 'value');
  const [source, target] = [required(from, 'from'), required(to, 'to')];
  if (source.kind !== target.kind)
    throw new DomainError('unit-mismatch', `${from} measures ${source.kind} and ${to} measures ${target.kind}.`, 'to');
  if (source === target) return value;
  const si = value * source.factor + source.offset;
  if (source.kind === 'temperature' && si < -1e-9)
    throw wrongInput('value', `lies below absolute zero: ${value} ${from}.`);
  const result = (si - target.offset) / target.factor;
  if (!Number.isFinite(result)) throw wrongInput('value', `is too large to convert: ${value}.`);
  return result;
}

/** Measures that two countries have under one name; ours is the British one. */
const IMPERIAL: ReadonlyMap<string, string> = new Map([
  ...['gal', 'gallon', 'gallons'].map((name): [string, string] => [
    name,
    'an imperial gallon, 4.546 l (US gal: 3.785 l)',
  ]),
  ...['pt', 'pint', 'pints'].map((name): [string, string] => [name, 'an imperial pint, 0.568 l (in the US 0.473 l)']),
  ...['ton', 'tons'].map((name): [string, string] => [name, 'a long ton, 2240 lb (in the US 2000 lb)']),
]);

/** Says which was taken where a name means two measures. */
export const imperialNotes = (...names: readonly string[]): readonly Note[] => {
  const taken = new Set(names.flatMap((name) => IMPERIAL.get(name.trim().toLowerCase()) ?? []));
  return [...taken].map((measure) => ({ code: 'imperial-measure', message: `Taken as ${measure}.` }));
};
