import { DomainError } from '@/core/units';
import { ruleLimits, type ClearanceRule } from './rule';
import { assertLimits, type Limits } from './verdict';

export const RUNOUT_SENSES = ['reading', 'eccentricity'] as const;
export type RunoutSense = (typeof RUNOUT_SENSES)[number];

/**
 * What is wanted of a fit: limits from a page or of the builder's own, or a rule; a target and soft limits inside
 * them.
 */
export interface Wanted {
  readonly limits?: Limits;
  readonly rule?: ClearanceRule;
  readonly soft?: Limits;
  readonly target_mm?: number;
  /** Runout: whether the limits are of the full indicator reading or of the eccentricity, its half. */
  readonly as?: RunoutSense;
}

export interface WantedFigures {
  readonly by: 'limits' | 'rule';
  readonly hard: Limits;
  readonly soft?: Limits;
  readonly target_mm?: number;
  /** What the rule comes to, where both are given: limits go first. */
  readonly ruleSays?: Limits;
}

const isWithin = (value: number, { min_mm, max_mm }: Limits) => value >= min_mm - 1e-9 && value <= max_mm + 1e-9;

/**
 * Refuses what contradicts itself: reversed limits, a target or soft limits outside the hard ones. @throws
 * DomainError bad-field
 */
export function assertWanted({ limits, soft, target_mm, rule }: Wanted): void {
  if (rule) ruleLimits(rule, 1);
  if (limits) assertLimits(limits, 'limits');
  if (soft) assertLimits(soft, 'soft');
  if (!limits) return;
  if (soft && !(isWithin(soft.min_mm, limits) && isWithin(soft.max_mm, limits)))
    throw new DomainError(
      'bad-field',
      'The soft limits must lie inside the hard ones: they ask for better, not for less.',
      'soft',
    );
  if (target_mm !== undefined && !isWithin(target_mm, limits))
    throw new DomainError(
      'bad-field',
      `A target of ${target_mm} mm lies outside the limits. A builder’s own target stays inside them.`,
      'target_mm',
    );
}

/**
 * The limits in force. A page’s go before a rule; what a rule would say is told beside them.
 * Undefined where nothing is wanted, or a rule has no diameter to work on yet.
 */
export function wantedFigures(
  { limits, rule, soft, target_mm }: Wanted,
  diameter_mm?: number,
): WantedFigures | undefined {
  const ruleSays = rule && diameter_mm !== undefined ? ruleLimits(rule, diameter_mm) : undefined;
  const hard = limits ?? ruleSays;
  if (!hard) return undefined;
  return {
    by: limits ? 'limits' : 'rule',
    hard,
    ...(soft && { soft }),
    ...(target_mm !== undefined && { target_mm }),
    ...(limits && ruleSays && { ruleSays }),
  };
}
