// SPANNER_CLOCK (an ISO time) starts the shop's clock there instead of now: for pictures and for trying what falls due.
// Pages and routes are programs of their own in one process, each read in when it is first asked for: what one writes
// must not lie behind what another wrote before.
const holder = globalThis as { spannerStarted?: number };
const started = (holder.spannerStarted ??= Date.now());
const offset = () => {
  const set = process.env.SPANNER_CLOCK ? Date.parse(process.env.SPANNER_CLOCK) : Number.NaN;
  return Number.isNaN(set) ? 0 : set - started;
};

/** The one clock of the server, in milliseconds since 1970. */
export const nowMs = (): number => Date.now() + offset();

/** The same as text, to the millisecond, in UTC. */
export const nowIso = (): string => new Date(nowMs()).toISOString();
