import { readingSchema } from '@/features/instruments/reading-schema';
import { answer, withJson } from '@/server/http';
import { problemOf } from '@/server/run-action';
import { done, refused } from '@/model/outcome';
import { handOn } from '@/server/reading-hub';

/** Takes one reading from an instrument and hands it to whatever sheet listens. Nothing is recorded here. */
export async function POST(request: Request) {
  return withJson(request, (body) => {
    const checked = readingSchema.validate(body, { abortEarly: false });
    if (checked.error) return Promise.resolve(answer(refused(problemOf(checked.error))));
    return Promise.resolve(answer(done({ id: checked.value.id, heardBy: handOn(checked.value) })));
  });
}
