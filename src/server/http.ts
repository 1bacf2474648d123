import { NextResponse } from 'next/server';
import { problemOfThrown } from './problem';
import { type Result, type Problem, fail } from '@/model/result';

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

export const toResponse = <T>(outcome: Result<T>): NextResponse =>
  NextResponse.json(outcome, { status: outcome.ok ? 200 : (STATUS[outcome.error.code] ?? 400) });

/** A page of another site must not write into the shop through this browser. */
function isForeign(request: Request): boolean {
  const origin = request.headers.get('origin');
  return origin !== null && (!URL.canParse(origin) || new URL(origin).host !== request.headers.get('host'));
}

/** The refusal for a page of another site; undefined for our own. */
export const rejectCrossOrigin = (request: Request): NextResponse | undefined =>
  isForeign(request)
    ? toResponse(fail({ code: 'other-origin', message: 'The request came from another site and was refused.' }))
    : undefined;

export const badJson: Problem = { code: 'bad-json', message: 'The body must be JSON.' };

/** Answers with what the work returns; whatever goes wrong comes back in the one shape. */
export async function catchToResponse(work: () => Promise<NextResponse>): Promise<NextResponse> {
  try {
    return await work();
  } catch (thrown) {
    return toResponse(fail(problemOfThrown(thrown)));
  }
}

/** The same for a request that carries JSON. */
export async function withJson(
  request: Request,
  work: (body: unknown) => Promise<NextResponse>,
): Promise<NextResponse> {
  const other = rejectCrossOrigin(request);
  if (other) return other;
  let body: unknown;
  try {
    body = await request.json();
  } catch {
    return toResponse(fail(badJson));
  }
  return catchToResponse(() => work(body));
}
