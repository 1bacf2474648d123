import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import type { Shop } from '@/db/shop';
import type { Engine } from '@/model/engine/engine';
import { currentShop } from './current-shop';
import type { EngineRows } from '@/model/engine/engine-rows';
import type { EngineState } from '@/model/engine/engine-state';
import { engineOnce, rowsOnce, stateOnce } from './request-reads';

export interface EngineParams {
  readonly params: Promise<{ readonly engine: string }>;
}

/** The engine named in the address, with the shop it stands in; the not-found page where there is none. */
export async function engineAt(
  params: Promise<{ readonly engine: string }>,
): Promise<{ readonly shop: Shop; readonly engine: Engine }> {
  const shop = await currentShop();
  const engine = engineOnce(shop, (await params).engine);
  if (!engine) notFound();
  return { shop, engine };
}

/** The same with everything written of it. */
export async function engineRowsAt(
  params: EngineParams['params'],
): Promise<{ readonly shop: Shop; readonly rows: EngineRows }> {
  const shop = await currentShop();
  const rows = rowsOnce(shop, (await params).engine);
  if (!rows) notFound();
  return { shop, rows };
}

/** The title of a page about one thing of an engine, told from its rows. */
export async function titleFrom(
  params: EngineParams['params'],
  title: (rows: EngineRows) => string | undefined,
): Promise<Metadata> {
  const rows = rowsOnce(await currentShop(), (await params).engine);
  return { title: (rows && title(rows)) ?? 'Not on this engine' };
}

/** Where the engine named in the address stands. */
export async function engineStateAt(params: EngineParams['params']): Promise<EngineState> {
  const state = stateOnce(await currentShop(), (await params).engine);
  if (!state) notFound();
  return state;
}
