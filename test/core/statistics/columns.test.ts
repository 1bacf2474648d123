import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { normalQuantile, normalQuantiles } from '@/core/statistics/normal';
import { quantilesOf, ranksOf } from '@/core/statistics/quantile';
import { createRandom } from '@/core/statistics/random';

const SHARES = [0.05, 0.5, 0.95];
const made = (seed: number, count: number, of: (u: number) => number) => {
  const values = new Float64Array(count);
  createRandom(seed).fill(values);
  return values.map(of);
};

describe('whole columns give what one by one gives', () => {
  test('quantiles of the normal, to the last bit, in the middle and in both tails', () => {
    const p = Float64Array.from([
      1e-300,
      1e-12,
      0.001,
      0.0749,
      0.075,
      0.0750001,
      0.3,
      0.5,
      0.7,
      0.9249999,
      0.925,
      0.93,
      0.999,
      1 - 1e-15,
    ]);
    const into = new Float64Array(p.length);
    normalQuantiles(p, 0, 1, p.length, into);
    expect([...into]).toEqual([...p].map(normalQuantile));
    // Every third of them, from the second on.
    const some = new Float64Array(4);
    normalQuantiles(p, 1, 3, 4, some);
    expect([...some]).toEqual([1, 4, 7, 10].map((at) => normalQuantile(p[at] as number)));
  });

  test('a list filled at once, by ones, and by whole numbers', () => {
    const [filled, one, words] = [createRandom(77), createRandom(77), createRandom(77)];
    const list = new Float64Array(50);
    filled.fill(list);
    for (const u of list) {
      expect(one.uniform()).toBe(u);
      const word = words.next();
      expect(Number.isInteger(word) && word >= 0 && word < 2 ** 32).toBe(true);
      expect((word + 0.5) / 2 ** 32).toBe(u);
    }
  });

  test.each([
    ['even', (u: number) => 20_000 + 9000 * u],
    ['of few values', (u: number) => Math.floor(u * 5)],
    ['one that lies far out', (u: number) => (u > 0.99999 ? 1e9 : u)],
    ['beneath zero', (u: number) => -u],
    ['all alike', () => 3],
    ['heavy below', (u: number) => u ** 12],
  ])('ranks %s are exact, and the values stay as they lie', (_, of) => {
    const values = made(3, 60_000, of);
    const before = values.slice();
    expect(ranksOf(values, SHARES)).toEqual(quantilesOf(values.slice(), SHARES));
    expect(values).toEqual(before);
  });

  test('ranks of any count and shares are those of a sorted list', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 70_000 }),
        fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 1, maxLength: 4 }),
        fc.integer({ min: 0, max: 1000 }),
        (count, shares, seed) => {
          const values = made(seed, count, (u) => Math.exp(4 * u));
          const sorted = values.slice().sort();
          const asked = [...shares].sort((a, b) => a - b);
          expect(ranksOf(values, asked)).toEqual(
            asked.map((share) => sorted[Math.min(count - 1, Math.max(0, Math.ceil(share * count) - 1))]),
          );
        },
      ),
      { numRuns: 40 },
    ));
});
