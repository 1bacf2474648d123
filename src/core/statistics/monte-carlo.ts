import { assertBand, type ClampBand, type ClampBandInput, headArm, liftArm, threadArm } from '@/core/joint';
import type { Friction } from '@/core/film';
import { DomainError } from '@/core/units';
import { exponentials, naturalLog } from './exponential';
import { normalQuantiles } from './normal';
import { ranksOf } from './quantile';
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
  up: naturalLog(high / middle) / Z95,
  down: naturalLog(middle / low) / Z95,
});

function assertSamples(samples: number): void {
  if (!Number.isInteger(samples) || samples < 1 || samples > MAX_SAMPLES)
    throw new DomainError(
      'bad-field',
      `samples must be a whole number from 1 to ${MAX_SAMPLES}, got ${samples}.`,
      'samples',
    );
}

/** What is drawn of each sample, in this order; and where in it each of them lies. */
function columnsOf(isDrawn: readonly boolean[]) {
  const each = isDrawn.filter(Boolean).length;
  return { each, at: isDrawn.map((_, i) => isDrawn.slice(0, i).filter(Boolean).length) };
}

/** Draws so many clamp loads into a list, and gives the sum so far with theirs added in their order. */
type Sampler = (forces: Float64Array, from: number, count: number, sum: number) => number;

/** Factors, what they multiply, and the arm on which that acts. */
type Scaled = readonly [factors: Float64Array, middle: number, arm: number];

/** From deviates to torques. */
function wrenched(nets: Float64Array, torque_Nm: number, deviation: number, count: number): void {
  for (let i = 0; i < count; i++) nets[i] = torque_Nm * (1 + deviation * (nets[i] as number));
}

/** Adds where between two marks each of them was read. */
function addMarks(
  nets: Float64Array,
  graduation_Nm: number,
  u: Float64Array,
  from: number,
  step: number,
  count: number,
): void {
  for (let i = 0, k = from; i < count; i++, k += step)
    nets[i] = (nets[i] as number) + graduation_Nm * ((u[k] as number) - 0.5);
}

/** The clamp loads of a batch's net torques, from a place in their list on; gives the sum so far with theirs. */
function clampLoads(
  nets: Float64Array,
  lift: number,
  [threads, muThread, ct]: Scaled,
  [heads, muHead, ch]: Scaled,
  forces: Float64Array,
  from: number,
  count: number,
  before: number,
): number {
  let sum = before;
  for (let i = 0; i < count; i++) {
    const net = nets[i] as number;
    const arm = lift + muThread * (threads[i] as number) * ct + muHead * (heads[i] as number) * ch;
    const force = net > 0 ? (net * N_MM_PER_N_M) / arm : 0;
    forces[from + i] = force;
    sum += force;
  }
  return sum;
}

function samplerOf({ seed, sharedFilm, ...input }: MonteCarloInput): Sampler {
  const { torque_Nm, muThread, muHead, prevailing_Nm = 0, prevailingSpread_Nm = 0, graduation_Nm = 0 } = input;
  const { fill } = createRandom(seed);
  const shared = sharedFilm !== false;
  const [p, ct, ch] = [liftArm(input.thread), threadArm(input.thread), headArm(input.bearing)];
  const [inThread, underHead] = [slopes(muThread), slopes(muHead)];
  // In one film as wide under the head as in the thread both coefficients move by one factor.
  const isAlike = shared && inThread.up === underHead.up && inThread.down === underHead.down;
  const deviation = input.wrenchAccuracy_pct / 200;
  const nut = prevailingSpread_Nm / 4;
  const { each, at } = columnsOf([true, !shared, deviation > 0, graduation_Nm > 0, nut > 0]);
  const [, headAt = 0, wrenchAt = 0, markAt = 0, nutAt = 0] = at;
  const chance = new Float64Array(BATCH * each);
  const column = () => new Float64Array(BATCH);
  const [zs, factors, nets] = [column(), column(), column()];
  const [zHeads, headFactors] = [shared ? zs : column(), isAlike ? factors : column()];
  const threads: Scaled = [factors, muThread.middle, ct];
  const heads: Scaled = [headFactors, muHead.middle, ch];
  // Whole columns, each in a loop of its own: a variable shared with a closure, or a number handed on by a call, would be
  // boxed at every sample.
  return (forces, from, count, before) => {
    const u = count === BATCH ? chance : chance.subarray(0, count * each);
    fill(u);
    normalQuantiles(u, 0, each, count, zs);
    exponentials(zs, inThread.up, inThread.down, count, factors);
    if (!shared) normalQuantiles(u, headAt, each, count, zHeads);
    if (!isAlike) exponentials(zHeads, underHead.up, underHead.down, count, headFactors);
    if (deviation > 0) normalQuantiles(u, wrenchAt, each, count, nets);
    if (deviation > 0) wrenched(nets, torque_Nm, deviation, count);
    else nets.fill(torque_Nm);
    if (graduation_Nm > 0) addMarks(nets, graduation_Nm, u, markAt, each, count);
    if (prevailing_Nm > 0) for (let i = 0; i < count; i++) nets[i] = (nets[i] as number) - prevailing_Nm;
    if (nut > 0) {
      normalQuantiles(u, nutAt, each, count, zs);
      for (let i = 0; i < count; i++) nets[i] = (nets[i] as number) - nut * (zs[i] as number);
    }
    return clampLoads(nets, p, threads, heads, forces, from, count, before);
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
  const sample = samplerOf(input);
  const forces = new Float64Array(samples);
  let drawn = 0;
  let total = 0;
  const advance = (most: number): boolean => {
    const end = Math.min(samples, drawn + most);
    while (drawn < end) {
      const count = Math.min(BATCH, end - drawn);
      total = sample(forces, drawn, count, total);
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
