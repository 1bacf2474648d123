import type { Thread } from '@/core/thread';
import { assertPositive } from '@/core/units';

export interface Strip {
  readonly strip_N: number;
  readonly shearArea_mm2: number;
}

/**
 * The load at which the parent's thread strips.
 * A = π·d·Le·(1/2 + tan β·(d − d2)/P), β half the included angle; strip = A · shear strength
 * @param engagement_mm full engagement, lead-in left out
 * @throws DomainError bad-field
 */
export function strip(thread: Thread, engagement_mm: number, shear_MPa: number): Strip {
  assertPositive(engagement_mm, 'engagement_mm');
  assertPositive(shear_MPa, 'shear_MPa');
  const beta = (thread.includedAngle_deg * Math.PI) / 360;
  const { major_mm: d, pitchDiameter_mm: d2, pitch_mm: P } = thread;
  const shearArea_mm2 = Math.PI * d * engagement_mm * (0.5 + (Math.tan(beta) * (d - d2)) / P);
  return { strip_N: shearArea_mm2 * shear_MPa, shearArea_mm2 };
}
