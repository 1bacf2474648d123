import { plainFigure } from '@/core/units';

const MOST_DEG = 3600;

/** `31,5` as a wrench shows it; undefined where it is no figure. */
export function figureRead(typed: string): number | undefined {
  const figure = plainFigure(typed);
  return figure !== undefined && figure > 0 ? figure : undefined;
}

export const NO_FIGURE_READ = 'Give the figure alone, in that unit, more than 0, such as 31.5.';

/** `85°` as it was read against the mark; undefined where it is no angle. */
export function turnRead(typed: string): number | undefined {
  const deg = plainFigure(typed.replace(/\s*°$/, ''));
  return deg !== undefined && deg >= 0 && deg <= MOST_DEG ? deg : undefined;
}

export const NO_TURN_READ = 'Give it in degrees, such as 85. A flat of a hexagon is 60.';
