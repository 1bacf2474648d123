import { NextResponse } from 'next/server';
import { currentShop } from './current-shop';
import { answer, answering } from './http';
import { refused } from '@/model/outcome';
import type { Engine } from '@/model/engine/engine';
import type { Shop } from '@/db/shop';

/** A table of one engine as a file to be kept. */
export const csvOfEngine = (engineId: string, what: string, table: (shop: Shop, engine: Engine) => string): Promise<NextResponse> =>
  answering(async () => {
    const shop = await currentShop();
    const engine = shop.engines.find(engineId);
    if (!engine) return answer(refused({ code: 'not-found', message: 'That engine is not in this shop.' }));
    const name = `${engine.name} ${what}`.replace(/[^\w]+/g, '-').toLowerCase();
    return new NextResponse(`\uFEFF${table(shop, engine)}`, {
      headers: { 'content-type': 'text/csv; charset=utf-8', 'content-disposition': `attachment; filename="${name}.csv"` },
    });
  });
