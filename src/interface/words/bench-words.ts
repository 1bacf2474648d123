import type { DoneEvent, PullOutcome, PullStep, StageTurn, Step } from '@/core/tightening';
import { turnWords } from '@/model/joint/turns-words';
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
  step.kind === 'shaft' ? 'crank turned' : `number ${turnNumber(plan, step.position)}, stage ${step.stage + 1}`;

/** How a pull went: `pulled`, `turned`, `did not move`. */
export const outcomeWords = (outcome: PullOutcome, step: Step | undefined): string =>
  step?.kind === 'pull' && step.turn && outcome === 'pulled' ? 'turned' : OUTCOME_WORDS[outcome];

/** What was done at a step: `pulled`, `slackened and pulled again`, `left as it is: it sits on a dowel`. */
export function doneWords(event: Exclude<DoneEvent, { kind: 'shaft' }>, step: Step | undefined): string {
  if (event.kind === 'left') return `left as it is: ${event.words}`;
  if (event.kind === 'pull') return outcomeWords(event.outcome, step);
  return event.outcome === 'pulled'
    ? 'slackened and pulled again'
    : `slackened, pulled again and ${OUTCOME_WORDS[event.outcome]}`;
}

/** What is still to be seen to of a round: `Number 3 went over: slacken it and pull it again`. */
export function overLine(plan: TighteningPlan, over: readonly number[]): string {
  const numbers = over.flatMap((at) => {
    const step = plan.steps[at];
    return step?.kind === 'pull' ? [turnNumber(plan, step.position)] : [];
  });
  return `${numbers.length === 1 ? 'Number' : 'Numbers'} ${numbers.join(', ')} went over: to be slackened and pulled again, or left with a reason.`;
}

/** `number 7, stage 2: pulled` */
export function lineOf(plan: TighteningPlan, event: DoneEvent): string {
  const step = plan.steps[event.step];
  if (!step) return '';
  if (event.kind === 'shaft') return stepName(plan, step);
  return `${stepName(plan, step)}: ${doneWords(event, step)}`;
}

/** What is done at a pull: `30 lbf·ft`, `90° further`, `by feel`. */
export const pullWords = (plan: Pick<TighteningPlan, 'unit' | 'care'>, step: PullStep, figure: string): string => {
  if (plan.care === 'hand') return 'by feel';
  return step.turn ? `${turnWords(step.turn)} further` : `${figure} ${plan.unit}`;
};

/** The turns that follow the final torque of a plan, each once. */
export const turnsOfPlan = (plan: Pick<TighteningPlan, 'steps'>): readonly StageTurn[] => {
  const byStage = new Map(
    plan.steps.flatMap((step) => (step.kind === 'pull' && step.turn ? [[step.stage, step.turn] as const] : [])),
  );
  return [...byStage.values()];
};

export const stageCount = (plan: TighteningPlan): number =>
  Math.max(...plan.steps.map((step) => (step.kind === 'pull' ? step.stage + 1 : 1)));

/** Whether the wrench has to be set anew for this step. */
export function isNewSetting(plan: TighteningPlan, index: number): boolean {
  const step = plan.steps[index];
  const before = plan.steps.slice(0, index).findLast((one) => one.kind === 'pull');
  return step?.kind === 'pull' && before?.kind === 'pull' && !step.turn && before.setting !== step.setting;
}
