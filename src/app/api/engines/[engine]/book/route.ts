import { NextResponse } from 'next/server';
import { bookCsv } from '@/features/book/csv-table';
import { bookOf } from '@/features/book/queries';
import { currentShop } from '@/interface/server/current-shop';
import { answer, answering } from '@/interface/server/http';
import { refused } from '@/interface/server/outcome';

/** The leaves of an engine's book as CSV. */
export async function GET(_: Request, { params }: { readonly params: Promise<{ readonly engine: string }> }) {
  return answering(async () => {
    const shop = await currentShop();
    const engine = shop.engines.find((await params).engine);
    if (!engine) return answer(refused({ code: 'not-found', message: 'That engine is not in this shop.' }));
    const name = `${engine.name} book`.replace(/[^\w]+/g, '-').toLowerCase();
    return new NextResponse(`\uFEFF${bookCsv(bookOf(shop, engine.id))}`, {
      headers: { 'content-type': 'text/csv; charset=utf-8', 'content-disposition': `attachment; filename="${name}.csv"` },
    });
  });
}
