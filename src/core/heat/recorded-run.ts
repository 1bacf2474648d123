import { DomainError } from '@/core/units';

/** A temperature as a recorder kept it: minutes from its first line, and °C. */
export type Recorded = readonly [minutes: number, C: number];

/** A run as it is recognised in a record of temperatures. */
export interface RecordedRun {
  /** When it began to warm, and when it was last as warm as it had been: minutes from the first line. */
  readonly from_min: number;
  readonly to_min: number;
  readonly highest_C: number;
  /** The coldest that was read before it warmed, and after it was stopped. */
  readonly began_C: number;
  readonly cooledTo_C: number;
  /** It fell by so much at the end that it can be taken to have been stopped. */
  readonly isStopped: boolean;
}

const LEAST_RISE_K = 15;
const BEGUN_K = 2;
/** A thermostat swings by less than this, or than this share of the rise; an engine that was stopped falls by more. */
const SWING_K = 6;
const SWING = 0.12;
const STOPPED_K = 10;

/** @throws DomainError too-few-points, not-in-order */
function assertRecord(points: readonly Recorded[]): void {
  if (points.length < 3)
    throw new DomainError('too-few-points', 'A run is recognised in three temperatures at the least.', 'points');
  const back = points.findIndex(([minutes], i) => i > 0 && minutes <= (points[i - 1] as Recorded)[0]);
  if (back > 0)
    throw new DomainError('not-in-order', `Line ${back + 1} is not later than the one before it.`, 'points');
}

/**
 * Recognises a run in a record: from where it began to warm, by {@link BEGUN_K} over the coldest before the highest, to
 * the last time that it was within a thermostat's swing of the highest. Heat soaks out after an engine was stopped, so
 * that the end lies late rather than early; whoever was there knows better.
 * @param points in their order
 * @throws DomainError too-few-points, not-in-order; not-a-run where it never warmed
 */
export function recordedRun(points: readonly Recorded[]): RecordedRun {
  assertRecord(points);
  const highest_C = points.reduce((high, [, C]) => Math.max(high, C), Number.NEGATIVE_INFINITY);
  const top = points.findIndex(([, C]) => C === highest_C);
  const before = points.slice(0, top + 1);
  const began_C = before.reduce((low, [, C]) => Math.min(low, C), Number.POSITIVE_INFINITY);
  if (!(highest_C - began_C >= LEAST_RISE_K))
    throw new DomainError(
      'not-a-run',
      `It rises by ${Math.round(highest_C - began_C)} K only, and is no run: a run warms by ${LEAST_RISE_K} K at the least.`,
      'points',
    );
  const from = before.findLastIndex(([, C]) => C <= began_C + BEGUN_K);
  const swing_K = Math.min(SWING_K, SWING * (highest_C - began_C));
  const to = points.findLastIndex(([, C]) => C >= highest_C - swing_K);
  const cooledTo_C = points.slice(to).reduce((low, [, C]) => Math.min(low, C), Number.POSITIVE_INFINITY);
  return {
    from_min: (points[from] as Recorded)[0],
    to_min: (points[to] as Recorded)[0],
    highest_C,
    began_C,
    cooledTo_C,
    isStopped: highest_C - cooledTo_C >= STOPPED_K,
  };
}

/**
 * Fewer points that tell the same: the first and the last, and of each stretch between the coldest and the hottest.
 * @param most at least 4
 */
export function thinned(points: readonly Recorded[], most: number): readonly Recorded[] {
  if (points.length <= most) return points;
  const inner = points.slice(1, -1);
  const stretches = Math.floor((most - 2) / 2);
  const kept: Recorded[] = [points[0] as Recorded];
  for (let i = 0; i < stretches; i++) {
    const own = inner.slice(
      Math.floor((i * inner.length) / stretches),
      Math.floor(((i + 1) * inner.length) / stretches),
    );
    const low = own.reduce((a, b) => (b[1] < a[1] ? b : a));
    const high = own.reduce((a, b) => (b[1] > a[1] ? b : a));
    kept.push(...(low === high ? [low] : low[0] < high[0] ? [low, high] : [high, low]));
  }
  return [...kept, points.at(-1) as Recorded];
}
