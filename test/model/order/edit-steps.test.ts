import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { sequence } from '@/core/sequence';
import {
  assertOrder,
  closedOver,
  hangingSteps,
  insertedBehind,
  movedBehind,
  placeAfter,
} from '@/model/order/edit-steps';
import { restsOn } from '@/model/order/rests-on';
import type { Step } from '@/model/order/step';
import { refusal, step } from './bench-of-order';

const applied = (steps: readonly Step[], changed: readonly Step[]): readonly Step[] => {
  const by = new Map(changed.map((one) => [one.id, one]));
  const known = new Set(steps.map(({ id }) => id));
  return [...steps.map((one) => by.get(one.id) ?? one), ...changed.filter(({ id }) => !known.has(id))];
};
const order = (steps: readonly Step[]) => sequence({ steps: [...steps].sort((a, b) => a.place - b.place) }).order;

const abc = [step('a'), step('b', { after: ['a'], place: 2 }), step('c', { after: ['b'], place: 3 })];

describe('a step put into the line', () => {
  test('behind another is followed by what followed that one', () => {
    const put = applied(abc, insertedBehind(abc, [step('x')], 'a'));
    expect(order(put)).toEqual(['a', 'x', 'b', 'c']);
    expect(put.find(({ id }) => id === 'b')?.after).toEqual(['x']);
  });
  test('before all others is followed by what came first', () => {
    expect(order(applied(abc, insertedBehind(abc, [step('x')], null)))).toEqual(['x', 'a', 'b', 'c']);
  });
  test('with others, as a chain, one behind another', () => {
    expect(order(applied(abc, insertedBehind(abc, [step('x'), step('y')], 'c')))).toEqual(['a', 'b', 'c', 'x', 'y']);
  });
  test('behind a step of a sub-assembly leaves what the line has behind it', () => {
    const steps = [
      ...abc,
      step('s', { branch: 'sub', place: 4 }),
      step('t', { branch: 'sub', after: ['s'], place: 5 }),
    ];
    const put = applied(steps, insertedBehind(steps, [step('x', { branch: 'sub' })], 's'));
    expect(put.find(({ id }) => id === 't')?.after).toEqual(['x']);
    expect(put.find(({ id }) => id === 'b')?.after).toEqual(['a']);
  });
});

describe('a step struck out', () => {
  test('leaves nothing hanging: what waited for it waits for what it waited for', () => {
    const changed = closedOver(abc, 'b');
    expect(changed.map(({ id, after }) => [id, after])).toEqual([['c', ['a']]]);
    expect(closedOver(abc, 'nowhere')).toEqual([]);
  });
  test('a step that nothing leads to and that leads to nothing is named', () => {
    expect(hangingSteps([...abc, step('d')])).toEqual(['d']);
    expect(hangingSteps([step('alone')])).toEqual([]);
  });
});

test('what joins a step from a sub-assembly goes with it when it is put elsewhere', () => {
  const steps = [...abc, step('sub', { branch: 'sub', place: 4 })].map((one) =>
    one.id === 'b' ? { ...one, after: ['a', 'sub'] } : one,
  );
  const moved = applied(steps, movedBehind(steps, 'b', 'c')).find(({ id }) => id === 'b');
  expect(moved?.after).toEqual(['c', 'sub']);
});

test('a place lies between its neighbours', () => {
  const steps = [step('a', { place: 1 }), step('b', { place: 2 })];
  expect([placeAfter(steps, 'a'), placeAfter(steps, 'b'), placeAfter(steps, null), placeAfter([], null)]).toEqual([
    1.5, 3, 0, 1,
  ]);
});

test('a ring is refused by the names round it', () => {
  const ring = [step('a', { name: 'Lower', after: ['b'] }), step('b', { name: 'Upper', after: ['a'] })];
  expect(refusal(() => assertOrder(ring))).toBe('loop');
  expect(() => assertOrder(ring)).toThrow(/“Lower”/);
  expect(() => assertOrder(abc)).not.toThrow();
});

/** Any order without rings: each step waits for some of those before it. */
const anyOrder = fc
  .integer({ min: 2, max: 14 })
  .chain((n) =>
    fc
      .tuple(
        ...Array.from({ length: n }, (_, i) =>
          fc.tuple(fc.subarray(Array.from({ length: i }, (__, j) => `s${j}`)), fc.boolean()),
        ),
      )
      .map((rows) => rows.map(([after, isSub], i) => step(`s${i}`, { after, place: i, branch: isSub ? 'sub' : '' }))),
  );

describe('whatever is put elsewhere or struck out', () => {
  test('no step is lost, none comes twice, and a step that cannot go there is refused as a ring, never written', () => {
    fc.assert(
      fc.property(anyOrder, fc.nat(), fc.nat(), (steps, from, to) => {
        const moved = steps[from % steps.length];
        const behind = steps[to % steps.length];
        if (!moved || !behind || moved === behind) return;
        const after = applied(steps, movedBehind(steps, moved.id, behind.id));
        expect(after.map(({ id }) => id).sort()).toEqual(steps.map(({ id }) => id).sort());
        if (refusal(() => assertOrder(after)) === 'none') {
          const line = order(after);
          expect(line.indexOf(moved.id)).toBeGreaterThan(line.indexOf(behind.id));
        }
      }),
      { numRuns: 2000, seed: 3 },
    );
  });
  test('what came before another by way of the struck step still does', () => {
    fc.assert(
      fc.property(anyOrder, fc.nat(), (steps, at) => {
        const gone = steps[at % steps.length];
        if (!gone) return;
        const left = applied(steps, closedOver(steps, gone.id)).filter(({ id }) => id !== gone.id);
        for (const { id } of left) {
          const before = [...restsOn(steps, id)].filter((one) => one !== gone.id).sort();
          expect([...restsOn(left, id)].sort()).toEqual(before);
        }
      }),
      { numRuns: 2000, seed: 4 },
    );
  });
});
