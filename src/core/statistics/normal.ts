import { naturalLog } from './exponential';

/** Where the coefficients below hold: the middle of the distribution. */
const SPLIT1 = 0.425;
const SPLIT2 = 5;

const tail = (r: number): number => {
  if (r <= SPLIT2) {
    const x = r - 1.6;
    return (
      (((((((7.7454501427834140764e-4 * x + 2.27238449892691845833e-2) * x + 2.4178072517745061177e-1) * x + 1.27045825245236838258) * x + 3.64784832476320460504) * x + 5.7694972214606914055) * x + 4.6303378461565452959) * x + 1.42343711074968357734) /
      (((((((1.05075007164441684324e-9 * x + 5.475938084995344946e-4) * x + 1.51986665636164571966e-2) * x + 1.4810397642748007459e-1) * x + 6.8976733498510000455e-1) * x + 1.6763848301838038494) * x + 2.05319162663775882187) * x + 1)
    ); // prettier-ignore
  }
  const x = r - SPLIT2;
  return (
    (((((((2.01033439929228813265e-7 * x + 2.71155556874348757815e-5) * x + 1.2426609473880784386e-3) * x + 2.6532189526576123093e-2) * x + 2.9656057182850489123e-1) * x + 1.7848265399172913358) * x + 5.4637849111641143699) * x + 6.6579046435011037772) /
    (((((((2.04426310338993978564e-15 * x + 1.4215117583164458887e-7) * x + 1.8463183175100546818e-5) * x + 7.868691311456132591e-4) * x + 1.48753612908506148525e-2) * x + 1.3692988092273580531e-1) * x + 5.9983220655588793769e-1) * x + 1)
  ); // prettier-ignore
};

const tailQuantile = (p: number): number => {
  const z = tail(Math.sqrt(-naturalLog(p < 0.5 ? p : 1 - p)));
  return p < 0.5 ? -z : z;
};

/**
 * The standard normal's quantile: z with P(Z ≤ z) = p, for 0 < p < 1, to about 1 part in 10¹⁶.
 * @source Wichura, Algorithm AS 241 (PPND16), Applied Statistics 37 (1988)
 * @example normalQuantile(0.95) // 1.6449
 */
export function normalQuantile(p: number): number {
  const q = p - 0.5;
  if (Math.abs(q) <= SPLIT1) {
    const r = 0.180625 - q * q;
    return (
      (q * (((((((2509.0809287301226727 * r + 33430.575583588128105) * r + 67265.770927008700853) * r + 45921.953931549871457) * r + 13731.693765509461125) * r + 1971.5909503065514427) * r + 133.14166789178437745) * r + 3.387132872796366608)) /
      (((((((5226.495278852545925 * r + 28729.085735721942674) * r + 39307.89580009271061) * r + 21213.794301586595867) * r + 5394.1960214247511077) * r + 687.1870074920579083) * r + 42.313330701600911252) * r + 1)
    ); // prettier-ignore
  }
  return tailQuantile(p);
}

/** The places of a column's tails: no loop has them across a call. */
const BLOCK = 1024;
const tails = new Int32Array(BLOCK);

/**
 * The quantiles of a column: of `count` numbers, the first at `from`, each `step` after the one before. The same figures
 * as one by one. The middle's are worked out for all, and the tails' put in their places after: a turn taken at one in
 * seven would stop what the processor does ahead.
 */
export function normalQuantiles(p: Float64Array, from: number, step: number, count: number, into: Float64Array): void {
  for (let start = 0; start < count; start += BLOCK) {
    const end = Math.min(count, start + BLOCK);
    let found = 0;
    for (let i = start, at = from + start * step; i < end; i++, at += step) {
      const q = (p[at] as number) - 0.5;
      const r = 0.180625 - q * q;
      into[i] =
        (q * (((((((2509.0809287301226727 * r + 33430.575583588128105) * r + 67265.770927008700853) * r + 45921.953931549871457) * r + 13731.693765509461125) * r + 1971.5909503065514427) * r + 133.14166789178437745) * r + 3.387132872796366608)) /
        (((((((5226.495278852545925 * r + 28729.085735721942674) * r + 39307.89580009271061) * r + 21213.794301586595867) * r + 5394.1960214247511077) * r + 687.1870074920579083) * r + 42.313330701600911252) * r + 1); // prettier-ignore
      tails[found] = i;
      found += Math.abs(q) > SPLIT1 ? 1 : 0;
    }
    for (let k = 0; k < found; k++) {
      const i = tails[k] as number;
      into[i] = tailQuantile(p[from + i * step] as number);
    }
  }
}
