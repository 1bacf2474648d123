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
  test('a shaft that does not turn freely holds the round until it does, or the line is taken back', () => {
    const bind = (id: string, step = 4): BenchEvent => ({
      id,
      kind: 'bind',
      step,
      words: 'from the second cap on',
      at,
    });
    const stuck = [...upTo(4), bind('bind-1')];
    const now = roundState(steps, stuck, 4);
    expect([now.next, now.complete, now.binds?.words, now.stepsDone]).toEqual([4, false, 'from the second cap on', 4]);
    expect(codeOf(() => assertFollows(steps, stuck, pull(5)))).toBe('out-of-turn');
    expect(() => assertFollows(steps, stuck, bind('bind-2'))).not.toThrow();
    const freed: BenchEvent = { id: 'shaft', kind: 'shaft', step: 4, words: 'as before, float 0.12', at };
    expect(() => assertFollows(steps, stuck, freed)).not.toThrow();
    const on = roundState(steps, [...stuck, freed], 4);
    expect([on.next, on.binds]).toEqual([5, undefined]);
    expect(roundState(steps, [...stuck, strike('bind-1')], 4).binds).toBeUndefined();
  });
  test('it cannot be said to bind where it is not to be turned', () => {
    const bind = (step: number): BenchEvent => ({ id: 'bind-1', kind: 'bind', step, words: 'tight', at });
    expect(codeOf(() => assertFollows(steps, upTo(2), bind(2)))).toBe('out-of-turn');
    expect(codeOf(() => assertFollows(steps, upTo(2), bind(4)))).toBe('out-of-turn');
    expect(codeOf(() => assertFollows(steps, upTo(9), bind(9)))).toBe('out-of-turn');
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

const skip = (step: number, id = `skip-${step}`): BenchEvent => ({ id, kind: 'skip', step, words: 'no room', at });

describe('passed over', () => {
  test('it comes back when the others are done, and the joint is not complete before', () => {
    const events: BenchEvent[] = [...upTo(5), skip(5), pull(6), pull(7), pull(8)];
    const now = roundState(steps, events, 4);
    expect(now).toMatchObject({ next: 5, isOwed: true, owed: [5], complete: false, stepsDone: 8 });
    const passed = steps[5];
    if (passed?.kind !== 'pull') throw new Error('the sixth step is no pull');
    expect(now.marks[passed.position]).toMatchObject({ final: false, attention: true });
    const done = roundState(steps, [...events, pull(5)], 4);
    expect(done).toMatchObject({ complete: true, owed: [], stepsDone: 9 });
    expect(done.marks.every((mark) => mark.final && !mark.attention)).toBe(true);
  });
  test('a later stage of the same nut makes up for an earlier one', () => {
    const [first] = steps;
    const later = steps.findIndex(
      (step, i) => i > 4 && step.kind === 'pull' && first?.kind === 'pull' && step.position === first.position,
    );
    const before = [skip(0), ...upTo(later).slice(1)];
    expect(roundState(steps, before, 4).owed).toEqual([0]);
    expect(roundState(steps, [...before, pull(later)], 4).owed).toEqual([]);
  });
  test('only the one whose turn it is, and once: what is owed is pulled or left owing', () => {
    expect(codeOf(() => assertFollows(steps, upTo(2), skip(3)))).toBe('out-of-turn');
    const owing = [...upTo(5), skip(5), pull(6), pull(7), pull(8)];
    expect(codeOf(() => assertFollows(steps, owing, skip(5, 'again')))).toBe('out-of-turn');
    expect(codeOf(() => assertFollows(steps, owing, pull(6, 'pulled', 'x')))).toBe('out-of-turn');
    expect(() => assertFollows(steps, owing, pull(5))).not.toThrow();
  });
  test('a turn of the shaft does not come back, and is not passed over where it binds', () => {
    expect(() => assertFollows(steps, upTo(4), skip(4))).not.toThrow();
    const on = roundState(steps, [...upTo(4), skip(4)], 4);
    expect(on).toMatchObject({ next: 5, owed: [], isOwed: false });
    const done = roundState(steps, [...upTo(4), skip(4), pull(5), pull(6), pull(7), pull(8)], 4);
    expect(done).toMatchObject({ complete: true, owed: [], stepsDone: 8 });
    const stuck: BenchEvent[] = [...upTo(4), { id: 'bind-1', kind: 'bind', step: 4, words: 'tight', at }];
    expect(codeOf(() => assertFollows(steps, stuck, skip(4)))).toBe('out-of-turn');
  });
  test('is taken back like any other line', () => {
    const now = roundState(steps, [...upTo(5), skip(5), strike('skip-5')], 4);
    expect(now).toMatchObject({ next: 5, isOwed: false, owed: [] });
  });
  test('no nut is turned whose torque is owed: the turn comes after it', () => {
    const turned = tighteningPlan({
      positions: patternPositions('ring', 3),
      school: 'star',
      stages: [
        { setting: 10, torque_Nm: 10 },
        { setting: 10, torque_Nm: 10, turn: { min_deg: 90, max_deg: 90 } },
      ],
      unitOfWork: 'row',
      turnShaft: false,
    }).steps;
    const torques = [pull(0), skip(1), pull(2)];
    const [, passed] = turned;
    const turnOf = (place: number) =>
      turned.findIndex((step) => step.kind === 'pull' && step.turn && step.position === place);
    if (passed?.kind !== 'pull') throw new Error('the second step is no pull');
    const events: BenchEvent[] = [...torques];
    const order: number[] = [];
    for (let now = roundState(turned, events, 3); !now.complete; now = roundState(turned, events, 3)) {
      assertFollows(turned, events, pull(now.next, 'pulled', `p${events.length}`));
      order.push(now.next);
      events.push(pull(now.next, 'pulled', `p${events.length}`));
    }
    expect(order).toHaveLength(4);
    expect(order.indexOf(1)).toBeLessThan(order.indexOf(turnOf(passed.position)));
    expect(order.indexOf(turnOf(passed.position))).toBe(3);
  });
  test('whatever is passed over, struck and pulled: it ends with every nut through its last stage', () =>
    fc.assert(
      fc.property(fc.array(fc.constantFrom('pull', 'skip', 'strike'), { maxLength: 60 }), (acts) => {
        const events: BenchEvent[] = [];
        const write = (event: BenchEvent) => {
          assertFollows(steps, events, event);
          events.push(event);
        };
        const act = (kind: string) => {
          const now = roundState(steps, events, 4);
          const step = steps[now.next];
          const id = `e${events.length}`;
          if (kind === 'strike') return now.last && write({ id, kind: 'strike', strikes: now.last.id, at });
          if (!step) return undefined;
          if (step.kind === 'shaft') return write({ id, kind: 'shaft', step: now.next, at });
          return kind === 'skip' && !now.isOwed ? write(skip(now.next, id)) : write(pull(now.next, 'pulled', id));
        };
        acts.forEach(act);
        for (let i = 0; i < 40 && !roundState(steps, events, 4).complete; i++) act('pull');
        const ended = roundState(steps, events, 4);
        expect(ended).toMatchObject({ complete: true, owed: [], next: steps.length });
        expect(ended.marks.every((mark) => mark.final)).toBe(true);
      }),
    ));
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
