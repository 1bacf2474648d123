/** An interval in SI with half a unit of the last printed digit at each end. */
export interface PrintedInterval {
  readonly min: number;
  readonly max: number;
  readonly minHalf: number;
  readonly maxHalf: number;
}

export interface Agreement {
  /** (second − first)/first in per cent, at the end where it is larger. */
  readonly differencePct: number;
  readonly agrees: boolean;
}

const CLOSE_PCT = 3;

const endAgrees = (first: number, firstHalf: number, second: number, secondHalf: number) => {
  const overlap = Math.abs(second - first) <= firstHalf + secondHalf + 1e-9 * Math.abs(first);
  return overlap || Math.abs((second - first) / first) * 100 < CLOSE_PCT;
};

/**
 * Holds two printings of one figure against each other.
 * They agree where, at both ends, the figures overlap within half their last printed digit or differ by under 3 %.
 */
export function compareIntervals(first: PrintedInterval, second: PrintedInterval): Agreement {
  const atMin = ((second.min - first.min) / first.min) * 100;
  const atMax = ((second.max - first.max) / first.max) * 100;
  return {
    differencePct: Math.abs(atMin) > Math.abs(atMax) ? atMin : atMax,
    agrees:
      endAgrees(first.min, first.minHalf, second.min, second.minHalf) &&
      endAgrees(first.max, first.maxHalf, second.max, second.maxHalf),
  };
}
