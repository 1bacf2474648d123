import { readLengthLine, type PrintedTurn, type TorqueReading } from '@/core/print';
import { DomainError, TORQUE_UNITS, isDomainError, type TorqueUnit } from '@/core/units';
import type { Leaf, PrintedFigure } from './leaf';
import { torqueLineOnce } from './torque-line-once';

const SAME = 1e-9;

type Interval = readonly [min: number, max: number];

const isSame = ([a, b]: Interval, [c, d]: Interval) =>
  Math.abs(a - c) <= SAME * Math.abs(c) && Math.abs(b - d) <= SAME * Math.abs(d);

type Figured = Pick<
  Leaf,
  'kind' | 'printedText' | 'figure' | 'min_Nm' | 'max_Nm' | 'min_deg' | 'max_deg' | 'min_mm' | 'max_mm'
>;

const isTorqueUnit = (unit: string | undefined): unit is TorqueUnit => TORQUE_UNITS.some((one) => one === unit);

/** What the text says when it is read today; undefined where it cannot be read any more. */
function readToday<T>(work: () => T): T | undefined {
  try {
    return work();
  } catch (error) {
    if (isDomainError(error)) return undefined;
    throw error;
  }
}

interface PrintedTorque {
  readonly readings: readonly TorqueReading[];
  /** What is turned after the torque. */
  readonly turns: readonly PrintedTurn[];
}

const NO_TURNS: readonly PrintedTurn[] = [];

/** A leaf that cannot be read any more says nothing. */
function printedTorque({ printedText }: Figured): PrintedTorque {
  const print = readToday(() => torqueLineOnce(printedText));
  if (!print) return { readings: [], turns: NO_TURNS };
  if (print.kind !== 'stages') return { readings: print.readings, turns: NO_TURNS };
  // Of figures in stages it is the last torque that the wrench is set to.
  const figure = print.final ?? print.snug;
  return { readings: figure ? [figure] : [], turns: print.turns ?? NO_TURNS };
}

/** The turns that the page prints after its torque, in their order. */
export const turnsOfLeaf = (leaf: Figured): readonly PrintedTurn[] => printedTorque(leaf).turns;

const isFigureOf = (figure: PrintedFigure | null, reading: TorqueReading) =>
  figure === null ||
  (figure.unit === reading.unit &&
    isSame([figure.printedMin, figure.printedMax], [reading.printedMin, reading.printedMax]));

/** The reading of the text that is the one kept, by its figures and never by its place in a list. */
function keptReading(leaf: Figured): TorqueReading | undefined {
  const { figure, min_Nm, max_Nm } = leaf;
  if (min_Nm === null || max_Nm === null) return undefined;
  return printedTorque(leaf).readings.find(
    (reading) => isFigureOf(figure, reading) && isSame([reading.min_Nm, reading.max_Nm], [min_Nm, max_Nm]),
  );
}

/** Whether the turns of the text come to what is kept. */
function isTurnKept(leaf: Figured): boolean {
  const turns = turnsOfLeaf(leaf);
  const { min_deg, max_deg } = leaf;
  if (turns.length === 0 || min_deg === null || max_deg === null)
    return turns.length === 0 && min_deg === null && max_deg === null;
  const sum = (end: 'min_deg' | 'max_deg') => turns.reduce((total, turn) => total + turn[end], 0);
  return isSame([min_deg, max_deg], [sum('min_deg'), sum('max_deg')]);
}

/**
 * The torque of a leaf, as it was chosen and kept; the same that the book shows.
 * @throws DomainError where the leaf holds no torque
 */
export function readingOfLeaf(leaf: Figured): TorqueReading {
  const { kind, figure, min_Nm, max_Nm } = leaf;
  if ((kind !== 'torque' && kind !== 'lever-pull') || min_Nm === null || max_Nm === null)
    throw new DomainError('bad-field', 'The entry gives no torque, so no setting can be reckoned from it.', 'leafId');
  const kept = keptReading(leaf);
  if (kept) return kept;
  const printed = figure ?? { unit: 'N·m', printedMin: min_Nm, printedMax: max_Nm };
  const { unit, ...rest } = printed;
  return { ...rest, ...(isTorqueUnit(unit) && { unit }), min_Nm, max_Nm };
}

const EACH_SAYS = 'It was kept as it was read when it was entered; look at the page, and correct it with a new entry.';

/** What the text of a leaf gives today, beside what was kept of it: a sentence where the two differ, else undefined. */
export function figureDiffers(leaf: Figured): string | undefined {
  const { kind, printedText, min_Nm, max_Nm, min_deg, max_deg, min_mm, max_mm } = leaf;
  const differs = (kept: string) =>
    `“${printedText}” does not give the figure that is kept for it, ${kept}. ${EACH_SAYS}`;
  if (kind === 'order' || kind === 'note') return undefined;
  if (kind === 'torque' || kind === 'lever-pull')
    return keptReading(leaf) && isTurnKept(leaf)
      ? undefined
      : differs(
          `${Number(min_Nm?.toPrecision(6))} to ${Number(max_Nm?.toPrecision(6))} N·m${min_deg === null ? '' : ` and ${min_deg} to ${max_deg}°`}`,
        );
  if (kind === 'turn') {
    const print = readToday(() => torqueLineOnce(printedText));
    const same = print?.kind === 'turn' && isSame([min_deg ?? NaN, max_deg ?? NaN], [print.min_deg, print.max_deg]);
    return same ? undefined : differs(`${min_deg} to ${max_deg}°`);
  }
  const lengths = readToday(() => readLengthLine(printedText))?.readings ?? [];
  const same = lengths.some((length) => isSame([min_mm ?? NaN, max_mm ?? NaN], [length.min_mm, length.max_mm]));
  return same ? undefined : differs(`${min_mm} to ${max_mm} mm`);
}
