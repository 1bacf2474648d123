import { NextResponse } from 'next/server';
import { salvage } from '@/db/reads/salvage';
import { currentShop } from '@/server/current-shop';
import { catchToResponse } from '@/server/http';

/** An engine's rows as they lie on disk, for when its record cannot be read. */
export async function GET(_: Request, { params }: { readonly params: Promise<{ readonly engine: string }> }) {
  return catchToResponse(async () => {
    const { engine } = await params;
    const rows = salvage(await currentShop(), engine);
    return new NextResponse(`${JSON.stringify({ format: 'unhurried-spanner-rows', engine, rows }, null, 2)}\n`, {
      headers: {
        'content-type': 'application/json; charset=utf-8',
        'content-disposition': 'attachment; filename="rows.json"',
      },
    });
  });
}
