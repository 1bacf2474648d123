import { DomainError } from '@/core/units';
import type { Limits } from './verdict';

/** A clearance wanted as a share of the measured diameter, never under its floor. */
export interface ClearanceRule {
  readonly perDiameter: readonly [low: number, high: number];
  readonly floor_mm?: number;
}

/**
 * A rule put on a measured diameter: perDiameter · d, never under its floor. Where the floor holds, the room above it
 * stays what it was, floor to floor + (high − low)·d: a small journal can be made to it too. mm
 * @throws DomainError bad-field
 */
export function ruleLimits({ perDiameter: [low, high], floor_mm = 0 }: ClearanceRule, diameter_mm: number): Limits {
  if (!(low >= 0 && high >= low && floor_mm >= 0))
    throw new DomainError('bad-field', `A rule’s shares must rise from nothing, got ${low} to ${high}.`, 'rule');
  const least_mm = low * diameter_mm;
  if (least_mm >= floor_mm) return { min_mm: least_mm, max_mm: high * diameter_mm };
  return { min_mm: floor_mm, max_mm: floor_mm + (high - low) * diameter_mm };
}
