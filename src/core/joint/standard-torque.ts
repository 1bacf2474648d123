import { assertPositive, assertWithin } from '../units';
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
export function standardTorque(fastener: TurnedFastener, proof_MPa: number, fraction = USUAL_PROOF_SHARE): StandardTorque {
  assertPositive(proof_MPa, 'proof_MPa');
  assertWithin(fraction, Number.MIN_VALUE, 1, 'fraction');
  const preload_N = fraction * proof_MPa * fastener.thread.stressArea_mm2;
  return { torque_Nm: torqueFor(fastener, preload_N).torque_Nm, preload_N };
}
