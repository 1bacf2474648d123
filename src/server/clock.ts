// SPANNER_CLOCK (an ISO time) starts the shop's clock there instead of now: for pictures and for trying what falls due.
const started = Date.now();
const offset = () => {
  const set = process.env.SPANNER_CLOCK ? Date.parse(process.env.SPANNER_CLOCK) : Number.NaN;
  return Number.isNaN(set) ? 0 : set - started;
};

/** The one clock of the server, in milliseconds since 1970. */
export const nowMs = (): number => Date.now() + offset();

/** The same as text, to the millisecond, in UTC. */
export const nowIso = (): string => new Date(nowMs()).toISOString();
