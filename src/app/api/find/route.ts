import { find } from '@/features/find/find-index';
import { ok } from '@/model/result';
import { currentShop } from '@/server/current-shop';
import { catchToResponse, toResponse } from '@/server/http';

const LONGEST = 80;

/** What the words of `q` may mean in this shop. */
export async function GET(request: Request) {
  return catchToResponse(async () => {
    const asked = (new URL(request.url).searchParams.get('q') ?? '').slice(0, LONGEST);
    return toResponse(ok(await find(await currentShop(), asked)));
  });
}
