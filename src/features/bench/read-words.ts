import type { PullOutcome } from '@/core/tightening';
import { plainFigure } from '@/core/units';
import type { TighteningPlan } from '@/model/joint/tightening-plan';

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

/** Slackened first, a nut comes back to its mark; pulled straight, one that stayed where it was did not move. */
export const movedOutcome = ({ act }: Pick<TighteningPlan, 'act'>, moved_deg: number): PullOutcome =>
  moved_deg === 0 && act === 'pull' ? 'did-not-move' : 'pulled';

export const NO_TURN_READ = 'Give it in degrees, such as 85. A flat of a hexagon is 60.';
