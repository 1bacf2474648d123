import { engineStateOf, type EngineRows } from '@/model/engine/engine-rows';
import type { EngineState } from '@/model/engine/engine-state';
import { keptRows } from './kept-rows';
import { goneEngine, type Bench } from './shop-action';

/** Everything written of an engine as the transaction that is under way sees it. @throws DomainError not-found */
export function engineRowsNow({ shop }: Pick<Bench, 'shop'>, engineId: string): EngineRows {
  const known = shop.engines.atStamp(engineId);
  if (!known) throw goneEngine();
  return keptRows(shop, known);
}

/** Where an engine stands as the transaction that is under way sees it. @throws DomainError not-found */
export const engineStateNow = (bench: Pick<Bench, 'shop'>, engineId: string): EngineState =>
  engineStateOf(engineRowsNow(bench, engineId));
