import { engineState } from '@/db/reads/engine-state';
import type { EngineState } from '@/model/engine/engine-state';
import { provenFits } from '@/model/fit/fit-gate';
import type { EngineSummary } from '@/db/repositories/engine-summary-repository';
import type { Shop } from '@/db/shop';
import { nowMs } from '@/server/clock';
import { BUILD_ID } from '@/server/build-id';
import type { Stop } from '@/interface/shell/order-strip';
import type { EngineTag } from '@/interface/shell/rail';
import { waitLine } from './wait-line';
import { type Wait, waitOf } from '@/model/engine/engine-wait';

/** What each engine waits for: as it was last worked out where no row of it was written since, else worked out now and kept. */
function waitsOfShop(
  shop: Shop,
  edition: string,
): ReadonlyMap<string, { readonly wait: Wait; readonly stamp: number }> {
  const missing: Required<EngineSummary>[] = [];
  const waits = shop.summaries.stamped(edition).flatMap(({ engineId, stamp, body }) => {
    if (body !== undefined) return [[engineId, { stamp, wait: JSON.parse(body) as Wait }] as const];
    const engine = shop.engines.find(engineId);
    if (!engine) return [];
    const wait = waitOf(engineState(shop, engine));
    missing.push({ engineId, stamp, body: JSON.stringify(wait) });
    return [[engineId, { stamp, wait }] as const];
  });
  if (missing.length > 0) keepIfWritable(shop, edition, missing);
  return new Map(waits);
}

/** A page is shown whether or not it could be kept for the next one. */
function keepIfWritable(shop: Shop, edition: string, missing: readonly Required<EngineSummary>[]): void {
  try {
    shop.summaries.keep(edition, missing);
  } catch (error) {
    console.warn('What the engines wait for could not be kept:', error);
  }
}

/** A tag for each engine, and what it waits for. */
export function engineTags(shop: Shop, edition = BUILD_ID): readonly EngineTag[] {
  const now = nowMs();
  const waits = waitsOfShop(shop, edition);
  return shop.engines.all().flatMap((engine) => {
    const found = waits.get(engine.id);
    if (!found) return [];
    const { wait, stamp } = found;
    return {
      id: engine.id,
      name: engine.name,
      unit: engine.preferredUnit,
      href: `/engines/${engine.id}/joints`,
      state: wait.state,
      waitsFor: waitLine(wait, now),
      stamp,
    };
  });
}

const isSettled = ({ retorque }: EngineState['joints'][number]) =>
  retorque.state === 'done' || retorque.state === 'not-asked';

/** The stops of the work on one engine, with what is done of each. */
export function stopsOf({ engine, joints, fits, leaves, heat }: EngineState): readonly Stop[] {
  const at = (stop: string) => `/engines/${engine.id}/${stop}`;
  const jointed = new Set(joints.map(({ joint }) => joint.leafId)).size;
  const tight = joints.filter(({ final }) => final?.standing.complete).length;
  const asked = joints.filter(({ retorque }) => retorque.state !== 'not-asked');
  return [
    { name: 'Book', href: at('book'), done: jointed, total: leaves },
    {
      name: 'Joints',
      href: at('joints'),
      done: joints.filter(({ tightenings }) => tightenings.length > 0).length,
      total: joints.length,
    },
    { name: 'Fits', href: at('fits'), done: provenFits(fits), total: fits.length },
    { name: 'Tighten', href: at('tighten'), done: tight, total: joints.length },
    {
      name: 'Run-in',
      href: at('run-in'),
      done: heat.cycles.length === 0 ? 0 : asked.filter(isSettled).length,
      total: asked.length,
    },
    {
      name: 'Record',
      href: at('record'),
      done: joints.filter((joint) => joint.final?.standing.complete && isSettled(joint)).length,
      total: joints.length,
    },
  ];
}
