import { DomainError, assertPositive } from '@/core/units';
import type { Interval } from './film-trial';
import { studentQuantile } from './student';

/** A pull by feel: what it was meant to be, and what it was read to be. */
export interface HandPull {
  readonly meant_Nm: number;
  readonly read_Nm: number;
}

/** What a hand does, as a factor of what it means to. */
export interface Hand {
  readonly pulls: number;
  /** Of the mean of the logarithms: 1.1 is a tenth too much. */
  readonly factor: number;
  /** Deviation of the logarithm. Absent for one pull. */
  readonly deviation?: number;
  /** Where the next pull lies, 5th to 95th percentile. Absent for one pull. */
  readonly next?: Interval;
  /** Where the hand's mean lies, 95 %. Absent for one pull. */
  readonly mean?: Interval;
}

const TAIL_NEXT = 0.95;
const TAIL_MEAN = 0.975;

/**
 * What a hand does by feel: a torque is felt by its ratio, so that the logarithm of read over meant is taken as normal;
 * the next pull lies within ȳ ± t·s·√(1 + 1/n), the mean within ȳ ± t·s/√n, with n − 1 degrees of freedom.
 * @throws DomainError bad-field
 */
export function handOf(pulls: readonly HandPull[]): Hand {
  const n = pulls.length;
  if (n === 0) throw new DomainError('bad-field', 'There is no pull to go by.', 'pulls');
  const logs = pulls.map(({ meant_Nm, read_Nm }) => {
    assertPositive(meant_Nm, 'meant_Nm');
    assertPositive(read_Nm, 'read_Nm');
    return Math.log(read_Nm / meant_Nm);
  });
  const mean = logs.reduce((sum, one) => sum + one, 0) / n;
  if (n === 1) return { pulls: n, factor: Math.exp(mean) };
  const deviation = Math.sqrt(logs.reduce((sum, one) => sum + (one - mean) ** 2, 0) / (n - 1));
  const about = (half: number): Interval => ({ low: Math.exp(mean - half), high: Math.exp(mean + half) });
  return {
    pulls: n,
    factor: Math.exp(mean),
    deviation,
    next: about(studentQuantile(TAIL_NEXT, n - 1) * deviation * Math.sqrt(1 + 1 / n)),
    mean: about((studentQuantile(TAIL_MEAN, n - 1) * deviation) / Math.sqrt(n)),
  };
}
