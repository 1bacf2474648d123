/**
 * Which edition of the reckoning this is: what was worked out by another is worked out anew. A build has the mark of
 * the sources that work it out (`next.config.ts`), so that a change of a screen voids nothing; outside a build it is
 * this run's own.
 */
export const EDITION: string =
  (process.env.NODE_ENV === 'production' && process.env.SPANNER_RECKONING) ||
  `run-${performance.timeOrigin}-${process.pid}`;
