import { NextResponse } from 'next/server';
import { badJson } from '@/server/http';
import { reckon } from '@/reckoner/reckon';

const MAX_REQUESTS = 1000;

/** One request, or up to 1,000 in an array; the same bodies and answers as the line tool. */
export async function POST(request: Request) {
  let body: unknown;
  try {
    body = await request.json();
  } catch {
    return NextResponse.json({ id: null, ok: false, error: badJson }, { status: 400 });
  }
  if (!Array.isArray(body)) return NextResponse.json(reckon(body));
  if (body.length > MAX_REQUESTS) {
    const message = `At most ${MAX_REQUESTS} requests at once; got ${body.length}.`;
    return NextResponse.json({ id: null, ok: false, error: { code: 'bad-field', message } }, { status: 400 });
  }
  return NextResponse.json(body.map(reckon));
}
