import type { Friction } from '@/core/film';
import { headArm, liftArm, threadArm, type TurnedFastener } from '@/core/joint';
import { DomainError, assertPositive } from '@/core/units';
import { studentQuantile } from './student';

/** One pull of a trial: a bolt in a film, pulled to a torque, with the clamp load that its stretch showed. */
export interface TrialPull {
  readonly bolt: string;
  readonly torque_Nm: number;
  readonly preload_N: number;
}

export interface TrialFastener extends Pick<TurnedFastener, 'thread' | 'bearing'> {
  readonly prevailing_Nm?: number;
}

export interface Interval {
  readonly low: number;
  readonly high: number;
}

export interface FilmTrial {
  readonly bolts: number;
  readonly pulls: number;
  /** Friction alike in thread and under the head, at the mean of the logarithms. */
  readonly mu: number;
  readonly K: number;
  /** Where the film's mean lies, 95 %. Absent for one bolt. */
  readonly meanMu?: Interval;
  /** Where the next bolt lies, 5th to 95th percentile: the interval that matters. Absent for one bolt. */
  readonly nextMu?: Interval;
  readonly nextK?: Interval;
  readonly nextPreload_N?: Interval;
  /** Deviation of the logarithm of the arm, as used; `shrunk` where few bolts borrowed from the shelf's row. */
  readonly deviation?: number;
  readonly shrunk: boolean;
  /** By how much friction changed from a bolt's first pull to its last, in per cent a pull: threads burnish. */
  readonly wear_pct?: number;
}

const N_MM_PER_N_M = 1000;
/** The shelf's row weighs as four bolts would, of any number: nothing jumps from one bolt to the next. */
const PRIOR_WEIGHT = 4;
const SAID_FROM_SHARE = 1 / 3;
const PERCENTILES_APART = 3.29;

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;

/** c = (T − Tp)/F in mm. @throws DomainError no-friction where the stretch leaves nothing for friction */
function armOf(pull: TrialPull, { thread, prevailing_Nm = 0 }: TrialFastener): number {
  assertPositive(pull.torque_Nm, 'torque_Nm');
  assertPositive(pull.preload_N, 'preload_N');
  const arm = ((pull.torque_Nm - prevailing_Nm) * N_MM_PER_N_M) / pull.preload_N;
  if (!(arm > liftArm(thread)))
    throw new DomainError(
      'no-friction',
      `Bolt ${pull.bolt}: ${pull.torque_Nm} N·m cannot have pulled ${Math.round(pull.preload_N)} N, even without friction. The stretch or the torque is wrong.`,
      'preload_N',
    );
  return arm;
}

/** The mean of a bolt's logarithms, one value a bolt: repeats on a bolt are not new bolts. */
function byBolt(pulls: readonly TrialPull[], fastener: TrialFastener): ReadonlyMap<string, readonly number[]> {
  const logs = new Map<string, number[]>();
  for (const pull of pulls) {
    const log = Math.log(armOf(pull, fastener));
    const known = logs.get(pull.bolt);
    if (known) known.push(log);
    else logs.set(pull.bolt, [log]);
  }
  return logs;
}

function wearOf(logs: ReadonlyMap<string, readonly number[]>): number | undefined {
  const changes = [...logs.values()].flatMap((own) =>
    own.length > 1 ? [((own.at(-1) ?? 0) - (own[0] ?? 0)) / (own.length - 1)] : [],
  );
  return changes.length > 0 ? (Math.exp(mean(changes)) - 1) * 100 : undefined;
}

/**
 * Deviation of ln c across bolts, leaning on the shelf's row: s² = (4·s0² + (n − 1)·s²)/(n + 3), on n + 3 degrees of
 * freedom. `shrunk` while the row is a third of it or more.
 */
function spreadOf(values: readonly number[], shelfDeviation: number) {
  const n = values.length;
  const middle = mean(values);
  const squares = values.reduce((sum, value) => sum + (value - middle) ** 2, 0);
  const df = n - 1 + PRIOR_WEIGHT;
  return {
    variance: (PRIOR_WEIGHT * shelfDeviation ** 2 + squares) / df,
    df,
    shrunk: PRIOR_WEIGHT / df >= SAID_FROM_SHARE,
  };
}

/** What the shelf's row would have the deviation of ln c be: ln(c95/c5)/3.29. */
function shelfDeviationOf({ low, high }: Friction, { thread, bearing }: TrialFastener): number {
  const [p, arms] = [liftArm(thread), threadArm(thread) + headArm(bearing)];
  return Math.log((p + high * arms) / (p + low * arms)) / PERCENTILES_APART;
}

/**
 * Works out one film of a trial: friction and K at the mean of logarithms, and the interval for the next bolt,
 * exp(ȳ ± t·s·√(1 + 1/n)). Small samples are treated as small: every number of bolts leans on the shelf's row, the
 * less the more they are.
 * `common` is what does not average out (E, lengths, gauge scale), as a relative standard uncertainty.
 * @throws DomainError no-friction, bad-field
 */
export function filmTrial(
  pulls: readonly TrialPull[],
  fastener: TrialFastener,
  shelf: Friction,
  common = 0,
): FilmTrial {
  if (pulls.length === 0) throw new DomainError('bad-field', 'A trial needs at least one pull.', 'pulls');
  const logs = byBolt(pulls, fastener);
  const values = [...logs.values()].map(mean);
  const n = values.length;
  const middle = mean(values);
  const [p, arms] = [liftArm(fastener.thread), threadArm(fastener.thread) + headArm(fastener.bearing)];
  const muOf = (log: number) => Math.max((Math.exp(log) - p) / arms, 0);
  const kOf = (log: number) => Math.exp(log) / fastener.thread.major_mm;
  const shared = { bolts: n, pulls: pulls.length, mu: muOf(middle), K: kOf(middle), wear_pct: wearOf(logs) };
  if (n < 2) return { ...shared, shrunk: false };
  const { variance, df, shrunk } = spreadOf(values, shelfDeviationOf(shelf, fastener));
  const halfMean = studentQuantile(0.975, df) * Math.sqrt(variance / n + common ** 2);
  const halfNext = studentQuantile(0.95, df) * Math.sqrt(variance * (1 + 1 / n) + common ** 2);
  const interval = (half: number): Interval => ({ low: muOf(middle - half), high: muOf(middle + half) });
  const torque = mean(pulls.map((pull) => pull.torque_Nm)) - (fastener.prevailing_Nm ?? 0);
  const preload = (log: number) => (torque * N_MM_PER_N_M) / Math.exp(log);
  return {
    ...shared,
    meanMu: interval(halfMean),
    nextMu: interval(halfNext),
    nextK: { low: kOf(middle - halfNext), high: kOf(middle + halfNext) },
    nextPreload_N: { low: preload(middle + halfNext), high: preload(middle - halfNext) },
    deviation: Math.sqrt(variance),
    shrunk,
  };
}
