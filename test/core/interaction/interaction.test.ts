import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  givingOf,
  interaction,
  plateCompliance,
  pulled,
  unpulled,
  type InteractionInput,
  type Standing,
} from '@/core/interaction';
import { codeOf, fieldOf } from '../code-of';
import { joints } from './joints';

const sum = (values: readonly number[]) => values.reduce((total, one) => total + one, 0);
const mean = (values: readonly number[]) => sum(values) / values.length;
const variation_pct = (values: readonly number[]) =>
  (100 * Math.sqrt(mean(values.map((one) => (one - mean(values)) ** 2)))) / mean(values);

/** The complementarity problem by nothing but relaxation: nut after nut, never below nothing, until none moves. */
function relaxed(giving: readonly (readonly number[])[], advances: readonly (number | undefined)[]): number[] {
  const forces = advances.map(() => 0);
  for (let round = 0; round < 200_000; round++) {
    let moved = 0;
    advances.forEach((advance, i) => {
      if (advance === undefined) return;
      const row = giving[i] ?? [];
      const others = sum(row.map((value, j) => (j === i ? 0 : value * (forces[j] ?? 0))));
      const force = Math.max(0, (advance - others) / (row[i] ?? 1));
      moved = Math.max(moved, Math.abs(force - (forces[i] ?? 0)));
      forces[i] = force;
    });
    if (moved < 1e-10) return forces;
  }
  throw new Error('it did not come to rest');
}

describe('elastic interaction', () => {
  test('agrees with an independent solution after every pull; no nut pushes, no other nut was turned', () => {
    let letGo = 0;
    fc.assert(
      fc.property(joints, ({ compliance, stiffness, turns }) => {
        const giving = givingOf({ compliance, boltStiffness_N_per_mm: stiffness });
        let standing: Standing = unpulled(giving.length);
        for (const { nut, target } of turns) {
          const before = standing;
          standing = pulled(giving, standing, nut, target);
          const { forces_N, advances_mm } = standing;
          expect(Math.min(...forces_N)).toBeGreaterThanOrEqual(0);
          letGo += forces_N.filter((force, i) => force === 0 && advances_mm[i] !== undefined).length;
          advances_mm.forEach((advance, i) => {
            if (i !== nut) expect(advance).toBe(before.advances_mm[i]);
          });
          expect(forces_N[nut]).toBe(Math.max(target, before.forces_N[nut] ?? 0));
          const scale = Math.max(...forces_N);
          relaxed(giving, advances_mm).forEach((force, i) =>
            expect(Math.abs(force - (forces_N[i] ?? 0))).toBeLessThan(1e-9 * scale + 1e-7),
          );
        }
      }),
      { numRuns: 120 },
    );
    // Else the complementarity was never asked for.
    expect(letGo).toBeGreaterThan(100);
  });
  test('two nuts by hand: the second unloads the first by G12/G22 of its pull', () => {
    const [own, other, k] = [3e-6, 1e-6, 1e5];
    const { forces_N, afterPass } = interaction({
      compliance: [
        [own, other],
        [other, own],
      ],
      boltStiffness_N_per_mm: k,
      passes: [{ order: [0, 1], target_N: 20_000 }],
    });
    expect(forces_N[1]).toBe(20_000);
    expect(forces_N[0]).toBeCloseTo(20_000 - (20_000 * other) / (own + 1 / k), 6);
    expect(afterPass).toEqual([forces_N]);
  });
  test('a nut that holds its load already does not move; one that was never pulled holds nothing', () => {
    const input = {
      compliance: [
        [2e-6, 0, 0],
        [0, 2e-6, 0],
        [0, 0, 2e-6],
      ],
      boltStiffness_N_per_mm: [1e5, 2e5, 3e5],
    };
    const passes = [
      { order: [0, 1], target_N: 30_000 },
      { order: [0, 1], target_N: 20_000 },
    ];
    const { forces_N, afterPass } = interaction({ ...input, passes });
    expect(afterPass[1]).toEqual(afterPass[0]);
    expect(forces_N.map((force) => Math.round(force))).toEqual([30_000, 30_000, 0]);
  });
});

describe('the worked example: ten studs in two rows under an iron head, and an aluminium one on a soft gasket', () => {
  const middleOut = [2, 7, 3, 1, 6, 8, 4, 0, 5, 9];
  const edgeIn = [...middleOut].reverse();
  const positions = [0, 1].flatMap((row) => [0, 1, 2, 3, 4].map((i) => [30 + 95 * i, 25 + 110 * row] as const));
  const head = (E_MPa: number, poisson: number, foundation_N_per_mm3: number) =>
    plateCompliance({
      length_mm: 440,
      width_mm: 160,
      positions,
      D_Nmm: (0.35 * E_MPa * 80 ** 3) / (12 * (1 - poisson ** 2)),
      foundation_N_per_mm3,
      poisson,
      terms: [30, 18],
    }).compliance;
  const heads = { iron: head(105e3, 0.26, 60), aluminium: head(70e3, 0.33, 20) };
  const left = (metal: keyof typeof heads, order: readonly number[], passes: readonly number[]) =>
    interaction({
      compliance: heads[metal],
      boltStiffness_N_per_mm: 1.2e5,
      passes: passes.map((target_N) => ({ order, target_N })),
    }).forces_N;
  const ONE = [30_000];
  const THREE = [10_000, 20_000, 30_000];
  test.each([
    ['edge in, one pass', edgeIn, ONE, 27_340, 28_485, 2.85],
    ['middle out, one pass', middleOut, ONE, 26_619, 28_450, 3.75],
    ['edge in, three passes', edgeIn, THREE, 29_050, 29_424, 1.03],
    ['middle out, three passes', middleOut, THREE, 28_662, 29_415, 1.41],
    ['middle out, three and a confirming round', middleOut, [...THREE, 30_000], 29_889, 29_975, 0.12],
  ])('iron, %s', (_, order, passes, least, middle, variation) => {
    const forces = left('iron', order, passes);
    expect(Math.min(...forces)).toBeCloseTo(least, -1);
    expect(mean(forces)).toBeCloseTo(middle, -1);
    expect(Math.abs(variation_pct(forces) - variation)).toBeLessThan(0.02);
  });
  test.each([
    ['edge in', edgeIn, ONE, 23_074, 8],
    ['middle out', middleOut, ONE, 21_200, 11.2],
    ['edge in', edgeIn, THREE, 27_045, 3.4],
    ['middle out', middleOut, THREE, 25_552, 5],
    ['middle out', middleOut, [...THREE, 30_000], 28_903, 1.2],
  ])('aluminium, %s, in passes to %j', (_, order, passes, least, variation) => {
    const forces = left('aluminium', order, passes);
    expect(Math.abs(Math.min(...forces) / least - 1)).toBeLessThan(0.03);
    expect(Math.abs(variation_pct(forces) / variation - 1)).toBeLessThan(0.06);
  });
  test('what buys evenness is passes, and above all a confirming round, not the turn', () => {
    const of = (order: readonly number[], passes: readonly number[]) => variation_pct(left('iron', order, passes));
    expect(of(edgeIn, ONE)).toBeLessThan(of(middleOut, ONE));
    expect(of(middleOut, THREE)).toBeLessThan(of(edgeIn, ONE));
    expect(of(middleOut, [...THREE, 30_000])).toBeLessThan(of(edgeIn, THREE) / 5);
  });
});

const PLAIN: InteractionInput = {
  compliance: [
    [2e-6, 1e-6],
    [1e-6, 2e-6],
  ],
  boltStiffness_N_per_mm: 1e5,
  passes: [{ order: [0, 1], target_N: 1000 }],
};

test.each([
  [{ compliance: [] }, 'bad-field', 'compliance'],
  [{ compliance: [[1e-6]], passes: [{ order: [1], target_N: 10 }] }, 'bad-field', 'order'],
  [{ compliance: [[1e-6, 0], [0]] }, 'bad-field', 'compliance'],
  [
    {
      compliance: [
        [2e-6, 1e-6],
        [2e-6, 2e-6],
      ],
    },
    'bad-field',
    'compliance',
  ],
  [
    {
      compliance: [
        [1e-6, 5e-5],
        [5e-5, 1e-6],
      ],
    },
    'not-positive-definite',
    'compliance',
  ],
  [{ boltStiffness_N_per_mm: [1e5] }, 'bad-field', 'boltStiffness_N_per_mm'],
  [{ boltStiffness_N_per_mm: 0 }, 'bad-field', 'boltStiffness_N_per_mm'],
  [{ passes: [] }, 'bad-field', 'passes'],
  [{ passes: [{ order: [0.5], target_N: 10 }] }, 'bad-field', 'order'],
  [{ passes: [{ order: [0], target_N: 0 }] }, 'bad-field', 'target_N'],
])('%j is refused', (given, code, field) => {
  const work = () => interaction({ ...PLAIN, ...given });
  expect([codeOf(work), fieldOf(work)]).toEqual([code, field]);
});
