import { holdOf, moveHold } from '@/features/bench/hold';
import { ok } from '@/model/result';
import { nowMs } from '@/server/clock';
import { currentShop } from '@/server/current-shop';
import { currentWho } from '@/server/current-who';
import { catchToResponse, toResponse, withJson } from '@/server/http';

interface Context {
  readonly params: Promise<{ readonly tightening: string }>;
}

const nowIso = () => new Date(nowMs()).toISOString();

/** Who has the wrench of a round, as the screen named by `bench` sees it. */
export async function GET(request: Request, { params }: Context) {
  return catchToResponse(async () => {
    const bench = new URL(request.url).searchParams.get('bench') ?? '';
    const [shop, who, { tightening }] = [await currentShop(), await currentWho(), await params];
    return toResponse(ok(holdOf(shop, tightening, { bench, who }, nowIso())));
  });
}

/** Takes it, asks for it, hands it over, lays it down. */
export async function POST(request: Request, { params }: Context) {
  return withJson(request, async (body) => {
    const [shop, who, { tightening }] = [await currentShop(), await currentWho(), await params];
    return toResponse(ok(moveHold(shop, tightening, body, who, nowIso())));
  });
}
