import { plainFigure } from '@/core/units';

const TYPED = /^(.+?)\s*°?\s*([CF])?\s*$/iu;

/**
 * A temperature as it is typed, in °C: a bare figure is °C, `185 °F` and `185 F` are read.
 * @returns °C; undefined for what is no temperature
 * @example celsiusOf('185 F') // 85
 */
export function celsiusOf(text: string): number | undefined {
  const [, figure = '', unit = 'C'] = TYPED.exec(text.trim()) ?? [];
  const value = plainFigure(figure);
  if (value === undefined) return undefined;
  // From the printed figure to a hundredth of a kelvin, which no gauge of an engine reads.
  return unit.toUpperCase() === 'F' ? Number((((value - 32) * 5) / 9).toFixed(2)) : value;
}
