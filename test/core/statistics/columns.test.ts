import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { exponentials, naturalLog } from '@/core/statistics/exponential';
import { normalQuantile, normalQuantiles } from '@/core/statistics/normal';
import { quantilesOf, ranksOf } from '@/core/statistics/quantile';
import { createRandom, spread } from '@/core/statistics/random';

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

  test('a column longer than a block, all tails, all middle, and both by turns', () => {
    for (const lie of [(u: number) => u / 20, (u: number) => 0.2 + u / 2, (u: number) => u]) {
      const p = made(9, 3000, lie);
      const into = new Float64Array(3000);
      normalQuantiles(p, 0, 1, 3000, into);
      expect(into).toEqual(p.map(normalQuantile));
    }
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

/** @source Abramowitz and Stegun, Handbook of Mathematical Functions, tables 4.2 and 4.4 (to the digits a number holds) */
const PRINTED_EXP = [
  [0.1, 1.1051709180756477],
  [0.5, 1.6487212707001282],
  [1, 2.718281828459045],
  [-1, 0.36787944117144233],
  [2, 7.38905609893065],
  [10, 22026.465794806718],
  [-10, 0.00004539992976248485],
] as const;
const PRINTED_LOG = [
  [0.1, -2.302585092994046],
  [0.5, -0.6931471805599453],
  [1.5, 0.4054651081081644],
  [2, 0.6931471805599453],
  [3, 1.0986122886681098],
  [10, 2.302585092994046],
  [0.001, -6.907755278982137],
] as const;

const expOf = (x: number, up = 1, down = 1) => {
  const into = new Float64Array(1);
  exponentials(Float64Array.of(x), up, down, 1, into);
  return into[0] as number;
};
/** How far apart in parts of the second, in steps of the last place. */
const apart = (a: number, b: number) => Math.abs(a - b) / (Math.abs(b) * Number.EPSILON || 1);

describe('exp and log of sums, products and quotients alone', () => {
  test.each(PRINTED_EXP)('e to the %d as printed', (x, printed) => expect(apart(expOf(x), printed)).toBeLessThan(1.5));
  test.each(PRINTED_LOG)('the logarithm of %d as printed', (x, printed) =>
    expect(apart(naturalLog(x), printed)).toBeLessThan(1.5),
  );
  test('within two of the last place of the language’s own, in all that an engine can ask', () =>
    fc.assert(
      fc.property(fc.double({ min: -700, max: 700, noNaN: true }), (x) => {
        const e = Math.exp(x);
        expect(apart(expOf(x), e)).toBeLessThan(2);
        expect(apart(naturalLog(e), Math.log(e))).toBeLessThan(2);
      }),
      { numRuns: 2000 },
    ));
  test('each side of nothing by its own factor', () => {
    expect(expOf(2, 0.5, 9)).toBe(expOf(1));
    expect(expOf(-2, 9, 0.5)).toBe(expOf(-1));
    expect(expOf(0, 3, 4)).toBe(1);
  });
  test('beyond all reach it ends, and says so', () => {
    expect([expOf(800), expOf(-800), expOf(Number.NaN)]).toEqual([Infinity, 0, Number.NaN]);
    expect([naturalLog(0), naturalLog(Infinity), naturalLog(-1), naturalLog(1)]).toEqual([
      -Infinity,
      Infinity,
      Number.NaN,
      0,
    ]);
    for (const x of [5e-324, 1e-310, Number.MAX_VALUE]) expect(apart(naturalLog(x), Math.log(x))).toBeLessThan(2);
  });
});

test('a seed is taken whole: what stands above its 32nd bit tells it from the one without', () => {
  const words = (seed: number) => [...spread(seed)];
  for (const seed of [0, 5, 4294967295]) {
    expect(words(seed + 4294967296)).not.toEqual(words(seed));
    expect(words(seed + 2 * 4294967296)).not.toEqual(words(seed + 4294967296));
  }
});
