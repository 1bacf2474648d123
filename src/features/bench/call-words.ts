import type { DoneEvent, RoundState } from '@/core/tightening';
import { handOverWords, lastPulled, lineOf, pullWords, rowSoFar, stepName } from '@/interface/words/bench-words';
import { numberRanges } from '@/interface/words/state-words';
import { placeNoteWords } from '@/interface/words/place-note-words';
import { notesOfPlace, type PlaceNote } from '@/model/joint/place-note';
import type { CrankHeld } from '@/model/order/crank';
import type { TighteningPlan } from '@/model/joint/tightening-plan';

/** What is to be done next in one sentence, as it is said aloud and to a screen reader. */
export function callWords(
  plan: TighteningPlan,
  { next, over, isOwed, done, binds }: Pick<RoundState, 'next' | 'over' | 'isOwed' | 'done' | 'binds'>,
  held: CrankHeld | undefined,
  figure: (setting: number) => string,
  placeNotes: readonly PlaceNote[] = [],
): string {
  const gone = plan.steps[over[0] ?? -1];
  if (gone?.kind === 'pull')
    return `${stepName(plan, gone)} went over: slacken it, then ${pullWords(plan, gone, figure(gone.setting))}`;
  const step = plan.steps[next];
  if (!step) return 'All done';
  if (binds) return 'The crank does not turn freely. Stop, and find out why';
  if (step.kind === 'shaft') return held ? `Do not turn the crank. ${held.why}` : 'Turn the crank';
  const noted = notesOfPlace(placeNotes, step.position).map((note) => `${placeNoteWords(note)}. `);
  const taken = handOverWords(plan, next, lastPulled(plan, done));
  return `${isOwed ? 'Passed over before. ' : ''}${taken && `${taken}. `}${stepName(plan, step)}: ${noted.join('')}${pullWords(plan, step, figure(step.setting))}`;
}

/** The numbers of a row that was broken off and is begun again, where the house keeps to unbroken rows; else none. */
export function rowAgain(plan: TighteningPlan, round: Pick<RoundState, 'next' | 'over' | 'done'>): string {
  return plan.track === 'unbroken-rows' && round.over.length === 0 ? numberRanges(rowSoFar(plan, round)) : '';
}

/** What is said after a long gap. */
export function againWords(plan: TighteningPlan, round: RoundState, last: DoneEvent): string {
  const row = rowAgain(plan, round);
  const touched = row === '' ? 'Touch it' : `The row was broken off: put the wrench on ${row}, in turn,`;
  return `You last did ${lineOf(plan, last)}. ${touched} again before going on`;
}
