import { SLACK_MS } from '@/model/line-age';

// SPANNER_CLOCK (an ISO time) starts the shop's clock there instead of now: for pictures and for trying what falls due.
// Pages and routes are programs of their own in one process, each read in when it is first asked for: what one writes
// must not lie behind what another wrote before.
const holder = globalThis as { spannerStarted?: number; spannerToldLast?: number };
const started = (holder.spannerStarted ??= Date.now());
const offset = () => {
  const set = process.env.SPANNER_CLOCK ? Date.parse(process.env.SPANNER_CLOCK) : Number.NaN;
  return Number.isNaN(set) ? 0 : set - started;
};

/**
 * The one clock of the server, in milliseconds since 1970. Where the machine's is set back by so little that nobody is
 * told of it, as by the network, this one stands until the other has come up: what is written next is later than what was.
 */
export function nowMs(): number {
  const now = Date.now() + offset();
  const last = holder.spannerToldLast ?? now;
  holder.spannerToldLast = last > now && last - now <= SLACK_MS ? last : now;
  return holder.spannerToldLast;
}

/** The same as text, to the millisecond, in UTC. */
export const nowIso = (): string => new Date(nowMs()).toISOString();
