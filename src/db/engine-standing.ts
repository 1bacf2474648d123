import { retorqueState, type CycleFact, type HeadReadingFact, type RetorqueState } from '@/core/heat';
import { standing, type Standing } from '@/core/tightening';
import type { FitStanding } from './fit-standing';
import { fitsOfEngine } from './fits-of-engine';
import type { Engine } from './repositories/engine-repository';
import type { HeatLog } from './repositories/heat-repository';
import type { Joint } from './repositories/joint-repository';
import type { RecordedEvent, Tightening } from './repositories/tightening-repository';
import type { Shop } from './shop';

/** A tightening with its lines and where they leave it. */
export interface TighteningStanding {
  readonly tightening: Tightening;
  readonly events: readonly RecordedEvent[];
  readonly standing: Standing;
}

export interface JointStanding {
  readonly joint: Joint;
  readonly tightenings: readonly TighteningStanding[];
  /** The going-round that counts: the last one to the final figure. */
  readonly final?: TighteningStanding;
  /** A retorque that was begun and is not finished. */
  readonly openRetorque?: TighteningStanding;
  readonly retorque: RetorqueState;
}

export interface EngineStanding {
  readonly engine: Engine;
  readonly joints: readonly JointStanding[];
  readonly fits: readonly FitStanding[];
  readonly heat: HeatLog;
  readonly leaves: number;
}

const time = (iso: string) => Date.parse(iso);

export const cyclesOf = (heat: HeatLog): readonly CycleFact[] =>
  heat.cycles.map(({ id, ranFrom, ranTo, highestC, ambientC }) => ({
    id,
    ranFrom: time(ranFrom),
    ranTo: time(ranTo),
    highest_C: highestC,
    ambient_C: ambientC,
  }));

export const headReadingsOf = (heat: HeatLog): readonly HeadReadingFact[] =>
  heat.readings
    .map(({ cycleId, at, headC, ambientC }) => ({ cycleId, at: time(at), head_C: headC, ambient_C: ambientC }))
    .sort((a, b) => a.at - b.at);

export function tighteningStanding(shop: Shop, tightening: Tightening): TighteningStanding {
  const events = shop.tightenings.events(tightening.id);
  return { tightening, events, standing: standing(tightening.plan.steps, events, tightening.plan.positions.length) };
}

function retorqueOf(engine: Engine, joint: Joint, heat: HeatLog, tightenings: readonly TighteningStanding[]): RetorqueState {
  const final = tightenings.filter(({ tightening }) => tightening.purpose === 'final').at(-1);
  const tightenedAt = final?.standing.complete ? final.standing.last?.at : undefined;
  const answered = tightenings.flatMap(({ tightening, standing: now }) =>
    tightening.purpose === 'retorque' && now.complete && tightening.plan.cycleId ? [tightening.plan.cycleId] : [],
  );
  return retorqueState({
    kind: engine.kind,
    headMetal: engine.headMetal,
    school: joint.retorqueSchool,
    tightenedAt: tightenedAt === undefined ? undefined : time(tightenedAt),
    cycles: cyclesOf(heat),
    readings: headReadingsOf(heat),
    answered,
  });
}

export function jointStanding(shop: Shop, engine: Engine, joint: Joint, heat = shop.heat.log(engine.id)): JointStanding {
  const tightenings = shop.tightenings.ofJoint(joint.id).map((tightening) => tighteningStanding(shop, tightening));
  const open = tightenings.filter(({ tightening, standing: now }) => tightening.purpose === 'retorque' && !now.complete).at(-1);
  return {
    joint,
    tightenings,
    final: tightenings.filter(({ tightening }) => tightening.purpose === 'final').at(-1),
    openRetorque: open,
    retorque: retorqueOf(engine, joint, heat, tightenings),
  };
}

/** Everything about where one engine stands, read once. */
export function engineStanding(shop: Shop, engine: Engine): EngineStanding {
  const heat = shop.heat.log(engine.id);
  const leaves = shop.book.leaves(engine.id);
  const replaced = new Set(leaves.map((leaf) => leaf.replacesId));
  const joints = shop.joints.ofEngine(engine.id);
  return {
    engine,
    heat,
    fits: fitsOfEngine(shop, engine.id, joints),
    leaves: leaves.filter((leaf) => !replaced.has(leaf.id)).length,
    joints: joints.map((joint) => jointStanding(shop, engine, joint, heat)),
  };
}
