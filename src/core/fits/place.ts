import { isDomainError } from '@/core/units';
import { cellGroups, type Cell, type Method, type ReadingPlan } from './cells';
import { clearance, roundness, type Grid, type Roundness } from './clearance';
import type { Part } from './conditions';
import { endFloat, steady } from './gauges';
import type { FitKind } from './kinds';
import { runout } from './runout';
import { bothResolutions, judge, type Limits, type Verdict } from './verdict';
import { wantedFigures, type Wanted, type WantedFigures } from './wanted';

/** A reading in its cell, brought to 20 °C where temperatures were taken, mm. */
export interface PlaceReading extends Cell {
  readonly value_mm: number;
  readonly resolution_mm?: number;
}

/** What the readings at one place come to by one method. */
export interface PlaceFigure {
  readonly method: Method | 'runout';
  readonly least_mm: number;
  readonly greatest_mm: number;
  readonly mean_mm: number;
  /** A float as read, before what its gasket will lose was taken off. */
  readonly uncrushed_mm?: number;
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

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
const of = (readings: readonly PlaceReading[], part: Part) => readings.filter((reading) => reading.part === part);
const at = (readings: readonly PlaceReading[], part: Part, station: number) =>
  readings.find((one) => one.part === part && one.station === station);

const coarsest = (readings: readonly PlaceReading[]): number | undefined => {
  const known = readings.flatMap(({ resolution_mm }) => resolution_mm ?? []);
  return known.length > 0 ? Math.max(...known) : undefined;
};

/** Of a pair each side has its instrument; anything else was read with one. */
const doubtful = (readings: readonly PlaceReading[]): number | undefined => {
  const bores = of(readings, 'bore');
  return bores.length === 0
    ? coarsest(readings)
    : bothResolutions(coarsest(readings.filter(({ part }) => part !== 'bore')), coarsest(bores));
};

function gridOf(readings: readonly PlaceReading[]): Grid {
  const stations = [...new Set(readings.map((reading) => reading.station))].sort((a, b) => a - b);
  return stations.map((station) =>
    readings.filter((reading) => reading.station === station).map((reading) => reading.value_mm),
  );
}

/** Whether every cell of these parts has been read. */
type Full = (parts: readonly Part[]) => boolean;

type Measured = Pick<PlaceFigure, 'method' | 'least_mm' | 'greatest_mm' | 'mean_mm' | 'uncrushed_mm'> & {
  readonly from: readonly PlaceReading[];
};

/** A part in the depth that takes it: below nothing where it bottoms. */
function lengthsMeasure(inner: readonly PlaceReading[], outer: readonly PlaceReading[]) {
  const [inners, outers] = [inner, outer].map((side) => side.map(({ value_mm }) => value_mm)) as [number[], number[]];
  const measured: Measured = {
    method: 'micrometer',
    least_mm: Math.min(...outers) - Math.max(...inners),
    greatest_mm: Math.max(...outers) - Math.min(...inners),
    mean_mm: mean(outers) - mean(inners),
    from: [...inner, ...outer],
  };
  return { measured, journal: roundness(gridOf(inner)), bore: roundness(gridOf(outer)) };
}

/**
 * A round part in a hole by two grids; where the inner side must be larger, the two are exchanged and the figure is
 * the interference.
 */
function pairMeasure(readings: readonly PlaceReading[], { interference, along, sides }: FitKind) {
  const [journals, bores] = [of(readings, 'journal'), of(readings, 'bore')];
  if (along) return lengthsMeasure(journals, bores);
  const [inner, outer] = interference ? [bores, journals] : [journals, bores];
  const [first, second] = sides.map((side) => side.toLowerCase()) as [string, string];
  const found = clearance({
    journal: gridOf(inner),
    bore: gridOf(outer),
    names: interference ? [second, first] : [first, second],
  });
  const measured: Measured = {
    method: 'micrometer',
    least_mm: found.min_mm,
    greatest_mm: found.max_mm,
    mean_mm: found.mean_mm,
    from: [...journals, ...bores],
  };
  return {
    measured,
    journal: interference ? found.bore : found.journal,
    bore: interference ? found.journal : found.bore,
  };
}

const span = (
  method: Measured['method'],
  from: readonly PlaceReading[],
  values = from.map((one) => one.value_mm),
): Measured => ({
  method,
  least_mm: Math.min(...values),
  greatest_mm: Math.max(...values),
  mean_mm: mean(values),
  from,
});

/** Play by dial: the mean of pull less push, with its spread. */
function dialMeasure(readings: readonly PlaceReading[]): Measured {
  const stations = of(readings, 'push').map(({ station }) => station);
  const pairs = stations.map((station) => ({
    push: at(readings, 'push', station)?.value_mm ?? 0,
    pull: at(readings, 'pull', station)?.value_mm ?? 0,
  }));
  const { mean_mm } = endFloat(pairs);
  const floats = pairs.map(({ push, pull }) => pull - push);
  return { method: 'dial', least_mm: Math.min(...floats), greatest_mm: Math.max(...floats), mean_mm, from: readings };
}

/** A float read with the gasket uncrushed: what the gasket loses is taken off once, at its most for the least float. */
function crushed(measured: Measured, crush: Limits | undefined): Measured {
  if (!crush) return measured;
  const { least_mm, greatest_mm, mean_mm, method } = measured;
  // A dial’s repeats are of one float, so their mean is what is judged.
  const [low, high] = method === 'dial' ? [mean_mm, mean_mm] : [least_mm, greatest_mm];
  return {
    ...measured,
    least_mm: low - crush.max_mm,
    greatest_mm: high - crush.min_mm,
    mean_mm: mean_mm - (crush.min_mm + crush.max_mm) / 2,
    uncrushed_mm: mean_mm,
  };
}

/** Feelers at several spots: between the least that goes and the greatest that does not. */
function feelerMeasure(readings: readonly PlaceReading[]): Measured {
  const [goes, stops] = [
    of(readings, 'goes').map((one) => one.value_mm),
    of(readings, 'stops').map((one) => one.value_mm),
  ];
  const [least_mm, greatest_mm] = [Math.min(...goes), Math.max(...stops)];
  return { method: 'feelers', least_mm, greatest_mm, mean_mm: (least_mm + greatest_mm) / 2, from: readings };
}

function runoutMeasure(readings: readonly PlaceReading[], as: Wanted['as']): Measured {
  const turns = of(readings, 'high').map(({ station, value_mm }) =>
    runout(value_mm, at(readings, 'low', station)?.value_mm ?? value_mm),
  );
  const values = turns.map((turn) => (as === 'eccentricity' ? turn.eccentricity_mm : turn.fullIndicatorReading_mm));
  return { ...span('runout', readings, values), least_mm: Math.max(...values), mean_mm: Math.max(...values) };
}

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
    const spots = of(from, 'goes').map(({ station, value_mm }) => ({
      goes_mm: value_mm,
      stops_mm: at(from, 'stops', station)?.value_mm ?? Infinity,
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

function measuresOf({ kind, methods }: ReadingPlan, readings: readonly PlaceReading[], full: Full, as: Wanted['as']) {
  switch (kind.shape) {
    case 'pair': {
      const pair =
        methods.includes('micrometer') && full(['journal', 'bore']) ? pairMeasure(readings, kind) : undefined;
      const strip = methods.includes('strip') && full(['strip']) ? [span('strip', of(readings, 'strip'))] : [];
      return { measures: [...(pair ? [pair.measured] : []), ...strip], journal: pair?.journal, bore: pair?.bore };
    }
    case 'float': {
      const dial =
        methods.includes('dial') && full(['push', 'pull', 'zero'])
          ? [dialMeasure(readings.filter(({ part }) => part !== 'zero'))]
          : [];
      return {
        measures: [
          ...dial,
          ...(methods.includes('feelers') && full(['goes', 'stops']) ? [feelerMeasure(readings)] : []),
        ],
      };
    }
    case 'feelers':
      return { measures: full(['goes', 'stops']) ? [feelerMeasure(readings)] : [] };
    case 'length':
      return { measures: full(['length']) ? [span('length', of(readings, 'length'))] : [] };
    case 'runout':
      return { measures: full(['high', 'low']) ? [runoutMeasure(readings, as)] : [] };
  }
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
  const {
    measures: read,
    journal,
    bore,
  } = { journal: undefined, bore: undefined, ...measuresOf(plan, readings, full, wanted.as) };
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
