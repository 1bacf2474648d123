import { engineRows } from '@/db/reads/engine-rows';
import { engineStateOf } from '@/model/engine/engine-rows';
import type { EngineState } from '@/model/engine/engine-state';
import { engineOf, type Bench } from './shop-action';

/** Where an engine stands as the transaction that is under way sees it. @throws DomainError not-found */
export const engineStateNow = (bench: Pick<Bench, 'shop'>, engineId: string): EngineState =>
  engineStateOf(engineRows(bench.shop, engineOf(bench, engineId)));
