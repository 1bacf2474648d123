import { describe, expect, test } from '@jest/globals';
import type { Locking } from '@/core/joint';
import { usesWords } from '@/interface/words/uses-words';
import { PLAIN_DETAIL } from '@/model/joint/joint-detail';
import type { Purpose } from '@/model/joint/tightening';
import { usesGuards, usesOf } from '@/model/joint/uses';

type Rounds = readonly (readonly [id: string, purpose: Purpose, pulls?: number])[];

const jointAfter = (rounds: Rounds, newAfter: string | null = null, locking: Locking = 'none') =>
  ({
    joint: { detail: { ...PLAIN_DETAIL, newAfter, original: { ...PLAIN_DETAIL.original, locking } } },
    tightenings: rounds.map(([id, purpose, pulls = 1]) => ({
      tightening: { id, purpose, startedAt: id },
      state: { done: Array.from({ length: pulls }, () => ({ kind: 'pull' })) },
    })),
  }) as never;

const ROUNDS: Rounds = [
  ['a', 'strip'],
  ['b', 'measuring'],
  ['c', 'strip'],
  ['d', 'trial', 0],
  ['e', 'final'],
  ['f', 'retorque'],
];

describe('how often the fasteners of a joint were pulled', () => {
  test.each<[string, Rounds, string | null, number, string]>([
    ['never', [], null, 0, 'New, and not pulled yet.'],
    ['begun and not pulled is no use', [['d', 'trial', 0]], null, 0, 'New, and not pulled yet.'],
    ['once', [['e', 'final']], null, 1, 'Pulled once so far, for good.'],
    [
      'whatever it was for',
      ROUNDS,
      null,
      4,
      'Pulled 4 times so far: once for measuring, twice for the strip, once for good.',
    ],
    ['new ones count from when they went in', ROUNDS, 'c', 1, 'Pulled once so far, for good.'],
    ['new after the last', ROUNDS, 'e', 0, 'New, and not pulled yet.'],
    [
      'new before the first of them',
      ROUNDS,
      '0',
      4,
      'Pulled 4 times so far: once for measuring, twice for the strip, once for good.',
    ],
  ])('%s', (_, rounds, newAfter, count, words) => {
    const uses = usesOf(jointAfter(rounds, newAfter));
    expect([uses.count, usesWords(uses)]).toEqual([count, words]);
  });
  test('the last round that they were pulled in is where new ones count from', () => {
    expect(usesOf(jointAfter(ROUNDS)).lastBegun).toBe('e');
    expect(usesOf(jointAfter(ROUNDS.slice(0, 4))).lastBegun).toBe('c');
    expect(usesOf(jointAfter([])).lastBegun).toBeUndefined();
  });
});

describe('what stands against pulling them once more', () => {
  const codes = (reuse: 'new-always' | 'if-good', state: ReturnType<typeof jointAfter>) =>
    usesGuards(state, { reuse }).map(({ code, severity }) => `${code} ${severity}`);
  test('nothing of new ones; and by house practice, of used ones', () => {
    expect(codes('new-always', jointAfter([]))).toEqual([]);
    expect(codes('new-always', jointAfter(ROUNDS, 'e'))).toEqual([]);
    expect(codes('new-always', jointAfter(ROUNDS))).toEqual(['used-before ask']);
    expect(codes('if-good', jointAfter(ROUNDS))).toEqual([]);
  });
  test('a self-locking nut wears whatever the practice', () => {
    expect(codes('if-good', jointAfter(ROUNDS, null, 'polymer-nut'))).toEqual(['lock-nut-used ask']);
    expect(codes('new-always', jointAfter(ROUNDS, null, 'metal-nut'))).toEqual([
      'used-before ask',
      'lock-nut-used ask',
    ]);
    expect(codes('if-good', jointAfter(ROUNDS, null, 'tab'))).toEqual([]);
    expect(codes('if-good', jointAfter(ROUNDS, 'e', 'metal-nut'))).toEqual([]);
  });
});
