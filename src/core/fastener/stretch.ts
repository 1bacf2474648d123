import type { Thread } from '@/core/thread';
import { DomainError, assertPositive, wrongInput } from '@/core/units';

/** A length of the fastener with one section: give its diameter, or its area. */
export interface StretchSegment {
  readonly length_mm: number;
  readonly diameter_mm?: number;
  readonly area_mm2?: number;
}

export interface Stretch {
  readonly stretch_mm: number;
  readonly preload_N: number;
  readonly stiffness_N_per_mm: number;
}

const MPA_PER_GPA = 1000;
const MAX_SEGMENTS = 50;

function areaOf({ diameter_mm, area_mm2 }: StretchSegment, at: string): number {
  if (diameter_mm !== undefined && area_mm2 !== undefined)
    throw new DomainError('bad-field', 'Give the diameter or the area of a segment, not both.', `${at}.area_mm2`);
  if (area_mm2 !== undefined) {
    assertPositive(area_mm2, `${at}.area_mm2`);
    return area_mm2;
  }
  if (diameter_mm === undefined)
    throw new DomainError('missing-field', 'Give the diameter or the area of each segment.', `${at}.diameter_mm`);
  assertPositive(diameter_mm, `${at}.diameter_mm`);
  return (Math.PI / 4) * diameter_mm ** 2;
}

/**
 * Stiffness of a fastener made of segments in a row: k = 1/Σ(L/(E·A)).
 * @throws DomainError bad-field, missing-field
 */
export function stiffness(segments: readonly StretchSegment[], E_GPa: number): number {
  if (!(segments.length >= 1 && segments.length <= MAX_SEGMENTS))
    throw wrongInput('segments', `must be a list of 1 to ${MAX_SEGMENTS}.`);
  assertPositive(E_GPa, 'E_GPa');
  const compliance = segments.reduce((sum, segment, i) => {
    assertPositive(segment.length_mm, `segments[${i}].length_mm`);
    return sum + segment.length_mm / (E_GPa * MPA_PER_GPA * areaOf(segment, `segments[${i}]`));
  }, 0);
  return 1 / compliance;
}

/**
 * Stretch from preload, or preload from stretch: δ = F/k.
 * @throws DomainError bad-field, missing-field
 */
export function stretch(
  segments: readonly StretchSegment[],
  E_GPa: number,
  given: { readonly preload_N?: number; readonly stretch_mm?: number },
): Stretch {
  const stiffness_N_per_mm = stiffness(segments, E_GPa);
  if (given.preload_N !== undefined && given.stretch_mm !== undefined)
    throw new DomainError(
      'bad-field',
      'Give the clamp load or the stretch, not both: one follows from the other.',
      'stretch_mm',
    );
  if (given.preload_N !== undefined) {
    assertPositive(given.preload_N, 'preload_N');
    return { preload_N: given.preload_N, stretch_mm: given.preload_N / stiffness_N_per_mm, stiffness_N_per_mm };
  }
  if (given.stretch_mm === undefined)
    throw new DomainError('missing-field', 'Give the clamp load or the stretch.', 'preload_N');
  assertPositive(given.stretch_mm, 'stretch_mm');
  return { stretch_mm: given.stretch_mm, preload_N: given.stretch_mm * stiffness_N_per_mm, stiffness_N_per_mm };
}

const HEAD_SHARE_D = 0.35;
const ENGAGED_SHARE_D = 0.45;

/** What is measured of a bolt between head and engaged thread, mm. */
export interface BoltLengths {
  /** Plain shank between head and thread. */
  readonly shank_mm: number;
  readonly shankDiameter_mm: number;
  /** A reduced (waisted) part, if there is one. */
  readonly waist_mm?: number;
  readonly waistDiameter_mm?: number;
  /** Free thread in the grip. */
  readonly freeThread_mm: number;
}

/**
 * A bolt as segments: shank, waist, free thread at its stress area, with the head's share (0.35 d of the shank's
 * section)
 * and the engaged thread's (0.45 d at d3), which a micrometer over the ends sees stretch as well.
 */
export function boltSegments(thread: Thread, lengths: BoltLengths): readonly StretchSegment[] {
  const { shank_mm, shankDiameter_mm, waist_mm = 0, waistDiameter_mm, freeThread_mm } = lengths;
  const all: readonly StretchSegment[] = [
    { length_mm: HEAD_SHARE_D * thread.major_mm, diameter_mm: thread.major_mm },
    { length_mm: shank_mm, diameter_mm: shankDiameter_mm },
    { length_mm: waist_mm, diameter_mm: waistDiameter_mm ?? shankDiameter_mm },
    { length_mm: freeThread_mm, area_mm2: thread.stressArea_mm2 },
    { length_mm: ENGAGED_SHARE_D * thread.major_mm, diameter_mm: thread.minorDiameter_mm },
  ];
  return all.filter((segment) => segment.length_mm > 0);
}
