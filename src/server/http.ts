import { NextResponse } from 'next/server';
import { currentWho } from './current-who';
import { problemOfThrown } from './problem';
import { type Result, type Problem, fail, ok } from '@/model/result';

/** What is not the asker's fault, or is not simply a wrong field. Every other refusal is a 400. */
const STATUS: Readonly<Record<string, number>> = {
  'not-found': 404,
  'out-of-turn': 409,
  'id-taken': 409,
  stale: 409,
  exchanged: 503,
  'nothing-to-strike': 409,
  'nothing-to-accept': 409,
  'crank-held': 409,
  'set-aside': 409,
  'held-elsewhere': 409,
  'nobody-asked': 409,
  'nobody-has': 409,
  'of-another-bore': 409,
  'other-origin': 403,
  'disk-full': 507,
  locked: 503,
  'not-writable': 500,
  corrupt: 500,
  'newer-version': 500,
  'changed-history': 500,
  failed: 500,
};

export const statusOf = <T>(outcome: Result<T>): number => (outcome.ok ? 200 : (STATUS[outcome.error.code] ?? 400));

export const toResponse = <T>(outcome: Result<T>): NextResponse =>
  NextResponse.json(outcome, { status: statusOf(outcome) });

type Said = string | null | undefined;

/** Whether a page of another site sent it: none must write into the shop through this browser. */
const isForeign = (origin: Said, host: Said): boolean =>
  typeof origin === 'string' && (!URL.canParse(origin) || new URL(origin).host !== host);

/** The refusal of what came from another site; undefined for our own. */
const foreign = (origin: Said, host: Said): Result<never> | undefined =>
  isForeign(origin, host)
    ? fail({ code: 'other-origin', message: 'The request came from another site and was refused.' })
    : undefined;

/** Where this program answers, as the asker called it. */
export const originOf = (request: Request): string => `http://${request.headers.get('host') ?? 'localhost'}`;

/** The refusal for a page of another site; undefined for our own. */
export function rejectCrossOrigin({ headers }: Request): NextResponse | undefined {
  const refusal = foreign(headers.get('origin'), headers.get('host'));
  return refusal && toResponse(refusal);
}

export const badJson: Problem = { code: 'bad-json', message: 'The body must be JSON.' };

/** Answers with what the work returns; whatever goes wrong comes back in the one shape. */
export async function catchToResponse(work: () => Promise<Response>): Promise<Response> {
  try {
    return await work();
  } catch (thrown) {
    return toResponse(fail(problemOfThrown(thrown)));
  }
}

/** What a request that carries JSON brought: refused from another site, and where it is none. */
export function jsonSent(origin: Said, host: Said, text: string): Result<unknown> {
  const refusal = foreign(origin, host);
  if (refusal) return refusal;
  try {
    return ok(JSON.parse(text) as unknown);
  } catch {
    return fail(badJson);
  }
}

/** The header by which an answer is kept as a file under a name of its own, in whatever letters. */
export function keptAs(words: string, ending: string): { readonly 'content-disposition': string } {
  const name = words
    .replace(/[^\p{L}\p{M}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '')
    .toLowerCase();
  return { 'content-disposition': `attachment; filename*=UTF-8''${encodeURIComponent(name || 'file')}.${ending}` };
}

/** The same as `jsonSent`, for a request that carries it. */
export async function withJson(request: Request, work: (body: unknown) => Promise<Response>): Promise<Response> {
  const { headers } = request;
  // What broke off on its way is no JSON.
  const text = await request.text().catch(() => '');
  const sent = jsonSent(headers.get('origin'), headers.get('host'), text);
  return sent.ok ? catchToResponse(() => work(sent.result)) : toResponse(sent);
}

/** Answers a photograph that was sent: refused from another site, and where none is there. */
export async function photoSent(
  request: Request,
  keep: (file: File, who: string) => Promise<object>,
): Promise<Response> {
  return (
    rejectCrossOrigin(request) ??
    catchToResponse(async () => {
      // What is no form, or broke off on its way, has no photograph in it.
      const file = await request.formData().then(
        (sent) => sent.get('photo'),
        () => null,
      );
      if (!(file instanceof File))
        return toResponse(fail({ code: 'missing-field', message: 'The photograph is missing.', field: 'photo' }));
      return toResponse(ok(await keep(file, await currentWho())));
    })
  );
}

/**
 * Answers with a line of JSON for each step of the work, and with its result, or why it was refused, as the last one.
 * What is refused before the first step has the status of its refusal. Whoever reads no further stops the work at the
 * step that it is at.
 */
export async function toStream<Step, T>(work: AsyncGenerator<Step, T>): Promise<Response> {
  let next = await work.next();
  const line = (value: object) => new TextEncoder().encode(`${JSON.stringify(value)}\n`);
  const body = new ReadableStream<Uint8Array>(
    {
      async pull(controller) {
        try {
          const { done, value } = next;
          controller.enqueue(line(done ? ok(value) : { step: value }));
          if (done) controller.close();
          else next = await work.next();
        } catch (thrown) {
          controller.enqueue(line(fail(problemOfThrown(thrown))));
          controller.close();
        }
      },
      cancel: () => void work.return(undefined as T),
    },
    { highWaterMark: 0 },
  );
  return new Response(body, {
    headers: { 'Content-Type': 'application/x-ndjson', 'Cache-Control': 'no-store, no-transform' },
  });
}
