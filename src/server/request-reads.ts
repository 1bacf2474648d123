import { cache } from 'react';
import { beingWorkedOut, engineSummaries, type SummarizedEngine } from '@/db/reads/engine-summaries';
import { shelvesOf } from '@/db/reads/shelves-of-shop';
import type { Shop } from '@/db/shop';
import type { Engine } from '@/model/engine/engine';
import { engineStateOf, type EngineRows } from '@/model/engine/engine-rows';
import { BEING_WORKED_OUT, summaryOf, type EngineSummary } from '@/model/engine/engine-summary';
import type { EngineState } from '@/model/engine/engine-state';
import type { Shelves } from '@/model/shelf/shelves';
import type { HandPullRow } from '@/model/trial/hand-pull';
import { edition } from './edition';
import { keptRows } from './kept-rows';
import { workOutRest } from './work-out-rest';

// A layout, its page and their titles ask for the same: each is read once a request, and forgotten with it.

const atStampOnce = cache((shop: Shop, engineId: string) => shop.engines.atStamp(engineId));

export const engineOnce = (shop: Shop, engineId: string): Engine | undefined => atStampOnce(shop, engineId)?.engine;

const markOnce = cache((shop: Shop) => shop.mark());

/** Read once for as long as nothing at all is written to the file, by whomever. */
function whileUnwritten<T>(read: (shop: Shop) => T, isWhole: (value: T) => boolean = () => true): (shop: Shop) => T {
  const kept = new WeakMap<Shop, { readonly mark: string; readonly value: T }>();
  return cache((shop) => {
    // The mark is asked before: what another process writes between the two is read anew the next time.
    const mark = markOnce(shop);
    const known = kept.get(shop);
    if (known && known.mark === mark) return known.value;
    const value = read(shop);
    if (mark !== undefined && isWhole(value)) kept.set(shop, { mark, value });
    return value;
  });
}

export const shelvesOnce = whileUnwritten((shop): Shelves => shelvesOf(shop));

export const handPullsOnce = cache((shop: Shop): readonly HandPullRow[] => shop.hands.pulls());

export const rowsOnce = cache((shop: Shop, engineId: string): EngineRows | undefined => {
  const found = atStampOnce(shop, engineId);
  return found && keptRows(shop, found);
});

export const stateOnce = cache((shop: Shop, engineId: string): EngineState | undefined => {
  const rows = rowsOnce(shop, engineId);
  return rows && engineStateOf(rows);
});

export const summariesOnce = whileUnwritten(
  (shop): readonly SummarizedEngine[] => {
    const engines = engineSummaries(shop, edition(), (engineId) => rowsOnce(shop, engineId));
    if (beingWorkedOut(engines) > 0) void workOutRest(shop);
    return engines;
  },
  (engines) => beingWorkedOut(engines) === 0,
);

/** What is told to somebody who does not ask again for a while: all of it is worked out before. */
export async function wholeSummaries(shop: Shop): Promise<readonly SummarizedEngine[]> {
  const known = summariesOnce(shop);
  if (beingWorkedOut(known) === 0) return known;
  await workOutRest(shop);
  return engineSummaries(shop, edition(), (engineId) => rowsOnce(shop, engineId), { more: Infinity });
}

/** Of the engine that is looked at it is known at once. */
export const summaryOnce = cache((shop: Shop, engineId: string): EngineSummary | undefined => {
  const known = summariesOnce(shop).find((engine) => engine.engineId === engineId)?.summary;
  if (known !== BEING_WORKED_OUT) return known;
  const state = stateOnce(shop, engineId);
  return state && summaryOf(state);
});
