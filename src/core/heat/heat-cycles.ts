import { USUAL_TAU_MIN } from './cold';
import {
  MS_PER_MIN,
  isHeatCycle,
  minutesAt,
  type CycleFact,
  type HeadReadingFact,
  type LeastCycle,
} from './heat-facts';

/** Why a run is no heat cycle by itself. */
export type NoCycle =
  | { readonly why: 'too-cool' }
  /** At its temperature for so many minutes. */
  | { readonly why: 'too-brief'; readonly minutes: number }
  /** Started while it was still at about so much: one cycle with the run before. */
  | { readonly why: 'not-cooled'; readonly C: number };

export interface HeatCyclesInput {
  /** In any order. */
  readonly runs: readonly CycleFact[];
  readonly readings: readonly HeadReadingFact[];
  readonly least: LeastCycle;
  readonly kind: keyof typeof USUAL_TAU_MIN;
  /** Runs after which a joint was gone over: it was cold then. */
  readonly answered?: ReadonlySet<string>;
}

/** On a hot day a head does not come down to what is asked for: so near the air is enough, K. */
const NEAR_AIR_K = 10;

/** At about what the head stood when it was started again: from its last reading, else from the run's highest. */
function stoodAt(
  { ranTo, highest_C, ambient_C }: CycleFact,
  own: readonly HeadReadingFact[],
  at: number,
  tau_min: number,
): number {
  const last = own.filter((one) => one.at >= ranTo && one.at <= at).at(-1);
  const from = last
    ? { C: last.head_C, air_C: last.ambient_C, at: last.at }
    : { C: highest_C, air_C: ambient_C, at: ranTo };
  return from.air_C + (from.C - from.air_C) * Math.exp(-(at - from.at) / MS_PER_MIN / tau_min);
}

/** What a run fell short of by itself. */
const shortOf = ({ highest_C, series, ranFrom, ranTo }: CycleFact, least: LeastCycle): NoCycle =>
  highest_C < least.highest_C
    ? { why: 'too-cool' }
    : {
        why: 'too-brief',
        minutes: series ? minutesAt(series, least.highest_C) : (ranTo - ranFrom) / MS_PER_MIN,
      };

/**
 * Which of an engine's runs are heat cycles, the oldest first, and why the others are none. Runs between which the head
 * did not cool are one cycle, and the first of them that was hot enough stands for it. How far it cooled is read at the head; where nobody
 * read, it is reckoned with the usual time constant of its kind.
 */
export function heatCycles({ runs, readings, least, kind, answered }: HeatCyclesInput): {
  readonly counting: readonly CycleFact[];
  readonly not: ReadonlyMap<string, NoCycle>;
} {
  const sorted = [...runs].sort((a, b) => a.ranTo - b.ranTo);
  const byRun = new Map<string, HeadReadingFact[]>();
  for (const reading of readings) {
    const own = byRun.get(reading.cycleId);
    if (own) own.push(reading);
    else byRun.set(reading.cycleId, [reading]);
  }
  const counting: CycleFact[] = [];
  const not = new Map<string, NoCycle>();
  // Of the runs that are one cycle with the last: it has been hot, and none of them is left to count.
  let hasHot = false;
  sorted.forEach((run, i) => {
    const before = sorted[i - 1];
    const C = before && stoodAt(before, byRun.get(before.id) ?? [], run.ranFrom, USUAL_TAU_MIN[kind]);
    const isAfresh =
      before === undefined ||
      C === undefined ||
      C <= Math.max(least.cooledTo_C, before.ambient_C + NEAR_AIR_K) ||
      (answered?.has(before.id) ?? false);
    hasHot = hasHot && !isAfresh;
    if (!isHeatCycle(run, least)) not.set(run.id, shortOf(run, least));
    else if (hasHot && C !== undefined) not.set(run.id, { why: 'not-cooled', C });
    else {
      counting.push(run);
      hasHot = true;
    }
  });
  return { counting, not };
}
