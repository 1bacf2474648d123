/** How even what is left is. */
export interface Evenness {
  readonly least_N: number;
  readonly mean_N: number;
  readonly most_N: number;
  /** Standard deviation over mean, per cent. */
  readonly variation_pct: number;
}

/** @param forces_N of at least one fastener, one of which holds */
export function evenness(forces_N: ArrayLike<number>): Evenness {
  const n = forces_N.length;
  let [least_N, most_N, sum] = [Infinity, -Infinity, 0];
  for (let i = 0; i < n; i++) {
    const force = forces_N[i] as number;
    least_N = Math.min(least_N, force);
    most_N = Math.max(most_N, force);
    sum += force;
  }
  const mean_N = sum / n;
  let squares = 0;
  for (let i = 0; i < n; i++) squares += ((forces_N[i] as number) - mean_N) ** 2;
  return { least_N, mean_N, most_N, variation_pct: (100 * Math.sqrt(squares / n)) / mean_N };
}
