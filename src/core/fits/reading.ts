import { readLength } from '@/core/print';
import { DomainError, READING_UNITS_MM, plainFigure, type ReadingUnit } from '@/core/units';
import type { Part } from './conditions';

export interface TypedReading {
  readonly typed: string;
  readonly unit: ReadingUnit;
  /** What the instrument was set to, where it is read as more or less than a standard. */
  readonly standard_mm?: number;
  /** True where a reading may lie at or below nothing: a dial. */
  readonly signed?: boolean;
}

/**
 * A reading as typed, in mm: `50.012`, `1.9685`, `0,5`; `+0.012` from a setting standard; one with a unit of its own
 * is read as print.
 * @throws DomainError bad-field; and what readLength throws
 */
export function readReading({ typed, unit, standard_mm, signed = false }: TypedReading): number {
  const text = typed.trim();
  if (text === '') throw new DomainError('bad-field', 'There is no figure yet.', 'typed');
  const figure = plainFigure(text);
  if (figure === undefined) {
    const { min_mm, max_mm } = readLength(text);
    if (min_mm !== max_mm) throw new DomainError('bad-field', 'Give one figure, not a range.', 'typed');
    return min_mm;
  }
  const value_mm = (standard_mm ?? 0) + figure * READING_UNITS_MM[unit];
  if (!signed && !(value_mm > 0))
    throw new DomainError(
      'bad-field',
      `A size must be above 0, got ${text}. A reading from a standard needs the standard’s size first.`,
      'typed',
    );
  if (Math.abs(value_mm) > 10_000)
    throw new DomainError('bad-field', `${text} ${unit} is longer than any part of an engine.`, 'typed');
  return value_mm;
}

const DIAL_PARTS: ReadonlySet<Part> = new Set(['push', 'pull', 'zero', 'high', 'low']);

/** Whether a part is read on a dial, which may stand at or below nothing. */
export const isSigned = (part: Part): boolean => DIAL_PARTS.has(part);
