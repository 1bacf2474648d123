import type { PullOutcome, PullReading, PullStep } from '@/core/tightening';
import { plainFigure, torqueToSi } from '@/core/units';
import { figureAt, type TighteningPlan } from '@/model/joint/tightening-plan';

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

export interface MovedRead {
  readonly turned_deg?: number;
  /** In the wrench's own unit. */
  readonly broke?: number;
}

/**
 * How far a nut moved, and the figure at which it broke away where that was read: `8`, or `8 at 24`. Of one whose angle
 * nobody read, `at 24`. Undefined where it is neither.
 */
export function movedRead(typed: string): MovedRead | undefined {
  const [, angle = '', figure] = /^(.*?)(?:\bat\s+(.+))?$/i.exec(typed.trim()) ?? [];
  const turned_deg = angle.trim() === '' ? undefined : turnRead(angle.trim());
  const broke = figure === undefined ? undefined : figureRead(figure);
  if (angle.trim() !== '' && turned_deg === undefined) return undefined;
  if (figure !== undefined && broke === undefined) return undefined;
  return turned_deg === undefined && broke === undefined
    ? undefined
    : { ...(turned_deg !== undefined && { turned_deg }), ...(broke !== undefined && { broke }) };
}

export const NO_MOVE_READ =
  'Give the degrees, such as 8; and where it was read the figure at which it broke away, such as 8 at 24.';

/** Slackened first, a nut comes back to its mark; pulled straight, one that stayed where it was did not move. */
export const movedOutcome = ({ act }: Pick<TighteningPlan, 'act'>, moved_deg: number | undefined): PullOutcome =>
  moved_deg === 0 && act === 'pull' ? 'did-not-move' : 'pulled';

export const NO_TURN_READ = 'Give it in degrees, such as 85. A flat of a hexagon is 60.';

/** The pull of a nut that moved, with what was read of it: the figure in the wrench's own N·m. */
export const movedPull = (
  plan: TighteningPlan,
  step: PullStep | undefined,
  { turned_deg, broke }: MovedRead,
): readonly [outcome: PullOutcome, words: undefined, reading: PullReading] => [
  movedOutcome(plan, turned_deg),
  undefined,
  {
    ...(turned_deg !== undefined && { turned_deg }),
    ...(broke !== undefined && step && { broke_Nm: torqueToSi(broke, figureAt(plan, step.position).unit) }),
  },
];
