import { assertBand, type ClampBand, type ClampBandInput, headArm, liftArm, threadArm } from '@/core/joint';
import type { Friction } from '@/core/film';
import { DomainError } from '@/core/units';
import { normalQuantile } from './normal';
import { quantilesOf } from './quantile';
import { createRandom } from './random';

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
const N_MM_PER_N_M = 1000;
const BATCH = 1024;

/** The logarithm's slope on either side of the middle, a standard deviation. */
const slopes = ({ low, middle, high }: Friction) => ({
  up: Math.log(high / middle) / Z95,
  down: Math.log(middle / low) / Z95,
});

function assertSamples(samples: number): void {
  if (!Number.isInteger(samples) || samples < 1 || samples > MAX_SAMPLES)
    throw new DomainError(
      'bad-field',
      `samples must be a whole number from 1 to ${MAX_SAMPLES}, got ${samples}.`,
      'samples',
    );
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
  const {
    samples,
    thread,
    bearing,
    torque_Nm,
    muThread,
    muHead,
    prevailing_Nm = 0,
    prevailingSpread_Nm = 0,
    wrenchAccuracy_pct,
    graduation_Nm = 0,
  } = input;
  assertSamples(samples);
  const { fill } = createRandom(input.seed);
  const shared = input.sharedFilm !== false;
  const [p, ct, ch] = [liftArm(thread), threadArm(thread), headArm(bearing)];
  const [inThread, underHead] = [slopes(muThread), slopes(muHead)];
  const [threadMiddle, headMiddle] = [muThread.middle, muHead.middle];
  const deviation = wrenchAccuracy_pct / 200;
  const forces = new Float64Array(samples);
  const nut = prevailingSpread_Nm / 4;
  const each = (shared ? 1 : 2) + (deviation > 0 ? 1 : 0) + (graduation_Nm > 0 ? 1 : 0) + (nut > 0 ? 1 : 0);
  const chance = new Float64Array(BATCH * each);
  let drawn = 0;
  // Everything the loop touches is local to it: a variable shared with a closure would be boxed at every sample.
  const batch = (from: number, count: number): void => {
    const u = count === BATCH ? chance : chance.subarray(0, count * each);
    fill(u);
    for (let i = 0, at = 0; i < count; i++) {
      const z = normalQuantile(u[at++] as number);
      const zHead = shared ? z : normalQuantile(u[at++] as number);
      const mt = threadMiddle * Math.exp(z * (z >= 0 ? inThread.up : inThread.down));
      const mh = headMiddle * Math.exp(zHead * (zHead >= 0 ? underHead.up : underHead.down));
      const wrench = deviation > 0 ? 1 + deviation * normalQuantile(u[at++] as number) : 1;
      const mark = graduation_Nm > 0 ? graduation_Nm * ((u[at++] as number) - 0.5) : 0;
      const own = nut > 0 ? nut * normalQuantile(u[at++] as number) : 0;
      const net = torque_Nm * wrench + mark - prevailing_Nm - own;
      const force = net > 0 ? (net * N_MM_PER_N_M) / (p + mt * ct + mh * ch) : 0;
      forces[from + i] = force;
    }
  };
  const advance = (most: number): boolean => {
    const end = Math.min(samples, drawn + most);
    while (drawn < end) {
      const count = Math.min(BATCH, end - drawn);
      batch(drawn, count);
      drawn += count;
    }
    return drawn === samples;
  };
  const band = (): ClampBand => {
    const total = forces.subarray(0, drawn).reduce((sum, force) => sum + force, 0);
    const [p5_N = 0, p50_N = 0, p95_N = 0] = quantilesOf(forces.slice(0, drawn), [0.05, 0.5, 0.95]);
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
