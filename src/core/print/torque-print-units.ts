import {
  FORCE_WORDS,
  LENGTH_WORDS,
  torqueUnitFromLetters,
  type ForceWord,
  type LengthWord,
  type TorqueUnit,
} from '@/core/units';
import type { UnitMatch } from './groups';
import type { Token } from './tokens';

export type TorquePrintUnit =
  | { readonly kind: 'torque'; readonly unit: TorqueUnit }
  | { readonly kind: 'force'; readonly word: ForceWord }
  | { readonly kind: 'length'; readonly word: LengthWord }
  | { readonly kind: 'turn'; readonly degrees: number; readonly flat: boolean };

const TURNS: ReadonlyMap<string, number> = new Map(
  [
    [
      'turn turns rev revs revolution revolutions umdrehung umdrehungen tour tours giro giri vuelta vueltas varv omdraai slag otáčky otáčka otočka obrót omgang',
      360,
    ] as const,
    ['flat flats sechskantfläche pans pan', 60] as const,
    ['deg degs degree degrees grad grade degré degrés gradi grado', 1] as const,
  ].flatMap(([words, degrees]) => words.split(' ').map((word): [string, number] => [word, degrees])),
);

const CONNECTORS = new Set(['-', 'x', '*', '/']);
const QUOTIENTS = new Set(['/', 'per', 'par', 'pro']);

const wordAt = (tokens: readonly Token[], at: number) => {
  const token = tokens[at];
  return token?.kind === 'word' ? token.text : undefined;
};
const markAt = (tokens: readonly Token[], at: number) => {
  const token = tokens[at];
  return token?.kind === 'mark' ? token.text : undefined;
};

/** Steps over what may stand between the two halves of a unit; undefined where no further word follows. */
function nextWord(tokens: readonly Token[], at: number): { at: number; quotient: boolean } | undefined {
  const mark = markAt(tokens, at);
  const word = wordAt(tokens, at);
  const connects = (mark !== undefined && CONNECTORS.has(mark)) || (word !== undefined && QUOTIENTS.has(word));
  const quotient = QUOTIENTS.has(mark ?? word ?? '');
  const wordsAt = connects ? at + 1 : at;
  return wordAt(tokens, wordsAt) === undefined ? undefined : { at: wordsAt, quotient };
}

const torques = new Map<TorqueUnit, TorquePrintUnit>();
function torque(unit: TorqueUnit): TorquePrintUnit {
  const known = torques.get(unit) ?? ({ kind: 'torque', unit } as const);
  torques.set(unit, known);
  return known;
}

/** The longest run of up to four words that together name a torque unit. */
function matchTorque(tokens: readonly Token[], at: number): UnitMatch<TorquePrintUnit> | undefined {
  let letters = '';
  let quotient = false;
  let best: UnitMatch<TorquePrintUnit> | undefined;
  for (let i = at, words = 0; words < 4; words++) {
    letters += wordAt(tokens, i) ?? '';
    const unit = torqueUnitFromLetters(letters);
    if (unit) best = { unit: torque(unit), next: i + 1, quotient };
    const next = nextWord(tokens, i + 1);
    if (!next) break;
    quotient ||= next.quotient;
    i = next.at;
  }
  return best;
}

/** `kg/cm2`, `kg-mm`: a force tied to something that makes no torque is a unit we do not know. */
const isTied = (tokens: readonly Token[], after: number) => {
  const next = nextWord(tokens, after);
  const word = next && (wordAt(tokens, next.at) ?? '');
  return next?.quotient === true || (word !== undefined && (FORCE_WORDS.has(word) || LENGTH_WORDS.has(word)));
};

/** Reads whatever a torque leaf may be printed in: a torque, a force, a length of lever, a part of a turn. */
export function matchTorquePrintUnit(tokens: readonly Token[], at: number): UnitMatch<TorquePrintUnit> | undefined {
  const mark = markAt(tokens, at);
  const afterFigure = tokens[at - 1]?.kind === 'number';
  if (mark === '"' && afterFigure) return { unit: { kind: 'length', word: 'in' }, next: at + 1 };
  if (mark === "'" && afterFigure) return { unit: { kind: 'length', word: 'ft' }, next: at + 1 };
  if (mark === '°' && !['c', 'f'].includes(wordAt(tokens, at + 1) ?? ''))
    return { unit: { kind: 'turn', degrees: 1, flat: false }, next: at + 1 };
  const word = wordAt(tokens, at);
  if (word === undefined) return undefined;
  const found = matchTorque(tokens, at);
  if (found) return found;
  const force = FORCE_WORDS.get(word);
  if (force && !isTied(tokens, at + 1)) return { unit: { kind: 'force', word: force }, next: at + 1 };
  const length = LENGTH_WORDS.get(word);
  if (length && !FORCE_WORDS.has(wordAt(tokens, nextWord(tokens, at + 1)?.at ?? -1) ?? ''))
    return { unit: { kind: 'length', word: length }, next: at + 1 };
  const degrees = TURNS.get(word);
  return degrees ? { unit: { kind: 'turn', degrees, flat: degrees === 60 }, next: at + 1 } : undefined;
}
