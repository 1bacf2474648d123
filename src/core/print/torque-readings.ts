import {
  FORCE_N,
  LENGTH_M,
  SMALL_TORQUE_UNITS,
  TORQUE_UNITS_NM,
  type ForceWord,
  type LengthWord,
  type TorqueUnit,
} from '@/core/units';
import { amountOf, hasThousandChoice, rangeOfFraction, type Amount, type CommaSense } from './amounts';
import type { PrintedInterval } from './cross-check';
import type { Group } from './groups';
import type { PrintNoteCode } from './notes';
import type { Numeral } from './tokens';
import type { TorquePrintUnit } from './torque-print-units';

/** One reading of a printed torque, in N·m, with the figures as they stand on the page. */
export interface TorqueReading {
  /** Absent for a pull on a lever, where force and length have a unit each. */
  readonly unit?: TorqueUnit;
  readonly min_Nm: number;
  readonly max_Nm: number;
  readonly printedMin: number;
  readonly printedMax: number;
  readonly force?: { readonly unit: ForceWord; readonly min: number; readonly max: number };
  readonly lever?: { readonly unit: LengthWord; readonly length: number };
}

/** Everything that one printed torque may mean, likeliest first. */
export interface TorqueStep {
  readonly kind: 'torque' | 'lever-pull';
  readonly readings: readonly TorqueReading[];
  readonly intervals: readonly PrintedInterval[];
  readonly notes: readonly PrintNoteCode[];
  readonly reversed: boolean;
}

type TorqueGroup = Group<TorquePrintUnit>;

const BARE_FORCE: Partial<Record<ForceWord, readonly TorqueUnit[]>> = {
  lbf: ['lbf·ft', 'lbf·in'],
  kgf: ['kgf·m', 'kgf·cm'],
  ozf: ['ozf·in'],
  gf: ['gf·cm'],
  N: ['N·m'],
  daN: ['daN·m'],
  cN: ['cN·m'],
};
// Above these a bare pound or kilogram is likelier on the short arm: no engine of the period takes 300 lbf·ft on a nut.
const SHORT_ARM_ABOVE: Partial<Record<ForceWord, number>> = { lbf: 300, kgf: 40 };

interface Alternative {
  readonly reading: TorqueReading;
  readonly interval: PrintedInterval;
  readonly reversed: boolean;
}

function alternative(amount: Amount, unit: TorqueUnit): Alternative {
  const factor = TORQUE_UNITS_NM[unit];
  const [min_Nm, max_Nm] = [amount.min * factor, amount.max * factor];
  return {
    reading: { unit, min_Nm, max_Nm, printedMin: amount.min, printedMax: amount.max },
    interval: { min: min_Nm, max: max_Nm, minHalf: amount.minHalf * factor, maxHalf: amount.maxHalf * factor },
    reversed: amount.reversed,
  };
}

/** `1.200 cmkg`: in a small unit a stop before three digits is likelier a thousand, as much of Europe prints it. */
const hasStopChoice = (group: TorqueGroup) => group.numbers.some((n) => n.stopThousand);

const sensesFor = (group: TorqueGroup, unit: TorqueUnit): readonly CommaSense[] => {
  if (SMALL_TORQUE_UNITS.has(unit)) return hasStopChoice(group) ? ['stop-thousand', 'decimal'] : ['thousand'];
  if (hasStopChoice(group)) return ['decimal'];
  return hasThousandChoice(group) ? ['decimal', 'thousand'] : ['decimal'];
};

const alternativesIn = (group: TorqueGroup, unit: TorqueUnit): readonly Alternative[] => {
  const [figure] = group.numbers;
  // Most print can be read in one way.
  if (group.numbers.length === 1 && figure?.thousand === undefined && figure?.alsoRange === undefined)
    return [alternative(amountOf(group, 'decimal'), unit)];
  const amounts = sensesFor(group, unit).map((sense) => amountOf(group, sense));
  const asRange = rangeOfFraction(group);
  const small = SMALL_TORQUE_UNITS.has(unit);
  const rangeFirst = group.numbers[0]?.rangeFirst === true;
  // Nobody prints sevenths of an inch-pound: in the small units each is what it most often is.
  const meant = !asRange
    ? amounts
    : small
      ? rangeFirst
        ? [asRange]
        : amounts
      : rangeFirst
        ? [asRange, ...amounts]
        : [...amounts, asRange];
  return meant.map((amount) => alternative(amount, unit));
};

const NO_NOTES: readonly PrintNoteCode[] = [];
const isPlain = ({ comma, fraction, thousand }: Numeral) => !comma && !fraction && thousand === undefined;

function notesOf(group: TorqueGroup, units: readonly TorqueUnit[]): readonly PrintNoteCode[] {
  if (!group.quotient && group.numbers.every(isPlain)) return NO_NOTES;
  const inSmall = units.some((unit) => SMALL_TORQUE_UNITS.has(unit));
  const choice = hasStopChoice(group)
    ? inSmall
    : hasThousandChoice(group) && units.some((unit) => !SMALL_TORQUE_UNITS.has(unit));
  const comma = group.numbers.some(
    (n) => n.comma && (n.thousand === undefined || !units.every((u) => SMALL_TORQUE_UNITS.has(u))),
  );
  const codes: PrintNoteCode[] = [];
  if (group.quotient) codes.push('quotient-notation');
  if (choice) codes.push('thousands-or-decimal');
  else if (comma) codes.push('decimal-comma');
  if (group.numbers.some((n) => n.fraction && !(n.rangeFirst && inSmall))) codes.push('fraction');
  if (rangeOfFraction(group) && units.some((unit) => !SMALL_TORQUE_UNITS.has(unit))) codes.push('fraction-or-range');
  return codes;
}

const toStep = (
  kind: TorqueStep['kind'],
  found: readonly Alternative[],
  notes: readonly PrintNoteCode[],
): TorqueStep => ({
  kind,
  readings: found.map(({ reading }) => reading),
  intervals: found.map(({ interval }) => interval),
  notes,
  reversed: found[0]?.reversed ?? false,
});

/** A torque printed as a torque. */
export const torqueStep = (group: TorqueGroup, unit: TorqueUnit): TorqueStep =>
  toStep('torque', alternativesIn(group, unit), notesOf(group, [unit]));

/** A bare force: every arm it may have been meant for, likeliest first; undefined where none is known. */
export function bareForceStep(group: TorqueGroup, word: ForceWord): TorqueStep | undefined {
  const units = BARE_FORCE[word];
  if (!units) return undefined;
  const high = SHORT_ARM_ABOVE[word];
  const ordered = high !== undefined && amountOf(group, 'decimal').min > high ? [...units].reverse() : units;
  const found = ordered.flatMap((unit) => alternativesIn(group, unit));
  return toStep('torque', found, ['bare-force-unit', ...notesOf(group, ordered)]);
}

const leverLength = (groups: readonly TorqueGroup[]) => {
  const parts = groups.map((group) => {
    const word = (group.unit as { word: LengthWord }).word;
    const amount = amountOf(group, word === 'mm' ? 'thousand' : 'decimal');
    return { word, amount, metres: amount.min * LENGTH_M[word], sharp: group.numbers.length === 1 };
  });
  const [first] = parts;
  if (!first || parts.some((part) => !part.sharp || part.metres <= 0)) return undefined;
  const metres = parts.reduce((sum, part) => sum + part.metres, 0);
  return { metres, lever: { unit: first.word, length: metres / LENGTH_M[first.word] } };
};

/** A pull on a lever: force × length. Undefined where the length is not one sharp figure. */
export function leverStep(
  forceGroup: TorqueGroup,
  word: ForceWord,
  lengthGroups: readonly TorqueGroup[],
): TorqueStep | undefined {
  const length = leverLength(lengthGroups);
  if (!length) return undefined;
  const amount = amountOf(forceGroup, 'decimal');
  const factor = FORCE_N[word] * length.metres;
  const reading: TorqueReading = {
    min_Nm: amount.min * factor,
    max_Nm: amount.max * factor,
    printedMin: amount.min,
    printedMax: amount.max,
    force: { unit: word, min: amount.min, max: amount.max },
    lever: length.lever,
  };
  const interval = {
    min: reading.min_Nm,
    max: reading.max_Nm,
    minHalf: amount.minHalf * factor,
    maxHalf: amount.maxHalf * factor,
  };
  const groups = [forceGroup, ...lengthGroups];
  const notes: PrintNoteCode[] = ['lever-pull'];
  if (groups.some((g) => g.numbers.some((n) => n.comma))) notes.push('decimal-comma');
  if (groups.some((g) => g.numbers.some((n) => n.fraction))) notes.push('fraction');
  return toStep('lever-pull', [{ reading, interval, reversed: amount.reversed }], notes);
}
