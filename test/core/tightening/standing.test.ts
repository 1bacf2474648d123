import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { assertFollows, patternPositions, roundState, tighteningPlan, type BenchEvent } from '@/core/tightening';
import { codeOf } from '../code-of';

const { steps } = tighteningPlan({
  positions: patternPositions('ring', 4),
  school: 'star',
  stages: [
    { setting: 10, torque_Nm: 10 },
    { setting: 20, torque_Nm: 20 },
  ],
  unitOfWork: 'row',
  turnShaft: true,
});
const at = '2026-05-01T10:00:00.000Z';
const pull = (step: number, outcome: 'pulled' | 'went-over' = 'pulled', id = `pull-${step}`): BenchEvent => ({
  id,
  kind: 'pull',
  step,
  outcome,
  at,
});
const strike = (strikes: string): BenchEvent => ({ id: 's', kind: 'strike', strikes, at });
const upTo = (count: number): readonly BenchEvent[] =>
  steps
    .slice(0, count)
    .map((step, i) => (step.kind === 'shaft' ? { id: `pull-${i}`, kind: 'shaft', step: i, at } : pull(i)));

describe('standing', () => {
  test('nothing done: the first fastener is next', () => {
    expect(roundState(steps, [], 4)).toMatchObject({ next: 0, complete: false, last: undefined });
  });
  test('after one stage the shaft is next; ticks, no witness marks', () => {
    const now = roundState(steps, upTo(4), 4);
    expect(steps[now.next]?.kind).toBe('shaft');
    expect(now.marks).toEqual(
      Array.from({ length: 4 }, () => ({ ticks: 1, unmoved: [], final: false, attention: false })),
    );
  });
  test('all done: witness marks everywhere', () => {
    const now = roundState(steps, upTo(9), 4);
    expect([now.complete, now.marks.every((mark) => mark.final && mark.ticks === 2)]).toEqual([true, true]);
  });
  test('a struck line stands no more and the step is open again', () => {
    const struck = strike('pull-3');
    const now = roundState(steps, [...upTo(4), struck], 4);
    expect([now.next, now.last?.id, now.struck.has('pull-3')]).toEqual([3, 'pull-2', true]);
  });
  test('a nut that went over wants attention until it is pulled again', () => {
    const over = roundState(steps, [pull(0, 'went-over')], 4);
    expect(over.marks.filter((mark) => mark.attention)).toHaveLength(1);
    const struck = strike('pull-0');
    expect(
      roundState(steps, [pull(0, 'went-over'), struck, pull(0, 'pulled', 'again')], 4).marks.some(
        (mark) => mark.attention,
      ),
    ).toBe(false);
  });
});

describe('what may follow', () => {
  test.each([
    ['a step out of turn', upTo(2), pull(5), 'out-of-turn'],
    ['the same step again', upTo(2), pull(1, 'pulled', 'x'), 'out-of-turn'],
    ['a pull where the shaft is to be turned', upTo(4), pull(4), 'out-of-turn'],
    ['a pull past the end', upTo(9), pull(9), 'out-of-turn'],
    ['a strike of an earlier line', upTo(3), strike('pull-0'), 'nothing-to-strike'],
    ['a strike of nothing', [], strike('none'), 'nothing-to-strike'],
  ])('%s is refused', (_, events, event, code) => expect(codeOf(() => assertFollows(steps, events, event))).toBe(code));

  test('any run of pulls and strikes leaves the record one step on or one step back', () => {
    fc.assert(
      fc.property(fc.array(fc.boolean(), { maxLength: 40 }), (strikes) => {
        let events: readonly BenchEvent[] = [];
        let expected = 0;
        strikes.forEach((strike, i) => {
          const now = roundState(steps, events, 4);
          const step = steps[now.next];
          const event: BenchEvent | undefined = strike
            ? now.last && { id: `s${i}`, kind: 'strike', strikes: now.last.id, at }
            : step &&
              (step.kind === 'shaft'
                ? { id: `e${i}`, kind: 'shaft', step: now.next, at }
                : pull(now.next, 'pulled', `e${i}`));
          if (!event) return;
          assertFollows(steps, events, event);
          events = [...events, event];
          expected += strike ? -1 : 1;
        });
        expect(roundState(steps, events, 4).next).toBe(expected);
      }),
    );
  });
});
