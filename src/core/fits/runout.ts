import { DomainError, assertFinite } from '@/core/units';

export interface Runout {
  /** Highest less lowest in one turn: what the dial shows. */
  readonly fullIndicatorReading_mm: number;
  /** How far the axis lies off: half of it, where the part is round. */
  readonly eccentricity_mm: number;
}

/**
 * Full indicator reading against eccentricity, from the highest and lowest mark of one turn. @throws DomainError
 * bad-field
 */
export function runout(high_mm: number, low_mm: number): Runout {
  assertFinite(high_mm, 'high_mm');
  assertFinite(low_mm, 'low_mm');
  if (low_mm > high_mm)
    throw new DomainError(
      'bad-field',
      `The lowest mark (${low_mm}) lies above the highest (${high_mm}): they are exchanged.`,
      'low_mm',
    );
  const fullIndicatorReading_mm = high_mm - low_mm;
  return { fullIndicatorReading_mm, eccentricity_mm: fullIndicatorReading_mm / 2 };
}
