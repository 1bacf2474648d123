import { roundState } from '@/core/tightening';
import { fitsOfEngine } from './fits-of-engine';
import type { Engine } from '@/model/engine/engine';
import type { Joint } from '@/model/joint/joint';
import type { Tightening } from '@/model/joint/tightening';
import type { Shop } from '../shop';
import { type EngineState, type JointState, retorqueOf, type TighteningState } from '@/model/engine/engine-state';

export function tighteningState(shop: Shop, tightening: Tightening): TighteningState {
  const events = shop.tightenings.events(tightening.id);
  return { tightening, events, standing: roundState(tightening.plan.steps, events, tightening.plan.positions.length) };
}

export function jointState(shop: Shop, engine: Engine, joint: Joint, heat = shop.heat.log(engine.id)): JointState {
  const tightenings = shop.tightenings.ofJoint(joint.id).map((tightening) => tighteningState(shop, tightening));
  const open = tightenings
    .filter(({ tightening, standing: now }) => tightening.purpose === 'retorque' && !now.complete)
    .at(-1);
  return {
    joint,
    tightenings,
    final: tightenings.filter(({ tightening }) => tightening.purpose === 'final').at(-1),
    openRetorque: open,
    retorque: retorqueOf(engine, joint, heat, tightenings),
  };
}

/** Everything about where one engine stands, read once. */
export function engineState(shop: Shop, engine: Engine): EngineState {
  const heat = shop.heat.log(engine.id);
  const leaves = shop.book.leaves(engine.id);
  const replaced = new Set(leaves.map((leaf) => leaf.replacesId));
  const joints = shop.joints.ofEngine(engine.id);
  return {
    engine,
    heat,
    fits: fitsOfEngine(shop, engine.id, joints),
    leaves: leaves.filter((leaf) => !replaced.has(leaf.id)).length,
    joints: joints.map((joint) => jointState(shop, engine, joint, heat)),
  };
}
