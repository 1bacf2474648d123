import { readingSchema } from '@/features/instruments/reading-schema';
import { toResponse, withJson } from '@/server/http';
import { problemOf } from '@/server/problem';
import { ok, fail } from '@/model/result';
import { publish } from '@/server/reading-hub';

/** Takes one reading from an instrument and hands it to whatever sheet listens. Nothing is recorded here. */
export async function POST(request: Request) {
  return withJson(request, (body) => {
    const checked = readingSchema.validate(body, { abortEarly: false });
    if (checked.error) return Promise.resolve(toResponse(fail(problemOf(checked.error))));
    return Promise.resolve(toResponse(ok({ id: checked.value.id, heardBy: publish(checked.value) })));
  });
}
