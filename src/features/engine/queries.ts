import { engineStanding, type EngineStanding } from '@/db/engine-standing';
import { provenFits } from '@/db/fits-of-engine';
import type { Shop } from '@/db/shop';
import { nowMs } from '@/interface/server/clock';
import type { Stop } from '@/interface/shell/order-strip';
import type { EngineTag } from '@/interface/shell/rail';
import { waitsFor } from './waits';

/** A tag for each engine, and what it waits for. */
export function engineTags(shop: Shop): readonly EngineTag[] {
  const now = nowMs();
  return shop.engines.all().map((engine) => ({
    id: engine.id,
    name: engine.name,
    unit: engine.preferredUnit,
    href: `/engines/${engine.id}/joints`,
    ...waitsFor(engineStanding(shop, engine), now),
  }));
}

const isSettled = ({ retorque }: EngineStanding['joints'][number]) => retorque.state === 'done' || retorque.state === 'not-asked';

/** The stops of the work on one engine, with what is done of each. */
export function stopsOf({ engine, joints, fits, leaves, heat }: EngineStanding): readonly Stop[] {
  const at = (stop: string) => `/engines/${engine.id}/${stop}`;
  const jointed = new Set(joints.map(({ joint }) => joint.leafId)).size;
  const tight = joints.filter(({ final }) => final?.standing.complete).length;
  const asked = joints.filter(({ retorque }) => retorque.state !== 'not-asked');
  return [
    { name: 'Book', href: at('book'), done: jointed, total: leaves },
    { name: 'Joints', href: at('joints'), done: joints.filter(({ tightenings }) => tightenings.length > 0).length, total: joints.length },
    { name: 'Fits', href: at('fits'), done: provenFits(fits), total: fits.length },
    { name: 'Tighten', href: at('tighten'), done: tight, total: joints.length },
    { name: 'Run-in', href: at('run-in'), done: heat.cycles.length === 0 ? 0 : asked.filter(isSettled).length, total: asked.length },
    {
      name: 'Record',
      href: at('record'),
      done: joints.filter((joint) => joint.final?.standing.complete && isSettled(joint)).length,
      total: joints.length,
    },
  ];
}
