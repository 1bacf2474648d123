import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  angleBetween,
  at20C,
  balanced,
  bearingSize,
  clearance,
  clockingDoubts,
  compression,
  displacement,
  endFloat,
  evenClocking,
  imbalance_gmm,
  matchPieces,
  matchRods,
  ringGap,
  roundness,
  runout,
  shims,
} from '@/core/fits';
import { codeOf } from '../code-of';

/** Sizes in whole thousandths, so that sums in the oracles are exact. */
const micrometres = (min: number, max: number) => fc.integer({ min, max }).map((value) => value / 1000);

describe('clearance against the plainest reckoning', () => {
  const grid = (min: number, max: number) =>
    fc.array(fc.array(micrometres(min, max), { minLength: 1, maxLength: 4 }), { minLength: 1, maxLength: 3 });
  const [journals, bores] = [grid(49_900, 49_960), grid(49_980, 50_060)];
  test('every pair of a bore and a journal lies within it, and two pairs meet its ends', () =>
    fc.assert(
      fc.property(journals, bores, (journal, bore) => {
        const pairs = bore.flat().flatMap((outer) => journal.flat().map((inner) => outer - inner));
        const { min_mm, max_mm, mean_mm } = clearance({ journal, bore });
        expect(min_mm).toBeCloseTo(Math.min(...pairs), 9);
        expect(max_mm).toBeCloseTo(Math.max(...pairs), 9);
        expect(mean_mm).toBeGreaterThanOrEqual(min_mm - 1e-9);
        expect(mean_mm).toBeLessThanOrEqual(max_mm + 1e-9);
      }),
    ));
  test('turning a part round, or end for end, changes nothing', () =>
    fc.assert(
      fc.property(journals, bores, (journal, bore) => {
        const turned = clearance({ journal: journal.map((station) => [...station].reverse()).reverse(), bore });
        const straight = clearance({ journal, bore });
        expect(turned.min_mm).toBeCloseTo(straight.min_mm, 12);
        expect(turned.journal.taper_mm).toBeCloseTo(straight.journal.taper_mm, 12);
        expect(turned.journal.outOfRound_mm).toBeCloseTo(straight.journal.outOfRound_mm, 12);
      }),
    ));
  test('a part that is round and parallel has neither; taper alone is no ovality', () => {
    expect(
      roundness(
        [
          [50, 50],
          [50, 50],
        ],
        'journal',
      ),
    ).toMatchObject({ outOfRound_mm: 0, taper_mm: 0 });
    const tapered = roundness(
      [
        [50, 50],
        [49.99, 49.99],
      ],
      'journal',
    );
    expect([tapered.outOfRound_mm, Number(tapered.taper_mm.toFixed(9))]).toEqual([0, 0.01]);
    const oval = roundness(
      [
        [50, 49.99],
        [50, 49.99],
      ],
      'journal',
    );
    expect([Number(oval.outOfRound_mm.toFixed(9)), oval.taper_mm]).toEqual([0.01, 0]);
  });
  test('both parts grown alike by heat keep nearly the same clearance, in whichever unit', () =>
    fc.assert(
      fc.property(journals, bores, micrometres(-5, 5), (journal, bore, more) => {
        const shift = (grid_mm: readonly (readonly number[])[]) =>
          grid_mm.map((station) => station.map((value) => value + more));
        expect(clearance({ journal: shift(journal), bore: shift(bore) }).min_mm).toBeCloseTo(
          clearance({ journal, bore }).min_mm,
          9,
        );
      }),
    ));
});

describe('shims against trying every stack', () => {
  const stock = fc.array(micrometres(100, 600), { minLength: 1, maxLength: 7 });
  const stacksOf = (all: readonly number[], most: number): readonly (readonly number[])[] =>
    Array.from({ length: 2 ** all.length - 1 }, (_, mask) => all.filter((__, i) => ((mask + 1) >> i) & 1)).filter(
      ({ length }) => length <= most,
    );
  const input = fc.record({
    stock_mm: stock,
    stack: fc.integer({ min: 1, max: 3 }),
    float_mm: micrometres(700, 1500),
    low: micrometres(0, 200),
    width: micrometres(20, 200),
    crush: micrometres(0, 60),
  });
  test('none comes nearer, and of those as near none has fewer', () =>
    fc.assert(
      fc.property(input, ({ stock_mm, stack, float_mm, low, width, crush }) => {
        const wanted = { min_mm: low, max_mm: low + width };
        const crushed = { min_mm: crush, max_mm: crush + 0.02 };
        const away = (shims_mm: readonly number[]) =>
          Math.abs(float_mm - shims_mm.reduce((sum, one) => sum + one, 0) - (crush + 0.01) - (low + width / 2));
        const { choice_mm, float, verdict, notes } = shims({
          float_mm,
          fitted_mm: 0,
          wanted,
          crush: crushed,
          stock_mm,
          stack,
        });
        const best = Math.min(...stacksOf(stock_mm, stack).map(away));
        expect(away(choice_mm)).toBeCloseTo(best, 9);
        const fewest = Math.min(
          ...stacksOf(stock_mm, stack)
            .filter((one) => away(one) < best + 1e-9)
            .map(({ length }) => length),
        );
        expect(choice_mm).toHaveLength(fewest);
        expect(float.max_mm - float.min_mm).toBeCloseTo(0.02, 9);
        expect(notes.some(({ code }) => code === 'best-is-outside')).toBe(verdict !== 'inside');
      }),
      { numRuns: 150 },
    ));
  test('no shim is used that the drawer has not, nor one twice', () =>
    fc.assert(
      fc.property(input, ({ stock_mm, stack, float_mm, low, width }) => {
        const { choice_mm } = shims({
          float_mm,
          fitted_mm: 0,
          wanted: { min_mm: low, max_mm: low + width },
          stock_mm,
          stack,
        });
        const left = [...stock_mm];
        for (const one of choice_mm) {
          const at = left.indexOf(one);
          expect(at).toBeGreaterThanOrEqual(0);
          left.splice(at, 1);
        }
      }),
    ));
  test('what was in while it was read is counted once: thicker in, thicker out', () =>
    fc.assert(
      fc.property(micrometres(100, 400), (fitted_mm) => {
        const wanted = { min_mm: 0.05, max_mm: 0.15 };
        const stock_mm = [0.3, 0.4, 0.5, 0.6, 0.7];
        const bare = shims({ float_mm: 0.7, fitted_mm: 0, wanted, stock_mm });
        const shimmed = shims({ float_mm: 0.7 - fitted_mm, fitted_mm, wanted, stock_mm });
        expect(shimmed.choice_mm).toEqual(bare.choice_mm);
        expect(shimmed.float.min_mm).toBeCloseTo(bare.float.min_mm, 9);
      }),
    ));
});

describe('dials, rings and runout', () => {
  test('a dial that stood anywhere at the start reads the same float', () =>
    fc.assert(
      fc.property(
        fc.array(micrometres(0, 300), { minLength: 1, maxLength: 5 }),
        micrometres(-200, 200),
        (floats, zero) => {
          const from = (start: number) => endFloat(floats.map((float) => ({ push: start, pull: start + float })));
          expect(from(zero).mean_mm).toBeCloseTo(from(0).mean_mm, 9);
          expect(from(zero).spread_mm).toBeCloseTo(Math.max(...floats) - Math.min(...floats), 9);
        },
      ),
    ));
  test('a ring filed by what is missing comes to the least gap exactly, and is then inside', () =>
    fc.assert(
      fc.property(micrometres(50, 400), micrometres(100, 300), (gap_mm, low) => {
        const wanted = { min_mm: low, max_mm: low + 0.1 };
        const { file_mm, verdict } = ringGap(70, gap_mm, wanted);
        expect(file_mm > 0).toBe(verdict === 'tight');
        if (file_mm > 0) expect(ringGap(70, gap_mm + file_mm, wanted)).toMatchObject({ verdict: 'inside' });
      }),
    ));
  test('a gap by the bore grows with the bore', () => {
    const gaps = [60, 70, 80].map((bore_mm) => ringGap(bore_mm, 0.3, { perBore: [0.0035, 0.005] }).wanted.min_mm);
    expect(gaps.map((gap) => Number(gap.toFixed(3)))).toEqual([0.21, 0.245, 0.28]);
  });
  test.each([
    [[0.005, 0.0035], 'bad-field'],
    [[0, 0.004], 'bad-field'],
    [[-0.001, 0.004], 'bad-field'],
  ] as const)('shares of %j are refused', (perBore, code) =>
    expect(codeOf(() => ringGap(70, 0.2, { perBore }))).toBe(code),
  );
  test('the full indicator reading does not care where the dial was set', () =>
    fc.assert(
      fc.property(micrometres(-100, 100), micrometres(0, 100), micrometres(-500, 500), (low, over, zero) => {
        const a = runout(low + over, low);
        const b = runout(low + over + zero, low + zero);
        expect(a.fullIndicatorReading_mm).toBeCloseTo(b.fullIndicatorReading_mm, 9);
        expect(a.eccentricity_mm * 2).toBeCloseTo(a.fullIndicatorReading_mm, 12);
      }),
    ));
});

describe('volumes', () => {
  const make = fc.record({
    bore: fc.integer({ min: 40, max: 120 }),
    stroke: fc.integer({ min: 40, max: 140 }),
    cylinders: fc.integer({ min: 1, max: 12 }),
  });
  test('twice the cylinders, twice the engine; twice the bore, four times', () =>
    fc.assert(
      fc.property(make, ({ bore, stroke, cylinders }) => {
        const one = displacement(bore, stroke, cylinders).total_cc;
        expect(displacement(bore, stroke, cylinders * 2).total_cc / one).toBeCloseTo(2, 9);
        expect(displacement(bore * 2, stroke, cylinders).total_cc / one).toBeCloseTo(4, 9);
        expect(displacement(bore, stroke, cylinders, 0).total_cc).toBeCloseTo(one, 9);
      }),
    ));
  test('an overbore adds what a ring of that width holds', () => {
    const { total_cc, standard_cc } = displacement(80, 100, 4, 1);
    expect(total_cc - (standard_cc ?? NaN)).toBeCloseTo((4 * Math.PI * (81 ** 2 - 80 ** 2) * 100) / 4000, 9);
  });
  test('one litre is 61.02 cubic inches', () => {
    const { total_cc, total_cuin } = displacement(75, 90, 4);
    expect((total_cuin / total_cc) * 1000).toBeCloseTo(61.0237, 4);
  });
  test('a thicker gasket lowers the ratio, a skimmed head raises it, a dish lowers it', () => {
    const base = {
      bore_mm: 75,
      stroke_mm: 90,
      chamber_cc: 55,
      gasket: { bore_mm: 77, thickness_mm: 1.2 },
      deck_mm: 0.3,
      crown_cc: 0,
    };
    const { ratio, swept_cc, clearance_cc } = compression(base);
    expect(ratio).toBeCloseTo((swept_cc + clearance_cc) / clearance_cc, 12);
    expect(compression({ ...base, gasket: { bore_mm: 77, thickness_mm: 1.6 } }).ratio).toBeLessThan(ratio);
    expect(compression({ ...base, chamber_cc: 52 }).ratio).toBeGreaterThan(ratio);
    expect(compression({ ...base, crown_cc: 6 }).ratio).toBeLessThan(ratio);
    expect(compression({ ...base, crown_cc: -6 }).ratio).toBeGreaterThan(ratio);
    expect(compression({ ...base, deck_mm: -0.3 }).ratio).toBeGreaterThan(ratio);
  });
});

describe('weights, sizes and turns', () => {
  const grams = fc.integer({ min: 1000, max: 6000 }).map((tenths) => tenths / 10);
  test('what is taken off leaves every rod alike at either end, and never adds', () =>
    fc.assert(
      fc.property(fc.array(fc.record({ big_g: grams, small_g: grams }), { minLength: 1, maxLength: 8 }), (rods) => {
        const { target, remove, alreadyMatched } = matchRods(rods, 1);
        rods.forEach(({ big_g, small_g }, i) => {
          expect(big_g - (remove[i]?.big_g ?? NaN)).toBeCloseTo(target.big_g, 9);
          expect(small_g - (remove[i]?.small_g ?? NaN)).toBeCloseTo(target.small_g, 9);
          expect(Math.min(remove[i]?.big_g ?? -1, remove[i]?.small_g ?? -1)).toBeGreaterThanOrEqual(0);
        });
        expect(alreadyMatched).toBe(remove.every(({ big_g, small_g }) => big_g <= 1 + 1e-9 && small_g <= 1 + 1e-9));
      }),
    ));
  test('pieces down to the lightest, which loses nothing', () =>
    fc.assert(
      fc.property(fc.array(grams, { minLength: 1, maxLength: 12 }), (pieces) => {
        const { target, remove } = matchPieces(pieces, 0.5);
        expect(target).toBe(Math.min(...pieces));
        expect(remove[pieces.indexOf(target)]).toBe(0);
      }),
    ));
  test('a shaft ground to any step finds that step, a housing bored to it likewise', () =>
    fc.assert(
      fc.property(fc.constantFrom(0, 0.25, 0.5, 0.75, 1), micrometres(-9, 9), (step, off) => {
        const steps = [0.25, 0.5, 0.75, 1];
        const journal = bearingSize(50 - step + off, 50, steps, 'journal', 0.01);
        const housing = bearingSize(60 + step + off, 60, steps, 'housing', 0.01);
        expect([journal.step_mm, housing.step_mm]).toEqual([step, step]);
        expect(Math.abs(journal.off_mm)).toBeCloseTo(Math.abs(off), 9);
      }),
    ));
  test('half way between two steps is neither', () =>
    expect(codeOf(() => bearingSize(49.625, 50, [0.25, 0.5], 'journal', 0.02))).toBe('between-sizes'));
  test('a part and a gauge of one metal at one temperature need no bringing; the hotter part is the smaller at 20 °C', () =>
    fc.assert(
      fc.property(fc.integer({ min: -5, max: 60 }), (at_C) => {
        expect(at20C(100, 11.5, at_C, 11.5)).toBeCloseTo(100, 9);
        expect(Math.sign(100 - at20C(100, 23, at_C))).toBe(Math.sign(at_C - 20));
      }),
    ));
  test('a balancing report: all of it gone, none, more than there was', () => {
    const [gone, none, grown] = balanced([
      { name: 'a', before_gmm: 200, after_gmm: 0, allowed_gmm: 10 },
      { name: 'b', before_gmm: 0, after_gmm: 0 },
      { name: 'c', before_gmm: 50, after_gmm: 100, allowed_gmm: 60 },
    ]);
    expect([gone?.removed, gone?.verdict, none?.removed, none?.verdict, grown?.removed, grown?.verdict]).toEqual([
      1,
      'inside',
      0,
      undefined,
      -1,
      'out',
    ]);
    expect(imbalance_gmm(1, 'oz·in')).toBeCloseTo(720.078, 3);
  });
});

describe('ring gaps round a piston', () => {
  const turn = fc.integer({ min: 0, max: 359 });
  test('turning the whole set changes nothing between the rings', () =>
    fc.assert(
      fc.property(fc.array(turn, { minLength: 2, maxLength: 4 }), turn, (gaps, by) => {
        const marks = (shift: number) =>
          gaps.map((deg, i) => ({ name: `Ring ${i + 1}`, at_deg: (deg + shift) % 360, kind: 'gap' as const }));
        const codes = (shift: number) => clockingDoubts({ marks: marks(shift) }).map(({ code }) => code);
        expect(codes(by)).toEqual(codes(0));
      }),
    ));
  test('the angle between two is the same either way, and at most half a turn', () =>
    fc.assert(
      fc.property(turn, turn, (a, b) => {
        expect(angleBetween(a, b)).toBe(angleBetween(b, a));
        expect(angleBetween(a, b)).toBeLessThanOrEqual(180);
        expect(angleBetween(a, a + 360)).toBe(0);
      }),
    ));
  test('three rings spread evenly, set clear of the pin and the thrust side, raise no doubt', () =>
    expect(clockingDoubts({ marks: evenClocking(['Top', 'Second', 'Oil'], 50), pin_deg: 90, thrust_deg: 0 })).toEqual(
      [],
    ));
  test('an expander’s ends may lie together, not one over the other, and not beneath a gap', () => {
    const expander = (at_deg: number, name: string) => ({ name, at_deg, kind: 'expander' as const });
    const gap = { name: 'Oil ring', at_deg: 100, kind: 'gap' as const };
    const codes = (marks: Parameters<typeof clockingDoubts>[0]['marks']) =>
      clockingDoubts({ marks }).map(({ code }) => code);
    expect(codes([expander(0, 'one end'), expander(2, 'the other')])).toEqual([]);
    expect(codes([expander(0, 'one end'), expander(0.5, 'the other')])).toEqual(['expander-overlaps']);
    expect(codes([gap, expander(110, 'one end')])).toEqual(['gaps-together']);
  });
});
