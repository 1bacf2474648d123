import type { DoneEvent, PullOutcome, Step } from '@/core/tightening';
import type { TighteningPlan } from '@/model/joint/tightening-plan';

export const OUTCOME_WORDS: Readonly<Record<PullOutcome, string>> = {
  pulled: 'pulled',
  'did-not-move': 'did not move',
  'already-past': 'already past the figure',
  'went-over': 'went over',
};

/** The place in the turn, as the drawing numbers it. */
export const turnNumber = (plan: Pick<TighteningPlan, 'order'>, position: number): number =>
  plan.order.indexOf(position) + 1;

/** `nut 7, stage 2` */
export const stepName = (plan: TighteningPlan, step: Step): string =>
  step.kind === 'shaft' ? 'shaft turned' : `number ${turnNumber(plan, step.position)}, stage ${step.stage + 1}`;

/** `number 7, stage 2: pulled` */
export function lineOf(plan: TighteningPlan, event: DoneEvent): string {
  const step = plan.steps[event.step];
  if (!step) return '';
  return event.kind === 'pull' ? `${stepName(plan, step)}: ${OUTCOME_WORDS[event.outcome]}` : stepName(plan, step);
}

export const stageCount = (plan: TighteningPlan): number =>
  Math.max(...plan.steps.map((step) => (step.kind === 'pull' ? step.stage + 1 : 1)));

/** Whether the wrench has to be set anew for this step. */
export function isNewSetting(plan: TighteningPlan, index: number): boolean {
  const step = plan.steps[index];
  const before = plan.steps.slice(0, index).findLast((one) => one.kind === 'pull');
  return step?.kind === 'pull' && before?.kind === 'pull' && before.setting !== step.setting;
}
