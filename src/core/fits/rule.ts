import { DomainError } from '@/core/units';
import type { Limits } from './verdict';

/** A clearance wanted as a share of the measured diameter, never under its floor. */
export interface ClearanceRule {
  readonly perDiameter: readonly [low: number, high: number];
  readonly floor_mm?: number;
}

/** A rule put on a measured diameter: perDiameter · d, never under its floor. mm @throws DomainError bad-field */
export function ruleLimits({ perDiameter: [low, high], floor_mm = 0 }: ClearanceRule, diameter_mm: number): Limits {
  if (!(low >= 0 && high >= low && floor_mm >= 0))
    throw new DomainError('bad-field', `A rule’s shares must rise from nothing, got ${low} to ${high}.`, 'rule');
  const min_mm = Math.max(low * diameter_mm, floor_mm);
  return { min_mm, max_mm: Math.max(high * diameter_mm, min_mm) };
}
