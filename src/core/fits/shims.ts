import {
  DomainError,
  assertFinite,
  assertNotNegative,
  assertPositive,
  tidy,
  wrongInput,
  type Note,
} from '@/core/units';
import { assertLimits, judge, type Limits, type Verdict } from './verdict';

export interface ShimInput {
  /** Float measured with `fitted_mm` of shim in, gasket uncrushed. */
  readonly float_mm: number;
  readonly fitted_mm: number;
  readonly wanted: Limits & { readonly target_mm?: number };
  readonly crush?: Limits;
  /** Each entry is one shim. */
  readonly stock_mm: readonly number[];
  /** At most so many together. */
  readonly stack?: number;
  /** How far a shim may be off what is written on it; 0 where each was measured. */
  readonly shimTolerance_mm?: number;
}

export interface ShimChoice {
  readonly choice_mm: readonly number[];
  /** Least at full crush, greatest at the least crush. */
  readonly float: Limits;
  readonly verdict: Verdict;
  readonly notes: readonly Note[];
}

const MAX_STOCK = 200;
const MAX_STACK = 5;
const MAX_STACKS = 3_000_000;
const SAME = 1e-9;

function assertShims({
  float_mm,
  fitted_mm,
  wanted,
  crush,
  stock_mm,
  stack = 1,
  shimTolerance_mm = 0,
}: ShimInput): void {
  assertFinite(float_mm, 'float_mm');
  assertNotNegative(fitted_mm, 'fitted_mm');
  assertLimits(wanted, 'wanted');
  if (wanted.target_mm !== undefined) assertFinite(wanted.target_mm, 'wanted.target_mm');
  if (crush) {
    assertLimits(crush, 'crush');
    assertNotNegative(crush.min_mm, 'crush.min_mm');
  }
  if (!(stock_mm.length >= 1 && stock_mm.length <= MAX_STOCK))
    throw wrongInput('stock_mm', `must be a list of 1 to ${MAX_STOCK}.`);
  assertNotNegative(shimTolerance_mm, 'shimTolerance_mm');
  stock_mm.forEach((shim, i) => assertPositive(shim, `stock_mm[${i}]`));
  if (!Number.isInteger(stack) || stack < 1 || stack > MAX_STACK)
    throw wrongInput('stack', `must be a whole number from 1 to ${MAX_STACK}, got ${stack}.`);
}

/** Every stack of 1 to `most` shims, fewer first; each entry of the stock at most once. */
function* stacks(stock: readonly number[], most: number): Generator<readonly number[]> {
  function* choose(from: number, left: number, taken: readonly number[]): Generator<readonly number[]> {
    if (left === 0) {
      yield taken;
      return;
    }
    for (let i = from; i <= stock.length - left; i++) {
      // Two shims of one thickness make the same stack.
      if (i > from && stock[i] === stock[i - 1]) continue;
      yield* choose(i + 1, left - 1, [...taken, stock[i] as number]);
    }
  }
  for (let size = 1; size <= Math.min(most, stock.length); size++) yield* choose(0, size, []);
}

const total = (shims: readonly number[]) => shims.reduce((sum, shim) => sum + shim, 0);

/**
 * Chooses shims so that the float at middle crush lies nearest the target; fewer shims first. Gasket crush is counted
 * once.
 * float after = float_mm + fitted_mm − chosen − crush
 * @throws DomainError no-float where even the thinnest choice leaves none at full crush; bad-field
 */
export function shims(input: ShimInput): ShimChoice {
  assertShims(input);
  const { float_mm, fitted_mm, wanted, crush = { min_mm: 0, max_mm: 0 }, stack = 1 } = input;
  const open_mm = float_mm + fitted_mm;
  const target = wanted.target_mm ?? (wanted.min_mm + wanted.max_mm) / 2;
  const middle = (crush.min_mm + crush.max_mm) / 2;
  const stock = [...input.stock_mm].sort((a, b) => a - b);
  if (open_mm - (stock[0] as number) - crush.max_mm <= 0)
    throw new DomainError(
      'no-float',
      `Even the thinnest shim of ${stock[0]} mm leaves no float at full crush. Check the measurement, or machine.`,
      'stock_mm',
    );
  let best: readonly number[] = [stock[0] as number];
  let nearest = Infinity;
  let tried = 0;
  for (const candidate of stacks(stock, stack)) {
    if (++tried > MAX_STACKS)
      throw new DomainError(
        'bad-field',
        'There are too many stacks to try; give less stock or a lower stack.',
        'stack',
      );
    const away = Math.abs(open_mm - total(candidate) - middle - target);
    if (away < nearest - SAME) [best, nearest] = [candidate, away];
  }
  const chosen = total(best);
  // Each shim of the stack may be off on its own; all of them the same way is the worst that can be.
  const off = (input.shimTolerance_mm ?? 0) * best.length;
  const float = {
    min_mm: tidy(open_mm - chosen - off - crush.max_mm),
    max_mm: tidy(open_mm - chosen + off - crush.min_mm),
  };
  const verdict = judge(float.min_mm, float.max_mm, wanted);
  const outside: Note = {
    code: 'best-is-outside',
    message: 'The best that the stock can do lies outside what is wanted: order a shim.',
  };
  return { choice_mm: best, float, verdict, notes: verdict === 'inside' ? [] : [outside] };
}
