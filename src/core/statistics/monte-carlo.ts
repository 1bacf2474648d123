import { assertBand, type ClampBand, type ClampBandInput, headArm, liftArm, threadArm } from '@/core/joint';
import type { Friction } from '@/core/film';
import { wrongInput } from '@/core/units';
import { compiledDraws } from './compiled-draws';
import { BATCH, type Draws } from './draws';
import { naturalLog } from './exponential';
import { plainDraws } from './plain-draws';
import { ranksOf } from './quantile';

export interface MonteCarloInput extends ClampBandInput {
  readonly samples: number;
  readonly seed: number;
}

/** A simulation that can be run a piece at a time, with progress between, and stopped. */
export interface MonteCarloRun {
  readonly drawn: () => number;
  /** Draws up to so many more samples; true once all are drawn. */
  readonly advance: (most: number) => boolean;
  /** The clamp loads drawn so far, in the order in which they were drawn. */
  readonly forces: () => Float64Array;
  readonly band: () => ClampBand;
}

const MAX_SAMPLES = 5_000_000;
const Z95 = 1.6449;

/** The logarithm's slope on either side of the middle, a standard deviation. */
const slopes = ({ low, middle, high }: Friction) => ({
  up: naturalLog(high / middle) / Z95,
  down: naturalLog(middle / low) / Z95,
});

function assertSamples(samples: number): void {
  if (!Number.isInteger(samples) || samples < 1 || samples > MAX_SAMPLES)
    throw wrongInput('samples', `must be a whole number from 1 to ${MAX_SAMPLES}, got ${samples}.`);
}

/** What is drawn, of what. */
function drawsOf({ sharedFilm, ...input }: MonteCarloInput): Draws {
  const { torque_Nm, muThread, muHead, prevailing_Nm = 0, prevailingSpread_Nm = 0, graduation_Nm = 0 } = input;
  const shared = sharedFilm !== false;
  return {
    seed: input.seed,
    lift: liftArm(input.thread),
    thread: { middle: muThread.middle, arm: threadArm(input.thread), ...slopes(muThread) },
    head: { middle: muHead.middle, arm: headArm(input.bearing), ...slopes(muHead) },
    shared,
    torque_Nm,
    deviation: input.wrenchAccuracy_pct / 200,
    graduation_Nm,
    prevailing_Nm,
    nutDeviation_Nm: prevailingSpread_Nm / 4,
  };
}

/**
 * Draws clamp loads: friction a split lognormal, thread and head with one deviate where they share a film;
 * the wrench's ± figure two deviations of a normal factor; a graduation a uniform ± half of it.
 * a locking nut's own torque a normal with its range four deviations wide.
 * F = (T·(1 + a/200·z) + g·u − Tp)/c(μ)
 * @throws DomainError bad-field
 */
export function startMonteCarlo(input: MonteCarloInput): MonteCarloRun {
  assertBand(input);
  const { samples } = input;
  assertSamples(samples);
  const draws = drawsOf(input);
  const draw = compiledDraws(draws) ?? plainDraws(draws);
  const forces = new Float64Array(samples);
  let drawn = 0;
  let total = 0;
  const advance = (most: number): boolean => {
    const end = Math.min(samples, drawn + most);
    while (drawn < end) {
      const count = Math.min(BATCH, end - drawn);
      total = draw(forces, drawn, count, total);
      drawn += count;
    }
    return drawn === samples;
  };
  const band = (): ClampBand => {
    const [p5_N = 0, p50_N = 0, p95_N = 0] = ranksOf(forces.subarray(0, drawn), [0.05, 0.5, 0.95]);
    return { p5_N, p50_N, p95_N, mean_N: total / drawn };
  };
  return { drawn: () => drawn, advance, forces: () => forces.subarray(0, drawn), band };
}

/**
 * The band of clamp load by simulation. The same seed gives the same answer everywhere.
 * @throws DomainError bad-field
 */
export function monteCarlo(input: MonteCarloInput): ClampBand {
  const run = startMonteCarlo(input);
  run.advance(input.samples);
  return run.band();
}
