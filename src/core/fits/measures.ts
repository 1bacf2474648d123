import { clearance, roundness, type Grid, type Roundness } from './clearance';
import type { Cell, Method, ReadingPlan } from './cells';
import type { Part } from './conditions';
import { endFloat } from './gauges';
import type { FitKind } from './kinds';
import { runout } from './runout';
import type { Limits } from './verdict';
import type { Wanted } from './wanted';

/** A reading in its cell, brought to 20 °C where temperatures were taken, mm. */
export interface PlaceReading extends Cell {
  readonly value_mm: number;
  readonly resolution_mm?: number;
}

/** Between what the readings of one method lie. */
export interface Span {
  readonly method: Method | 'runout';
  readonly least_mm: number;
  readonly greatest_mm: number;
  readonly mean_mm: number;
  /** A float as read, before what its gasket will lose was taken off. */
  readonly uncrushed_mm?: number;
}

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
/** The readings of a part. */
export const ofPart = (readings: readonly PlaceReading[], part: Part) =>
  readings.filter((reading) => reading.part === part);
/** The reading of a part at a station. */
export const atStation = (readings: readonly PlaceReading[], part: Part, station: number) =>
  readings.find((one) => one.part === part && one.station === station);

function gridOf(readings: readonly PlaceReading[]): Grid {
  const stations = [...new Set(readings.map((reading) => reading.station))].sort((a, b) => a - b);
  return stations.map((station) =>
    readings.filter((reading) => reading.station === station).map((reading) => reading.value_mm),
  );
}

/** Whether every cell of these parts has been read. */
export type Full = (parts: readonly Part[]) => boolean;

/** A span, with the readings that it is of. */
export interface Measured extends Span {
  readonly from: readonly PlaceReading[];
}

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
  const [journals, bores] = [ofPart(readings, 'journal'), ofPart(readings, 'bore')];
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
  const stations = ofPart(readings, 'push').map(({ station }) => station);
  const pairs = stations.map((station) => ({
    push: atStation(readings, 'push', station)?.value_mm ?? 0,
    pull: atStation(readings, 'pull', station)?.value_mm ?? 0,
  }));
  const { mean_mm } = endFloat(pairs);
  const floats = pairs.map(({ push, pull }) => pull - push);
  return { method: 'dial', least_mm: Math.min(...floats), greatest_mm: Math.max(...floats), mean_mm, from: readings };
}

/** A float read with the gasket uncrushed: what the gasket loses is taken off once, at its most for the least float. */
export function crushed(measured: Measured, crush: Limits | undefined): Measured {
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
    ofPart(readings, 'goes').map((one) => one.value_mm),
    ofPart(readings, 'stops').map((one) => one.value_mm),
  ];
  const [least_mm, greatest_mm] = [Math.min(...goes), Math.max(...stops)];
  return { method: 'feelers', least_mm, greatest_mm, mean_mm: (least_mm + greatest_mm) / 2, from: readings };
}

function runoutMeasure(readings: readonly PlaceReading[], as: Wanted['as']): Measured {
  const turns = ofPart(readings, 'high').map(({ station, value_mm }) =>
    runout(value_mm, atStation(readings, 'low', station)?.value_mm ?? value_mm),
  );
  const values = turns.map((turn) => (as === 'eccentricity' ? turn.eccentricity_mm : turn.fullIndicatorReading_mm));
  return { ...span('runout', readings, values), least_mm: Math.max(...values), mean_mm: Math.max(...values) };
}

/** What was measured at a place, mm; of two grids also how round each side is. */
export interface Measures {
  readonly measures: readonly Measured[];
  readonly journal?: Roundness;
  readonly bore?: Roundness;
}

/** What each method of a plan measured, of those whose cells are all read. */
export function measuresOf(
  { kind, methods }: ReadingPlan,
  readings: readonly PlaceReading[],
  full: Full,
  as: Wanted['as'],
): Measures {
  switch (kind.shape) {
    case 'pair': {
      const pair =
        methods.includes('micrometer') && full(['journal', 'bore']) ? pairMeasure(readings, kind) : undefined;
      const strip = methods.includes('strip') && full(['strip']) ? [span('strip', ofPart(readings, 'strip'))] : [];
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
      return { measures: full(['length']) ? [span('length', ofPart(readings, 'length'))] : [] };
    case 'runout':
      return { measures: full(['high', 'low']) ? [runoutMeasure(readings, as)] : [] };
  }
}
