import { otherRounds } from '@/features/bench/other-rounds';
import { ok } from '@/model/result';
import { currentShop } from '@/server/current-shop';
import { catchToResponse, toResponse } from '@/server/http';
import { wholeSummaries } from '@/server/request-reads';

interface Context {
  readonly params: Promise<{ readonly tightening: string }>;
}

/** The other rounds that are under way, so that this one can be put down and another taken up. */
export async function GET(_request: Request, { params }: Context) {
  return catchToResponse(async () =>
    toResponse(ok(otherRounds(await wholeSummaries(await currentShop()), (await params).tightening))),
  );
}
