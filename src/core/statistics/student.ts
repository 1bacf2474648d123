import { assertWithin, wrongInput } from '@/core/units';

/**
 * P(|T| ≤ t) for Student's t with whole degrees of freedom, by its finite trigonometric series.
 * @source Abramowitz and Stegun, Handbook of Mathematical Functions, 26.7.3 and 26.7.4
 */
function withinProbability(t: number, df: number): number {
  const theta = Math.atan(t / Math.sqrt(df));
  const [sin, cos] = [Math.sin(theta), Math.cos(theta)];
  const odd = df % 2 === 1;
  let term = odd ? cos : 1;
  let sum = odd ? (df === 1 ? 0 : cos) : 1;
  for (let k = odd ? 3 : 2; k <= df - 2; k += 2) {
    term *= (cos * cos * (k - 1)) / k;
    sum += term;
  }
  return odd ? (2 / Math.PI) * (theta + sin * sum) : sin * sum;
}

/**
 * Student's t quantile: t with P(T ≤ t) = p, p in 0.5 … 1, whole degrees of freedom.
 * @throws DomainError bad-field
 * @example studentQuantile(0.95, 4) // 2.132
 */
export function studentQuantile(p: number, df: number): number {
  assertWithin(p, 0.5, 0.999_999, 'p');
  if (!Number.isInteger(df) || df < 1 || df > 1e6) throw wrongInput('df', `must be a whole number from 1, got ${df}.`);
  const wanted = 2 * p - 1;
  let [low, high] = [0, 1];
  while (withinProbability(high, df) < wanted) high *= 2;
  for (let i = 0; i < 200 && high - low > 1e-13 * high; i++) {
    const middle = (low + high) / 2;
    if (withinProbability(middle, df) < wanted) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
