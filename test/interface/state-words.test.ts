import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { roundState, type BenchEvent } from '@/core/tightening';
import { fastenerStates, numberRanges, statesLine } from '@/interface/words/state-words';
import { freshTightening, yardShop, YARD_NOW } from '../db/temporary-shop';

const { plan } = freshTightening(yardShop());
const after = (pulls: number, outcome: 'pulled' | 'went-over' = 'pulled') => {
  const lines = plan.steps
    .slice(0, pulls)
    .map((step, i): BenchEvent =>
      step.kind === 'shaft'
        ? { id: `${i}`, kind: 'shaft', step: i, at: YARD_NOW }
        : { id: `${i}`, kind: 'pull', step: i, outcome: i === pulls - 1 ? outcome : 'pulled', at: YARD_NOW },
    );
  return roundState(plan.steps, lines, plan.positions.length, plan.asksOver);
};
const shown = { plan, isRepull: false, asksLock: () => false };

describe('the state of each fastener by its name', () => {
  test('before the first pull nothing is claimed of it; in a retorque it is as it was left', () => {
    expect(statesLine({ ...shown, round: after(0) })).toBe('Not pulled yet: 1 to 6.');
    expect(statesLine({ ...shown, round: after(0), isRepull: true })).toBe('As it was left: 1 to 6.');
  });
  test('snug while it has had passes, final at its figure, and to be locked where a pin or a tab goes to it', () => {
    expect(statesLine({ ...shown, round: after(2) })).toBe('Snug, 1 pass: 1, 2. Not pulled yet: 3 to 6.');
    const all = after(plan.steps.length);
    expect(statesLine({ ...shown, round: all })).toBe('Final: 1 to 6.');
    const first = plan.order[0] ?? NaN;
    expect(statesLine({ ...shown, round: all, asksLock: (position) => position === first })).toBe(
      'Final, to be locked: 1. Final: 2 to 6.',
    );
  });
  test('one that went over is to be seen to, whatever else it is', () => {
    const last = plan.steps.findLastIndex(({ kind }) => kind === 'pull');
    expect(statesLine({ ...shown, round: after(last + 1, 'went-over') })).toContain('To be seen to: 6.');
  });
  test('each fastener has one state at every point of a round, and the line names each number once', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: plan.steps.length }), (pulls) => {
        const round = after(pulls);
        expect(fastenerStates({ ...shown, round })).toHaveLength(plan.positions.length);
        const named = [...statesLine({ ...shown, round }).matchAll(/: ([^.]*)\./g)].flatMap(([, list = '']) =>
          list.split(', ').flatMap((part) => {
            const [from = NaN, to = from] = part.split(' to ').map(Number);
            return Array.from({ length: to - from + 1 }, (_, i) => from + i);
          }),
        );
        expect(named.sort((a, b) => a - b)).toEqual([1, 2, 3, 4, 5, 6]);
      }),
    ));
});

test('numbers that follow one another are drawn together', () => {
  expect(numberRanges([4, 1, 2, 3, 7])).toBe('1 to 4, 7');
  expect(numberRanges([9, 8])).toBe('8, 9');
  expect(numberRanges([])).toBe('');
});
