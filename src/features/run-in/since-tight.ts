import { KM_PER_MILE, passedAt, type CycleFact, type DistanceUnit, type LeastCycle, type NoCycle } from '@/core/heat';
import { ownUnit } from '@/model/heat/meter';
import { LEAST_CYCLES } from '@/model/practice/house-practice';
import {
  cyclesOf,
  heatCyclesOf,
  metersOf,
  schoolInForce,
  tightenedAtOf,
  type EngineState,
} from '@/model/engine/engine-state';
import type { JointState } from '@/model/joint/joint-state';

/** How far and how long an engine went since one of its joints was tightened, by its meters and its runs. */
export interface SinceTight {
  readonly jointId: string;
  readonly name: string;
  readonly since: number;
  readonly way?: { readonly value: number; readonly unit: DistanceUnit; readonly unsaidRuns: number };
  readonly hours?: number;
  readonly heats: number;
}

/** A joint to which a run is no heat cycle, and why. */
export interface NotCounted {
  readonly joint: string;
  readonly no: NoCycle;
  readonly least: LeastCycle;
}

/** Its odometer's own unit; before it was read, the one that goes with its torques. */
export const unitOf = ({ engine, heat }: EngineState): DistanceUnit =>
  ownUnit(heat.meters) ?? (/lb|oz/.test(engine.preferredUnit) ? 'mi' : 'km');

/** The runs since each joint was tightened, and which of them are heat cycles to it: worked out once for all that ask. */
export interface RunsSince extends ReturnType<typeof heatCyclesOf> {
  readonly of: JointState;
  readonly since: number;
  readonly runs: readonly CycleFact[];
}

/** Of each joint that was tightened and is gone over again, the runs since. */
export function runsSince(state: EngineState): readonly RunsSince[] {
  const facts = cyclesOf(state.heat);
  return state.joints.flatMap((of) => {
    const since = tightenedAtOf(of.final);
    if (since === undefined || of.joint.retorqueSchool === 'none') return [];
    const runs = facts.filter(({ ranFrom }) => ranFrom >= since);
    return [{ of, since, runs, ...heatCyclesOf(state, of, runs) }];
  });
}

/** Why a run is no heat cycle to the joints that are gone over again, by the run. */
export function noCyclesOf(all: readonly RunsSince[]): ReadonlyMap<string, readonly NotCounted[]> {
  const found = new Map<string, NotCounted[]>();
  for (const { of, not } of all) {
    if (schoolInForce(of.joint) === 'none') continue;
    const least = LEAST_CYCLES[of.joint.detail.heatCycle];
    for (const [id, no] of not) {
      const said: NotCounted = { joint: of.joint.name, no, least };
      const before = found.get(id);
      if (before) before.push(said);
      else found.set(id, [said]);
    }
  }
  return found;
}

/** Everything that passed since a joint was tightened. */
export function sinceTight(
  state: EngineState,
  { of: { joint }, since, runs, counting }: RunsSince,
  now: number,
): SinceTight {
  const log = { runs, counting, meters: metersOf(state.heat), since };
  const { way_km, unsaidRuns = 0, hours, heats } = passedAt(log, Math.max(now, since));
  const unit = unitOf(state);
  return {
    jointId: joint.id,
    name: joint.name,
    since,
    heats,
    ...(way_km !== undefined && {
      way: { value: way_km / (unit === 'mi' ? KM_PER_MILE : 1), unit, unsaidRuns },
    }),
    ...(hours !== undefined && { hours }),
  };
}
