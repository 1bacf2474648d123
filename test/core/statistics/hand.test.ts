import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { createRandom, handOf, normalQuantile } from '@/core/statistics';
import { codeOf } from '../code-of';

const of = (...factors: readonly number[]) => handOf(factors.map((factor) => ({ meant_Nm: 20, read_Nm: 20 * factor })));

describe('what a hand does by feel', () => {
  test('one pull has a factor and nothing of the next; none, or one that is not above 0, is refused', () => {
    expect(of(1.2)).toEqual({ pulls: 1, factor: expect.closeTo(1.2, 12) });
    expect(codeOf(() => handOf([]))).toBe('bad-field');
    expect(codeOf(() => handOf([{ meant_Nm: 20, read_Nm: 0 }]))).toBe('bad-field');
    expect(codeOf(() => handOf([{ meant_Nm: NaN, read_Nm: 20 }]))).toBe('bad-field');
  });
  test('three pulls by the printed quantiles of t: 2.920 at 95 % and 4.303 at 97.5 % with two degrees of freedom', () => {
    const s = Math.log(1.2);
    // Logarithms −s, 0 and s: their mean is 0 and their deviation s.
    const { factor, deviation, next, mean } = of(1 / 1.2, 1, 1.2);
    expect(factor).toBeCloseTo(1, 12);
    expect(deviation).toBeCloseTo(s, 12);
    expect(Math.log(next?.high ?? NaN)).toBeCloseTo(2.92 * s * Math.sqrt(4 / 3), 3);
    expect(Math.log(mean?.low ?? NaN)).toBeCloseTo((-4.303 * s) / Math.sqrt(3), 3);
  });
  test('is of the ratio alone: other figures, other units, another hour say the same', () =>
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.5, max: 2, noNaN: true }), { minLength: 3, maxLength: 12 }),
        fc.double({ min: 0.1, max: 500, noNaN: true }),
        (factors, meant) => {
          const one = of(...factors);
          const other = handOf(factors.map((factor) => ({ meant_Nm: meant, read_Nm: meant * factor })).reverse());
          expect(other.factor).toBeCloseTo(one.factor, 9);
          expect(other.next?.high).toBeCloseTo(one.next?.high ?? NaN, 9);
          // From three pulls on, what the next one may be is wider than what the hand's mean may be.
          expect(one.next?.low).toBeLessThan((one.mean?.low ?? NaN) + 1e-9);
        },
      ),
    ));
  test('the next pull lies within in nine of ten made hands', () => {
    const random = createRandom(11);
    const chance = new Float64Array(7);
    let within = 0;
    const hands = 2000;
    for (let i = 0; i < hands; i++) {
      random.fill(chance);
      const factors = Array.from(chance, (one) => Math.exp(0.1 + 0.2 * normalQuantile(one)));
      const { next } = of(...factors.slice(0, 6));
      const last = factors[6] ?? NaN;
      if (next && last >= next.low && last <= next.high) within += 1;
    }
    expect(within / hands).toBeGreaterThan(0.88);
    expect(within / hands).toBeLessThan(0.92);
  });
});
