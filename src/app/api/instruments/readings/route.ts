import { readingSchema } from '@/features/instruments/reading-schema';
import { toResponse, withJson } from '@/server/http';
import { problemOf } from '@/server/problem';
import { ok, fail } from '@/model/result';
import { publish, publishRefused } from '@/server/reading-hub';

const MAX_NAME = 80;

/** Who sent it, as far as that can be read. */
const nameIn = (body: unknown): string => {
  const named = typeof body === 'object' && body !== null && 'instrument' in body ? body.instrument : undefined;
  return typeof named === 'string' && named.trim() !== '' ? named.trim().slice(0, MAX_NAME) : 'An instrument';
};

/** Takes one reading from an instrument and hands it to whatever sheet listens. Nothing is recorded here. */
export async function POST(request: Request) {
  return withJson(request, (body) => {
    const checked = readingSchema.validate(body, { abortEarly: false });
    if (checked.error) {
      const problem = problemOf(checked.error);
      publishRefused(nameIn(body), problem.message);
      return Promise.resolve(toResponse(fail(problem)));
    }
    return Promise.resolve(toResponse(ok({ id: checked.value.id, heardBy: publish(checked.value) })));
  });
}
