import { engineRows } from '@/db/reads/engine-rows';
import { beingWorkedOut, engineSummaries } from '@/db/reads/engine-summaries';
import type { EngineRows } from '@/model/engine/engine-rows';
import type { Shop } from '@/db/shop';
import { setTimeout as pause } from 'node:timers/promises';
import { edition } from './edition';

// Pages and routes are bundled apart; what one of them works out the other does not work out beside it.
const holder = globalThis as { spannerWorkedOut?: WeakMap<Shop, Promise<void>> };
const under = (holder.spannerWorkedOut ??= new WeakMap<Shop, Promise<void>>());

/** As long again as it worked, so that pages and pulls are answered in between. */
const rested = (worked_ms: number) => pause(Math.min(worked_ms, 250));

function rowsOf(shop: Shop, engineId: string): EngineRows | undefined {
  const engine = shop.engines.find(engineId);
  return engine && engineRows(shop, engine);
}

async function goThrough(shop: Shop): Promise<void> {
  let before = Infinity;
  while (shop.db.open) {
    const since = performance.now();
    const left = beingWorkedOut(engineSummaries(shop, edition(), (engineId) => rowsOf(shop, engineId), { more: 1 }));
    // One whose rows cannot be read is said to be so, and is none of them.
    if (left === 0 || left >= before) return;
    before = left;
    await rested(performance.now() - since);
  }
}

/**
 * Works out what the engines wait for of which it is not known, one at a time, behind the pages that are asked for
 * meanwhile; whoever needs all of them waits for it.
 */
export function workOutRest(shop: Shop): Promise<void> {
  const known = under.get(shop);
  if (known) return known;
  const work = goThrough(shop)
    .catch((error: unknown) => console.error('What the engines wait for could not be worked out:', error))
    .finally(() => under.delete(shop));
  under.set(shop, work);
  return work;
}
