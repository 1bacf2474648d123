import { linesOf, recordLine } from '@/features/fits/record-line';
import { currentShop } from '@/server/current-shop';
import { currentWho } from '@/server/current-who';
import { toResponse, catchToResponse, withJson } from '@/server/http';

interface Context {
  readonly params: Promise<{ readonly fit: string }>;
}

/** Every line of one fit. */
export async function GET(_request: Request, { params }: Context) {
  return catchToResponse(async () => toResponse(linesOf(await currentShop(), (await params).fit)));
}

/** Adds one line; the answer comes once it is on disk. */
export async function POST(request: Request, { params }: Context) {
  return withJson(request, async (body) => {
    const [shop, who, { fit }] = [await currentShop(), await currentWho(), await params];
    return toResponse(shop.inNameOf(who, () => recordLine(shop, fit, body)));
  });
}
