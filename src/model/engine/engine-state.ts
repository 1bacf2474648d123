import { happenedAt } from '@/model/line-time';
import {
  KM_PER_MILE,
  heatCycles,
  retorqueState,
  type CycleFact,
  type HeadReadingFact,
  type MeterFact,
  type RetorqueSchool,
  type RetorqueState,
} from '@/core/heat';
import { LEAST_CYCLES } from '@/model/practice/house-practice';
import type { Joint } from '@/model/joint/joint';
import type { JointState, TighteningState } from '@/model/joint/joint-state';
import type { OrderState } from '@/model/order/order-state';
import type { FitState } from '@/model/fit/place-state';
import type { Engine } from './engine';
import type { HeatLog } from '@/model/heat/heat-log';

export interface EngineState {
  readonly engine: Engine;
  readonly joints: readonly JointState[];
  readonly fits: readonly FitState[];
  readonly heat: HeatLog;
  readonly leaves: number;
  readonly order: OrderState;
}

const time = (iso: string) => Date.parse(iso);

export const cyclesOf = (heat: HeatLog): readonly CycleFact[] =>
  heat.cycles.map(({ id, ranFrom, ranTo, highest_C, ambient_C, went, series, stood }) => ({
    id,
    ranFrom: time(ranFrom),
    ranTo: time(ranTo),
    highest_C,
    ambient_C,
    ...(went && { went_km: went.value * (went.unit === 'mi' ? KM_PER_MILE : 1) }),
    ...(series && { series }),
    ...(stood && { stood }),
  }));

export const metersOf = (heat: HeatLog): readonly MeterFact[] =>
  heat.meters.map(({ at, reads, unit, jump }) => ({ at: time(at), reads, unit, ...(jump && { jump }) }));

/** So many days later, at the same hour of the clock on the wall: a change to summer time moves nothing. */
export function daysAfter(at: number, days: number): number {
  const day = new Date(at);
  day.setDate(day.getDate() + days);
  return day.getTime();
}

const MS_PER_MIN = 60_000;
const minuteOf = ({ at }: HeadReadingFact) => Math.round(at / MS_PER_MIN);

/**
 * In the order in which they were read. Hours are told to the minute, and come over with a jitter: within one minute it
 * is the order in which they were written.
 */
export const headReadingsOf = (heat: HeatLog): readonly HeadReadingFact[] =>
  heat.readings
    .map(({ cycleId, at, head_C, ambient_C }) => ({ cycleId, at: time(at), head_C, ambient_C }))
    .sort((a, b) => minuteOf(a) - minuteOf(b));

/** The line that a round stands at, with the hours that it has on the server's clock. */
const lastOf = ({ events, state }: TighteningState) => events.find(({ id }) => id === state.last?.id);

/** When the last fastener of a joint came to its final figure, ms since 1970; undefined while it is not tight. */
export function tightenedAtOf(final: TighteningState | undefined): number | undefined {
  const last = final?.state.complete ? lastOf(final) : undefined;
  return last && time(happenedAt(last));
}

/** How a joint is gone over again: not at all where its gasket says so, whatever the manual or the shop say. */
export const schoolInForce = ({ retorqueSchool, detail }: Pick<Joint, 'retorqueSchool' | 'detail'>): RetorqueSchool =>
  detail.gasketSays === 'no-retorque' ? 'none' : retorqueSchool;

/** The runs after which a joint was gone over, and when. */
const answeredBy = (rounds: readonly TighteningState[]) =>
  rounds.flatMap((round) => {
    const { tightening, state: now } = round;
    const { cycleId } = tightening.plan;
    const ended = lastOf(round);
    return tightening.purpose === 'retorque' && now.complete && cycleId
      ? [{ cycleId, at: time(ended ? happenedAt(ended) : tightening.startedAt) }]
      : [];
  });

/** Which of some runs are heat cycles to a joint, and why the others are none. */
export const heatCyclesOf = (
  { engine, heat }: Pick<EngineState, 'engine' | 'heat'>,
  { joint, tightenings }: Pick<JointState, 'joint' | 'tightenings'>,
  runs: readonly CycleFact[],
) =>
  heatCycles({
    runs,
    readings: headReadingsOf(heat),
    least: LEAST_CYCLES[joint.detail.heatCycle],
    kind: engine.kind,
    answered: new Set(answeredBy(tightenings).map(({ cycleId }) => cycleId)),
  });

/** Whether a joint is to be gone over again, and what that waits for. */
export function retorqueOf(
  engine: Engine,
  joint: Joint,
  heat: HeatLog,
  { rounds, final }: { readonly rounds: readonly TighteningState[]; readonly final: TighteningState | undefined },
): RetorqueState {
  const tightenedAt = tightenedAtOf(final);
  const answered = answeredBy(rounds);
  return retorqueState({
    kind: engine.kind,
    headMetal: engine.headMetal,
    school: schoolInForce(joint),
    least: LEAST_CYCLES[joint.detail.heatCycle],
    ...(joint.detail.cold && { cold: joint.detail.cold }),
    ...(joint.detail.warm && { warm_C: joint.detail.warm.head_C }),
    tightenedAt,
    cycles: cyclesOf(heat),
    readings: headReadingsOf(heat),
    answered,
    stages: joint.detail.again,
    meters: metersOf(heat),
    daysAfter,
  });
}
