import { cache } from 'react';
import { engineSummaries, type SummarizedEngine } from '@/db/reads/engine-summaries';
import { shelvesOf } from '@/db/reads/shelves-of-shop';
import type { Shop } from '@/db/shop';
import type { Engine } from '@/model/engine/engine';
import { engineStateOf, type EngineRows } from '@/model/engine/engine-rows';
import type { EngineState } from '@/model/engine/engine-state';
import type { Shelves } from '@/model/shelf/shelves';
import type { HandPullRow } from '@/model/trial/hand-pull';
import { BUILD_ID } from './build-id';
import { keptRows } from './kept-rows';

// A layout, its page and their titles ask for the same: each is read once a request, and forgotten with it.

const atStampOnce = cache((shop: Shop, engineId: string) => shop.engines.atStamp(engineId));

export const engineOnce = (shop: Shop, engineId: string): Engine | undefined => atStampOnce(shop, engineId)?.engine;

export const shelvesOnce = cache((shop: Shop): Shelves => shelvesOf(shop));

export const handPullsOnce = cache((shop: Shop): readonly HandPullRow[] => shop.hands.pulls());

export const rowsOnce = cache((shop: Shop, engineId: string): EngineRows | undefined => {
  const found = atStampOnce(shop, engineId);
  return found && keptRows(shop, found);
});

export const stateOnce = cache((shop: Shop, engineId: string): EngineState | undefined => {
  const rows = rowsOnce(shop, engineId);
  return rows && engineStateOf(rows);
});

export const summariesOnce = cache((shop: Shop): readonly SummarizedEngine[] =>
  engineSummaries(shop, BUILD_ID, (engineId) => rowsOnce(shop, engineId)),
);
