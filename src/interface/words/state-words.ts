import type { FastenerMark, RoundState } from '@/core/tightening';
import type { TighteningPlan } from '@/model/joint/tightening-plan';
import { turnNumber } from './bench-words';

/** What a fastener is at, as far as the round tells: what it was before its first pull nobody said. */
function stateOf(mark: FastenerMark, isRepull: boolean, asksLock: boolean): string {
  if (mark.attention) return 'to be seen to';
  if (mark.final) return asksLock ? 'final, to be locked' : 'final';
  if (mark.ticks > 0) return `snug, ${mark.ticks} ${mark.ticks === 1 ? 'pass' : 'passes'}`;
  return isRepull ? 'as it was left' : 'not pulled yet';
}

/** `1 to 4, 7`: numbers of the turn, those that follow one another drawn together. */
export function numberRanges(numbers: readonly number[]): string {
  const runs: [first: number, last: number][] = [];
  for (const number of [...numbers].sort((a, b) => a - b)) {
    const run = runs.at(-1);
    if (run && number === run[1] + 1) run[1] = number;
    else runs.push([number, number]);
  }
  return runs
    .map(([first, last]) =>
      first === last ? `${first}` : last === first + 1 ? `${first}, ${last}` : `${first} to ${last}`,
    )
    .join(', ');
}

interface Shown {
  readonly plan: Pick<TighteningPlan, 'order' | 'positions'>;
  readonly round: Pick<RoundState, 'marks'>;
  /** The nuts were tight before: a retorque, a confirming round. */
  readonly isRepull: boolean;
  readonly asksLock: (position: number) => boolean;
}

/** The state of every fastener by its name, in the turn's order: for who cannot see the drawing, and for who asks. */
export const fastenerStates = ({ plan, round, isRepull, asksLock }: Shown): readonly string[] =>
  plan.positions.map((_, position) => {
    const mark = round.marks[position];
    return mark ? stateOf(mark, isRepull, asksLock(position)) : 'not pulled yet';
  });

/** `Final: 1 to 4. Snug, 1 pass: 5, 6. Not pulled yet: 7 to 14.` */
export function statesLine(shown: Shown): string {
  const numbers = new Map<string, number[]>();
  fastenerStates(shown).forEach((state, position) => {
    const own = numbers.get(state) ?? [];
    numbers.set(state, [...own, turnNumber(shown.plan, position)]);
  });
  return [...numbers]
    .sort(([, one], [, other]) => Math.min(...one) - Math.min(...other))
    .map(([state, own]) => `${state.charAt(0).toUpperCase()}${state.slice(1)}: ${numberRanges(own)}.`)
    .join(' ');
}
