import { DomainError, assertFinite, assertPositive } from '@/core/units';

/** Limits of a fit, mm. */
export interface Limits {
  readonly min_mm: number;
  readonly max_mm: number;
}

/** `too-close`: a figure lies so near a limit that the instrument cannot say on which side. */
export type Verdict = 'inside' | 'tight' | 'loose' | 'too-close';

const NOISE_MM = 1e-9;

/** @throws DomainError bad-field where the limits are reversed or no numbers */
export function assertLimits({ min_mm, max_mm }: Limits, field: string): void {
  assertFinite(min_mm, `${field}.min_mm`);
  assertFinite(max_mm, `${field}.max_mm`);
  if (min_mm > max_mm)
    throw new DomainError(
      'bad-field',
      `The limits are reversed: the lower, ${min_mm} mm, lies above the upper, ${max_mm} mm.`,
      `${field}.min_mm`,
    );
}

/** @throws DomainError bad-field where an instrument's resolution was given and is none */
export function assertResolution(resolution_mm: number | undefined): void {
  if (resolution_mm !== undefined) assertPositive(resolution_mm, 'resolution_mm');
}

/**
 * Two instruments as one that leaves the same doubt: √2·r = √(r1² + r2²). Undefined where neither says how finely it
 * reads.
 */
export function bothResolutions(first_mm: number | undefined, second_mm: number | undefined): number | undefined {
  if (first_mm === undefined || second_mm === undefined) return first_mm ?? second_mm;
  return Math.hypot(first_mm, second_mm) / Math.SQRT2;
}

/**
 * Whether any reading can come out inside: limits no farther apart than twice what an instrument of resolution r cannot
 * tell (√2·r) leave none.
 */
export const canTellInside = ({ min_mm, max_mm }: Limits, resolution_mm: number): boolean =>
  max_mm - min_mm > 2 * (Math.SQRT2 * resolution_mm + NOISE_MM);

/**
 * Judges the least and the greatest figure of a fit by its limits.
 * Two readings make a figure, so an instrument of resolution r cannot tell within √2·r of a limit.
 */
export function judge(
  least_mm: number,
  greatest_mm: number,
  { min_mm, max_mm }: Limits,
  resolution_mm?: number,
): Verdict {
  assertResolution(resolution_mm);
  // A nanometre of slack, so that 50.03 − 50.005 is not under 0.025.
  const doubt = Math.SQRT2 * (resolution_mm ?? 0) + NOISE_MM;
  if (least_mm < min_mm - doubt) return 'tight';
  if (greatest_mm > max_mm + doubt) return 'loose';
  const near = (figure: number, limit: number) => resolution_mm !== undefined && Math.abs(figure - limit) <= doubt;
  return near(least_mm, min_mm) || near(greatest_mm, max_mm) ? 'too-close' : 'inside';
}
