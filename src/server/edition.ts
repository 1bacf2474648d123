import { zoneHere } from './wall-clock';

/**
 * Which edition of the reckoning this is: what was worked out by another is worked out anew. A build has the mark of
 * the sources that work it out (`next.config.ts`), so that a change of a screen voids nothing; outside a build it is
 * this run's own.
 */
const RECKONING: string =
  (process.env.NODE_ENV === 'production' && process.env.SPANNER_RECKONING) ||
  `run-${performance.timeOrigin}-${process.pid}`;

/** The edition, and by which clock its days are counted: a change to summer time falls on other days elsewhere. */
export const edition = (): string => `${RECKONING} ${zoneHere()}`;
