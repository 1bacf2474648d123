import type { PlaceFigure } from '@/core/fits';
import type { Lengths } from './figures';

/** What the readings at one place came to, to what their instruments read: of a dial the mean, else from least to most. */
export function cameTo(told: Lengths, { method, least_mm, greatest_mm, mean_mm, uncrushed_mm, doubt_mm }: PlaceFigure) {
  const isMean = method === 'dial' && uncrushed_mm === undefined;
  const [low, high] = isMean ? [mean_mm, mean_mm] : [least_mm, greatest_mm];
  return told.read(low, high, doubt_mm / Math.SQRT2);
}
