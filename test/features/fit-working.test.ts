import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { WorkingLine } from '@/core/joint';
import type { Fit, FitLine, ReadingBody, ReadingLine } from '@/model/fit/fit';
import { fitState, worstFirst } from '@/model/fit/fit-state';
import { worstPlaceOf, type FitState } from '@/model/fit/place-state';
import { workingOfShims, type Told } from '@/features/fits/figure-working';
import { workingOfPlace } from '@/features/fits/fit-working';
import { fitsPage } from '@/features/fits/queries';
import { fitsOfEngine, stateNamed, yardShop } from '../db/temporary-shop';

const told: Told = {
  small: (mm) => mm.toFixed(3),
  gap: (mm) => `${mm.toFixed(3)} mm`,
  size: (mm) => `${mm.toFixed(3)} mm`,
  span: (low, high) => `${low.toFixed(3)} to ${high.toFixed(3)} mm`,
};
const BODY: ReadingBody = { unit: 'mm', instrument: 'Micrometer', resolution_mm: 0.001, answers: {} };
const AT = '2026-05-01T09:00:00.000Z';

const fitOf = (part: Partial<Fit>): Fit => ({
  id: 'fit',
  engineId: 'engine',
  kind: 'own-pair',
  name: 'Pump',
  places: ['1'],
  methods: ['micrometer'],
  stations: 1,
  angles: 2,
  jointId: null,
  leafId: null,
  holds: [],
  wanted: { limits: { min_mm: 0.02, max_mm: 0.06 } },
  detail: {},
  version: 1,
  createdAt: AT,
  ...part,
});
let n = 0;
const reading = (
  part: ReadingLine['part'],
  value_mm: number,
  cell: { station?: number; angle?: number } = {},
  body: Partial<ReadingBody> = {},
): FitLine => ({
  id: `line-${n++}`,
  kind: 'reading',
  place: 0,
  part,
  station: 0,
  angle: 0,
  value_mm,
  typed: String(value_mm),
  at: AT,
  body: { ...BODY, ...body },
  ...cell,
});
const work = (fit: Fit, lines: readonly FitLine[], context: Parameters<typeof fitState>[2] = { rounds: [] }) => {
  const standing = fitState(fit, lines, context);
  const [place] = standing.places;
  if (!place) throw new Error('no place');
  return { standing, place, working: workingOfPlace(standing, place, told) };
};
const text = ({ figures }: WorkingLine) =>
  figures.map((piece) => (typeof piece === 'string' ? piece : String(piece.value))).join('');
const lineOf = (lines: readonly WorkingLine[] | undefined, formula: RegExp) => {
  const found = lines?.find((line) => formula.test(line.formula));
  if (!found) throw new Error(`no line ${formula.source}`);
  return text(found);
};
const numbers = (words: string) => [...words.matchAll(/\d+(?:\.\d+)?/g)].map(([digits]) => Number(digits));
const remark = (working: ReturnType<typeof work>['working'], label: string) =>
  working.remarks?.find(([name]) => name === label)?.[1];

describe('the margin of a fit can be followed with a pencil', () => {
  const micrometre = fc.integer({ min: 0, max: 20 });
  const sizes = fc.tuple(micrometre, micrometre, micrometre, micrometre);
  test('min and max are the differences it prints, whatever was read', () =>
    fc.assert(
      fc.property(sizes, ([a, b, c, d]) => {
        const { working, place } = work(fitOf({}), [
          reading('journal', 44.95 + a / 1000),
          reading('journal', 44.95 + b / 1000, { angle: 1 }),
          reading('bore', 45 + c / 1000),
          reading('bore', 45 + d / 1000, { angle: 1 }),
        ]);
        for (const [formula, figure] of [
          [/^min = /, place.result.figures[0]?.least_mm],
          [/^max = /, place.result.figures[0]?.greatest_mm],
        ] as const) {
          const [bore = NaN, journal = NaN, ends = NaN] = numbers(lineOf(working.lines, formula));
          expect(bore - journal).toBeCloseTo(ends, 9);
          expect(ends).toBeCloseTo(figure ?? NaN, 9);
        }
      }),
    ));
  test('a press fit names its sides the other way round', () => {
    const { working } = work(
      fitOf({ kind: 'press-fit', wanted: { limits: { min_mm: 0.02, max_mm: 0.05 } }, stations: 1, angles: 1 }),
      [reading('journal', 20.03), reading('bore', 20)],
    );
    expect(lineOf(working.lines, /^min = least shaft − greatest housing$/)).toBe('20.030 mm − 20.000 mm = 0.030 mm');
    expect(working.remarks?.find(([label]) => label === 'Stands')?.[1]).toBe('inside');
  });
  test('a rule is put with its shares, its diameter and its floor', () => {
    const { working } = work(
      fitOf({ wanted: { rule: { perDiameter: [0.00075, 0.001], floor_mm: 0.025 } }, angles: 1 }),
      [reading('journal', 45), reading('bore', 45.04)],
    );
    expect(lineOf(working.lines, /^wanted: share × diameter, not under 0.025 to 0.025 mm$/)).toBe(
      '0.00075 to 0.001 × 45.000 mm = 0.034 to 0.045 mm',
    );
    expect(remark(working, 'Wanted from')).toBe('a rule on the measured diameter');
    expect(remark(working, 'Reason')).toMatch(/rule/);
  });
  test('a page’s limits go first, and the rule is told beside them', () => {
    const { working } = work(
      fitOf({ angles: 1, wanted: { limits: { min_mm: 0.03, max_mm: 0.06 }, rule: { perDiameter: [0.001, 0.0015] } } }),
      [reading('journal', 45), reading('bore', 45.04)],
      {
        rounds: [],
        page: {
          says: 'Manual, p. 12: “0.03 to 0.06 mm”',
          corrected: { leafId: 'x', says: 'Manual, p. 12: “0.04 to 0.07 mm”' },
        },
      },
    );
    expect(lineOf(working.lines, /^wanted$/)).toBe('0.030 to 0.060 mm');
    expect(lineOf(working.lines, /^the rule would say/)).toContain('0.045 to 0.068 mm');
    expect([remark(working, 'Wanted from'), remark(working, 'Corrected since')]).toEqual([
      'Manual, p. 12: “0.03 to 0.06 mm”',
      'Manual, p. 12: “0.04 to 0.07 mm”',
    ]);
  });
  test('the doubt is that of both instruments, and another shop’s reading is said to be theirs', () => {
    const { working } = work(fitOf({ angles: 1 }), [
      reading('journal', 45, {}, { resolution_mm: 0.01, reportedBy: 'the grinder' }),
      reading('bore', 45.04),
    ]);
    expect(remark(working, 'Uncertainty')).toBe(
      '√(r1² + r2²) of what the two readings are read to = 0.010 mm either way',
    );
    expect(remark(working, 'Reported by')).toBe('the grinder');
  });
  test('a dial: the mean with its spread; a gasket’s crush as most and least', () => {
    const float = fitOf({
      kind: 'crank-float',
      methods: ['dial'],
      stations: 2,
      angles: 1,
      wanted: { limits: { min_mm: 0.05, max_mm: 0.2 } },
    });
    const read = [0, 1].flatMap((station) => [
      reading('push', 0, { station }),
      reading('pull', 0.1 + station / 100, { station }),
      reading('zero', 0, { station }),
    ]);
    expect(lineOf(work(float, read).working.lines, /^float = pulled − pushed; their mean$/)).toBe(
      '0.100 − 0.000; 0.110 − 0.000; mean 0.105 mm, spread 0.010 mm',
    );
    const shimmed = {
      ...float,
      detail: { shim: { family: 'f', fitted_mm: 0.3, crush: { min_mm: 0.02, max_mm: 0.04 }, stack: 1 } },
    };
    expect(lineOf(work(shimmed, read).working.lines, /^less what the gasket loses/)).toBe(
      '0.105 − 0.040 = 0.065 mm; 0.105 − 0.020 = 0.085 mm',
    );
  });
  test('feelers are an interval; a runout is the full reading and its half', () => {
    const side = fitOf({
      kind: 'rod-side',
      methods: ['feelers'],
      angles: 1,
      wanted: { limits: { min_mm: 0.1, max_mm: 0.3 } },
    });
    expect(lineOf(work(side, [reading('goes', 0.15), reading('stops', 0.2)]).working.lines, /^between what goes/)).toBe(
      '0.150 to 0.200 mm',
    );
    const shaft = fitOf({
      kind: 'runout',
      methods: ['dial'],
      angles: 1,
      wanted: { limits: { min_mm: 0, max_mm: 0.05 } },
    });
    const { lines } = work(shaft, [reading('high', 0.03), reading('low', -0.01)]).working;
    const printed = ['0.030 − (-0.010) = 0.040 mm at most', '0.040 / 2 = 0.020 mm'];
    expect([lineOf(lines, /^full indicator/), lineOf(lines, /^eccentricity/)]).toEqual(printed);
    // Limits of the eccentricity judge its half; the drawing and the margin still tell which is which.
    const half = work({ ...shaft, wanted: { limits: { min_mm: 0, max_mm: 0.015 }, as: 'eccentricity' } }, [
      reading('high', 0.03),
      reading('low', -0.01),
    ]);
    expect([lineOf(half.working.lines, /^full indicator/), lineOf(half.working.lines, /^eccentricity/)]).toEqual(
      printed,
    );
    expect(half.place.state).toBe('loose');
  });
  test('a tight ring says how much comes off it, a ring inside says nothing of filing', () => {
    const gap = fitOf({
      kind: 'ring-gap',
      methods: ['length'],
      angles: 1,
      wanted: { limits: { min_mm: 0.25, max_mm: 0.4 } },
    });
    expect(lineOf(work(gap, [reading('length', 0.21)]).working.lines, /^to file/)).toBe(
      '0.250 − 0.210 = 0.040 mm, in this bore only',
    );
    expect(
      work(gap, [reading('length', 0.3)]).working.lines?.some(({ formula }) => formula.startsWith('to file')),
    ).toBe(false);
  });
  test('a choice of shims, at full and at least crush', () => {
    const choice = { choice_mm: [0.35], float: { min_mm: 0.117, max_mm: 0.137 }, verdict: 'loose' as const, notes: [] };
    const shim = { family: 'f', fitted_mm: 0.3, stack: 1 };
    const shimmed = {
      name: 'Cam',
      what: 'float',
      read_mm: 0.207,
      in_mm: 0.3,
      shim: { ...shim, crush: { min_mm: 0.02, max_mm: 0.04 } },
      choice,
    };
    const { lines } = workingOfShims(shimmed, told);
    expect([lineOf(lines, /full crush/), lineOf(lines, /least crush/)]).toEqual([
      '0.207 + 0.300 − 0.350 − 0.040 = 0.117 mm',
      '0.207 + 0.300 − 0.350 − 0.020 = 0.137 mm',
    ]);
    expect(lineOf(workingOfShims({ ...shimmed, shim }, told).lines, /^float = read/)).toBe(
      '0.207 + 0.300 − 0.350 = 0.157 mm',
    );
  });
  test('strip against micrometers: the difference of the means, and both named', () => {
    const both = fitOf({ kind: 'main-clearance', methods: ['micrometer', 'strip'], angles: 1 });
    const { working } = work(both, [
      reading('journal', 45),
      reading('bore', 45.04),
      reading('strip', 0.05),
      reading('strip', 0.06, { station: 1 }),
    ]);
    expect(lineOf(working.lines, /^strip − micrometers, means$/)).toBe('0.015 mm');
    expect(remark(working, 'Read by')).toBe('micrometers and crushed strip');
  });
  test('a plain length is read by its instrument', () => {
    const gap = fitOf({ kind: 'ring-gap', methods: ['length'], angles: 1 });
    expect(remark(work(gap, [reading('length', 0.3, {}, { instrument: 'Feelers' })]).working, 'Read by')).toBe(
      'feelers',
    );
    expect(remark(work(gap, [reading('length', 0.3, {}, { instrument: '' })]).working, 'Read by')).toBe('length');
  });
  test('while a strip lies in, the margin says what must not be done', () => {
    const lines: FitLine[] = [{ id: 'strip', kind: 'strip-in', place: 0, at: AT, body: {} }];
    expect(work(fitOf({ kind: 'main-clearance', methods: ['strip'] }), lines).working.caution).toBe(
      'A strip lies in: do not turn the crank.',
    );
  });
  test('nothing read and nothing wanted is said, not left empty', () => {
    const { working } = work(fitOf({ wanted: {} }), []);
    expect([remark(working, 'Wanted from'), remark(working, 'Read by'), remark(working, 'Stands')]).toEqual([
      'nothing yet',
      'nothing yet',
      'to be read',
    ]);
    expect(remark(working, 'Reason')).toBeUndefined();
  });
});

describe('every fit of the yard', () => {
  const shop = yardShop();
  const standings: FitState[] = shop.engines.all().flatMap(({ id }) => [...fitsOfEngine(shop, id)]);
  test.each(standings.map((standing) => [standing.fit.name, standing] as const))(
    '%s: a line for what is wanted, no figure that is none',
    (_, standing) => {
      for (const place of standing.places) {
        const working = workingOfPlace(standing, place, told);
        for (const line of working.lines ?? []) expect(text(line)).not.toMatch(/NaN|Infinity|undefined/);
        if (place.result.wanted) expect(working.lines?.some(({ formula }) => formula.startsWith('wanted'))).toBe(true);
        expect(remark(working, 'Stands')).not.toBe('');
      }
    },
  );
});

test.each(['demo-norrhem', 'demo-fourteen', 'demo-maestrale'])(
  'the list of fits of %s has the readings of its worst places alone, and works them out as the fit itself does',
  (engineId) => {
    const shop = yardShop();
    const state = stateNamed(shop, engineId);
    const { fits } = fitsPage(state);
    expect(fits.length).toBeGreaterThan(0);
    worstFirst(state.fits).forEach((whole, i) => {
      const one = fits[i] as FitState;
      const [worst, own] = [worstPlaceOf(one), worstPlaceOf(whole)];
      if (!worst || !own) throw new Error(`${whole.fit.name} has no place`);
      expect(workingOfPlace(one, worst, told)).toEqual(workingOfPlace(whole, own, told));
      expect(own.state).toBe(whole.state);
      const read = (judged: FitState) => judged.places.map(({ current }) => current.size);
      expect(read(one)).toEqual(whole.places.map((place) => (place === own ? place.current.size : 0)));
      expect({ ...one, places: one.places.map(({ result }) => result) }).toEqual({
        ...whole,
        places: whole.places.map(({ result }) => result),
      });
    });
    shop.close();
  },
);
