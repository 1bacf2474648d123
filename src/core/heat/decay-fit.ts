/** A temperature above ambient at a time, minutes and K. */
export interface Excess {
  readonly minutes: number;
  readonly excess_C: number;
}

export type DecayFit =
  | { readonly ok: true; readonly tau_min: number; readonly amplitude_C: number; readonly rms_C: number }
  | { readonly ok: false; readonly reason: 'no-decay' };

const RATIO = (Math.sqrt(5) - 1) / 2;

/**
 * Best amplitude for a given rate (linear), and the sum of squares that is left. Times count from the first reading.
 */
function atRate(readings: readonly Excess[], rate: number): { readonly amplitude: number; readonly squares: number } {
  const start = (readings[0] as Excess).minutes;
  const decays = readings.map(({ minutes }) => Math.exp(-rate * (minutes - start)));
  const top = readings.reduce((sum, { excess_C }, i) => sum + excess_C * (decays[i] as number), 0);
  const bottom = decays.reduce((sum, decay) => sum + decay * decay, 0);
  const amplitude = top / bottom;
  const squares = readings.reduce(
    (sum, { excess_C }, i) => sum + (excess_C - amplitude * (decays[i] as number)) ** 2,
    0,
  );
  return { amplitude, squares };
}

/** Golden section over the logarithm of the rate. */
function bestRate(readings: readonly Excess[], low: number, high: number): number {
  let [a, b] = [Math.log(low), Math.log(high)];
  for (let i = 0; i < 120; i++) {
    const [x, y] = [b - RATIO * (b - a), a + RATIO * (b - a)];
    if (atRate(readings, Math.exp(x)).squares <= atRate(readings, Math.exp(y)).squares) b = y;
    else a = x;
  }
  return Math.exp((a + b) / 2);
}

/** The straight line through the logarithms: exact for two readings, a start for more. */
function logRate(readings: readonly Excess[]): number {
  const n = readings.length;
  const meanT = readings.reduce((sum, r) => sum + r.minutes, 0) / n;
  const meanL = readings.reduce((sum, r) => sum + Math.log(r.excess_C), 0) / n;
  const top = readings.reduce((sum, r) => sum + (r.minutes - meanT) * (Math.log(r.excess_C) - meanL), 0);
  const bottom = readings.reduce((sum, r) => sum + (r.minutes - meanT) ** 2, 0);
  return -top / bottom;
}

/** Least squares of θ = A·exp(−t/τ). Not found where the readings do not fall. */
export function fitDecay(readings: readonly Excess[]): DecayFit {
  const guess = logRate(readings);
  if (!(guess > 0)) return { ok: false, reason: 'no-decay' };
  const rate = readings.length === 2 ? guess : bestRate(readings, guess / 20, guess * 20);
  const { amplitude, squares } = atRate(readings, rate);
  const start = (readings[0] as Excess).minutes;
  return {
    ok: true,
    tau_min: 1 / rate,
    amplitude_C: amplitude * Math.exp(rate * start),
    rms_C: Math.sqrt(squares / readings.length),
  };
}
