import { enterReadings, tableSchema } from '@/features/fits/enter-readings';
import { fail } from '@/model/result';
import { currentShop } from '@/server/current-shop';
import { currentWho } from '@/server/current-who';
import { toResponse, toStream, withJson } from '@/server/http';
import { problemOf } from '@/server/problem';

interface Context {
  readonly params: Promise<{ readonly engine: string }>;
}

/** Enters a table of readings; how far it has come is answered line by line, and who hangs up stops it. */
export async function POST(request: Request, { params }: Context) {
  return withJson(request, async (body) => {
    const checked = tableSchema.validate(
      { ...(body as object), engineId: (await params).engine },
      { stripUnknown: true },
    );
    if (checked.error) return toResponse(fail(problemOf(checked.error)));
    return toStream(enterReadings(await currentShop(), checked.value, await currentWho()));
  });
}
