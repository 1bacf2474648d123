import { strip } from '@/core/fastener';
import { assertPositive, assertWithin } from '@/core/units';
import { torqueFor } from './clamp';
import type { TurnedFastener } from './tightening-arm';

/** The share of proof load that a joint is tightened to where no manual mentions it. */
export const USUAL_PROOF_SHARE = 0.75;

export interface StandardTorque {
  readonly torque_Nm: number;
  readonly preload_N: number;
}

/**
 * The figure for a joint that no page mentions: F = fraction · Sp · As, then the torque for that preload.
 * Proof stress in MPa.
 * @throws DomainError bad-field
 */
export function standardTorque(
  fastener: TurnedFastener,
  proof_MPa: number,
  fraction = USUAL_PROOF_SHARE,
): StandardTorque {
  assertPositive(proof_MPa, 'proof_MPa');
  assertWithin(fraction, Number.MIN_VALUE, 1, 'fraction');
  const preload_N = fraction * proof_MPa * fastener.thread.stressArea_mm2;
  return { torque_Nm: torqueFor(fastener, preload_N).torque_Nm, preload_N };
}

export interface StandardFigure extends StandardTorque {
  /** What set the clamp load: the bolt's proof load, or the thread in the parent. */
  readonly limitedBy: 'proof' | 'parent';
}

// The computed strip load is taken at nine tenths, and one pitch of lead-in is left out.
const PARENT_SHARE = 0.9;

/**
 * The standard figure where the parent's thread is known too: the same share of its strip load is never passed.
 * @throws DomainError bad-field
 */
export function standardFigure(
  fastener: TurnedFastener,
  proof_MPa: number,
  parent?: { readonly engagement_mm: number; readonly shear_MPa: number },
  fraction = USUAL_PROOF_SHARE,
): StandardFigure {
  const byProof = standardTorque(fastener, proof_MPa, fraction);
  if (!parent) return { ...byProof, limitedBy: 'proof' };
  const full = Math.max(parent.engagement_mm - fastener.thread.pitch_mm, Number.EPSILON);
  const most = fraction * PARENT_SHARE * strip(fastener.thread, full, parent.shear_MPa).strip_N;
  if (byProof.preload_N <= most) return { ...byProof, limitedBy: 'proof' };
  return { torque_Nm: torqueFor(fastener, most).torque_Nm, preload_N: most, limitedBy: 'parent' };
}
