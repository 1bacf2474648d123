import { engineStanding, jointStanding } from '@/db/engine-standing';
import { settingOf } from '@/db/joint-setting';
import { filmName, ladderOfJoint, type JointSetting } from '@/db/joint-working';
import type { Leaf } from '@/db/repositories/book-repository';
import type { Engine } from '@/db/repositories/engine-repository';
import type { Wrench } from '@/db/repositories/wrench-repository';
import type { Shop } from '@/db/shop';
import { retorqueLine, tighteningLine } from '@/interface/words/standing-words';
import type { JointSummary } from './joints-sheet';

/** The leaves that stand and give a torque. */
export function torqueLeaves(shop: Shop, engineId: string): readonly Leaf[] {
  const leaves = shop.book.leaves(engineId);
  const replaced = new Set(leaves.map((leaf) => leaf.replacesId));
  return leaves.filter((leaf) => leaf.kind !== 'turn' && !replaced.has(leaf.id));
}

/** Every joint of an engine: what is printed, what to set, where it stands. */
export const jointSummaries = (shop: Shop, engine: Engine, now: number): readonly JointSummary[] =>
  engineStanding(shop, engine).joints.map((standing) => {
    const { joint } = standing;
    const setting = settingOf(shop, joint);
    const ladder = ladderOfJoint(setting);
    return {
      id: joint.id,
      name: joint.name,
      printed: setting.leaf.printedText,
      thread: joint.thread,
      fasteners: joint.fasteners,
      setting: ladder.setting.rounded,
      unit: setting.wrench.unit,
      target_Nm: ladder.target_Nm,
      film: filmName(joint.todayFilm),
      standing: `${tighteningLine(standing, now)} ${retorqueLine(standing, now)}`,
      done: standing.final?.standing.complete ?? false,
      filmRung: ladder.rungs.find((rung) => rung.id === 'film'),
    };
  });

export interface JointPage {
  readonly setting: JointSetting;
  readonly wrenches: readonly Wrench[];
  readonly standing: string;
  readonly resume?: { readonly href: string; readonly line: string };
}

/** One joint with everything its sheet needs. */
export function jointPage(shop: Shop, engine: Engine, jointId: string, now: number): JointPage | undefined {
  const joint = shop.joints.find(jointId);
  if (joint?.engineId !== engine.id) return undefined;
  const standing = jointStanding(shop, engine, joint);
  const line = tighteningLine(standing, now);
  const { final } = standing;
  const half = final && !final.standing.complete;
  return {
    setting: settingOf(shop, joint),
    wrenches: shop.wrenches.all(),
    standing: `${line} ${retorqueLine(standing, now)}`,
    resume: half ? { href: `/face/${final.tightening.id}`, line: `Half way: ${line}` } : undefined,
  };
}
