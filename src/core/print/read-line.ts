import { isDomainError, type Note } from '@/core/units';
import { printNote, type PrintNoteCode } from './notes';
import { otherNumbers, withoutOthers, type OtherNumber, type OtherNumberKind } from './other-numbers';
import { readLength, type LengthPrint } from './read-length';
import { readTorque, type TorquePrint, type TurnPrint } from './read-torque';
import type { StagePrint } from './stages';

type Print = TorquePrint | TurnPrint | StagePrint;

export type TorqueLine = Print & {
  /** Numbers on the line that were not taken for the figure. */
  readonly notTaken: readonly OtherNumber[];
};

const quoted = (others: readonly OtherNumber[]) => others.map(({ text }) => `“${text}”`).join(', ');

/** A figure with its unit, anywhere on a line. */
const FIGURES =
  /(?:\d+(?:[.,]\d+)?\s?[½¼¾⅛⅜⅝⅞]?|[½¼¾⅛⅜⅝⅞])(?:\s*(?:-|–|—|to|bis|\/)\s*\d+(?:[.,]\d+)?\s?[½¼¾⅛⅜⅝⅞]?)?(?:\s*[-·.]?\s*(?:lbf?s?|pounds?|ft|foot|feet|in|inch(?:es)?|kgf?m?|mkgf?|mkp|cmkg|kpm|kp|nm|m|cm|n|newtons?|met(?:er|re)s?)\b\.?){1,3}/giu;

/**
 * Each figure on a line that stands by itself, with the words that lead up to it, where there is more than one: a person
 * says which is meant. What is said of any of them is asked of all.
 */
function figuresOn(text: string): Print | undefined {
  const ends = [...text.matchAll(FIGURES)].map((match) => match.index + match[0].length);
  const parts = ends.map((end, i) => text.slice(ends[i - 1] ?? 0, i === ends.length - 1 ? undefined : end));
  const each = parts.flatMap((part) => {
    const print = tried(part);
    return print?.kind === 'torque' && !print.ambiguous ? [print] : [];
  });
  if (each.length < 2 || each.length !== parts.length) return undefined;
  const [condition, ...others] = new Set(each.flatMap((print) => print.condition ?? []));
  return {
    kind: 'torque',
    ambiguous: true,
    readings: each.flatMap(({ readings }) => readings),
    ...(condition !== undefined && others.length === 0 && { condition }),
    notes: [...new Map(each.flatMap(({ notes }) => notes).map((note) => [note.message, note])).values()],
  };
}

function tried(text: string, read: (text: string) => Print = readTorque): Print | undefined {
  try {
    return read(text);
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

function readRest(text: string): Print {
  try {
    return readTorque(text);
  } catch (error) {
    const several = isDomainError(error) && error.code === 'unreadable' ? figuresOn(text) : undefined;
    if (several) return several;
    throw error;
  }
}

/** What narrows the figure to some engines, some fasteners or one temperature is asked about, and not passed over. */
const ASKED = [
  ['replaced-figure', ['replaced']],
  ['some-engines', ['engine-number', 'year']],
  ['some-fasteners', ['position']],
  ['at-temperature', ['temperature']],
] as const satisfies readonly (readonly [PrintNoteCode, readonly OtherNumberKind[]])[];

const askedOf = (others: readonly OtherNumber[]): readonly Note[] =>
  ASKED.flatMap(([code, kinds]) => {
    const of = others.filter(({ kind }) => kinds.some((one) => one === kind));
    return of.length > 0 ? [printNote(code, quoted(of))] : [];
  });

/**
 * Reads the torque of a whole printed line, as it is quoted: sizes, counts, positions, references, engine numbers,
 * temperatures and figures out of force are left aside and named; of several figures a person chooses.
 * @throws DomainError as `readTorque`
 * @example readTorqueLine('3/8 in. B.S.F. 28 lb. ft.').readings[0].printedMin // 28
 */
export function readTorqueLine(text: string): TorqueLine {
  const notTaken = otherNumbers(text);
  const whole = notTaken.length === 0 ? undefined : tried(text);
  const print = tried(withoutOthers(text, notTaken), readRest);
  // What was taken for a count may have been the figure after all: then the line is read as it stands.
  if (!print) return whole ? { ...whole, notTaken: [] } : { ...readRest(withoutOthers(text, notTaken)), notTaken };
  return { ...print, notes: [...print.notes, ...askedOf(notTaken)], notTaken };
}
