import { jointState } from '@/db/reads/engine-state';
import type { JointState } from '@/model/engine/engine-state';
import { jointInputs } from '@/db/reads/joint-inputs';
import type { JointInputs } from '@/model/joint/joint-inputs';
import { computeJoint, type JointResult } from '@/model/joint/joint-result';
import type { Engine } from '@/model/engine/engine';
import type { HeatLog } from '@/model/heat/heat-log';
import { fitsOfEngine } from '@/db/reads/fits-of-engine';
import { holdingMeasures } from '@/model/engine/engine-measure';
import type { Shop } from '@/db/shop';
import { nowMs } from '@/server/clock';
import type { FitsRecord } from './fits-record-page';

export interface JointRecord {
  readonly engine: Engine;
  readonly setting: JointInputs;
  readonly standing: JointState;
  readonly worked: JointResult;
  readonly heat: HeatLog;
}

/** Everything the record of one joint prints. */
export function jointRecord(shop: Shop, engine: Engine, jointId: string): JointRecord | undefined {
  const joint = shop.joints.find(jointId);
  if (joint?.engineId !== engine.id) return undefined;
  const setting = jointInputs(shop, joint, nowMs());
  return {
    engine,
    setting,
    standing: jointState(shop, engine, joint),
    worked: computeJoint(setting),
    heat: shop.heat.log(engine.id),
  };
}

/** What was measured on an engine, with the page each limit comes from and the sheets that hold. */
export function fitsRecord(shop: Shop, engine: Engine): FitsRecord {
  const lines = shop.fits.linesOfEngine(engine.id);
  const fits = fitsOfEngine(shop, engine.id).map((standing) => ({ standing, lines: lines.get(standing.fit.id) ?? [] }));
  return { engine, fits, sheets: holdingMeasures(shop.measures.all(engine.id)) };
}
