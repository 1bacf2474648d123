import { describe, expect, test } from '@jest/globals';
import { FOLLOWING, followsOf, type Follow } from '@/model/heat/follows';
import type { JointState } from '@/model/joint/joint-state';
import type { Purpose } from '@/model/joint/tightening';
import type { BuildLine } from '@/model/order/build-line';
import { there } from '../actions/own-shop';

const hour = (n: number) => `2026-05-16T${String(n).padStart(2, '0')}:00:00.000Z`;
const round = (at: number, complete = true, purpose: Purpose = 'retorque') => ({
  tightening: { purpose },
  events: [{ recordedAt: hour(at) }],
  state: { complete },
});
const head = (...tightenings: readonly object[]) =>
  ({ joint: { name: 'Head', detail: { follows: null } }, tightenings }) as unknown as Pick<
    JointState,
    'joint' | 'tightenings'
  >;
const loose = (id: string, words: string, at: number): BuildLine => ({
  id,
  kind: 'loose',
  at: hour(at),
  recordedAt: hour(at),
  body: { words },
});
const tight = (of: string, at: number): BuildLine => ({
  id: `tight-${of}`,
  kind: 'tight',
  at: hour(at),
  recordedAt: hour(at),
  body: { of },
});
const NUTS = 'After Head: manifold nuts';
const nuts = (lines: readonly BuildLine[], ...rounds: readonly object[]): Follow =>
  there(there(followsOf(head(...rounds), lines)).find(({ what }) => what === 'manifold nuts'));

test('an engine’s own list stands for ours, and an empty one asks nothing', () => {
  const of = (follows: readonly string[]) =>
    followsOf({ joint: { name: 'Head', detail: { follows } }, tightenings: [round(10)] } as never, []);
  expect(of(['tappets', 'dynamo belt'])).toMatchObject([
    { what: 'tappets', words: 'After Head: tappets', state: 'unsaid' },
    { what: 'dynamo belt', state: 'unsaid' },
  ]);
  expect(of([])).toEqual([]);
});

test('what came of it is told with it', () => {
  const ended = { ...tight('a', 12), body: { of: 'a', words: 'inlet 0.10 mm goes, 0.15 stops' } } as BuildLine;
  expect(nuts([loose('a', NUTS, 11), ended], round(10))).toMatchObject({
    state: 'done',
    outcome: 'inlet 0.10 mm goes, 0.15 stops',
  });
});

describe('what follows a joint that was gone over', () => {
  test('is nothing before it was, or while it is half gone over', () => {
    expect(followsOf(head(), [])).toBeUndefined();
    expect(followsOf(head(round(9, true, 'final'), round(10, false)), [])).toBeUndefined();
  });
  test('is each of the list, and none of it said', () => {
    const follows = there(followsOf(head(round(10)), []));
    expect(follows.map(({ what, state }) => [what, state])).toEqual(FOLLOWING.map((what) => [what, 'unsaid']));
  });
  test('is open once it is on the list, and done once it is said to be', () => {
    expect(nuts([loose('l', NUTS, 11)], round(10))).toEqual({
      what: 'manifold nuts',
      words: NUTS,
      state: 'open',
      key: 'l',
    });
    expect(nuts([loose('l', NUTS, 11), tight('l', 12)], round(10))).toMatchObject({ state: 'done' });
    expect(nuts([loose('l', NUTS, 11), tight('other', 12)], round(10)).state).toBe('open');
  });
  test('is to be said anew after the next time', () => {
    const lines = [loose('l', NUTS, 11), tight('l', 12)];
    expect(nuts(lines, round(10), round(13)).state).toBe('unsaid');
    expect(nuts([...lines, loose('m', NUTS, 14)], round(10), round(13))).toMatchObject({ state: 'open', key: 'm' });
  });
  test('is of this joint and of no other', () =>
    expect(nuts([loose('l', 'After Other head: manifold nuts', 11)], round(10)).state).toBe('unsaid'));
});
