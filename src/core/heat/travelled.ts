import { DomainError } from '@/core/units';

/** What an odometer counts in, and what an hour meter does. */
export const DISTANCE_UNITS = ['km', 'mi'] as const;
export type DistanceUnit = (typeof DISTANCE_UNITS)[number];
export const METER_UNITS = [...DISTANCE_UNITS, 'h'] as const;
export type MeterUnit = (typeof METER_UNITS)[number];

/** The international mile, exactly. */
export const KM_PER_MILE = 1.609344;

/** A meter as it was read. Times are milliseconds since 1970. */
export interface MeterFact {
  readonly at: number;
  readonly reads: number;
  readonly unit: MeterUnit;
  /**
   * Between the reading before and this one the meter was exchanged, or turned over: it had come to `from`, and went on
   * from `to`.
   */
  readonly jump?: { readonly from: number; readonly to: number };
}

/** What a run added by itself, in km or in hours; left out where nobody said. */
export interface RunAdds {
  readonly ranFrom: number;
  readonly ranTo: number;
  readonly adds?: number;
}

export interface Travelled {
  /** Kilometres, or hours. */
  readonly amount: number;
  /** Runs of which nobody said how far, and which no reading covers. */
  readonly unsaidRuns: number;
}

const inBase = (value: number, unit: MeterUnit) => (unit === 'mi' ? value * KM_PER_MILE : value);

/** What passed on the meter from one reading to the next, in km or hours; below 0 where it went back. */
export function meterStep(before: Pick<MeterFact, 'reads' | 'unit'>, after: Omit<MeterFact, 'at'>): number {
  const { jump, unit } = after;
  const reads = inBase(after.reads, unit);
  const was = inBase(before.reads, before.unit);
  return jump ? inBase(jump.from, unit) - was + (reads - inBase(jump.to, unit)) : reads - was;
}

interface Total {
  readonly at: number;
  readonly amount: number;
}

/** The meter's readings in their order, with what had passed since the first of them. */
function totals(meters: readonly MeterFact[]): readonly Total[] {
  const sorted = [...meters].sort((a, b) => a.at - b.at);
  const found: Total[] = [];
  sorted.forEach((meter, i) => {
    const [before, last] = [sorted[i - 1], found.at(-1)];
    // A reading that goes back was refused when it was written; among readings of before it adds nothing.
    const step = before ? Math.max(0, meterStep(before, meter)) : 0;
    found.push({ at: meter.at, amount: (last?.amount ?? 0) + step });
  });
  return found;
}

const runsBetween = (runs: readonly RunAdds[], from: number, to: number) => {
  const own = runs.filter(({ ranFrom, ranTo }) => ranFrom >= from && ranTo <= to);
  return {
    amount: own.reduce((sum, { adds = 0 }) => sum + adds, 0),
    unsaid: own.filter(({ adds }) => adds === undefined).length,
  };
};

/**
 * What an engine went, or ran, from one hour to another: by its meter, and where no two readings lie on either side by
 * what its runs said. Undefined where that is not known: nothing was ever read or said, or it ran before the meter was
 * first read and nobody said how far.
 * @param meters readings of one sort of meter
 * @param since, until milliseconds since 1970
 * @throws DomainError bad-field where `until` is before `since`
 */
export function travelled(
  meters: readonly MeterFact[],
  runs: readonly RunAdds[],
  since: number,
  until: number,
): Travelled | undefined {
  if (!(until >= since)) throw new DomainError('bad-field', 'The end must not be before the start.', 'until');
  const read = totals(meters.filter(({ at }) => at <= until));
  const before = read.findLast(({ at }) => at <= since);
  const [first, last] = [before ?? read[0], read.at(-1)];
  if (!first || !last) {
    const own = runsBetween(runs, since, until);
    return own.amount === 0 && own.unsaid > 0 ? undefined : { amount: own.amount, unsaidRuns: own.unsaid };
  }
  // After the last reading the runs go on counting; between two readings the meter has them already.
  const beyond = runsBetween(runs, Math.max(last.at, since), until);
  const onMeter = last.amount - first.amount;
  if (before) {
    const earlier = last === before ? 0 : runsBetween(runs, before.at, since).amount;
    return { amount: Math.max(0, onMeter - earlier) + beyond.amount, unsaidRuns: beyond.unsaid };
  }
  const until1st = runsBetween(runs, since, first.at);
  if (until1st.unsaid > 0) return undefined;
  return { amount: until1st.amount + onMeter + beyond.amount, unsaidRuns: beyond.unsaid };
}
