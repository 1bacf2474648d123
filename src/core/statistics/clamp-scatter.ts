import { evenness, goRound, roundOf, type Giving, type RoundPull } from '@/core/interaction';
import { wrongInput } from '@/core/units';
import { normalQuantile } from './normal';
import { quantilesOf } from './quantile';
import { createRandom } from './random';

/** Standard deviations of the logarithm of the clamp load that a figure gives. */
export interface ClampDeviations {
  /** Of what all fasteners have in common: the batch of the lubricant. */
  readonly batch: number;
  /** Of what each has by itself, the same at each of its pulls. */
  readonly nut: number;
  /** Of what is another at every pull: the wrench. */
  readonly pull: number;
}

export interface ClampScatterInput {
  readonly giving: Giving;
  readonly pulls: readonly RoundPull[];
  readonly deviations: ClampDeviations;
  readonly samples: number;
  readonly seed: number;
}

/** 5th, 50th and 95th percentile. */
export interface Percentiles {
  readonly p5: number;
  readonly p50: number;
  readonly p95: number;
}

export interface ClampScatter {
  readonly samples: number;
  /** What is left in each fastener, N. */
  readonly places: readonly Percentiles[];
  /** What is left in the lowest of them, N. */
  readonly least_N: Percentiles;
  /** How uneven they are among themselves, per cent. */
  readonly variation_pct: Percentiles;
  /** Share of the samples in which each was the lowest. */
  readonly lowest: readonly number[];
}

export interface ClampScatterRun {
  readonly drawn: () => number;
  /** Draws up to so many more; true once all are drawn. */
  readonly advance: (most: number) => boolean;
  /** @throws RangeError where nothing was drawn */
  readonly result: () => ClampScatter;
}

const MAX_SAMPLES = 200_000;

function assertScatter({ deviations, samples, pulls }: ClampScatterInput): void {
  if (!Number.isInteger(samples) || samples < 1 || samples > MAX_SAMPLES)
    throw wrongInput('samples', `must be a whole number from 1 to ${MAX_SAMPLES}, got ${samples}.`);
  for (const [field, one] of Object.entries(deviations))
    if (!Number.isFinite(one) || one < 0) throw wrongInput(field, `must be at least 0, got ${one}.`);
  if (pulls.length === 0) throw wrongInput('pulls', 'must name at least one pull.');
}

function percentilesOf(values: Float64Array): Percentiles {
  const [p5 = NaN, p50 = NaN, p95 = NaN] = quantilesOf(values, [0.05, 0.5, 0.95]);
  return { p5, p50, p95 };
}

/**
 * Draws rounds as they may come out: lubricant that is slipperier or drier than its middle, in part all of it and in
 * part at each nut, and a wrench that errs anew at every pull. The same seed gives the same rounds everywhere.
 * @throws DomainError bad-field, not-positive-definite
 */
export function startClampScatter(input: ClampScatterInput): ClampScatterRun {
  assertScatter(input);
  const { giving, pulls, deviations, samples, seed } = input;
  const round = roundOf(giving, pulls);
  const n = giving.loading.length;
  const random = createRandom(seed);
  const chance = new Float64Array(1 + n + pulls.length);
  const [own, factors] = [new Float64Array(n), new Float64Array(pulls.length)];
  const left = Array.from({ length: n }, () => new Float64Array(samples));
  const [least, variation] = [new Float64Array(samples), new Float64Array(samples)];
  const lowest = new Float64Array(n);
  let drawn = 0;
  const draw = () => {
    random.fill(chance);
    const batch = deviations.batch * normalQuantile(chance[0] as number);
    for (let i = 0; i < n; i++) own[i] = batch + deviations.nut * normalQuantile(chance[1 + i] as number);
    for (let k = 0; k < pulls.length; k++)
      factors[k] = Math.exp(
        (own[(pulls[k] as RoundPull).place] as number) + deviations.pull * normalQuantile(chance[1 + n + k] as number),
      );
    const forces = goRound(round, factors);
    let low = 0;
    for (let i = 0; i < n; i++) {
      (left[i] as Float64Array)[drawn] = forces[i] as number;
      if ((forces[i] as number) < (forces[low] as number)) low = i;
    }
    const even = evenness(forces);
    least[drawn] = even.least_N;
    variation[drawn] = even.variation_pct;
    lowest[low] = (lowest[low] as number) + 1;
    drawn += 1;
  };
  return {
    drawn: () => drawn,
    advance: (most) => {
      for (let i = 0; i < most && drawn < samples; i++) draw();
      return drawn === samples;
    },
    result: () => {
      if (drawn === 0) throw new RangeError('startClampScatter: nothing was drawn');
      const of = (values: Float64Array) => percentilesOf(values.slice(0, drawn));
      return {
        samples: drawn,
        places: left.map(of),
        least_N: of(least),
        variation_pct: of(variation),
        lowest: Array.from(lowest, (count) => count / drawn),
      };
    },
  };
}
