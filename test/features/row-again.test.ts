import { describe, expect, test } from '@jest/globals';
import { roundState, type BenchEvent } from '@/core/tightening';
import { againWords, rowAgain } from '@/features/bench/call-words';
import type { TighteningPlan } from '@/model/joint/tightening-plan';
import { freshTightening, yardShop, YARD_NOW } from '../db/temporary-shop';

const { plan: begun } = freshTightening(yardShop());
const unbroken: TighteningPlan = { ...begun, track: 'unbroken-rows' };

/** The lines of a round that was gone through up to its n-th step, and what came besides. */
const pulled = (steps: number, more: readonly BenchEvent[] = []): readonly BenchEvent[] => [
  ...begun.steps.slice(0, steps).map((step, i): BenchEvent => {
    const line = { id: `${i}`, step: i, at: YARD_NOW };
    return step.kind === 'shaft' ? { ...line, kind: 'shaft' } : { ...line, kind: 'pull', outcome: 'pulled' };
  }),
  ...more,
];
/** Where the second stage begins. */
const second = begun.steps.findIndex((step) => step.kind === 'pull' && step.stage === 1);
const after = (lines: readonly BenchEvent[]) => roundState(begun.steps, lines, begun.positions.length, begun.asksOver);
const again = (plan: TighteningPlan, lines: readonly BenchEvent[]) => rowAgain(plan, after(lines));

test('a round keeps by which school it is kept in mind what was done, as the house has it when it is begun', () => {
  expect(begun.track).toBe('witness-mark');
});

describe('a row that was broken off', () => {
  test('is begun again where the house keeps to unbroken rows, by the numbers that were pulled of it', () => {
    expect(again(unbroken, pulled(3))).toBe('1 to 3');
    expect(again(unbroken, pulled(second + 2))).toBe('1, 2');
  });
  test('is no row before the second, nor once it is whole', () => {
    for (const pulls of [0, 1, second, second + 1, begun.steps.length])
      expect([pulls, again(unbroken, pulled(pulls))]).toEqual([pulls, '']);
  });
  test('has none in it that was taken back or passed over', () => {
    expect(again(unbroken, pulled(3, [{ id: 's', kind: 'strike', strikes: '2', at: YARD_NOW }]))).toBe('1, 2');
    expect(again(unbroken, pulled(2, [{ id: 'x', kind: 'skip', step: 2, words: 'no socket', at: YARD_NOW }]))).toBe(
      '1, 2',
    );
  });
  test('goes on from the last one where heads are marked, or an older round does not say', () => {
    expect(again(begun, pulled(3))).toBe('');
    expect(again({ ...begun, track: undefined }, pulled(3))).toBe('');
  });
  test('is not gone over again by an angle: each would be turned twice', () => {
    const turned = begun.steps.map((step) =>
      step.kind === 'pull' && step.stage > 0 ? { ...step, turn: { min_deg: 90, max_deg: 90 } } : step,
    );
    expect(again({ ...unbroken, steps: turned }, pulled(second + 3))).toBe('');
    expect(again({ ...unbroken, steps: turned }, pulled(3))).toBe('1 to 3');
  });
  test('waits until what went over is seen to', () => {
    const last = begun.steps.length - 2;
    const lines = pulled(last + 1).map((line, i) =>
      i === last && line.kind === 'pull' ? { ...line, outcome: 'went-over' as const } : line,
    );
    expect(after(lines).over).toEqual([last]);
    expect(again(unbroken, lines)).toBe('');
  });
  test('is said aloud with what was done last', () => {
    const round = after(pulled(3));
    const last = round.last;
    if (!last) throw new Error('nothing was done');
    expect(againWords(unbroken, round, last)).toBe(
      'You last did number 3, stage 1: pulled. The row was broken off: put the ' +
        'wrench on 1 to 3, in turn, again before going on',
    );
    expect(againWords(begun, round, last)).toBe(
      'You last did number 3, stage 1: pulled. Touch it again before going on',
    );
  });
});
