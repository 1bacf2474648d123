import { isDomainError } from '@/core/units';
import { cellGroups, type ReadingPlan } from './cells';
import type { Roundness } from './clearance';
import { steady } from './gauges';
import {
  atStation,
  crushed,
  measuresOf,
  ofPart,
  type Full,
  type Measured,
  type PlaceReading,
  type Span,
} from './measures';
import { bothResolutions, judge, type Limits, type Verdict } from './verdict';
import { wantedFigures, type Wanted, type WantedFigures } from './wanted';

/** What the readings at one place come to by one method. */
export interface PlaceFigure extends Span {
  /** How far the figure may be off for the instruments’ sake: √(r1² + r2²). */
  readonly doubt_mm: number;
  readonly verdict?: Verdict;
}

export interface PlaceResult {
  readonly asked: number;
  readonly read: number;
  readonly figures: readonly PlaceFigure[];
  readonly wanted?: WantedFigures;
  readonly verdict?: Verdict;
  /** Inside the hard limits but outside the soft ones. */
  readonly improve: boolean;
  readonly journal?: Roundness;
  readonly bore?: Roundness;
  /** Crushed strip less micrometers, where both were read; shown, never averaged. */
  readonly stripDifference_mm?: number;
  /** Why the readings cannot be reckoned with. */
  readonly fault?: string;
}

const coarsest = (readings: readonly PlaceReading[]): number | undefined => {
  const known = readings.flatMap(({ resolution_mm }) => resolution_mm ?? []);
  return known.length > 0 ? Math.max(...known) : undefined;
};

/** Of a pair each side has its instrument; anything else was read with one. */
const doubtful = (readings: readonly PlaceReading[]): number | undefined => {
  const bores = ofPart(readings, 'bore');
  return bores.length === 0
    ? coarsest(readings)
    : bothResolutions(coarsest(readings.filter(({ part }) => part !== 'bore')), coarsest(bores));
};

/**
 * The verdict of an interval: at each spot the figure lies somewhere between what goes and what does not.
 * A leaf as thick as the lower limit that does not go is too tight; one as thick as the upper that goes may be right.
 * Only what is certain is said: an interval across a limit is `too-close`.
 */
export function judgeInterval(
  spots: readonly { readonly goes_mm: number; readonly stops_mm: number }[],
  { min_mm, max_mm }: Limits,
): Verdict {
  if (spots.some(({ stops_mm }) => stops_mm <= min_mm + 1e-9)) return 'tight';
  if (spots.some(({ goes_mm }) => goes_mm >= max_mm + 1e-9)) return 'loose';
  return spots.every(({ goes_mm, stops_mm }) => goes_mm >= min_mm - 1e-9 && stops_mm <= max_mm + 1e-9)
    ? 'inside'
    : 'too-close';
}

const EXCHANGED = { tight: 'loose', loose: 'tight', inside: 'inside', 'too-close': 'too-close' } as const;

function verdictOf(
  measured: Measured,
  limits: Limits,
  interference: boolean,
  resolution_mm: number | undefined,
): Verdict {
  const { from } = measured;
  if (measured.method === 'feelers' && measured.uncrushed_mm === undefined) {
    const spots = ofPart(from, 'goes').map(({ station, value_mm }) => ({
      goes_mm: value_mm,
      stops_mm: atStation(from, 'stops', station)?.value_mm ?? Infinity,
    }));
    return judgeInterval(spots, limits);
  }
  const ofOne = measured.method === 'dial' && measured.uncrushed_mm === undefined;
  const [least, greatest] = ofOne ? [measured.mean_mm, measured.mean_mm] : [measured.least_mm, measured.greatest_mm];
  const judged = judge(least, greatest, limits, resolution_mm);
  const verdict =
    ofOne && judged === 'inside' ? steady(measured.greatest_mm - measured.least_mm, resolution_mm) : judged;
  return interference ? EXCHANGED[verdict] : verdict;
}

const WORST: readonly Verdict[] = ['tight', 'loose', 'too-close', 'inside'];

export const worstVerdict = (verdicts: readonly Verdict[]): Verdict | undefined =>
  WORST.find((verdict) => verdicts.includes(verdict));

/** What a place is judged with beside its readings. */
export interface PlaceFacts {
  /** What a rule works on where no diameter is measured: a ring’s bore. */
  readonly nominal_mm?: number;
  /** What a gasket will lose that was uncrushed when a float was read. */
  readonly crush?: Limits;
}

/**
 * The figures that can be reckoned so far, each judged; a verdict once all that was asked for is there, or one method
 * has found it out.
 */
function judgedPlace(
  plan: ReadingPlan,
  readings: readonly PlaceReading[],
  full: Full,
  wanted: Wanted,
  { nominal_mm, crush }: PlaceFacts,
) {
  const { measures: read, journal, bore } = measuresOf(plan, readings, full, wanted.as);
  const measures = plan.kind.shape === 'float' ? read.map((one) => crushed(one, crush)) : read;
  const inForce = wantedFigures(wanted, journal?.mean_mm ?? nominal_mm);
  const { interference } = plan.kind;
  const figures = measures.map(({ from, ...measured }): PlaceFigure => {
    const resolution_mm = doubtful(from);
    const verdict = inForce && verdictOf({ ...measured, from }, inForce.hard, interference, resolution_mm);
    return { ...measured, doubt_mm: Math.SQRT2 * (resolution_mm ?? 0), ...(verdict && { verdict }) };
  });
  const complete = full(cellGroups(plan).flatMap((cells) => cells.map(({ part }) => part)));
  const soft = inForce?.soft;
  const softly = soft && complete ? measures.map((measured) => verdictOf(measured, soft, interference, undefined)) : [];
  const worst = worstVerdict(figures.flatMap((figure) => figure.verdict ?? []));
  // What one method found out of limits is out, whatever another has still to say.
  const verdict = complete || worst === 'tight' || worst === 'loose' ? worst : undefined;
  const [pair, strip] = [
    figures.find(({ method }) => method === 'micrometer'),
    figures.find(({ method }) => method === 'strip'),
  ];
  return {
    figures,
    ...(inForce && { wanted: inForce }),
    ...(verdict && { verdict }),
    improve: softly.some((one) => one === 'tight' || one === 'loose'),
    ...(journal && { journal }),
    ...(bore && { bore }),
    ...(pair && strip && { stripDifference_mm: strip.mean_mm - pair.mean_mm }),
  };
}

/**
 * What the readings at one place come to. A place that was asked for five readings and has two stays open: it has no
 * figure and no verdict.
 */
export function placeResult(
  plan: ReadingPlan,
  readings: readonly PlaceReading[],
  wanted: Wanted,
  facts: PlaceFacts = {},
): PlaceResult {
  const cells = cellGroups(plan).flat();
  const read = cells.filter((cell) =>
    readings.some((one) => one.part === cell.part && one.station === cell.station && one.angle === cell.angle),
  );
  const full: Full = (parts) => {
    const wantedCells = cells.filter(({ part }) => parts.includes(part));
    return wantedCells.length > 0 && wantedCells.every((cell) => read.includes(cell));
  };
  const counted = readings.filter((one) =>
    cells.some((cell) => cell.part === one.part && cell.station === one.station && cell.angle === one.angle),
  );
  const open = { asked: cells.length, read: read.length, figures: [], improve: false };
  try {
    return { ...open, ...judgedPlace(plan, counted, full, wanted, facts) };
  } catch (error) {
    if (isDomainError(error)) return { ...open, fault: error.message };
    throw error;
  }
}
