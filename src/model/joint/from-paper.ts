import { PULL_OUTCOMES, roundState, type BenchEvent, type PullOutcome } from '@/core/tightening';
import { DomainError } from '@/core/units';
import type { TighteningPlan } from './tightening-plan';

/** A box of the paper card that has something in it: the step it stands for, and how the pull went. */
export interface PaperBox {
  readonly step: number;
  /** `turned`: the crank’s own box. */
  readonly outcome: PaperOutcome;
}

export const PAPER_OUTCOMES = [...PULL_OUTCOMES, 'turned'] as const;
export type PaperOutcome = PullOutcome | 'turned';

export const COPIED = 'copied from paper';
const NOT_TICKED = `not ticked on the paper card`;

type Draft = BenchEvent extends infer Event ? (Event extends BenchEvent ? Omit<Event, 'id' | 'at'> : never) : never;

/**
 * The lines that a paper card comes to, behind what is recorded. An empty box before a ticked one is passed over and
 * comes back at the end, as at the bench; where nothing is ticked any more the record stops.
 * @param words what the card says of when and by whom; empty where it says nothing
 * @throws DomainError nothing-ticked, ticked-already, crank-not-ticked, out-of-turn
 */
export function linesOfPaper(
  plan: Pick<TighteningPlan, 'steps' | 'positions' | 'asksOver'>,
  events: readonly BenchEvent[],
  boxes: readonly PaperBox[],
  words: string,
): readonly Draft[] {
  const { steps, positions } = plan;
  const ticked = new Map(boxes.map(({ step, outcome }) => [step, outcome]));
  if (ticked.size === 0) throw new DomainError('nothing-ticked', 'Nothing is ticked yet.', 'boxes');
  const stateOf = (lines: readonly BenchEvent[]) => roundState(steps, lines, positions.length, plan.asksOver);
  const done = new Set(
    stateOf(events).done.flatMap((event) => (event.kind === 'skip' || event.kind === 'bind' ? [] : [event.step])),
  );
  if ([...ticked.keys()].some((step) => done.has(step) || steps[step] === undefined))
    throw new DomainError(
      'ticked-already',
      'A box is ticked that is on the record already. Read the page again.',
      'boxes',
    );
  const copied = words === '' ? COPIED : `${COPIED}: ${words}`;
  const drafts: Draft[] = [];
  let lines = events;
  while (ticked.size > 0) {
    const { next, isOwed } = stateOf(lines);
    const step = steps[next];
    if (!step || (isOwed && !ticked.has(next)))
      throw new DomainError('out-of-turn', 'A turn is ticked whose torque is not: tick that first.', 'boxes');
    const outcome = ticked.get(next);
    ticked.delete(next);
    if (step.kind === 'shaft' && outcome === undefined)
      throw new DomainError(
        'crank-not-ticked',
        `The crank was to be turned after stage ${step.afterStage + 1}, and its box is empty while later ones are ticked. Tick it if it was turned.`,
        'boxes',
      );
    const draft: Draft =
      step.kind === 'shaft'
        ? { kind: 'shaft', step: next }
        : outcome === undefined
          ? { kind: 'skip', step: next, words: NOT_TICKED }
          : { kind: 'pull', step: next, outcome: outcome === 'turned' ? 'pulled' : outcome, words: copied };
    drafts.push(draft);
    lines = [...lines, { ...draft, id: `paper-${drafts.length}`, at: '' }];
  }
  return drafts;
}
