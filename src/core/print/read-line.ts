import { isDomainError } from '@/core/units';
import { printNote } from './notes';
import { otherNumbers, withoutOthers, type OtherNumber } from './other-numbers';
import { readLength, type LengthPrint } from './read-length';
import { readTorque, type TorquePrint, type TurnPrint } from './read-torque';
import type { StagePrint } from './stages';

export type TorqueLine = (TorquePrint | TurnPrint | StagePrint) & {
  /** Numbers on the line that were not taken for the figure. */
  readonly notTaken: readonly OtherNumber[];
};

const quoted = (others: readonly OtherNumber[]) => others.map(({ text }) => `“${text}”`).join(', ');

/** A figure with its unit, anywhere on a line. */
const FIGURES =
  /(?:\d+(?:[.,]\d+)?\s?[½¼¾⅛⅜⅝⅞]?|[½¼¾⅛⅜⅝⅞])(?:\s*(?:-|–|—|to|bis|\/)\s*\d+(?:[.,]\d+)?\s?[½¼¾⅛⅜⅝⅞]?)?(?:\s*[-·.]?\s*(?:lbf?s?|pounds?|ft|foot|feet|in|inch(?:es)?|kgf?m?|mkgf?|mkp|cmkg|kpm|kp|nm|m|cm|n|newtons?|met(?:er|re)s?)\b\.?){1,3}/giu;

/** Each figure on a line that stands by itself, where there is more than one: a person says which is meant. */
function figuresOn(text: string): TorquePrint | undefined {
  const prints = [...text.matchAll(FIGURES)].map(([figure]) => tried(figure));
  const each = prints.flatMap((print) => (print?.kind === 'torque' && !print.ambiguous ? [print] : []));
  if (each.length < 2 || each.length !== prints.length) return undefined;
  return { kind: 'torque', ambiguous: true, readings: each.flatMap(({ readings }) => readings), notes: [] };
}

function tried(text: string): TorquePrint | TurnPrint | StagePrint | undefined {
  try {
    return readTorque(text);
  } catch (error) {
    if (isDomainError(error)) return undefined;
    throw error;
  }
}

/** A length on a printed line. Where the line says no unit, it is read in each, and a person says which. */
export interface LengthLine {
  readonly ambiguous: boolean;
  readonly readings: readonly LengthPrint[];
  readonly notTaken: readonly OtherNumber[];
}

const LENGTH_UNITS = ['in', 'mm'] as const;

/**
 * Reads the length of a whole printed line, as it is quoted.
 * @throws DomainError as `readLength`
 * @example readLengthLine('end float .002/.006').readings.map(({ unit }) => unit) // ['in', 'mm']
 */
export function readLengthLine(text: string): LengthLine {
  const notTaken = otherNumbers(text);
  const rest = withoutOthers(text, notTaken);
  try {
    return { ambiguous: false, readings: [readLength(rest)], notTaken };
  } catch (error) {
    if (!isDomainError(error) || error.code !== 'no-unit') throw error;
    const readings = LENGTH_UNITS.map((unit) => readLength(rest.replace(/(\d)(\D*)$/, `$1 ${unit}$2`)));
    return { ambiguous: true, readings, notTaken };
  }
}

function readRest(text: string): TorquePrint | TurnPrint | StagePrint {
  try {
    return readTorque(text);
  } catch (error) {
    const several = isDomainError(error) && error.code === 'unreadable' ? figuresOn(text) : undefined;
    if (several) return several;
    throw error;
  }
}

/**
 * Reads the torque of a whole printed line, as it is quoted: sizes, counts, positions, references, engine numbers,
 * temperatures and figures out of force are left aside and named; of several figures a person chooses.
 * @throws DomainError as `readTorque`
 * @example readTorqueLine('3/8 in. B.S.F. 28 lb. ft.').readings[0].printedMin // 28
 */
export function readTorqueLine(text: string): TorqueLine {
  const notTaken = otherNumbers(text);
  const print = readRest(withoutOthers(text, notTaken));
  const replaced = notTaken.filter(({ kind }) => kind === 'replaced');
  if (replaced.length === 0) return { ...print, notTaken };
  return { ...print, notes: [...print.notes, printNote('replaced-figure', quoted(replaced))], notTaken };
}
