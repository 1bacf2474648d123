import { linesOf, recordLine } from '@/features/fits/record-line';
import { currentShop } from '@/server/current-shop';
import { answer, answering, withJson } from '@/server/http';

interface Context {
  readonly params: Promise<{ readonly fit: string }>;
}

/** Every line of one fit. */
export async function GET(_request: Request, { params }: Context) {
  return answering(async () => answer(linesOf(await currentShop(), (await params).fit)));
}

/** Adds one line; the answer comes once it is on disk. */
export async function POST(request: Request, { params }: Context) {
  return withJson(request, async (body) => answer(recordLine(await currentShop(), (await params).fit, body)));
}
