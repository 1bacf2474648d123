import type { DoneEvent, PullOutcome, PullStep, RoundState, StageTurn, Step } from '@/core/tightening';
import { turnWords } from '@/model/joint/turns-words';
import { figureAt, kindAt, type PlannedFigure, type TighteningPlan } from '@/model/joint/tightening-plan';

export const OUTCOME_WORDS: Readonly<Record<PullOutcome, string>> = {
  pulled: 'pulled',
  'did-not-move': 'did not move',
  'already-past': 'already past the figure',
  'went-over': 'went over',
};

/** The place in the turn, as the drawing numbers it. */
export const turnNumber = (plan: Pick<TighteningPlan, 'order'>, position: number): number =>
  plan.order.indexOf(position) + 1;

/** `number 7, stage 2`; of another kind than the joint's own, `number 7 (short studs), stage 2`. */
export function stepName(plan: TighteningPlan, step: Step): string {
  if (step.kind === 'shaft') return 'crank turned';
  const kind = kindAt(plan, step.position);
  return `number ${turnNumber(plan, step.position)}${kind ? ` (${kind.name})` : ''}, stage ${step.stage + 1}`;
}

/** How a pull went: `pulled`, `turned`, `did not move`. */
export const outcomeWords = (outcome: PullOutcome, step: Step | undefined): string =>
  step?.kind === 'pull' && step.turn && outcome === 'pulled' ? 'turned' : OUTCOME_WORDS[outcome];

/** `crank turned: float 0.12 mm`; `the crank does not turn freely: from the second cap on` */
export const shaftWords = (event: Extract<DoneEvent, { kind: 'shaft' | 'bind' }>): string => {
  const said = event.kind === 'shaft' ? 'crank turned' : 'the crank does not turn freely';
  return event.words === undefined ? said : `${said}: ${event.words}`;
};

/** What was done at a step: `pulled`, `slackened and pulled again`, `left as it is: it sits on a dowel`. */
export function doneWords(event: Exclude<DoneEvent, { kind: 'shaft' | 'bind' }>, step: Step | undefined): string {
  if (event.kind === 'left') return `left as it is: ${event.words}`;
  if (event.kind === 'skip')
    return step?.kind === 'shaft' ? `crank not turned: ${event.words}` : `passed over for now: ${event.words}`;
  if (event.kind === 'pull')
    return `${outcomeWords(event.outcome, step)}${event.words === undefined ? '' : `, ${event.words}`}`;
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

/** What comes back at the end of a round: `Owed: number 3, stage 2, which was passed over.` */
export function owedLine(plan: TighteningPlan, owed: readonly number[]): string {
  const names = owed.flatMap((at) => {
    const step = plan.steps[at];
    return step ? [stepName(plan, step)] : [];
  });
  return `Owed: ${names.join('; ')}: passed over, and not done since.`;
}

/** `number 7, stage 2: pulled` */
export function lineOf(plan: TighteningPlan, event: DoneEvent): string {
  const step = plan.steps[event.step];
  if (!step) return '';
  if (event.kind === 'shaft' || event.kind === 'bind') return shaftWords(event);
  return step.kind === 'shaft' ? doneWords(event, step) : `${stepName(plan, step)}: ${doneWords(event, step)}`;
}

/** What is done at a pull: `30 lbf·ft`, `90° further`, `by feel`. */
export const pullWords = (plan: TighteningPlan, step: PullStep, figure: string): string => {
  if (plan.care === 'hand') return 'by feel';
  return step.turn ? `${turnWords(step.turn)} further` : `${figure} ${figureAt(plan, step.position).unit}`;
};

/** The pulls of fasteners that have one figure; of all of a plan where no kind is said. */
const pullsOfKind = (plan: TighteningPlan, figure: PlannedFigure): readonly PullStep[] =>
  plan.steps.flatMap((step) => (step.kind === 'pull' && figureAt(plan, step.position) === figure ? [step] : []));

/** The turns that follow the final torque of fasteners that have one figure, each once. */
export const turnsOfPlan = (plan: TighteningPlan, figure: PlannedFigure = plan): readonly StageTurn[] => {
  const byStage = new Map(
    pullsOfKind(plan, figure).flatMap((step) => (step.turn ? [[step.stage, step.turn] as const] : [])),
  );
  return [...byStage.values()];
};

/** How many stages the fasteners go through that have this figure. */
export const stageCount = (plan: TighteningPlan, figure: PlannedFigure = plan): number =>
  Math.max(1, ...pullsOfKind(plan, figure).map(({ stage }) => stage + 1));

/** The step at which the wrench was last on a fastener. */
export function lastPulled(plan: TighteningPlan, done: readonly DoneEvent[]): PullStep | undefined {
  const last = done.findLast(({ kind }) => kind === 'pull' || kind === 'again');
  const step = plan.steps[last?.step ?? -1];
  return step?.kind === 'pull' ? step : undefined;
}

/**
 * The numbers, by the turn, of the row that is being gone through: what was pulled at the stage that goes on. One alone is
 * no row yet, and what is turned by an angle cannot be gone over again.
 */
export function rowSoFar(plan: TighteningPlan, { next, done }: Pick<RoundState, 'next' | 'done'>): readonly number[] {
  const coming = plan.steps[next];
  if (coming?.kind !== 'pull' || coming.turn) return [];
  const numbers = new Set<number>();
  for (const event of [...done].reverse()) {
    const step = plan.steps[event.step];
    if (step?.kind !== 'pull' || step.stage !== coming.stage) break;
    if (event.kind === 'pull' || event.kind === 'again') numbers.add(turnNumber(plan, step.position));
  }
  return numbers.size < 2 ? [] : [...numbers];
}

/** Whether the wrench has to be set anew for this step, after the one that was pulled before it. */
export function isNewSetting(plan: TighteningPlan, index: number, before: PullStep | undefined): boolean {
  const step = plan.steps[index];
  if (step?.kind !== 'pull' || !before || step.turn) return false;
  const [now, then] = [figureAt(plan, step.position), figureAt(plan, before.position)];
  return before.setting !== step.setting || now.unit !== then.unit || now.wrenchName !== then.wrenchName;
}

/**
 * What is taken in hand anew before this step, as other fasteners come: `Take the other wrench, the other socket`. Empty
 * where nothing changes, before the first pull, and of the wrench where everything goes by feel.
 */
export function handOverWords(plan: TighteningPlan, index: number, before: PullStep | undefined): string {
  const step = plan.steps[index];
  if (step?.kind !== 'pull' || !before) return '';
  const [now, then] = [figureAt(plan, step.position), figureAt(plan, before.position)];
  const taken = [
    ...(now.wrenchName !== then.wrenchName && plan.care !== 'hand' ? ['the other wrench'] : []),
    ...(now.thread !== then.thread ? ['the other socket'] : []),
  ];
  return taken.length === 0 ? '' : `Take ${taken.join(', ')}`;
}
