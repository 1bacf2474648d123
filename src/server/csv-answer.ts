import { NextResponse } from 'next/server';
import { currentShop } from './current-shop';
import { toResponse, catchToResponse } from './http';
import { fail } from '@/model/result';
import type { Engine } from '@/model/engine/engine';
import type { Shop } from '@/db/shop';

/** A table of one engine as a file to be kept. */
export const csvOfEngine = (
  engineId: string,
  what: string,
  table: (shop: Shop, engine: Engine) => string,
): Promise<NextResponse> =>
  catchToResponse(async () => {
    const shop = await currentShop();
    const engine = shop.engines.find(engineId);
    if (!engine) return toResponse(fail({ code: 'not-found', message: 'That engine is not in this shop.' }));
    const name = `${engine.name} ${what}`.replace(/[^\w]+/g, '-').toLowerCase();
    return new NextResponse(`\uFEFF${table(shop, engine)}`, {
      headers: {
        'content-type': 'text/csv; charset=utf-8',
        'content-disposition': `attachment; filename="${name}.csv"`,
      },
    });
  });
