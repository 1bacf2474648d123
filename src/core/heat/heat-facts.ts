export const MS_PER_MIN = 60_000;
export const MS_PER_HOUR = 60 * MS_PER_MIN;

/** How an engine stands while it cools. */
export const STOOD = ['closed-shed', 'open-air', 'fan'] as const;
export type Stood = (typeof STOOD)[number];

/** Times are milliseconds since 1970, temperatures °C. */
export interface CycleFact {
  readonly id: string;
  readonly ranFrom: number;
  readonly ranTo: number;
  readonly highest_C: number;
  readonly ambient_C: number;
  /** How far it went, where somebody said so. */
  readonly went_km?: number;
  /** Its temperatures, minutes after it was started and °C, where they were recorded; in their order. */
  readonly series?: readonly (readonly [minutes: number, C: number])[];
  /** How it stood as it cooled, where somebody said so. */
  readonly stood?: Stood;
}

export interface HeadReadingFact {
  readonly cycleId: string;
  readonly at: number;
  readonly head_C: number;
  readonly ambient_C: number;
}

/** What a run has to come to before it counts as a heat cycle: so hot, for so long, and cooled to so much after it. */
export interface LeastCycle {
  readonly highest_C: number;
  readonly minutes: number;
  readonly cooledTo_C: number;
}

/** So hot, and for so long. */
export type HotEnough = Pick<LeastCycle, 'highest_C' | 'minutes'>;

/** How long a record of temperatures was at so much or over it, minutes: in straight lines from one to the next. */
export function minutesAt(series: readonly (readonly [minutes: number, C: number])[], least_C: number): number {
  return series.slice(1).reduce((sum, [minutes, C], i) => {
    const [before, was_C] = series[i] as readonly [number, number];
    const [low, high] = [Math.min(C, was_C), Math.max(C, was_C)];
    const share = low >= least_C ? 1 : high < least_C || high === low ? 0 : (high - least_C) / (high - low);
    return sum + share * (minutes - before);
  }, 0);
}

/**
 * Whether a run is a heat cycle, and not only a start: so hot, and for so long. Where its temperatures were recorded it
 * was so hot for so long; else all of its minutes are counted.
 */
export const isHeatCycle = ({ ranFrom, ranTo, highest_C, series }: CycleFact, least: HotEnough): boolean =>
  highest_C >= least.highest_C &&
  (series ? minutesAt(series, least.highest_C) : (ranTo - ranFrom) / MS_PER_MIN) >= least.minutes;
