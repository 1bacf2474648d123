import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { compression, displacement } from '@/core/fits';
import type { WorkingLine } from '@/core/joint';
import { workingOfBearings, workingOfVolumes, workingOfWeights } from '@/features/measures/measure-working';
import { codeOf } from '../core/code-of';

const told = { size: (mm: number) => `${mm.toFixed(3)} mm`, gap: (mm: number) => `${mm.toFixed(3)} mm` };
const line = (lines: readonly WorkingLine[] | undefined, formula: RegExp) => {
  const found = lines?.find((one) => formula.test(one.formula));
  if (!found) throw new Error(`no line ${formula.source}`);
  return found.figures;
};
const values = (figures: WorkingLine['figures']) =>
  figures.flatMap((piece) => (typeof piece === 'string' ? [] : [piece.value]));

describe('volumes by pencil', () => {
  const given = fc.record({
    bore_mm: fc.integer({ min: 400, max: 1200 }).map((tenths) => tenths / 10),
    overbore_mm: fc.constantFrom(0, 0.5, 1.524),
    stroke_mm: fc.integer({ min: 400, max: 1400 }).map((tenths) => tenths / 10),
    cylinders: fc.integer({ min: 1, max: 12 }),
    deck_mm: fc.constantFrom(-0.4, 0, 0.5),
    crown_cc: fc.constantFrom(-6, 0, 4),
  });
  test('every line’s figures give what the line ends with', () =>
    fc.assert(
      fc.property(given, ({ bore_mm, overbore_mm, stroke_mm, cylinders, deck_mm, crown_cc }) => {
        const above = { chamber_cc: 90, gasket: { bore_mm: bore_mm + 3, thickness_mm: 1.4 }, deck_mm, crown_cc };
        const { lines } = workingOfVolumes({ bore_mm, overbore_mm, stroke_mm, cylinders, above });
        const [bore = NaN, over = NaN, stroke = NaN, swept = NaN] = values(line(lines, /^swept/));
        expect(((Math.PI / 4) * (bore + over) ** 2 * stroke) / 1000).toBeCloseTo(swept, 9);
        expect(swept).toBeCloseTo(displacement(bore_mm, stroke_mm, cylinders, overbore_mm).swept_cc, 9);
        const [one = NaN, count = NaN, all = NaN, inches = NaN] = values(line(lines, /^in all/));
        expect(one * count).toBeCloseTo(all, 6);
        expect(all / 16.387064).toBeCloseTo(inches, 6);
        const [hole = NaN, thick = NaN, gasket = NaN] = values(line(lines, /^gasket/));
        expect(((Math.PI / 4) * hole ** 2 * thick) / 1000).toBeCloseTo(gasket, 9);
        const [bored = NaN, below = NaN, deck = NaN] = values(line(lines, /^deck/));
        expect(((Math.PI / 4) * bored ** 2 * below) / 1000).toBeCloseTo(deck, 9);
        const left = values(line(lines, /^left/));
        expect(left.slice(0, 4).reduce((sum, value) => sum + value, 0)).toBeCloseTo(left[4] ?? NaN, 2);
        const [up = NaN, remains = NaN, under = NaN, ratio = NaN] = values(line(lines, /^ratio/));
        expect((up + remains) / under).toBeCloseTo(ratio, 9);
        expect(ratio).toBeCloseTo(compression({ bore_mm: bored, stroke_mm, ...above }).ratio, 9);
      }),
    ));
  test('without what lies above the piston there is no ratio, and nothing is made up', () => {
    const { lines } = workingOfVolumes({ bore_mm: 75, overbore_mm: 0, stroke_mm: 90, cylinders: 4 });
    expect(lines?.map(({ formula }) => formula.split(' ')[0])).toEqual(['swept', 'in']);
  });
  test('a piston that would meet the head is refused', () =>
    expect(
      codeOf(() =>
        workingOfVolumes({
          bore_mm: 75,
          overbore_mm: 0,
          stroke_mm: 90,
          cylinders: 4,
          above: { chamber_cc: 5, gasket: { bore_mm: 77, thickness_mm: 1 }, deck_mm: -3, crown_cc: 0 },
        }),
      ),
    ).toBe('bad-field'));
});

describe('which shell', () => {
  test('the journal by how much it is under, the housing by how much it is over', () => {
    const { lines } = workingOfBearings(
      { standard_mm: 51.054, measured_mm: 50.8, step_mm: 0.254 },
      { standard_mm: 54.61, measured_mm: 54.612, step_mm: 0 },
      told,
    );
    expect(line(lines, /^journal/)).toEqual(['51.054 mm − 50.800 mm = 0.254 mm: the 0.254 mm size']);
    expect(line(lines, /^housing/)).toEqual(['54.612 mm − 54.610 mm = 0.002 mm: standard']);
  });
  test('between sizes is said, and so is what is still to be measured', () => {
    const { lines } = workingOfBearings({ standard_mm: 51, measured_mm: 50.9 }, undefined, told);
    expect(line(lines, /^journal/)).toEqual(['51.000 mm − 50.900 mm = 0.100 mm: between sizes']);
    expect(line(lines, /^housing/)).toEqual(['to the nearest step on sale']);
  });
});

describe('down to the lightest', () => {
  const most = (figures: WorkingLine['figures']) => values(figures);
  test('each end by itself, the heaviest against the lightest', () => {
    const { lines } = workingOfWeights(
      [
        { big_g: 412, small_g: 171 },
        { big_g: 415, small_g: 170 },
      ],
      [],
    );
    expect([most(line(lines, /^big ends/)), most(line(lines, /^small ends/))]).toEqual([
      [415, 412, 3],
      [171, 170, 1],
    ]);
  });
  test('whole pieces', () =>
    expect(most(line(workingOfWeights([], [381, 380.5, 382]).lines, /^pieces/))).toEqual([382, 380.5, 1.5]));
  test('nothing weighed yet: the rule alone', () => expect(workingOfWeights([], []).lines).toHaveLength(1));
});
