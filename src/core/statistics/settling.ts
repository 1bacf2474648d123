import { DomainError, assertFinite, wrongInput, type Note } from '@/core/units';
import { studentQuantile } from './student';

export interface Settling {
  /** By what each loss is the one before it, common to all nuts of the joint. */
  readonly ratio: number;
  readonly ratioLow: number;
  readonly ratioHigh: number;
  /** What each nut is to lose in the next cycle, by the fit. */
  readonly nextLoss: readonly number[];
  /** What going over it again and again would still gain at each; left out where the losses do not shrink. */
  readonly furtherGain?: readonly number[];
  readonly notes: readonly Note[];
}

const LEAST_CYCLES = 3;
const MAX_LOSS = 1e9;
const TWO_SIDED_95 = 0.975;

const mean = (values: readonly number[]) => values.reduce((sum, one) => sum + one, 0) / values.length;

/** @throws DomainError bad-field, too-few-cycles, no-loss */
function assertLosses(losses: readonly (readonly number[])[]): void {
  const cycles = losses[0]?.length ?? 0;
  if (losses.length === 0 || losses.some((own) => own.length !== cycles))
    throw wrongInput('losses', 'must be of at least one nut, and of as many cycles at each.');
  if (cycles < LEAST_CYCLES)
    throw new DomainError(
      'too-few-cycles',
      `${cycles} cycles say nothing of how a joint settles: it takes ${LEAST_CYCLES} at least.`,
      'losses',
    );
  for (const loss of losses.flat()) {
    assertFinite(loss, 'losses');
    if (!(loss > 0))
      throw new DomainError(
        'no-loss',
        'A nut that lost nothing, or was not seen to, has no place in the fit: leave it out, or give its bound.',
        'losses',
      );
    if (loss > MAX_LOSS || loss < 1 / MAX_LOSS)
      throw wrongInput('losses', `must lie between ${1 / MAX_LOSS} and ${MAX_LOSS}.`);
  }
}

/**
 * How a joint settles: L = L1·r^(j − 1) over its cycles, each gone over again. ln L by least squares, one ratio common
 * to all nuts and a level for each. Nuts share their cycle, so the sample is the cycles: the interval of the ratio is by
 * t with cycles − 2 degrees of freedom, 95 %.
 * @param input losses nut by nut, cycle by cycle, in one unit
 * @throws DomainError bad-field; too-few-cycles under three; no-loss where one is not above 0
 */
export function settling({ losses }: { readonly losses: readonly (readonly number[])[] }): Settling {
  assertLosses(losses);
  const logs = losses.map((own) => own.map(Math.log));
  const cycles = logs[0]?.length ?? 0;
  const middle = (cycles - 1) / 2;
  const byCycle = Array.from({ length: cycles }, (_, j) => mean(logs.map((own) => own[j] as number)));
  const spread = byCycle.reduce((sum, _, j) => sum + (j - middle) ** 2, 0);
  const slope = byCycle.reduce((sum, value, j) => sum + (j - middle) * value, 0) / spread;
  const level = mean(byCycle);
  const off = byCycle.reduce((sum, value, j) => sum + (value - level - slope * (j - middle)) ** 2, 0);
  const freedom = cycles - 2;
  const reach = studentQuantile(TWO_SIDED_95, freedom) * Math.sqrt(off / freedom / spread);
  const ratio = Math.exp(slope);
  const nextLoss = logs.map((own) => Math.exp(mean(own) + slope * (cycles - middle)));
  const shared = {
    ratio,
    ratioLow: Math.exp(slope - reach),
    ratioHigh: Math.exp(slope + reach),
    nextLoss,
  };
  if (ratio >= 1)
    return {
      ...shared,
      notes: [
        {
          code: 'not-settling',
          message: 'The losses do not shrink from cycle to cycle: what going over it again would gain cannot be said.',
        },
      ],
    };
  return { ...shared, furtherGain: nextLoss.map((loss) => loss / (1 - ratio)), notes: [] };
}
