import { NextResponse } from 'next/server';
import { buildFileOf } from '@/features/record/build-file';
import { nowIso } from '@/server/clock';
import { currentShop } from '@/server/current-shop';
import { catchToResponse, keptAs, toResponse } from '@/server/http';
import { fail } from '@/model/result';

interface Context {
  readonly params: Promise<{ readonly engine: string }>;
}

/** The build file of an engine, or with `?joint=` of one joint of it. */
export async function GET(request: Request, { params }: Context) {
  return catchToResponse(async () => {
    const shop = await currentShop();
    const engine = shop.engines.find((await params).engine);
    const jointId = new URL(request.url).searchParams.get('joint') ?? undefined;
    const joint = jointId === undefined ? undefined : shop.joints.find(jointId);
    if (!engine || (jointId !== undefined && joint?.engineId !== engine.id))
      return toResponse(fail({ code: 'not-found', message: 'That engine or joint is not in this shop.' }));
    const name = [engine.name, joint?.name, 'build'].filter(Boolean).join(' ');
    return new NextResponse(`${JSON.stringify(buildFileOf(shop, engine, nowIso(), jointId), null, 2)}\n`, {
      headers: {
        'content-type': 'application/json; charset=utf-8',
        ...keptAs(name, 'json'),
      },
    });
  });
}
