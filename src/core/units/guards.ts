import { wrongInput } from './input-words';

const shown = (value: unknown) => (typeof value === 'number' ? String(value) : JSON.stringify(value));

/** Refuses anything but a finite number. @throws DomainError bad-field */
export function assertFinite(value: unknown, field: string): asserts value is number {
  if (typeof value !== 'number' || !Number.isFinite(value))
    throw wrongInput(field, `must be a number, got ${shown(value)}.`);
}

/** Refuses anything but a finite number above zero. @throws DomainError bad-field */
export function assertPositive(value: unknown, field: string): asserts value is number {
  assertFinite(value, field);
  if (!(value > 0)) throw wrongInput(field, `must be above 0, got ${value}.`);
}

/** Refuses anything but a finite number of at least zero. @throws DomainError bad-field */
export function assertNotNegative(value: unknown, field: string): asserts value is number {
  assertFinite(value, field);
  if (!(value >= 0)) throw wrongInput(field, `must not be below 0, got ${value}.`);
}

/** Refuses anything but a number above zero and at most `high`. @throws DomainError bad-field */
export function assertPositiveUpTo(value: unknown, high: number, field: string): asserts value is number {
  assertFinite(value, field);
  if (!(value > 0 && value <= high)) throw wrongInput(field, `must be above 0 and at most ${high}, got ${value}.`);
}

/** Refuses a number outside low…high, both included. @throws DomainError bad-field */
export function assertWithin(value: unknown, low: number, high: number, field: string): asserts value is number {
  assertFinite(value, field);
  if (!(value >= low && value <= high)) throw wrongInput(field, `must lie between ${low} and ${high}, got ${value}.`);
}

/** Takes the last noise digits off a computed decimal (0.1 × 3 → 0.3). */
export const tidy = (value: number): number => Number(value.toPrecision(12));
