import { cache } from 'react';
import { engineRows } from '@/db/reads/engine-rows';
import { engineSummaries, type SummarizedEngine } from '@/db/reads/engine-summaries';
import { shelvesOf } from '@/db/reads/shelves-of-shop';
import type { Shop } from '@/db/shop';
import type { Engine } from '@/model/engine/engine';
import { engineStateOf, type EngineRows } from '@/model/engine/engine-rows';
import type { EngineState } from '@/model/engine/engine-state';
import type { Shelves } from '@/model/shelf/shelves';
import { BUILD_ID } from './build-id';

// A layout, its page and their titles ask for the same: each is read once a request, and forgotten with it.

export const engineOnce = cache((shop: Shop, engineId: string): Engine | undefined => shop.engines.find(engineId));

export const shelvesOnce = cache((shop: Shop): Shelves => shelvesOf(shop));

export const rowsOnce = cache((shop: Shop, engineId: string): EngineRows | undefined => {
  const engine = engineOnce(shop, engineId);
  return engine && engineRows(shop, engine);
});

export const stateOnce = cache((shop: Shop, engineId: string): EngineState | undefined => {
  const rows = rowsOnce(shop, engineId);
  return rows && engineStateOf(rows);
});

export const summariesOnce = cache((shop: Shop): readonly SummarizedEngine[] =>
  engineSummaries(shop, BUILD_ID, (engineId) => rowsOnce(shop, engineId)),
);
