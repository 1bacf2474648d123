import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  CHANGES,
  CONDITIONS,
  FIT_KINDS,
  PARTS,
  REMEDIES,
  angleBetween,
  assertWanted,
  at20C,
  balanced,
  cellGroups,
  clockingDoubts,
  dialDoubts,
  evenClocking,
  feelerDoubts,
  imbalance_gmm,
  isVoidedBy,
  placesOf,
  readReading,
  readingDoubts,
  ruleLimits,
  runout,
  sizeAt20C,
  unmetCondition,
  wantedFigures,
  type ChangeId,
} from '@/core/fits';
import { READING_UNITS_MM, type ReadingUnit } from '@/core/units';
import { codeOf } from '../code-of';

describe('a reading as typed', () => {
  test.each([
    ['50.012', 'mm', undefined, 50.012],
    ['50,012', 'mm', undefined, 50.012],
    ['1.9685', 'in', undefined, 49.9999],
    ['38', 'µm', undefined, 0.038],
    ['1.5', 'thou', undefined, 0.0381],
    ['15', '0.0001 in', undefined, 0.0381],
    ['+0.012', 'mm', 50, 50.012],
    ['−3', '0.0001 in', 50.8, 50.79238],
    ['-3', '0.0001 in', 50.8, 50.79238],
    ['.5', 'mm', undefined, 0.5],
    ['1.5 thou', 'mm', undefined, 0.0381],
    ['0.002 in', 'mm', undefined, 0.0508],
  ] as const)('%s in %s from %s is %s mm', (typed, unit, standard_mm, mm) => {
    expect(Number(readReading({ typed, unit, standard_mm }).toFixed(5))).toBe(Number(mm.toFixed(5)));
  });
  test('a dial may stand at or below nothing; a size may not', () => {
    expect(readReading({ typed: '-0.02', unit: 'mm', signed: true })).toBe(-0.02);
    expect(readReading({ typed: '0', unit: 'mm', signed: true })).toBe(0);
    expect(codeOf(() => readReading({ typed: '-0.02', unit: 'mm' }))).toBe('bad-field');
    expect(codeOf(() => readReading({ typed: '0', unit: 'mm' }))).toBe('bad-field');
  });
  test.each([
    ['', 'bad-field'],
    ['0.1 to 0.2 mm', 'bad-field'],
    ['abc', 'no-number'],
    ['12 furlongs', 'unknown-unit'],
    ['99999', 'bad-field'],
  ])('“%s” is refused', (typed, code) => {
    expect(codeOf(() => readReading({ typed, unit: 'mm' }))).toBe(code);
  });
  test('whatever the unit, it comes back', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...(Object.keys(READING_UNITS_MM) as ReadingUnit[])),
        fc.integer({ min: 1, max: 99_999 }),
        (unit, n) => {
          expect(readReading({ typed: String(n / 1000), unit }) / READING_UNITS_MM[unit]).toBeCloseTo(n / 1000, 9);
        },
      ),
    );
  });
  test('part and gauge each brought to 20 °C; at one temperature it is the op’s own figure', () => {
    expect(sizeAt20C(50, { expansion: 11.5, at_C: 20 }, { expansion: 11.5, at_C: 20 })).toBe(50);
    expect(sizeAt20C(50, { expansion: 23, at_C: 30 }, { expansion: 11.5, at_C: 30 })).toBeCloseTo(
      at20C(50, 23, 30, 11.5),
      12,
    );
    expect(sizeAt20C(100, { expansion: 23, at_C: 30 }, { expansion: 11.5, at_C: 20 })).toBeCloseTo(99.977, 3);
  });
});

describe('what is doubtful as it is typed', () => {
  const codes = (notes: readonly { readonly code: string }[]) => notes.map(({ code }) => code);
  test.each([
    [5.0012, 'slipped-zero'],
    [500.12, 'slipped-zero'],
    [1270.3, 'unit-slip'],
    [1.969, 'unit-slip'],
    [0.05, 'unit-slip'],
    [50_012, 'unit-slip'],
    [52, 'far-off'],
    [50.02, undefined],
  ])('%s mm where 50.012 is expected: %s', (value_mm, code) => {
    const found = readingDoubts({ part: 'journal', value_mm, others_mm: [50.011, 50.012, 50.013] });
    expect(codes(found)).toEqual(code ? [code] : []);
    for (const { message } of found) expect(message).toMatch(/^[\d.]+ mm .*\.$/);
  });
  test('what was read of the same part goes before what it should be about', () => {
    expect(codes(readingDoubts({ part: 'journal', value_mm: 49.5, nominal_mm: 50.8, others_mm: [49.49] }))).toEqual([]);
    expect(codes(readingDoubts({ part: 'journal', value_mm: 49.5, nominal_mm: 50.8 }))).toEqual(['far-off']);
  });
  test('a journal that is no smaller than its bore, either way round', () => {
    expect(codes(readingDoubts({ part: 'journal', value_mm: 50.03, opposite_mm: 50.02, mustBe: 'smaller' }))).toEqual([
      'journal-over-bore',
    ]);
    expect(codes(readingDoubts({ part: 'bore', value_mm: 50, opposite_mm: 50.02, mustBe: 'larger' }))).toEqual([
      'journal-over-bore',
    ]);
    expect(codes(readingDoubts({ part: 'bore', value_mm: 50.05, opposite_mm: 50.02, mustBe: 'larger' }))).toEqual([]);
  });
  test.each([
    [11, { min_mm: 0.25, max_mm: 0.35 }, 'thou-as-mm'],
    [0.3, { min_mm: 0.25, max_mm: 0.35 }, undefined],
    [3, { min_mm: 0.25, max_mm: 0.35 }, 'slipped-zero'],
    [0.0076, { min_mm: 0.25, max_mm: 0.35 }, 'mm-as-thou'],
    [90, { min_mm: 0.25, max_mm: 0.35 }, 'far-off'],
    [0.4, { min_mm: 0.25, max_mm: 0.35 }, undefined],
  ] as const)('a gap of %s mm against %j: %s', (value_mm, limits, code) => {
    expect(codes(readingDoubts({ part: 'length', value_mm, limits }))).toEqual(code ? [code] : []);
  });
  test('a dial says nothing by its size', () =>
    expect(readingDoubts({ part: 'push', value_mm: 12, others_mm: [1], limits: { min_mm: 0, max_mm: 1 } })).toEqual(
      [],
    ));
  test('two leaves together, and leaves that were not tried', () => {
    expect(codes(feelerDoubts(0.23, undefined))).toEqual(['two-leaves']);
    expect(codes(feelerDoubts(0.2, 0.25))).toEqual([]);
    expect(codes(feelerDoubts(0.2, 0.4))).toEqual(['untried-leaves']);
    expect(codes(feelerDoubts(6 * 0.0254, 7 * 0.0254))).toEqual([]);
  });
  test('a dial that did not come back, or was pushed and pulled the wrong way round', () => {
    expect(codes(dialDoubts(0, 0.12, 0.01))).toEqual([]);
    expect(codes(dialDoubts(0, 0.12, 0.05))).toEqual(['no-return']);
    expect(codes(dialDoubts(0.12, 0, undefined))).toEqual(['pull-below-push']);
    expect(dialDoubts(undefined, 0.1, 3)).toEqual([]);
  });
});

describe('what is wanted', () => {
  test('a rule keeps its floor and its order', () => {
    expect(ruleLimits({ perDiameter: [0.00075, 0.001], floor_mm: 0.025 }, 20)).toEqual({
      min_mm: 0.025,
      max_mm: expect.closeTo(0.03, 12) as unknown,
    });
    expect(ruleLimits({ perDiameter: [0.00075, 0.001] }, 50)).toEqual({ min_mm: 0.0375, max_mm: 0.05 });
    expect(codeOf(() => ruleLimits({ perDiameter: [0.002, 0.001] }, 50))).toBe('bad-field');
  });
  test.each([
    [{ limits: { min_mm: 2, max_mm: 1 } }, 'limits.min_mm'],
    [{ limits: { min_mm: 0.03, max_mm: 0.06 }, target_mm: 0.07 }, 'target_mm'],
    [{ limits: { min_mm: 0.03, max_mm: 0.06 }, soft: { min_mm: 0.02, max_mm: 0.05 } }, 'soft'],
    [{ soft: { min_mm: 2, max_mm: 1 } }, 'soft.min_mm'],
  ])('%j is refused at %s', (wanted, field) => {
    let at: string | undefined;
    try {
      assertWanted(wanted);
    } catch (error) {
      at = (error as { field?: string }).field;
    }
    expect(at).toBe(field);
  });
  test('a rule without a diameter wants nothing yet', () => {
    expect(wantedFigures({ rule: { perDiameter: [0.001, 0.002] } })).toBeUndefined();
    expect(wantedFigures({})).toBeUndefined();
  });
});

describe('conditions, changes and remedies', () => {
  test('a loosened cap takes the bore with it and leaves the journal', () => {
    expect(isVoidedBy('cap-loosened', 'bore', ['cap-final', 'final-bolts'])).toBe(true);
    expect(isVoidedBy('cap-loosened', 'journal', [])).toBe(false);
    expect(isVoidedBy('bore-cut', 'bore', [])).toBe(true);
    expect(isVoidedBy('shaft-turned', 'strip', ['shaft-still'])).toBe(true);
    expect(isVoidedBy('bolts-changed', 'bore', ['cap-final'])).toBe(false);
  });
  test('a condition that is broken goes before one that is unsaid', () => {
    expect(unmetCondition(['cap-final', 'dry'], { 'cap-final': 'yes', dry: 'yes' })).toBeUndefined();
    expect(unmetCondition(['cap-final', 'dry'], { dry: 'no' })).toMatch(/although it does not hold that clean and dry/);
    expect(unmetCondition(['cap-final'], {})).toMatch(/^Not said whether the cap/);
    expect(unmetCondition([], {})).toBeUndefined();
  });
  test('every kind is whole: its conditions are known and touched by a change, its remedies reopen something it reads', () => {
    const changes = Object.keys(CHANGES) as ChangeId[];
    for (const kind of FIT_KINDS) {
      const { shape } = kind;
      const methods = shape === 'pair' ? (['micrometer', 'strip'] as const) : (['dial', 'feelers', 'length'] as const);
      const asked = new Set(
        cellGroups({ kind, methods, stations: kind.stations, angles: kind.angles })
          .flat()
          .map(({ part }) => part),
      );
      expect(asked.size).toBeGreaterThan(0);
      for (const condition of Object.values(kind.conditions).flat()) expect(CONDITIONS).toHaveProperty(condition);
      for (const remedy of kind.remedies) expect(REMEDIES[remedy].reopens.some((part) => asked.has(part))).toBe(true);
      for (const part of asked)
        expect(changes.some((change) => isVoidedBy(change, part, kind.conditions[part] ?? []))).toBe(true);
    }
    expect(new Set(FIT_KINDS.map(({ id }) => id)).size).toBe(FIT_KINDS.length);
    expect(REMEDIES.replace.reopens).toEqual(PARTS);
  });
  test('the places of an engine', () => {
    const make = { cylinders: 2, mains: 3, rings: 3, valves: 4 };
    expect(placesOf('mains', make)).toEqual(['1', '2', '3']);
    expect(placesOf('rings', make)).toHaveLength(6);
    expect(placesOf('rings', make)[4]).toBe('Bore 2, ring 2');
    expect([placesOf('valves', make).length, placesOf('cylinders', make).length, placesOf('one', make).length]).toEqual(
      [4, 2, 1],
    );
  });
});

describe('runout, clocking, balance', () => {
  test('the full reading is twice the eccentricity', () => {
    expect(runout(0.03, -0.01)).toEqual({ fullIndicatorReading_mm: 0.04, eccentricity_mm: 0.02 });
    expect(codeOf(() => runout(0, 1))).toBe('bad-field');
    expect(codeOf(() => runout(Number.NaN, 1))).toBe('bad-field');
  });
  test('the angle between two directions goes the short way round', () => {
    expect([angleBetween(350, 10), angleBetween(0, 180), angleBetween(-30, 330), angleBetween(90, 450)]).toEqual([
      20, 180, 0, 0,
    ]);
  });
  const codes = (input: Parameters<typeof clockingDoubts>[0]) => clockingDoubts(input).map(({ code }) => code);
  test('gaps that stand together, on the pin or on the thrust side', () => {
    const gap = (name: string, at_deg: number) => ({ name, at_deg, kind: 'gap' as const });
    expect(codes({ marks: evenClocking(['a', 'b', 'c'], 30), pin_deg: 0, thrust_deg: 90 })).toEqual([]);
    expect(codes({ marks: [gap('a', 0), gap('b', 40)] })).toEqual(['gaps-together']);
    expect(codes({ marks: [gap('a', 185)], pin_deg: 0 })).toEqual(['gap-on-pin']);
    expect(codes({ marks: [gap('a', 100)], thrust_deg: 90 })).toEqual(['gap-on-thrust']);
    expect(codes({ marks: [gap('a', 100), { name: 'end', at_deg: 105, kind: 'expander' }] })).toEqual([
      'gaps-together',
    ]);
    expect(
      codes({
        marks: [
          { name: 'e1', at_deg: 5, kind: 'expander' },
          { name: 'e2', at_deg: 5, kind: 'expander' },
        ],
      }),
    ).toEqual(['expander-overlaps']);
  });
  test('evenly spread gaps are as far apart as can be', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 5 }), fc.integer({ min: 0, max: 359 }), (rings, first) => {
        const marks = evenClocking(
          Array.from({ length: rings }, (_, i) => `${i}`),
          first,
        );
        const least = Math.min(
          ...marks.flatMap((a, i) => marks.slice(i + 1).map((b) => angleBetween(a.at_deg, b.at_deg))),
        );
        expect(least).toBeCloseTo(360 / rings, 6);
      }),
    );
  });
  test('a balancing report, plane by plane; oz·in by its definition', () => {
    expect(balanced([{ name: 'front', before_gmm: 300, after_gmm: 30, allowed_gmm: 60 }])).toEqual([
      { name: 'front', before_gmm: 300, after_gmm: 30, allowed_gmm: 60, removed: 0.9, verdict: 'inside' },
    ]);
    expect(balanced([{ name: 'rear', before_gmm: 50, after_gmm: 100, allowed_gmm: 60 }])[0]).toMatchObject({
      removed: -1,
      verdict: 'out',
    });
    expect(balanced([{ name: 'rear', before_gmm: 0, after_gmm: 0 }])[0]).not.toHaveProperty('verdict');
    expect(codeOf(() => balanced([{ name: 'x', before_gmm: -1, after_gmm: 0 }]))).toBe('bad-field');
    expect(imbalance_gmm(1, 'oz·in')).toBeCloseTo(720.0779, 4);
    expect(imbalance_gmm(2, 'g·cm')).toBe(20);
  });
});
