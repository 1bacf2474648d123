import { engineState, jointState } from '@/db/reads/engine-state';
import { sameSubject, rankedLeaves, type RankedLeaf } from '@/model/book/source-precedence';
import type { Guard } from '@/core/joint';
import { fitsOfEngine } from '@/db/reads/fits-of-engine';
import { gateOf, guardsOfGate } from '@/model/fit/fit-gate';
import { jointInputs } from '@/db/reads/joint-inputs';
import type { JointInputs } from '@/model/joint/joint-inputs';
import { filmsName, computeJoint } from '@/model/joint/joint-result';
import type { Leaf } from '@/model/book/leaf';
import type { Engine } from '@/model/engine/engine';
import type { Joint } from '@/model/joint/joint';
import type { Shop } from '@/db/shop';
import { retorqueLine, tighteningLine } from '@/interface/words/status-words';
import type { JointSummary } from './joints-sheet';

function standingLeaves(shop: Shop, engineId: string): readonly Leaf[] {
  const leaves = shop.book.leaves(engineId);
  const replaced = new Set(leaves.map((leaf) => leaf.replacesId));
  return leaves.filter((leaf) => !replaced.has(leaf.id));
}

/** The leaves that stand and give a torque. */
export const torqueLeaves = (shop: Shop, engineId: string): readonly Leaf[] =>
  standingLeaves(shop, engineId).filter(({ kind }) => kind === 'torque' || kind === 'lever-pull');

/** Every leaf that speaks of a joint: under the same subject, or said to. */
export function leavesOfJoint(shop: Shop, joint: Joint): readonly Leaf[] {
  const own = shop.book.findLeaf(joint.leafId);
  return standingLeaves(shop, joint.engineId).filter(
    (leaf) =>
      leaf.id === joint.leafId ||
      joint.detail.alsoLeaves.includes(leaf.id) ||
      (own !== undefined && sameSubject(leaf.subject, own.subject)),
  );
}

/** Every joint of an engine: what is printed, what to set, where it stands. */
export function jointSummaries(shop: Shop, engine: Engine, now: number): readonly JointSummary[] {
  const { joints, fits } = engineState(shop, engine);
  return joints.map((standing) => {
    const { joint } = standing;
    const gate = gateOf(fits, joint.id);
    const setting = jointInputs(shop, joint, now);
    const { ladder, wrench, guards } = computeJoint(setting);
    return {
      id: joint.id,
      name: joint.name,
      printed: setting.leaf.printedText,
      thread: joint.detail.today?.thread ?? joint.thread,
      fasteners: joint.fasteners,
      setting: ladder.setting.rounded,
      unit: wrench.unit,
      target_Nm: ladder.target_Nm,
      film: filmsName(setting),
      standing: `${tighteningLine(standing, now)} ${retorqueLine(standing, now)}`,
      done: standing.final?.standing.complete ?? false,
      filmRung: ladder.rungs.find((rung) => rung.id === 'film'),
      stops: guards.filter((guard) => guard.severity === 'stop').length + gate.held.length,
      asks: guards.filter((guard) => guard.severity === 'ask').length + gate.asks.length,
    };
  });
}

export interface Resume {
  readonly href: string;
  readonly line: string;
}

export interface JointPage {
  readonly setting: JointInputs;
  readonly standing: string;
  readonly tight: boolean;
  readonly speaking: readonly RankedLeaf[];
  readonly otherLeaves: readonly Leaf[];
  readonly stretch: { readonly href: string; readonly line: string };
  readonly resume?: Resume;
  /** What the engine’s fits say to closing this joint up. */
  readonly against: readonly Guard[];
}

/** One joint with everything its sheet needs. */
export function jointPage(shop: Shop, engine: Engine, jointId: string, now: number): JointPage | undefined {
  const joint = shop.joints.find(jointId);
  if (joint?.engineId !== engine.id) return undefined;
  const standing = jointState(shop, engine, joint);
  const line = tighteningLine(standing, now);
  const { final } = standing;
  const half = final && !final.standing.complete;
  const leaves = leavesOfJoint(shop, joint);
  const spoken = new Set(leaves.map((leaf) => leaf.id));
  const sets = shop.bolts.ofJoint(joint.id).length;
  return {
    setting: jointInputs(shop, joint, now),
    standing: `${line} ${retorqueLine(standing, now)}`,
    tight: final?.standing.complete ?? false,
    speaking: rankedLeaves(leaves, shop.book.sources(engine.id), engine),
    otherLeaves: standingLeaves(shop, engine.id).filter((leaf) => !spoken.has(leaf.id)),
    stretch: {
      href: `/engines/${engine.id}/joints/${joint.id}/stretch`,
      line: sets === 0 ? 'no set of bolts yet' : sets === 1 ? 'one set of bolts' : `${sets} sets of bolts`,
    },
    against: guardsOfGate(gateOf(fitsOfEngine(shop, engine.id), joint.id)),
    resume: half ? { href: `/face/${final.tightening.id}`, line: `Half way: ${line}` } : undefined,
  };
}
