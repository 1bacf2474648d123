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

const rankOf = (share: number, count: number): number => Math.min(count - 1, Math.max(0, Math.ceil(share * count) - 1));

const BINS = 8192;
/** Fewer are sooner sorted than counted. */
const FEW = 4 * BINS;

/** How many values lie in each of the bins between the least and the most. */
function counted(values: Float64Array, least: number, scale: number): Uint32Array {
  const counts = new Uint32Array(BINS);
  for (let i = 0; i < values.length; i++) {
    const bin = (((values[i] as number) - least) * scale) | 0;
    counts[bin] = (counts[bin] as number) + 1;
  }
  return counts;
}

/**
 * Nearest-rank quantiles of many finite values, which stay as they lie: the values are counted into bins, and only those
 * of a bin that holds a rank are sorted. The same figures as {@link quantilesOf}.
 */
export function ranksOf(values: Float64Array, shares: readonly number[]): readonly number[] {
  let [least, most] = [Infinity, -Infinity];
  for (let i = 0; i < values.length; i++) {
    const value = values[i] as number;
    if (value < least) least = value;
    if (value > most) most = value;
  }
  // A hair under the number of bins, so that the most lies in the last of them.
  const scale = (BINS * (1 - 1e-9)) / (most - least);
  if (values.length < FEW || !Number.isFinite(scale)) return quantilesOf(values.slice(), shares);
  const counts = counted(values, least, scale);
  const sought = shares.map((share) => {
    let [bin, before] = [0, 0];
    const rank = rankOf(share, values.length);
    while (before + (counts[bin] as number) <= rank) before += counts[bin++] as number;
    return { bin, place: rank - before };
  });
  const held = new Map(sought.map(({ bin }) => [bin, new Float64Array(counts[bin] as number)]));
  const wanted = new Uint8Array(BINS);
  for (const bin of held.keys()) wanted[bin] = 1;
  const filled = new Uint32Array(BINS);
  for (let i = 0; i < values.length; i++) {
    const value = values[i] as number;
    const bin = ((value - least) * scale) | 0;
    if (wanted[bin] === 0) continue;
    (held.get(bin) as Float64Array)[filled[bin] as number] = value;
    filled[bin] = (filled[bin] as number) + 1;
  }
  for (const own of held.values()) own.sort();
  return sought.map(({ bin, place }) => held.get(bin)?.[place] as number);
}

/** Nearest-rank quantiles, asked for in rising order. Reorders `values`. */
export function quantilesOf(values: Float64Array, shares: readonly number[]): readonly number[] {
  let from = 0;
  return shares.map((share) => {
    const k = rankOf(share, values.length);
    select(values, k, from);
    from = k;
    return values[k] as number;
  });
}
