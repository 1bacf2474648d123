import { createReadStream, existsSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { NextResponse } from 'next/server';
import { fail } from '@/model/result';
import { copiesFolder, isCopyName } from '@/server/copies';
import { catchToResponse, toResponse } from '@/server/http';

/** A copy of the shop, to be taken along. */
export async function GET(_: Request, { params }: { readonly params: Promise<{ readonly name: string }> }) {
  return catchToResponse(async () => {
    const { name } = await params;
    const file = join(/* turbopackIgnore: true */ copiesFolder(), name);
    if (!isCopyName(name) || !existsSync(file))
      return toResponse(fail({ code: 'not-found', message: 'That copy is no longer there.' }));
    return new NextResponse(Readable.toWeb(createReadStream(file)) as ReadableStream, {
      headers: {
        'content-type': 'application/vnd.sqlite3',
        'content-length': `${statSync(file).size}`,
        'content-disposition': `attachment; filename="${name}"`,
      },
    });
  });
}
