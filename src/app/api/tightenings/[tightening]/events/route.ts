import { eventsOf, recordEvent, recordEvents } from '@/features/bench/record-event';
import type { Recorded, RecordedTogether } from '@/model/line-age';
import type { Result } from '@/model/result';
import { currentShop } from '@/server/current-shop';
import { currentWho } from '@/server/current-who';
import { toResponse, catchToResponse, withJson } from '@/server/http';
import { together } from '@/server/together';

interface Context {
  readonly params: Promise<{ readonly tightening: string }>;
}

/** Every line of one tightening. */
export async function GET(_request: Request, { params }: Context) {
  return catchToResponse(async () => toResponse(eventsOf(await currentShop(), (await params).tightening)));
}

/** Adds one line, or a list of lines in their order; the answer comes once they are on disk. */
export async function POST(request: Request, { params }: Context) {
  return withJson(request, async (body) => {
    const [shop, who, { tightening }] = [await currentShop(), await currentWho(), await params];
    return toResponse(
      await together(shop, () =>
        shop.inNameOf(who, (): Result<Recorded | RecordedTogether> =>
          Array.isArray(body) ? recordEvents(shop, tightening, body) : recordEvent(shop, tightening, body),
        ),
      ),
    );
  });
}
