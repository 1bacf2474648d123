import type { Problem } from '@/model/result';
import { todayFacts } from './joint-ladder';
import type { JointInputs } from './joint-inputs';
import { filmsName, type JointResult } from './joint-result';
import type { TighteningPlan } from './tightening-plan';

/** One thing on a joint's sheet that is no longer as it was when the nuts were pulled. */
export interface SheetChange {
  readonly what: string;
  readonly pulled: string;
  readonly sheet: string;
}

// What a graduation may move by, and no person would call another figure.
const SAME_TORQUE = 0.005;

const Nm = (value: number) => `${Number(value.toPrecision(3))} N·m`;

/** Where a joint's sheet says something else today than what a going-round was planned with. */
export function sheetChanges(
  plan: TighteningPlan,
  setting: JointInputs,
  { ladder }: Pick<JointResult, 'ladder'>,
): readonly SheetChange[] {
  const pairs: readonly SheetChange[] = [
    { what: 'The film', pulled: plan.filmName, sheet: filmsName(setting) },
    { what: 'The thread', pulled: plan.thread, sheet: todayFacts(setting).thread },
    { what: 'The printed figure', pulled: plan.leaf.printedText, sheet: setting.leaf.printedText },
  ];
  const [pulled, now] = [plan.ladder.target_Nm, ladder.target_Nm];
  const figure =
    Math.abs(now / pulled - 1) > SAME_TORQUE
      ? [{ what: 'What the fastener should get', pulled: Nm(pulled), sheet: Nm(now) }]
      : [];
  return [...pairs.filter((pair) => pair.pulled !== pair.sheet), ...figure];
}

/** In one sentence, for a person who has to say what it means. */
export const saidChanges = (changes: readonly SheetChange[]): string =>
  changes.map(({ what, pulled, sheet }) => `${what}: pulled with ${pulled}, the sheet says ${sheet} now.`).join(' ');

export const changedProblem = (changes: readonly SheetChange[]): Problem => ({
  code: 'sheet-changed',
  message: `${saidChanges(changes)} Was it taken apart and coated afresh? Then it is tightened afresh from its sheet. If the thread is as it was pulled, it is gone over at the figure it was pulled to.`,
});
