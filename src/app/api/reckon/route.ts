import { NextResponse } from 'next/server';
import { badJson } from '@/server/http';
import { MOST_MS, reckonAside } from '@/reckoner/reckon-aside';

const MAX_REQUESTS = 1000;

const refused = (code: string, message: string, status: number) =>
  NextResponse.json({ id: null, ok: false, error: { code, message } }, { status });

const WHY = {
  slow: ['took-too-long', `That takes longer than ${MOST_MS / 1000} s. Ask for less at once.`],
  failed: ['failed', 'The reckoner failed in a way that was not foreseen.'],
  busy: ['busy', 'Too much is being reckoned already. Try again in a moment.'],
} as const;

/** One request, or up to 1,000 in an array; the same bodies and answers as the line tool. */
export async function POST(request: Request) {
  let body: unknown;
  try {
    body = await request.json();
  } catch {
    return NextResponse.json({ id: null, ok: false, error: badJson }, { status: 400 });
  }
  const requests: readonly unknown[] = Array.isArray(body) ? (body as readonly unknown[]) : [body];
  if (requests.length > MAX_REQUESTS)
    return refused('bad-field', `At most ${MAX_REQUESTS} requests at once; got ${requests.length}.`, 400);
  const reckoned = await reckonAside(requests);
  if (!reckoned.ok) {
    const [code, message] = WHY[reckoned.why];
    return refused(code, message, 503);
  }
  return NextResponse.json(Array.isArray(body) ? reckoned.answers : reckoned.answers[0]);
}
