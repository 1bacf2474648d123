import type { IncomingHttpHeaders } from 'node:http';
import { NextRequest } from 'next/server';
import { fail, type Result } from '@/model/result';
import type { Kept } from './current-shop';
import { jsonSent, statusOf } from './http';
import { problemOfThrown } from './problem';

/** Takes what was sent for one round; its answer comes once it is on disk. */
type Take = (round: string, kept: Kept, body: unknown) => Promise<Result<unknown>>;

/** The same of a request as it came over the wire. */
type ShortWay = (
  round: string,
  headers: IncomingHttpHeaders,
  text: string,
) => Promise<{ readonly status: number; readonly body: string }>;

// The server in front of the framework is no part of what is bundled: the two meet in the process.
const holder = globalThis as { spannerShortWay?: ShortWay };

const keptIn = ({ cookie }: IncomingHttpHeaders): Kept =>
  cookie === undefined ? new Map() : new NextRequest('http://127.0.0.1/', { headers: { cookie } }).cookies;

async function outcomeOf(take: Take, ...[round, headers, text]: Parameters<ShortWay>): Promise<Result<unknown>> {
  const sent = jsonSent(headers.origin, headers.host, text);
  if (!sent.ok) return sent;
  try {
    return await take(round, keptIn(headers), sent.result);
  } catch (thrown) {
    return fail(problemOfThrown(thrown));
  }
}

/**
 * Leaves what a route takes where the server in front finds it, so that what is sent from the bench goes straight to it:
 * the framework's own part of a request takes several times what the file and its checks do. Until the framework has
 * read the route in for the first time, requests go through there.
 */
export function openShortWay(take: Take): void {
  holder.spannerShortWay = async (...sent) => {
    const outcome = await outcomeOf(take, ...sent);
    return { status: statusOf(outcome), body: JSON.stringify(outcome) };
  };
}
