import { strip, type ParentMetal } from '@/core/fastener';
import type { Thread } from '@/core/thread';

interface TappedThread {
  readonly thread: Thread;
  readonly metal: ParentMetal;
  readonly engagement_mm: number;
  readonly insert?: { readonly length_mm?: number };
}

// The computed load is taken at nine tenths, and one pitch of lead-in is left out.
const PARENT_SHARE = 0.9;
/** A wound insert's outside: D = d + 1.299 P, the thread it is screwed into. */
const INSERT_PITCHES = 1.299;

/** What a light alloy keeps of its strength when hot; [°C, share], straight between. */
const HOT_SHARE: readonly (readonly [number, number])[] = [
  [20, 1],
  [150, 0.75],
  [200, 0.55],
];
const LIGHT = /alumin|magnes/i;

export const isLight = ({ id, name }: ParentMetal): boolean => LIGHT.test(id) || LIGHT.test(name);

/** Share of its cold strength that a light alloy has at a temperature; above 200 °C it falls on as it did. */
export function hotShare(hottest_C: number): number {
  const after = HOT_SHARE.findIndex(([t]) => t >= hottest_C);
  const at = after < 0 ? HOT_SHARE.length - 1 : Math.max(1, after);
  const [t0, s0] = HOT_SHARE[at - 1] ?? [20, 1];
  const [t1, s1] = HOT_SHARE[at] ?? [200, 0.55];
  return Math.max(0.1, Math.min(1, s0 + ((s1 - s0) * (hottest_C - t0)) / (t1 - t0)));
}

/**
 * Load in N at which the parent's thread strips, least strength of its metal. With an insert it is the thread round
 * the insert that strips.
 */
export function stripLoad(
  { thread, metal, engagement_mm, insert }: TappedThread,
  hottest_C: number | undefined,
): number {
  const full = Math.min(engagement_mm, insert?.length_mm ?? Infinity) - thread.pitch_mm;
  if (!(full > 0)) return 0;
  const grown = INSERT_PITCHES * thread.pitch_mm;
  const tapped = insert
    ? { ...thread, major_mm: thread.major_mm + grown, pitchDiameter_mm: thread.pitchDiameter_mm + grown }
    : thread;
  const share = hottest_C !== undefined && isLight(metal) ? hotShare(hottest_C) : 1;
  return share * PARENT_SHARE * strip(tapped, full, metal.shearLow_MPa).strip_N;
}
