import type { NextRequest } from 'next/server';
import { eventsOf, recordEvent, recordEvents } from '@/features/bench/record-event';
import type { Recorded, RecordedTogether } from '@/model/line-age';
import type { Result } from '@/model/result';
import { shopNameIn, shopNamed, type Kept } from '@/server/current-shop';
import { whoIn } from '@/server/current-who';
import { catchToResponse, toResponse, withJson } from '@/server/http';
import { openShortWay } from '@/server/short-way';
import { together } from '@/server/together';

interface Context {
  readonly params: Promise<{ readonly tightening: string }>;
}

/** Adds one line, or a list of lines in their order; the answer comes once they are on disk. */
async function take(round: string, kept: Kept, body: unknown): Promise<Result<Recorded | RecordedTogether>> {
  const [shop, who] = [shopNamed(shopNameIn(kept)), whoIn(kept)];
  return together(shop, () =>
    shop.inNameOf(who, (): Result<Recorded | RecordedTogether> =>
      Array.isArray(body) ? recordEvents(shop, round, body) : recordEvent(shop, round, body),
    ),
  );
}

openShortWay(take);

/** Every line of one tightening. */
export async function GET({ cookies }: NextRequest, { params }: Context) {
  return catchToResponse(async () => toResponse(eventsOf(shopNamed(shopNameIn(cookies)), (await params).tightening)));
}

/** Takes what the bench sends, where it does not go the short way. */
export async function POST(request: NextRequest, { params }: Context) {
  return withJson(request, async (body) => toResponse(await take((await params).tightening, request.cookies, body)));
}
