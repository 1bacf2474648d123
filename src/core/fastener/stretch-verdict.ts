/** What is wanted of a bolt tightened by stretch. */
export interface StretchTarget {
  readonly min_mm: number;
  readonly max_mm: number;
  readonly ceiling_Nm: number;
  /** A bolt longer than this after release is scrap. */
  readonly maxSet_mm: number;
}

/** A bolt as its stretch loads it: its own stiffness, its least section, its yield. */
export interface StretchedBolt {
  readonly stiffness_N_per_mm: number;
  readonly least_mm2: number;
  readonly yield_MPa: number;
}

/** The lengths read of one bolt, mm; the torque at the last tight reading, N·m. */
export interface BoltLengthsRead {
  /** As it came, before its first pull: what it has grown by counts from here. */
  readonly first_mm?: number;
  /** Last read without load since it was pulled: what it is stretched by counts from here. */
  readonly zero_mm?: number;
  /** Read under load since then. */
  readonly tight_mm?: number;
  readonly torque_Nm?: number;
}

export type StretchState =
  | 'free-length-wanted'
  | 'to-pull'
  | 'short'
  | 'inside'
  | 'over'
  | 'ceiling-without-stretch'
  | 'past-ceiling'
  | 'stretch-without-torque'
  | 'grown';

export interface StretchVerdict {
  readonly state: StretchState;
  readonly stretch_mm?: number;
  /** How much longer it is than it came. */
  readonly set_mm?: number;
}

// Under this share of the ceiling, the full stretch came too easily: a slipping thread, or a bolt that is yielding.
const EASY_SHARE = 0.6;

/**
 * Judges one bolt: inside its stretch, short of it, past it; and the cases in which to stop and find out why, the
 * ceiling reached without the stretch or passed for it, the stretch reached without the torque. One that grew, in one
 * pull or in several, stays grown.
 */
export function stretchVerdict(
  { first_mm, zero_mm, tight_mm, torque_Nm }: BoltLengthsRead,
  target: StretchTarget,
): StretchVerdict {
  if (first_mm === undefined) return { state: 'free-length-wanted' };
  const set_mm = zero_mm === undefined ? undefined : zero_mm - first_mm;
  const stretch_mm = tight_mm === undefined ? undefined : tight_mm - (zero_mm ?? first_mm);
  if (set_mm !== undefined && set_mm > target.maxSet_mm) return { state: 'grown', set_mm, stretch_mm };
  if (stretch_mm === undefined) return { state: 'to-pull', set_mm };
  const found = { stretch_mm, set_mm };
  if (stretch_mm > target.max_mm) return { ...found, state: 'over' };
  if (stretch_mm < target.min_mm)
    return {
      ...found,
      state: torque_Nm !== undefined && torque_Nm >= target.ceiling_Nm ? 'ceiling-without-stretch' : 'short',
    };
  if (torque_Nm !== undefined && torque_Nm > target.ceiling_Nm) return { ...found, state: 'past-ceiling' };
  return {
    ...found,
    state: torque_Nm !== undefined && torque_Nm < EASY_SHARE * target.ceiling_Nm ? 'stretch-without-torque' : 'inside',
  };
}

/**
 * The share of its yield at which the most stretch wanted leaves a bolt: stiffness · stretch over its least section.
 * Shares above one are past it.
 */
export const stretchShareOfYield = (
  { stiffness_N_per_mm, least_mm2, yield_MPa }: StretchedBolt,
  stretch_mm: number,
): number => (stiffness_N_per_mm * stretch_mm) / (least_mm2 * yield_MPa);
