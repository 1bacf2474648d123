import { notFound } from 'next/navigation';
import type { Engine } from '@/model/engine/engine';
import type { Shop } from '@/db/shop';
import { currentShop } from './current-shop';

export interface EngineParams {
  readonly params: Promise<{ readonly engine: string }>;
}

/** The engine named in the address, with the shop it stands in; the not-found page where there is none. */
export async function engineAt(
  params: Promise<{ readonly engine: string }>,
): Promise<{ readonly shop: Shop; readonly engine: Engine }> {
  const shop = await currentShop();
  const engine = shop.engines.find((await params).engine);
  if (!engine) notFound();
  return { shop, engine };
}
