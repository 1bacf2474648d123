import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  at20C,
  bearingSize,
  clearance,
  compression,
  displacement,
  endFloat,
  feelers,
  matchPieces,
  matchRods,
  ringGap,
  roundness,
  shims,
  type ShimInput,
} from '@/core/fits';
import { codeOf } from '../code-of';

const limits = { min_mm: 0.025, max_mm: 0.06 };

describe('oil clearance', () => {
  const journal = [
    [49.97, 49.968],
    [49.972, 49.97],
  ];
  const bore = [
    [50.01, 50.012],
    [50.011, 50.013],
  ];
  test('least, greatest and mean; out-of-round and taper', () => {
    const found = clearance({ journal, bore, limits });
    expect([found.min_mm, found.max_mm, found.mean_mm].map((value) => Number(value.toFixed(6)))).toEqual([
      0.038, 0.045, 0.0415,
    ]);
    expect(found.verdict).toBe('inside');
    expect([found.journal.outOfRound_mm, found.journal.taper_mm].map((value) => Number(value.toFixed(6)))).toEqual([
      0.002, 0.002,
    ]);
  });
  test.each([
    [{ min_mm: 0.04, max_mm: 0.06 }, undefined, 'tight'],
    [{ min_mm: 0.02, max_mm: 0.04 }, undefined, 'loose'],
    [{ min_mm: 0.037, max_mm: 0.06 }, 0.001, 'too-close'],
    [{ min_mm: 0.037, max_mm: 0.06 }, 0.0005, 'inside'],
    [{ min_mm: 0.038, max_mm: 0.045 }, undefined, 'inside'],
  ] as const)('%j read to %s is %s', (wanted, resolution_mm, verdict) =>
    expect(clearance({ journal, bore, limits: wanted, resolution_mm }).verdict).toBe(verdict),
  );
  test('a rule works on the measured diameter and keeps its floor', () => {
    const { wanted } = clearance({ journal, bore, rule: { perDiameter: [0.000_75, 0.001], floor_mm: 0.04 } });
    expect(wanted?.min_mm).toBe(0.04);
    // The room above the floor is that of the rule: 0.00025 of the mean journal, 49.97 mm.
    expect(wanted?.max_mm).toBeCloseTo(0.04 + 0.000_25 * 49.97, 5);
    const open = clearance({ journal, bore, rule: { perDiameter: [0.000_75, 0.001], floor_mm: 0.03 } });
    expect(open.wanted?.max_mm).toBeCloseTo(0.049_97, 8);
  });
  test('two instruments leave the doubt of both', () => {
    const at = (resolution_mm: number, boreResolution_mm?: number) =>
      clearance({
        journal: [[50]],
        bore: [[50.03]],
        limits: { min_mm: 0.02, max_mm: 0.041 },
        resolution_mm,
        boreResolution_mm,
      }).verdict;
    expect(at(0.005)).toBe('inside');
    expect(at(0.005, 0.005)).toBe('inside');
    expect(at(0.005, 0.01)).toBe('too-close');
    expect(at(0.01, 0.005)).toBe('too-close');
  });
  test('floats that do not repeat within two graduations prove nothing', () => {
    const limits = { min_mm: 0.05, max_mm: 0.25 };
    const at = (pull: number) =>
      endFloat(
        [
          { push: 0, pull: 0.15 },
          { push: 0, pull },
        ],
        limits,
        0.01,
      ).verdict;
    expect([at(0.15), at(0.17), at(0.1701)]).toEqual(['inside', 'inside', 'too-close']);
  });
  test('shims that are off what is written on them widen the float', () => {
    const of = { float_mm: 0.5, fitted_mm: 0, wanted: { min_mm: 0.05, max_mm: 0.15 }, stock_mm: [0.2, 0.2], stack: 2 };
    expect(shims(of)).toMatchObject({ float: { min_mm: 0.1, max_mm: 0.1 }, verdict: 'inside' });
    expect(shims({ ...of, shimTolerance_mm: 0.02 })).toMatchObject({ float: { min_mm: 0.06, max_mm: 0.14 } });
    expect(shims({ ...of, shimTolerance_mm: 0.03 }).verdict).not.toBe('inside');
  });
  test('a journal over its bore is caught, and so is thou taken for mm', () => {
    expect(codeOf(() => clearance({ journal: [[50.1]], bore: [[50]] }))).toBe('journal-over-bore');
    expect(codeOf(() => clearance({ journal: [[1968]], bore: [[50]] }))).toBe('journal-over-bore');
    for (const bad of [[], [[]], [[0]], [[Number.NaN]]]) expect(codeOf(() => roundness(bad))).toBe('bad-field');
    expect(codeOf(() => clearance({ journal, bore, limits: { min_mm: 0.06, max_mm: 0.02 } }))).toBe('bad-field');
  });
  const size = fc.double({ min: 49.9, max: 49.99, noNaN: true });
  const hole = fc.double({ min: 50, max: 50.1, noNaN: true });
  const rank = { 'too-close': 0, inside: 1, tight: 1, loose: 1 };
  test('inches for mm changes no verdict, and a finer instrument is never less certain', () => {
    fc.assert(
      fc.property(
        fc.array(size, { minLength: 1, maxLength: 4 }),
        fc.array(hole, { minLength: 1, maxLength: 4 }),
        fc.double({ min: 0.0005, max: 0.01, noNaN: true }),
        (a, b, resolution_mm) => {
          const coarse = clearance({ journal: [a], bore: [b], limits, resolution_mm }).verdict ?? 'inside';
          const fine =
            clearance({ journal: [a], bore: [b], limits, resolution_mm: resolution_mm / 3 }).verdict ?? 'inside';
          expect(rank[fine]).toBeGreaterThanOrEqual(rank[coarse]);
          const inch = (values: readonly number[]) => values.map((value) => (value / 25.4) * 25.4);
          expect(clearance({ journal: [inch(a)], bore: [inch(b)], limits, resolution_mm }).verdict).toBe(coarse);
        },
      ),
    );
  });
});

describe('feelers and dials', () => {
  test('an interval, never a single figure', () =>
    expect(feelers([0.1, 0.15], [0.2, 0.25])).toEqual({ min_mm: 0.15, max_mm: 0.2, middle_mm: 0.175 }));
  test('a leaf that goes above one that does not', () =>
    expect(codeOf(() => feelers([0.2], [0.2]))).toBe('go-not-below-stop'));
  test('end float by its mean, with its spread', () => {
    const found = endFloat(
      [
        { push: 0, pull: 0.12 },
        { push: 0.01, pull: 0.15 },
      ],
      { min_mm: 0.1, max_mm: 0.2 },
    );
    expect(found.mean_mm).toBeCloseTo(0.13, 9);
    expect(found.spread_mm).toBeCloseTo(0.02, 9);
    expect(found.verdict).toBe('inside');
    expect(codeOf(() => endFloat([{ push: 0.2, pull: 0.1 }]))).toBe('bad-field');
  });
});

describe('shims', () => {
  const base: ShimInput = {
    float_mm: 0.5,
    fitted_mm: 1,
    wanted: { min_mm: 0.1, max_mm: 0.2 },
    stock_mm: [1, 1.2, 1.3, 1.35, 1.5],
  };
  test('the one nearest the target, fewer first, crush counted once', () => {
    expect(shims(base)).toMatchObject({ choice_mm: [1.35], float: { min_mm: 0.15, max_mm: 0.15 }, verdict: 'inside' });
    expect(shims({ ...base, crush: { min_mm: 0.05, max_mm: 0.1 } })).toMatchObject({
      choice_mm: [1.3],
      float: { min_mm: 0.1, max_mm: 0.15 },
      verdict: 'inside',
    });
    expect(shims({ ...base, stock_mm: [0.1, 1.25, 1.35], stack: 2 }).choice_mm).toEqual([1.35]);
    expect(shims({ ...base, stock_mm: [0.1, 1.25, 1.5], stack: 2 }).choice_mm).toEqual([0.1, 1.25]);
  });
  test('the best may be outside, and there may be none', () => {
    expect(shims({ ...base, stock_mm: [1.1] })).toMatchObject({
      verdict: 'loose',
      notes: [{ code: 'best-is-outside' }],
    });
    expect(codeOf(() => shims({ ...base, stock_mm: [1.5] }))).toBe('no-float');
    for (const bad of [{ stock_mm: [] }, { stack: 0 }, { fitted_mm: -1 }, { wanted: { min_mm: 0.2, max_mm: 0.1 } }])
      expect(codeOf(() => shims({ ...base, ...bad }))).toBe('bad-field');
  });
  test('adding a shim to the stock never leaves the float further from its target', () => {
    const shim = fc.integer({ min: 90, max: 145 }).map((n) => n / 100);
    fc.assert(
      fc.property(
        fc.array(shim, { minLength: 1, maxLength: 8 }),
        shim,
        fc.integer({ min: 1, max: 2 }),
        (stock, more, stack) => {
          const away = (stock_mm: readonly number[]) => {
            const { float } = shims({ ...base, stock_mm, stack });
            return Math.abs(float.min_mm - 0.15);
          };
          expect(away([...stock, more])).toBeLessThanOrEqual(away(stock) + 1e-9);
        },
      ),
    );
  });
  test('a thicker shim never adds float', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.9, max: 1.4, noNaN: true }),
        fc.double({ min: 0, max: 0.09, noNaN: true }),
        (thin, extra) => {
          expect(shims({ ...base, stock_mm: [thin + extra] }).float.max_mm).toBeLessThanOrEqual(
            shims({ ...base, stock_mm: [thin] }).float.max_mm + 1e-9,
          );
        },
      ),
    );
  });
});

describe('rings, volumes, weights, sizes', () => {
  test('filing never closes a gap', () => {
    expect(ringGap(80, 0.2, { perBore: [0.0035, 0.004] })).toMatchObject({
      file_mm: expect.closeTo(0.08, 9) as unknown,
      verdict: 'tight',
    });
    expect(ringGap(80, 0.5, { min_mm: 0.28, max_mm: 0.32 })).toMatchObject({ file_mm: 0, verdict: 'loose' });
  });
  test('displacement and compression, by hand', () => {
    // π/4 × 7.5² × 9 = 397.61 cc; four are 1590.4 cc, 97.05 cu in.
    const found = displacement(75, 90, 4, 0);
    expect(found.swept_cc).toBeCloseTo(397.608, 3);
    expect(found.total_cuin).toBeCloseTo(97.05, 2);
    expect(displacement(75, 90, 4, 0.5).standard_cc).toBeCloseTo(found.total_cc, 9);
    const { ratio, clearance_cc } = compression({
      bore_mm: 75,
      stroke_mm: 90,
      chamber_cc: 60,
      gasket: { bore_mm: 75, thickness_mm: 1 },
      deck_mm: 0,
      crown_cc: 0,
    });
    expect(clearance_cc).toBeCloseTo(64.418, 3);
    expect(ratio).toBeCloseTo(7.172, 3);
    expect(
      codeOf(() =>
        compression({
          bore_mm: 75,
          stroke_mm: 90,
          chamber_cc: 1,
          gasket: { bore_mm: 75, thickness_mm: 1 },
          deck_mm: -5,
          crown_cc: 0,
        }),
      ),
    ).toBe('bad-field');
  });
  test('weights down to the lightest, end by end', () => {
    expect(matchPieces([301, 300, 304], 0.5)).toEqual({ target: 300, remove: [1, 0, 4], alreadyMatched: false });
    const rods = matchRods(
      [
        { big_g: 400, small_g: 150 },
        { big_g: 402, small_g: 149 },
      ],
      2,
    );
    expect(rods).toEqual({
      target: { big_g: 400, small_g: 149 },
      remove: [
        { big_g: 0, small_g: 1 },
        { big_g: 2, small_g: 0 },
      ],
      alreadyMatched: true,
    });
  });
  test('the next shell, or between sizes', () => {
    expect(bearingSize(49.745, 50, [0.25, 0.5], 'journal', 0.02)).toMatchObject({ step_mm: 0.25 });
    expect(bearingSize(49.745, 50, [0.25, 0.5], 'journal', 0.02).off_mm).toBeCloseTo(-0.005, 9);
    expect(bearingSize(54.01, 54, [0.25], 'housing', 0.02)).toMatchObject({ step_mm: 0 });
    expect(codeOf(() => bearingSize(49.87, 50, [0.25], 'journal', 0.02))).toBe('between-sizes');
    expect(() => bearingSize(1.9685 * 25.4, 2 * 25.4, [0.03 * 25.4], 'journal', 0.02)).toThrow(
      '49.9999 mm (1.9685 in) lies between sizes: the nearest is 0.762 mm (0.03 in) under, 0.0381 mm (0.0015 in) away.',
    );
  });
  test('part and gauge both at 20 °C', () => {
    expect(at20C(100.023, 23, 30)).toBeCloseTo(100, 4);
    expect(at20C(100, 11.5, 35, 11.5)).toBeCloseTo(100, 9);
  });
});
