import { DomainError, plainFigure } from '@/core/units';

/** A figure without a unit; undefined where it is none. A size has no sign. */
export const bareFigure = (text: string) => (/^[+−-]/.test(text.trim()) ? undefined : plainFigure(text));

/** Whether a figure stands without a unit. */
export const isBare = (text: string): boolean => bareFigure(text) !== undefined;

/** A typed figure without a unit. @throws DomainError */
export function typedNumber(text: string, field: string): number {
  const figure = bareFigure(text);
  if (figure === undefined) throw new DomainError('bad-field', 'Give it as a figure.', field);
  return figure;
}
