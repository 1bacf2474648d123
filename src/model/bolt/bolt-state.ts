import { stretchVerdict, type StretchVerdict } from '@/core/fastener';
import { cancelledOf } from '@/model/cancelled-lines';
import type { Opening } from '@/model/order/openings';
import type { BoltReading, BoltSet, MeasuredSet } from './bolt-set';

/** Where one bolt stands by its lengths. */
export interface BoltState {
  /** From 1. */
  readonly bolt: number;
  readonly verdict: StretchVerdict;
  /** Read last without load: what it is stretched by counts from here. */
  readonly free?: BoltReading;
  /** Read under load since. */
  readonly tight?: BoltReading;
  /** How often it was pulled tight; read twice in one pull it was used once. */
  readonly uses: number;
  /** What was read last, and may be taken back. */
  readonly last?: BoltReading;
}

/** A set of bolts with where each of them stands. */
export interface BoltSetState {
  readonly set: BoltSet;
  readonly bolts: readonly BoltState[];
}

const isTight = ({ kind }: BoltReading) => kind === 'tight';
const isFree = (reading: BoltReading) => !isTight(reading);

function boltState(set: BoltSet, bolt: number, standing: readonly BoltReading[]): BoltState {
  const own = standing.filter((one) => one.bolt === bolt);
  // Of one that was scrapped nothing holds of the one in its place.
  const life = own.slice(
    Math.max(
      0,
      own.findLastIndex(({ kind }) => kind === 'another'),
    ),
  );
  const [first, free, last] = [life.find(isFree), life.findLast(isFree), life.at(-1)];
  const tight = last && isTight(last) ? last : undefined;
  const verdict = stretchVerdict(
    {
      first_mm: first?.length_mm,
      zero_mm: free === first ? undefined : free?.length_mm,
      tight_mm: tight?.length_mm,
      torque_Nm: tight?.torque_Nm ?? undefined,
    },
    { min_mm: set.minStretch_mm, max_mm: set.maxStretch_mm, ceiling_Nm: set.ceiling_Nm, maxSet_mm: set.maxSet_mm },
  );
  const uses = life.filter((one, i) => isTight(one) && !(life[i - 1] && isTight(life[i - 1] as BoltReading))).length;
  return { bolt, verdict, uses, ...(free && { free }), ...(tight && { tight }), ...(last && { last }) };
}

function standingOf(readings: readonly BoltReading[]): readonly BoltReading[] {
  const struck = cancelledOf(readings);
  return readings.filter(({ id, strikes }) => strikes === null && !struck.has(id));
}

/** When bolts of a joint were let go, to be read without load or for another in its place: its caps sat loosely then. */
export const lettingsGo = (sets: readonly MeasuredSet[]): readonly Opening[] =>
  sets.flatMap(({ set: { jointId }, readings }) =>
    standingOf(readings).flatMap(({ kind, at }) =>
      kind === 'released' || kind === 'another' ? [{ jointId, at }] : [],
    ),
  );

/** Where each bolt of a set stands, from the readings that were not taken back. */
export function boltSetState({ set, readings }: MeasuredSet): BoltSetState {
  const standing = standingOf(readings);
  return { set, bolts: Array.from({ length: set.bolts }, (_, i) => boltState(set, i + 1, standing)) };
}

/**
 * The sets of a joint that count: of a kind the one entered last, which took the place of the one before. A set
 * of which an end cannot be reached is not tightened by stretch.
 */
export const countingSets = (sets: readonly MeasuredSet[]): readonly MeasuredSet[] => {
  const worked = sets.filter(({ set }) => set.aside === undefined);
  const last = new Map(worked.map((one) => [one.set.kind, one]));
  return worked.filter((one) => last.get(one.set.kind) === one && one.set.bothEnds);
};
