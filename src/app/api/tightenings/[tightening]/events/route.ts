import { eventsOf, recordEvent } from '@/features/bench/record-event';
import { currentShop } from '@/server/current-shop';
import { currentWho } from '@/server/current-who';
import { toResponse, catchToResponse, withJson } from '@/server/http';

interface Context {
  readonly params: Promise<{ readonly tightening: string }>;
}

/** Every line of one tightening. */
export async function GET(_request: Request, { params }: Context) {
  return catchToResponse(async () => toResponse(eventsOf(await currentShop(), (await params).tightening)));
}

/** Adds one line; the answer comes once it is on disk. */
export async function POST(request: Request, { params }: Context) {
  return withJson(request, async (body) => {
    const [shop, who, { tightening }] = [await currentShop(), await currentWho(), await params];
    return toResponse(shop.inNameOf(who, () => recordEvent(shop, tightening, body)));
  });
}
