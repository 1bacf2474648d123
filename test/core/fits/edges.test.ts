import { describe, expect, test } from '@jest/globals';
import { bearingSize, matchPieces, matchRods, readingDoubts, shims } from '@/core/fits';
import { isDomainError } from '@/core/units';

/** The field and the code of a refusal; `none` where nothing was refused. */
function refusal(work: () => unknown): string {
  try {
    work();
  } catch (error) {
    if (isDomainError(error)) return `${error.code} ${error.field}`;
    throw error;
  }
  return 'none';
}
const codes = (doubts: readonly { readonly code: string }[]) => doubts.map(({ code }) => code);

describe('a reading as it is typed', () => {
  const far = { value_mm: 5, nominal_mm: 50, opposite_mm: 60, mustBe: 'larger' } as const;
  test('what a dial stands at is no size: nothing of it is doubted by what the size should be', () => {
    for (const part of ['zero', 'push', 'pull', 'high', 'low'] as const)
      expect([part, readingDoubts({ ...far, part })]).toEqual([part, []]);
    expect(codes(readingDoubts({ ...far, part: 'journal' }))).toEqual(['slipped-zero']);
  });
  test('a journal and a bore are judged by their size, whatever the limits of the gap between them are', () => {
    const limits = { min_mm: 0.03, max_mm: 0.08 };
    for (const part of ['journal', 'bore'] as const) {
      expect([part, readingDoubts({ part, value_mm: 50.01, nominal_mm: 50, limits })]).toEqual([part, []]);
      expect(codes(readingDoubts({ part, value_mm: 0.05, nominal_mm: 50, limits }))).toEqual(['unit-slip']);
    }
  });
  test('a gap is judged by its limits, and by what it should be about where it has none', () => {
    const limits = { min_mm: 0.03, max_mm: 0.08 };
    expect(codes(readingDoubts({ part: 'strip', value_mm: 2, nominal_mm: 2, limits }))).toEqual(['thou-as-mm']);
    expect(readingDoubts({ part: 'strip', value_mm: 0.05, nominal_mm: 2, limits })).toEqual([]);
    expect(codes(readingDoubts({ part: 'strip', value_mm: 0.05, nominal_mm: 0.5 }))).toEqual(['slipped-zero']);
    expect(readingDoubts({ part: 'strip', value_mm: 0.05 })).toEqual([]);
  });
  test('of two sides each is on its own side of the other, and equal is neither', () => {
    const against = (value_mm: number, mustBe?: 'smaller' | 'larger', opposite_mm: number | undefined = 50) =>
      codes(readingDoubts({ part: 'journal', value_mm, opposite_mm, mustBe }));
    expect([against(49.99, 'smaller'), against(50, 'smaller'), against(50.01, 'smaller')]).toEqual([
      [],
      ['journal-over-bore'],
      ['journal-over-bore'],
    ]);
    expect([against(50.01, 'larger'), against(50, 'larger'), against(49.99, 'larger')]).toEqual([
      [],
      ['journal-over-bore'],
      ['journal-over-bore'],
    ]);
    expect([against(50), against(49)]).toEqual([[], []]);
    expect(readingDoubts({ part: 'journal', value_mm: 50, mustBe: 'smaller' })).toEqual([]);
  });
});

describe('pieces and rods that are matched', () => {
  const rods = (count: number) => Array.from({ length: count }, () => ({ big_g: 400, small_g: 150 }));
  const pieces = (count: number) => Array.from({ length: count }, () => 300);
  test('are one to forty-eight, with a tolerance that is none or more', () => {
    for (const [work, field] of [
      [(count: number, tolerance = 1) => matchPieces(pieces(count), tolerance), 'pieces_g'],
      [(count: number, tolerance = 1) => matchRods(rods(count), tolerance), 'rods'],
    ] as const) {
      expect([0, 1, 48, 49].map((count) => refusal(() => work(count)))).toEqual([
        `bad-field ${field}`,
        'none',
        'none',
        `bad-field ${field}`,
      ]);
      expect([refusal(() => work(4, 0)), refusal(() => work(4, -0.1))]).toEqual(['none', 'bad-field tolerance_g']);
    }
  });
});

describe('the shell for a size', () => {
  const size = (
    measured: number,
    steps: readonly number[],
    kind: 'journal' | 'housing' = 'journal',
    tolerance = 0.01,
  ) => bearingSize(measured, 50, steps, kind, tolerance);
  test('is of at most forty-eight steps, none of them below nothing', () => {
    const steps = (count: number) => Array.from({ length: count }, (_, i) => 0.25 * (i + 1));
    expect([48, 49].map((count) => refusal(() => size(50, steps(count))))).toEqual(['none', 'bad-field steps_mm']);
    expect(refusal(() => size(50, [0.25, -0.5]))).toBe('bad-field steps_mm[1]');
  });
  test('is the nearest; of two as near, the lesser, for what is taken off is not put on again', () => {
    expect(size(49.5, [0.25, 0.5, 0.75]).step_mm).toBe(0.5);
    expect(size(49.875, [0.25], 'journal', 0.2).step_mm).toBe(0);
    expect(size(49.875, [0.25, 0.125, 0], 'journal', 0.2).step_mm).toBe(0.125);
  });
  test('is one to the very tolerance, and past it the size is told under or over', () => {
    expect(refusal(() => size(49.49, [0.5]))).toBe('none');
    expect(refusal(() => size(49.4899, [0.5]))).toBe('between-sizes measured_mm');
    expect(() => size(49.4, [0.5])).toThrow(/0\.5 mm .* under/);
    expect(() => size(50.6, [0.5], 'housing')).toThrow(/0\.5 mm .* over/);
  });
});

describe('the float by its shims', () => {
  const input = { float_mm: 0.1, fitted_mm: 0.5, wanted: { min_mm: 0.05, max_mm: 0.15 } };
  test('is the same however the stock was laid out', () => {
    const stock = [0.4, 0.55, 0.5, 0.45, 0.6];
    const sorted = shims({ ...input, stock_mm: [...stock].sort((a, b) => a - b) });
    for (const stock_mm of [stock, [...stock].reverse(), [0.6, 0.4, 0.5, 0.55, 0.45]])
      expect(shims({ ...input, stock_mm })).toEqual(sorted);
    // The thinnest of the stock leaves a float, wherever it lies in it.
    expect(refusal(() => shims({ ...input, stock_mm: [0.9, 0.5] }))).toBe('none');
  });
  test('is refused where the thinnest leaves none once the gasket is crushed at its most', () => {
    const crush = (max_mm: number) => ({ ...input, stock_mm: [0.4], crush: { min_mm: 0, max_mm } });
    expect(refusal(() => shims(crush(0.15)))).toBe('none');
    expect(refusal(() => shims(crush(0.25)))).toBe('no-float stock_mm');
  });
});
