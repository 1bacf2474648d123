/**
 * Puts the k-th smallest in its place, everything before it no larger, everything after it no smaller. Hoare's
 * selection.
 */
function select(values: Float64Array, k: number, from: number): void {
  let [left, right] = [from, values.length - 1];
  while (right > left) {
    const pivot = values[k] as number;
    let [i, j] = [left, right];
    do {
      while ((values[i] as number) < pivot) i++;
      while ((values[j] as number) > pivot) j--;
      if (i <= j) {
        const held = values[i] as number;
        values[i] = values[j] as number;
        values[j] = held;
        i++;
        j--;
      }
    } while (i <= j);
    if (j < k) left = i;
    if (k < i) right = j;
  }
}

/** Nearest-rank quantiles, asked for in rising order. Reorders `values`. */
export function quantilesOf(values: Float64Array, shares: readonly number[]): readonly number[] {
  let from = 0;
  return shares.map((share) => {
    const k = Math.min(values.length - 1, Math.max(0, Math.ceil(share * values.length) - 1));
    select(values, k, from);
    from = k;
    return values[k] as number;
  });
}
