import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { characteristicLength, kei, plateCompliance, type PlateInput } from '@/core/interaction';
import { codeOf, fieldOf } from '../code-of';

describe('kei', () => {
  // Abramowitz and Stegun, table 9.12.
  test.each([
    [0.5, -0.6715816951],
    [1, -0.4949946365],
    [1.5, -0.3313955623],
    [2, -0.2024000678],
    [3, -0.0511218841],
    [4, 0.0021983993],
    [5, 0.0111875865],
  ])('of %d is %d, as printed', (x, printed) => expect(Math.abs(kei(x) - printed)).toBeLessThan(1e-10));
  test('comes to −π/4 at the load, and to nothing first at 3.9146676', () => {
    expect(kei(1e-6)).toBeCloseTo(-Math.PI / 4, 9);
    expect(Math.abs(kei(3.9146676))).toBeLessThan(1e-9);
  });
  test('solves its equation: the fourth derivative round the load is its own negative, near and far', () => {
    // ∇²∇²w = −w for w(r), by differences.
    const laplace = (of: (r: number) => number, h: number) => (r: number) =>
      (of(r + h) - 2 * of(r) + of(r - h)) / h ** 2 + (of(r + h) - of(r - h)) / (2 * h * r);
    for (const r of [2, 4, 7, 11.5, 12.5, 16]) {
      const h = 0.1;
      const twice = laplace(laplace(kei, h), h)(r);
      const scale = Math.exp(-r / Math.SQRT2);
      expect(Math.abs(twice + kei(r))).toBeLessThan(1e-2 * scale);
    }
  });
  test('is refused where there is no distance', () => expect(codeOf(() => kei(0))).toBe('bad-field'));
});

const PLATE: PlateInput = {
  length_mm: 440,
  width_mm: 160,
  positions: [0, 1].flatMap((row) => [0, 1, 2, 3, 4].map((i) => [30 + 95 * i, 25 + 110 * row] as const)),
  D_Nmm: (0.35 * 105e3 * 80 ** 3) / (12 * (1 - 0.26 ** 2)),
  foundation_N_per_mm3: 60,
  poisson: 0.26,
};

describe('a plate with free edges', () => {
  test('is symmetric: what one gives for another, the other gives for it; and gives most where it is pressed', () =>
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.double({ min: 0, max: 300, noNaN: true }), fc.double({ min: 0, max: 120, noNaN: true })), {
          minLength: 2,
          maxLength: 6,
        }),
        fc.double({ min: 5, max: 300, noNaN: true }),
        (positions, foundation_N_per_mm3) => {
          const { compliance } = plateCompliance({
            ...PLATE,
            length_mm: 300,
            width_mm: 120,
            positions,
            foundation_N_per_mm3,
            terms: 12,
          });
          compliance.forEach((row, i) =>
            row.forEach((value, j) => {
              expect(value).toBe(compliance[j]?.[i]);
              // Positive definite in every two: a·b ≥ c².
              const [a, b] = [compliance[i]?.[i] ?? 0, compliance[j]?.[j] ?? 0];
              expect(value * value).toBeLessThanOrEqual(a * b * (1 + 1e-9));
            }),
          );
        },
      ),
      { numRuns: 40 },
    ));
  test('converges in its terms, from below: more of them let it give more', () => {
    const at = (terms?: PlateInput['terms']) => plateCompliance({ ...PLATE, terms }).compliance[0]?.[0] as number;
    const [few, more, many] = [at([8, 6]), at([16, 12]), at([40, 40])];
    expect(few).toBeLessThan(more);
    expect(more).toBeLessThan(many);
    expect(at([30, 18]) / many).toBeGreaterThan(0.998);
    expect(at() / many).toBeGreaterThan(0.999);
  });
  test('tends to the infinite plate’s kernel far from its edges', () => {
    const [D_Nmm, foundation_N_per_mm3] = [PLATE.D_Nmm, 60];
    const l = characteristicLength({ D_Nmm, foundation_N_per_mm3 });
    const middle = 8 * l;
    const apart = [0, 0.5, 1, 2, 3].map((lengths) => lengths * l);
    const { compliance } = plateCompliance({
      ...PLATE,
      length_mm: 16 * l,
      width_mm: 16 * l,
      positions: apart.map((r) => [middle + r, middle] as const),
      terms: 48,
    });
    const self = 1 / (8 * Math.sqrt(D_Nmm * foundation_N_per_mm3));
    apart.forEach((r, i) => {
      const kernel = r === 0 ? self : (-(l ** 2) / (2 * Math.PI * D_Nmm)) * kei(r / l);
      expect(Math.abs((compliance[0]?.[i] ?? 0) - kernel)).toBeLessThan(0.02 * self);
    });
  });
  test('gives more at an edge, and most at a corner, as was computed of the worked example’s plate', () => {
    const l = characteristicLength(PLATE);
    const self = 1 / (8 * Math.sqrt(PLATE.D_Nmm * 60));
    expect(l).toBeCloseTo(72.76, 1);
    const { compliance } = plateCompliance({
      ...PLATE,
      positions: [
        [0, 0],
        [220, 0],
        [220, 80],
      ],
    });
    const [corner = 0, edge = 0, middle = 0] = compliance.map((row, i) => (row[i] as number) / self);
    expect(corner).toBeGreaterThan(edge);
    expect(edge).toBeGreaterThan(middle);
    expect(middle).toBeGreaterThan(1);
  });
  test('as stiff as a block it sinks and tilts as one: 1/(k·L·W), and the same again three times at a corner', () => {
    const area = PLATE.length_mm * PLATE.width_mm * 60;
    const { compliance } = plateCompliance({
      ...PLATE,
      D_Nmm: 1e14,
      positions: [
        [220, 80],
        [440, 160],
        [0, 160],
      ],
    });
    expect((compliance[0]?.[0] ?? 0) * area).toBeCloseTo(1, 3);
    // About each axis: (L/2)²·12/L² = 3.
    expect((compliance[1]?.[1] ?? 0) * area).toBeCloseTo(7, 2);
    expect((compliance[1]?.[2] ?? 0) * area).toBeCloseTo(1, 2);
  });
  test.each([
    [{ positions: [[441, 10]] }, 'off-plate', 'positions'],
    [{ positions: [[-1, 10]] }, 'off-plate', 'positions'],
    [{ positions: [] }, 'bad-field', 'positions'],
    [{ length_mm: 0 }, 'bad-field', 'length_mm'],
    [{ D_Nmm: -1 }, 'bad-field', 'D_Nmm'],
    [{ foundation_N_per_mm3: 0 }, 'bad-field', 'foundation_N_per_mm3'],
    [{ poisson: 0.5 }, 'bad-field', 'poisson'],
    [{ terms: 3 }, 'bad-field', 'terms'],
    [{ terms: [12, 12.5] }, 'bad-field', 'terms'],
  ])('%j is refused', (given, code, field) => {
    const work = () => plateCompliance({ ...PLATE, ...given } as PlateInput);
    expect([codeOf(work), fieldOf(work)]).toEqual([code, field]);
  });
});
