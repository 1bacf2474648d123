import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { canTellInside } from '@/core/fits';
import { judge } from '@/core/fits/verdict';

describe('whether an instrument can tell inside from outside at all', () => {
  const cases = fc.tuple(
    fc.integer({ min: 1, max: 4000 }),
    fc.integer({ min: 1, max: 500 }),
    fc.integer({ min: 1, max: 400 }),
  );
  test('it can exactly where some figure between the limits is judged inside', () => {
    fc.assert(
      fc.property(cases, ([low, width, step]) => {
        const limits = { min_mm: low / 10_000, max_mm: (low + width) / 10_000 };
        const resolution_mm = step / 10_000;
        const middle = (limits.min_mm + limits.max_mm) / 2;
        const some = [0, 0.1, 0.25, 0.5, 0.75, 0.9, 1].some(
          (share) =>
            judge(limits.min_mm + share * (limits.max_mm - limits.min_mm), middle, limits, resolution_mm) === 'inside',
        );
        // The middle lies farthest from both limits: if it is not inside, nothing is.
        expect(canTellInside(limits, resolution_mm)).toBe(judge(middle, middle, limits, resolution_mm) === 'inside');
        if (!canTellInside(limits, resolution_mm)) expect(some).toBe(false);
      }),
      { numRuns: 2000 },
    );
  });
  test('a ring gap of 8.75 to 10 thou is beyond feelers in half thous, and within a plug gauge of a tenth', () => {
    const limits = { min_mm: 0.2223, max_mm: 0.254 };
    expect(canTellInside(limits, 0.0127)).toBe(false);
    expect(canTellInside(limits, 0.00254)).toBe(true);
  });
});
