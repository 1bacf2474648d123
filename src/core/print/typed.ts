import { readLength } from './read-length';
import { readTorque } from './read-torque';
import { DomainError, INCH_MM, atField } from '@/core/units';
import { bareFigure } from './bare';

/**
 * A typed length in mm: a bare figure is in `unit`, one with a unit of its own is read like print. @throws
 * DomainError
 */
export function typedLength(text: string, field: string, unit: 'mm' | 'in' = 'mm'): number {
  return atField(field, () => {
    const trimmed = text.trim();
    const bare = bareFigure(trimmed);
    if (bare !== undefined) return bare * (unit === 'in' ? INCH_MM : 1);
    const { min_mm, max_mm } = readLength(trimmed);
    if (min_mm !== max_mm) throw new DomainError('bad-field', 'Give one figure, not a range.', field);
    return min_mm;
  });
}

/** A typed torque in N·m: a bare figure is N·m. @throws DomainError */
export function typedTorque(text: string, field: string): number {
  return atField(field, () => {
    const trimmed = text.trim();
    const bare = bareFigure(trimmed);
    if (bare !== undefined) return bare;
    const print = readTorque(trimmed);
    const reading = print.kind === 'turn' || print.ambiguous ? undefined : print.readings[0];
    if (!reading || reading.min_Nm !== reading.max_Nm)
      throw new DomainError('bad-field', 'Give one torque with its unit, such as 40 Nm or 30 lb ft.', field);
    return reading.min_Nm;
  });
}
