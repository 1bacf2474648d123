import { DomainError, assertPositive, assertWithin } from '@/core/units';

export interface ColdWithinInput {
  readonly preload_N: number;
  /** Of fastener and joint together. */
  readonly stiffness_N_per_mm: number;
  /** Of what is clamped and grows with the head. */
  readonly length_mm: number;
  readonly head_um_per_mK: number;
  readonly stud_um_per_mK: number;
  /** The share of the clamp load that may be wrong for the head not being cold. */
  readonly loss: number;
}

const NM_PER_MM = 1e6;
const MAX_EXPANSION = 200;
const ALIKE = 1e-9;

/**
 * How far from the air a head may be and still count as cold: |ΔT| = ε·F/(k·L·|αhead − αstud|).
 * @returns kelvins, either way
 * @throws DomainError bad-field; no-difference where head and stud grow alike
 */
export function coldWithin(input: ColdWithinInput): { readonly within_K: number } {
  const { preload_N, stiffness_N_per_mm, length_mm, head_um_per_mK, stud_um_per_mK, loss } = input;
  assertPositive(preload_N, 'preload_N');
  assertPositive(stiffness_N_per_mm, 'stiffness_N_per_mm');
  assertPositive(length_mm, 'length_mm');
  assertWithin(head_um_per_mK, 0, MAX_EXPANSION, 'head_um_per_mK');
  assertWithin(stud_um_per_mK, 0, MAX_EXPANSION, 'stud_um_per_mK');
  assertPositive(loss, 'loss');
  assertWithin(loss, 0, 1, 'loss');
  const apart = Math.abs(head_um_per_mK - stud_um_per_mK);
  if (apart < ALIKE)
    throw new DomainError(
      'no-difference',
      'Head and stud grow alike, so the clamp load does not depend on how warm both are. How evenly warm they are rules then: two readings half an hour apart that agree.',
      'head_um_per_mK',
    );
  return { within_K: ((loss * preload_N) / (stiffness_N_per_mm * length_mm * apart)) * NM_PER_MM };
}
