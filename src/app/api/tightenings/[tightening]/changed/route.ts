import { changedNow } from '@/features/bench/queries';
import { fail, ok } from '@/model/result';
import { nowMs } from '@/server/clock';
import { currentShop } from '@/server/current-shop';
import { catchToResponse, toResponse } from '@/server/http';

interface Context {
  readonly params: Promise<{ readonly tightening: string }>;
}

/** What is otherwise by now than when the round was begun: what the joint's sheet says, and what holds the crank. */
export async function GET(_request: Request, { params }: Context) {
  return catchToResponse(async () => {
    const said = changedNow(await currentShop(), (await params).tightening, nowMs());
    return toResponse(said ? ok(said) : fail({ code: 'not-found', message: 'That round is not in this shop.' }));
  });
}
