import { DomainError } from './domain-error';
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
  if (typeof text !== 'string')
    throw new DomainError('bad-field', `${field} must be the name of a unit, got ${JSON.stringify(text)}.`, field);
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
    throw new DomainError('bad-field', `value lies below absolute zero: ${value} ${from}.`, 'value');
  const result = (si - target.offset) / target.factor;
  if (!Number.isFinite(result)) throw new DomainError('bad-field', `value is too large to convert: ${value}.`, 'value');
  return result;
}
