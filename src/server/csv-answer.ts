import { NextResponse } from 'next/server';
import { currentShop } from './current-shop';
import { rowsOnce } from './request-reads';
import { catchToResponse, keptAs, toResponse } from './http';
import { fail } from '@/model/result';
import type { EngineRows } from '@/model/engine/engine-rows';
import type { Shop } from '@/db/shop';

/** A table of one engine as a file to be kept. */
export const csvOfEngine = (
  engineId: string,
  what: string,
  table: (rows: EngineRows, shop: Shop) => string,
): Promise<Response> =>
  catchToResponse(async () => {
    const shop = await currentShop();
    const rows = rowsOnce(shop, engineId);
    if (!rows) return toResponse(fail({ code: 'not-found', message: 'That engine is not in this shop.' }));
    return new NextResponse(`\uFEFF${table(rows, shop)}`, {
      headers: {
        'content-type': 'text/csv; charset=utf-8',
        ...keptAs(`${rows.engine.name} ${what}`, 'csv'),
      },
    });
  });
