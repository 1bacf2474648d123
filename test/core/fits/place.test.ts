import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  cellGroups,
  cellKey,
  entryOrder,
  fitKind,
  judgeInterval,
  placeResult,
  worstVerdict,
  type Cell,
  type FitKind,
  type Method,
  type PlaceReading,
  type ReadingPlan,
  type Verdict,
  type Wanted,
} from '@/core/fits';

const kindNamed = (id: string): FitKind => {
  const kind = fitKind(id);
  if (!kind) throw new Error(`no kind ${id}`);
  return kind;
};
const planOf = (id: string, methods: readonly Method[], stations?: number, angles?: number): ReadingPlan => {
  const kind = kindNamed(id);
  return { kind, methods, stations: stations ?? kind.stations, angles: angles ?? kind.angles };
};
/** Readings of a plan's cells in their order. */
const filled = (plan: ReadingPlan, values: readonly number[], resolution_mm?: number): readonly PlaceReading[] =>
  cellGroups(plan)
    .flat()
    .flatMap((cell, i) => {
      const value_mm = values[i];
      return value_mm === undefined
        ? []
        : [{ ...cell, value_mm, ...(resolution_mm !== undefined && { resolution_mm }) }];
    });

const mains = planOf('main-clearance', ['micrometer']);
const limits = { min_mm: 0.03, max_mm: 0.06 };

describe('what is asked for', () => {
  test('five mains, two stations, two angles, journal and bore: forty cells, every journal before the first bore', () => {
    const order = entryOrder(mains, 5);
    expect(order).toHaveLength(40);
    expect(order.slice(0, 20).every(({ part }) => part === 'journal')).toBe(true);
    expect(order.slice(0, 5).map(({ place, station, angle }) => [place, station, angle])).toEqual([
      [0, 0, 0],
      [0, 0, 1],
      [0, 1, 0],
      [0, 1, 1],
      [1, 0, 0],
    ]);
    expect(new Set(order.map((cell) => `${cell.place} ${cellKey(cell)}`)).size).toBe(40);
  });
  test.each([
    ['main-clearance', ['micrometer', 'strip'], ['journal', 'bore', 'strip']],
    ['main-clearance', ['strip'], ['strip']],
    ['crank-float', ['dial'], ['push', 'pull', 'zero']],
    ['crank-float', ['feelers'], ['goes', 'stops']],
    ['rod-side', ['feelers'], ['goes', 'stops']],
    ['ring-gap', ['length'], ['length']],
    ['runout', ['dial'], ['high', 'low']],
  ] as const)('%s by %j asks for %j', (id, methods, parts) => {
    expect([
      ...new Set(
        cellGroups(planOf(id, methods))
          .flat()
          .map(({ part }) => part),
      ),
    ]).toEqual(parts);
  });
  test('a strip is asked for at both ends', () =>
    expect(cellGroups(planOf('main-clearance', ['strip'])).flat()).toHaveLength(2));
});

describe('a pair of diameters', () => {
  const journal = [44.982, 44.981, 44.983, 44.982];
  const bore = [45.024, 45.026, 45.025, 45.027];
  test('least bore less greatest journal, and the other way; out-of-round and taper of both', () => {
    const {
      figures,
      verdict,
      journal: j,
      bore: b,
      asked,
      read,
    } = placeResult(mains, filled(mains, [...journal, ...bore], 0.001), { limits });
    const [figure] = figures;
    expect([figure?.least_mm, figure?.greatest_mm, figure?.mean_mm].map((value) => Number(value?.toFixed(5)))).toEqual([
      0.041, 0.046, 0.0435,
    ]);
    expect(Number(figure?.doubt_mm.toFixed(6))).toBe(0.001414);
    expect([verdict, asked, read]).toEqual(['inside', 8, 8]);
    expect(
      [j?.outOfRound_mm, j?.taper_mm, b?.outOfRound_mm, b?.taper_mm].map((value) => Number(value?.toFixed(6))),
    ).toEqual([0.001, 0.001, 0.002, 0.001]);
  });
  test('asked for eight and read two: open, no figure and no verdict', () => {
    const found = placeResult(mains, filled(mains, [44.9, 44.9]), { limits });
    expect([found.asked, found.read, found.figures, found.verdict]).toEqual([8, 2, [], undefined]);
  });
  test('a journal over its bore is a fault, with the sentence', () =>
    expect(placeResult(mains, filled(mains, [...bore, ...journal]), { limits }).fault).toMatch(
      /not smaller than its bore/,
    ));
  test('readings in cells that are no longer asked for do not count', () => {
    const stray: PlaceReading = { part: 'journal', station: 5, angle: 0, value_mm: 10 };
    expect(placeResult(mains, [...filled(mains, [...journal, ...bore]), stray], { limits }).verdict).toBe('inside');
  });
  test('without limits there is a figure and no verdict', () => {
    const found = placeResult(mains, filled(mains, [...journal, ...bore]), {});
    expect([found.figures.length, found.verdict, found.wanted]).toEqual([1, undefined, undefined]);
  });
  test('a rule works on the measured journal; a page’s limits go before it and it is told beside them', () => {
    const rule = { perDiameter: [0.00075, 0.001], floor_mm: 0.025 } as const;
    const ruled = placeResult(mains, filled(mains, [...journal, ...bore]), { rule });
    expect(ruled.wanted?.by).toBe('rule');
    expect(ruled.wanted?.hard.min_mm).toBeCloseTo(0.00075 * 44.982, 6);
    const both = placeResult(mains, filled(mains, [...journal, ...bore]), { rule, limits });
    expect([both.wanted?.by, both.wanted?.hard, both.wanted?.ruleSays?.max_mm.toFixed(4)]).toEqual([
      'limits',
      limits,
      '0.0450',
    ]);
  });
  test('inside the hard limits but outside the soft ones: better is wanted', () => {
    const readings = filled(mains, [...journal, ...bore]);
    expect(placeResult(mains, readings, { limits, soft: { min_mm: 0.03, max_mm: 0.042 } })).toMatchObject({
      verdict: 'inside',
      improve: true,
    });
    expect(placeResult(mains, readings, { limits, soft: { min_mm: 0.03, max_mm: 0.05 } }).improve).toBe(false);
  });
  test('a press fit: the shaft is the larger, too little interference is loose', () => {
    const press = planOf('press-fit', ['micrometer'], 1, 1);
    const wanted = { limits: { min_mm: 0.02, max_mm: 0.04 } };
    expect(placeResult(press, filled(press, [30.03, 30]), wanted)).toMatchObject({ verdict: 'inside' });
    expect(placeResult(press, filled(press, [30.01, 30]), wanted).verdict).toBe('loose');
    expect(placeResult(press, filled(press, [30.06, 30]), wanted).verdict).toBe('tight');
    expect(placeResult(press, filled(press, [29.99, 30]), wanted).fault).toBeDefined();
  });
});

describe('crushed strip beside micrometers', () => {
  const plan = planOf('main-clearance', ['micrometer', 'strip'], 1, 1);
  test('both are figures of their own; the difference is told and nothing is averaged', () => {
    const { figures, stripDifference_mm, verdict } = placeResult(plan, filled(plan, [44.982, 45.024, 0.05, 0.054]), {
      limits,
    });
    expect(figures.map(({ method, mean_mm }) => [method, Number(mean_mm.toFixed(4))])).toEqual([
      ['micrometer', 0.042],
      ['strip', 0.052],
    ]);
    expect(stripDifference_mm).toBeCloseTo(0.01, 9);
    expect(verdict).toBe('inside');
  });
  test('the worse of the two is the verdict', () =>
    expect(placeResult(plan, filled(plan, [44.982, 45.024, 0.07, 0.054]), { limits }).verdict).toBe('loose'));
  test('one end alone leaves it open', () =>
    expect(placeResult(plan, filled(plan, [44.982, 45.024, 0.05]), { limits }).verdict).toBeUndefined());
});

describe('play, gaps, runout', () => {
  const dial = planOf('crank-float', ['dial'], 2);
  const float = { limits: { min_mm: 0.05, max_mm: 0.15 } };
  test('float by dial is the mean of pull less push; its return to zero is asked for', () => {
    const found = placeResult(dial, filled(dial, [0, 0.11, 0, 0.01, 0.13, 0]), float);
    expect(found.figures[0]?.mean_mm).toBeCloseTo(0.115, 9);
    expect(found.verdict).toBe('inside');
    expect(placeResult(dial, filled(dial, [0, 0.11]), float).verdict).toBeUndefined();
  });
  test('what a gasket will lose is taken off once, as a range', () => {
    const crush = { min_mm: 0.02, max_mm: 0.04 };
    const found = placeResult(dial, filled(dial, [0, 0.11, 0, 0, 0.11, 0]), float, { crush });
    expect(
      [found.figures[0]?.least_mm, found.figures[0]?.greatest_mm, found.figures[0]?.uncrushed_mm].map((value) =>
        Number(value?.toFixed(6)),
      ),
    ).toEqual([0.07, 0.09, 0.11]);
    expect(placeResult(dial, filled(dial, [0, 0.08, 0, 0, 0.08, 0]), float, { crush }).verdict).toBe('tight');
  });
  const feelers = planOf('rod-side', ['feelers'], 2);
  const side = { limits: { min_mm: 0.15, max_mm: 0.35 } };
  test.each([
    [[0.2, 0.25, 0.2, 0.25], 'inside'],
    [[0.1, 0.15, 0.2, 0.25], 'tight'],
    [[0.4, 0.45, 0.2, 0.25], 'loose'],
    [[0.35, 0.4, 0.2, 0.25], 'too-close'],
    [[0.1, 0.2, 0.2, 0.25], 'too-close'],
    [[0.3, 0.4, 0.2, 0.25], 'too-close'],
  ] as const)('feelers %j: %s, and an interval, never a single figure', (values, verdict) => {
    const { figures, verdict: found } = placeResult(feelers, filled(feelers, values), side);
    expect([found, figures[0]?.least_mm, figures[0]?.greatest_mm]).toEqual([
      verdict,
      Math.min(values[0], values[2]),
      Math.max(values[1], values[3]),
    ]);
  });
  test('a ring’s gap by a rule on its bore', () => {
    const gap = planOf('ring-gap', ['length']);
    const wanted: Wanted = { rule: { perDiameter: [0.0035, 0.004] } };
    expect(placeResult(gap, filled(gap, [0.29]), wanted, { nominal_mm: 80 })).toMatchObject({ verdict: 'inside' });
    expect(placeResult(gap, filled(gap, [0.25]), wanted, { nominal_mm: 80 }).verdict).toBe('tight');
    expect(placeResult(gap, filled(gap, [0.25]), wanted).wanted).toBeUndefined();
  });
  test('runout is the full reading, or half of it where the limit is of the eccentricity', () => {
    const plan = planOf('runout', ['dial'], 2);
    const readings = filled(plan, [0.02, -0.02, 0.01, 0]);
    expect(placeResult(plan, readings, { limits: { min_mm: 0, max_mm: 0.03 } })).toMatchObject({ verdict: 'loose' });
    expect(placeResult(plan, readings, { limits: { min_mm: 0, max_mm: 0.03 }, as: 'eccentricity' })).toMatchObject({
      verdict: 'inside',
    });
    expect(placeResult(plan, filled(plan, [0, 0.02, 0.01, 0]), {}).fault).toMatch(/exchanged/);
  });
  test('the worst of several verdicts', () => {
    expect(worstVerdict(['inside', 'too-close'])).toBe('too-close');
    expect(worstVerdict(['inside', 'loose', 'too-close'])).toBe('loose');
    expect(worstVerdict([])).toBeUndefined();
  });
});

describe('whatever is read', () => {
  const certain: Readonly<Record<Verdict, number>> = { 'too-close': 0, inside: 1, tight: 1, loose: 1 };
  const journals = fc.array(fc.integer({ min: 44_950, max: 44_990 }), { minLength: 4, maxLength: 4 });
  const bores = fc.array(fc.integer({ min: 45_000, max: 45_060 }), { minLength: 4, maxLength: 4 });
  const values = (j: readonly number[], b: readonly number[]) => [...j, ...b].map((value) => value / 1000);
  test('a finer instrument never makes a verdict less certain', () => {
    fc.assert(
      fc.property(
        journals,
        bores,
        fc.integer({ min: 1, max: 20 }),
        fc.integer({ min: 2, max: 10 }),
        (j, b, step, finer) => {
          const at = (resolution_mm: number) =>
            placeResult(mains, filled(mains, values(j, b), resolution_mm), { limits }).verdict ?? 'too-close';
          expect(certain[at(step / 1000 / finer)]).toBeGreaterThanOrEqual(certain[at(step / 1000)]);
        },
      ),
    );
  });
  test('reading in inches instead of mm changes no verdict', () => {
    fc.assert(
      fc.property(journals, bores, (j, b) => {
        const inches = values(j, b).map((value) => (value / 25.4) * 25.4);
        const verdict = (list: readonly number[]) => placeResult(mains, filled(mains, list, 0.001), { limits }).verdict;
        expect(verdict(inches)).toBe(verdict(values(j, b)));
      }),
    );
  });
  test('more readings never narrow a clearance', () => {
    const one = planOf('main-clearance', ['micrometer'], 1, 2);
    fc.assert(
      fc.property(journals, bores, (j, b) => {
        const [few] = placeResult(one, filled(one, values(j.slice(0, 2), b.slice(0, 2))), {}).figures;
        const [many] = placeResult(mains, filled(mains, values(j, b)), {}).figures;
        expect(many?.least_mm).toBeLessThanOrEqual(few?.least_mm ?? Infinity);
        expect(many?.greatest_mm).toBeGreaterThanOrEqual(few?.greatest_mm ?? -Infinity);
      }),
    );
  });
  test('a narrower pair of feelers never says less', () => {
    const leaf = fc.integer({ min: 1, max: 40 });
    fc.assert(
      fc.property(leaf, leaf, leaf, (goes, gap, nearer) => {
        const stops = goes + gap + nearer;
        const said = judgeInterval([{ goes_mm: goes / 100, stops_mm: stops / 100 }], { min_mm: 0.15, max_mm: 0.35 });
        const then = judgeInterval([{ goes_mm: goes / 100, stops_mm: (stops - nearer) / 100 }], {
          min_mm: 0.15,
          max_mm: 0.35,
        });
        if (said !== 'too-close') expect(then).toBe(said);
      }),
    );
  });
  test('filing a ring never closes its gap: the verdict moves from tight towards loose only', () => {
    const gap = planOf('ring-gap', ['length']);
    const order: readonly (Verdict | undefined)[] = ['tight', 'inside', 'loose'];
    fc.assert(
      fc.property(fc.integer({ min: 10, max: 60 }), fc.integer({ min: 0, max: 30 }), (before, filed) => {
        const verdict = (hundredths: number) =>
          placeResult(gap, filled(gap, [hundredths / 100]), { limits: { min_mm: 0.28, max_mm: 0.4 } }).verdict;
        expect(order.indexOf(verdict(before + filed))).toBeGreaterThanOrEqual(order.indexOf(verdict(before)));
      }),
    );
  });
});

test('a cell is named by part, station and angle', () => {
  const cell: Cell = { part: 'bore', station: 1, angle: 3 };
  expect(cellKey(cell)).toBe('bore.1.3');
});

describe('two lengths, not two diameters', () => {
  const stud = planOf('stud-hole', ['micrometer']);
  const limits = { min_mm: 1, max_mm: 6 };
  const of = (length: number, depth: number) => placeResult(stud, filled(stud, [length, depth]), { limits });
  test('a stud shorter than its hole has room to spare', () => {
    const { figures, verdict } = of(30, 34);
    expect(figures[0]?.least_mm).toBeCloseTo(4, 9);
    expect(verdict).toBe('inside');
  });
  test('one that is longer bottoms: out, and told by how much, not called a slip', () => {
    const { figures, verdict, fault } = of(30, 28);
    expect([figures[0]?.greatest_mm, verdict, fault]).toEqual([-2, 'tight', undefined]);
  });
  test('a fault names the parts of its own fit', () => {
    const piston = planOf('piston-bore', ['micrometer']);
    expect(placeResult(piston, filled(piston, [63, 63, 63, 63, 62, 62, 62, 62]), {}).fault).toMatch(
      /^The piston \(63\.0000 mm\) is not smaller than its bore/,
    );
    const press = planOf('press-fit', ['micrometer']);
    expect(placeResult(press, filled(press, [20, 20, 20, 20, 21, 21, 21, 21]), {}).fault).toMatch(
      /^The housing \(21\.0000 mm\) is not smaller than its shaft/,
    );
  });
});
