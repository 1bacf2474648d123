import { jointStanding, type JointStanding } from '@/db/engine-standing';
import { settingOf } from '@/db/joint-setting';
import { ladderOfJoint, type JointSetting } from '@/db/joint-working';
import type { Ladder } from '@/core/joint';
import type { Engine } from '@/db/repositories/engine-repository';
import type { HeatLog } from '@/db/repositories/heat-repository';
import type { Shop } from '@/db/shop';

export interface JointRecord {
  readonly engine: Engine;
  readonly setting: JointSetting;
  readonly standing: JointStanding;
  readonly ladder: Ladder;
  readonly heat: HeatLog;
}

/** Everything the record of one joint prints. */
export function jointRecord(shop: Shop, engine: Engine, jointId: string): JointRecord | undefined {
  const joint = shop.joints.find(jointId);
  if (joint?.engineId !== engine.id) return undefined;
  const setting = settingOf(shop, joint);
  return { engine, setting, standing: jointStanding(shop, engine, joint), ladder: ladderOfJoint(setting), heat: shop.heat.log(engine.id) };
}
