import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { SHELF_GRADES } from '@/core/fastener';
import { SHELF_FILMS } from '@/core/film';
import { correct, guards, ladder, spreadOf, unknowns, type GuardInput, type LadderInput } from '@/core/joint';
import { monteCarlo } from '@/core/statistics';
import { threadNamed } from '@/core/thread';
import { TORQUE_UNITS } from '@/core/units';
import { wrenchSetting } from '@/core/wrench';
import { codeOf } from '../code-of';
import { film, input, judge, metal, named, yieldOf, type Fastener } from './judged';

const found = (of: LadderInput, part?: Partial<GuardInput>) => guards(judge(of, part));
const codes = (of: LadderInput, part?: Partial<GuardInput>) => found(of, part).map(({ code }) => code);
const strong = (name: string): Fastener => ({ ...named(name), yield_MPa: yieldOf('12.9') });

describe('a locking nut stronger than the figure', () => {
  const nut = { ...strong('3/8 BSF'), prevailing: { low_Nm: 50, high_Nm: 60 } };
  const plain = strong('3/8 BSF');
  test('stops for good, and no clamp load is told', () => {
    const of = input('35 lb ft', nut, { original: plain });
    expect(ladder(of)).toMatchObject({ clamp: 'clamps' }); // what the nut takes is added: 47 + 55 N·m
    const bare = input('35 lb ft', nut);
    expect(ladder(bare)).toMatchObject({ clamp: 'nothing', band: { p5_N: 0, p50_N: 0, p95_N: 0 }, designed_N: 0 });
    expect(found(bare)[0]).toMatchObject({ code: 'no-clamp', severity: 'stop', absolute: true });
    expect(found(bare)[0]?.message).toMatch(/up to 60 N·m.*47.5 N·m/);
  });
  test('the same by an overruled rung below the nut’s own torque', () => {
    const overrides = { locking: { value_Nm: 40, reason: 'by feel' } };
    expect(codes(input('35 lb ft', nut, { original: plain, overrides }))).toContain('no-clamp');
  });
  test('just above it clamps, and never more than without the nut', () => {
    const above = ladder(input('66 Nm', nut));
    expect(above.clamp).toBe('clamps');
    const without = ladder(input('66 Nm', plain));
    expect(above.band.p95_N).toBeLessThanOrEqual(without.band.p95_N);
    expect(above.band.p95_N).toBeGreaterThan(above.band.p50_N);
  });
  test('a figure under the original nut’s own torque says so', () => {
    const original = { ...plain, prevailing: { low_Nm: 50, high_Nm: 60 } };
    expect(codes(input('35 lb ft', plain, { original }))[0]).toMatch(/no-clamp|printed-under-nut/);
  });
});

describe('a grade that is not known', () => {
  const unknown = named('3/8 BSF');
  test('is judged as mild steel, with both ends said', () => {
    const [first] = found(input('40 lb ft', unknown));
    expect(first).toMatchObject({ code: 'grade-unknown', severity: 'ask' });
    expect(first?.message).toMatch(/4\.6.*\d{3} % of its yield at the 95th percentile.*\d+ % at the middle/);
    expect(codes(input('8 lb ft', unknown))).toEqual([]);
  });
  test('beyond class 12.9 it stops, whatever is said of the grade', () => {
    expect(found(input('90 lb ft', unknown))[0]).toMatchObject({ code: 'beyond-steel', absolute: true });
    expect(codes(input('90 lb ft', strong('3/8 BSF')))[0]).toBe('beyond-steel');
    expect(codes(input('55 lb ft', unknown))).toContain('beyond-strongest');
  });
});

describe('judged at the far end', () => {
  test('the overload is that of the band, and of a nut that runs easiest', () => {
    const nut = { ...strong('3/8 BSF'), prevailing: { low_Nm: 2, high_Nm: 10 } };
    const worked = ladder(input('40 Nm', nut));
    const easiest = ladder(input('40 Nm', { ...nut, prevailing: { low_Nm: 2, high_Nm: 2 } }));
    expect(worked.load.most.preload_N).toBeCloseTo(easiest.load.most.preload_N, 6);
    expect(worked.load.most.preload_N).toBeGreaterThan(worked.band.p50_N);
    const plain = ladder(input('40 Nm', strong('3/8 BSF')));
    expect(plain.load.most.preload_N).toBe(plain.band.p95_N);
  });
  test('a nut’s scatter is in the band as the simulation has it', () => {
    const { thread, bearing } = named('3/8 BSF');
    const [oil] = [film('engine-oil')];
    const of = {
      thread,
      bearing,
      torque_Nm: 40,
      muThread: oil.thread,
      muHead: oil.head,
      prevailing_Nm: 6,
      prevailingSpread_Nm: 8,
      wrenchAccuracy_pct: 4,
    };
    const drawn = monteCarlo({ ...of, samples: 400_000, seed: 7 });
    const nut = { ...strong('3/8 BSF'), prevailing: { low_Nm: 2, high_Nm: 10 } };
    const { band } = ladder(input('40 Nm', nut));
    expect(band.p5_N / drawn.p5_N).toBeCloseTo(1, 1.6);
    expect(band.p95_N / drawn.p95_N).toBeCloseTo(1, 1.6);
    const still = monteCarlo({ ...of, prevailingSpread_Nm: 0, samples: 400_000, seed: 7 });
    expect(still.p5_N).toBeGreaterThan(drawn.p5_N);
  });
  test('one in twenty under what the book would leave is said', () => {
    const today = strong('3/8 BSF');
    expect(codes(input('35 lb ft', today, { threadFilm: film('dry-bare'), headFilm: film('dry-bare') }))).toContain(
      'under-least',
    );
    expect(codes(input('35 lb ft', today))).not.toContain('under-least');
  });
  test('a washer spreads only as far as it is thick, and never beyond its edge', () => {
    const of = input('35 lb ft', strong('3/8 BSF'));
    const under = { underHead: metal('aluminium-treated') };
    const pressure = (washer: GuardInput['washer']) =>
      Number(
        /up to (\d+) MPa/.exec(
          found(of, { ...under, washer })
            .map((g) => g.message)
            .join(' '),
        )?.[1] ?? 0,
      );
    const bare = pressure(undefined);
    expect(pressure({ outer_mm: 30 })).toBe(bare);
    expect(pressure({ outer_mm: 18.5, thickness_mm: 3 })).toBeLessThan(bare);
    expect(pressure({ outer_mm: 17.5, thickness_mm: 3 })).toBeGreaterThan(pressure({ outer_mm: 18, thickness_mm: 3 }));
  });
});

describe('guards that were missing', () => {
  const today = strong('3/8 BSF');
  const of = input('35 lb ft', today);
  const tapped = { thread: threadNamed('3/8 BSW'), metal: metal('aluminium-cast'), engagement_mm: 30 };
  test.each<[string, Partial<GuardInput>, string, 'stop' | 'ask']>([
    ['used once', { takenBeyondYield: true }, 'once-only', 'stop'],
    ['plated and not baked', { platedUnbaked: true }, 'plated-unbaked', 'stop'],
    ['copper paste on aluminium', { todayFilmId: 'anti-seize', parent: tapped }, 'galvanic-paste', 'ask'],
    [
      'graphite on magnesium',
      { headFilmId: 'tallow-graphite', underHead: metal('magnesium') },
      'galvanic-paste',
      'stop',
    ],
    ['wax near heat', { headFilmId: 'wax-ptfe', nearHeat: true }, 'film-near-heat', 'stop'],
    ['cadmium', { todayFilmId: 'cadmium-dry' }, 'cadmium', 'ask'],
    ['cadmium near heat', { todayFilmId: 'cadmium-dry', nearHeat: true }, 'cadmium', 'stop'],
    ['locker in oil', { locking: 'compound' }, 'locker-in-oil', 'stop'],
    [
      'nearly bottoming',
      { reach: { length_mm: 50, grip_mm: 30, holeDepth_mm: 20.5, pitch_mm: 1.27 } },
      'bottoms-nearly',
      'ask',
    ],
  ])('%s', (_, part, code, severity) =>
    expect(found(of, part).filter((one) => one.code === code)).toMatchObject([{ severity }]),
  );
  test('and none of them where the thing is not so', () => {
    const all = [
      'once-only',
      'plated-unbaked',
      'galvanic-paste',
      'film-near-heat',
      'cadmium',
      'locker-in-oil',
      'strips-hot',
    ];
    const clear: Partial<GuardInput> = {
      takenBeyondYield: false,
      platedUnbaked: false,
      parent: { ...tapped, engagement_mm: 30, hottest_C: 60 },
    };
    expect(codes(of, clear).filter((code) => all.includes(code))).toEqual([]);
    expect(
      codes(of, { reach: { length_mm: 50, grip_mm: 30, holeDepth_mm: 20.5, pitch_mm: 1.27, isThrough: true } }),
    ).not.toContain('bottoms-nearly');
  });
  describe('near heat, where that decides', () => {
    const TOUCHY: readonly [string, Partial<GuardInput>, string][] = [
      ['wax', { todayFilmId: 'wax-ptfe' }, 'film-near-heat'],
      ['a sealant under the head', { headFilmId: 'ptfe-sealant' }, 'film-near-heat'],
      ['a locker', { todayFilmId: 'thread-locker' }, 'film-near-heat'],
      ['cadmium', { todayFilmId: 'cadmium-dry' }, 'cadmium'],
      ['a polymer nut', { locking: 'polymer-nut' }, 'polymer-near-heat'],
    ];
    const severityAt = (part: Partial<GuardInput>, code: string) =>
      found(of, part).find((one) => one.code === code)?.severity;
    const isAsked = (part: Partial<GuardInput>) => unknowns(judge(of, part)).some((one) => one.code === 'near-heat');
    test.each(TOUCHY)('%s: nobody said it, it is asked; said or read off, it is judged', (_, part, code) => {
      const at = (nearHeat?: boolean, hottest_C?: number) => {
        const given = { ...part, nearHeat, hottest_C };
        return [isAsked(given), severityAt(given, code)];
      };
      // Cadmium is asked about wherever it is.
      const [cool, warm, scorching] = code === 'cadmium' ? ['ask', 'ask', 'stop'] : [undefined, 'ask', 'ask'];
      expect(at()).toEqual([true, cool]);
      expect(at(true)).toEqual([false, 'stop']);
      expect(at(true, 20)).toEqual([false, 'stop']);
      expect(at(false)).toEqual([false, cool]);
      // As hot as that it is asked what its maker allows, whatever is said of where it sits.
      expect([at(undefined, 119), at(undefined, 120), at(false, 120)]).toEqual([
        [false, cool],
        [false, warm],
        [false, warm],
      ]);
      expect([at(false, 230), at(false, 231)]).toEqual([
        [false, warm],
        [false, scorching],
      ]);
    });
    test('of what stands heat it is not asked', () => {
      expect(isAsked({ nearHeat: undefined, todayFilmId: 'engine-oil', headFilmId: 'moly-paste' })).toBe(false);
      expect(isAsked({ nearHeat: undefined, locking: 'metal-nut' })).toBe(false);
    });
  });
  test('an insert is asked of where it would be: in light alloy, and nobody said', () => {
    const isAsked = (part: Partial<NonNullable<GuardInput['parent']>>) =>
      unknowns(judge(of, { parent: { ...tapped, ...part } })).some((one) => one.code === 'insert');
    expect(isAsked({ insertUnsaid: true })).toBe(true);
    expect(isAsked({ insertUnsaid: false })).toBe(false);
    expect(isAsked({ insertUnsaid: true, metal: metal('grey-iron') })).toBe(false);
    expect(isAsked({ insertUnsaid: true, metal: undefined })).toBe(false);
  });
  test('whether a plating was baked is asked where that may break it: hard, or of no known grade', () => {
    const isAsked = (yield_MPa: number | undefined, part: Partial<GuardInput>) =>
      unknowns(judge(of, { ...part, today: { ...today, yield_MPa } })).some((one) => one.code === 'plated');
    const zinc = { todayFilmId: 'zinc-oiled' };
    expect([isAsked(940, zinc), isAsked(880, zinc), isAsked(undefined, zinc)]).toEqual([true, true, true]);
    expect(isAsked(879, zinc)).toBe(false);
    expect([isAsked(940, { headFilmId: 'zinc-dry' }), isAsked(940, { todayFilmId: 'cadmium-dry' })]).toEqual([
      true,
      true,
    ]);
    expect(isAsked(940, { todayFilmId: 'engine-oil' })).toBe(false);
    // Said either way it is judged, not asked.
    for (const platedUnbaked of [true, false]) expect(isAsked(940, { ...zinc, platedUnbaked })).toBe(false);
  });
  test('whether a bore moves is asked of a substitute', () => {
    const isAsked = (part: Partial<GuardInput>) => unknowns(judge(of, part)).some((one) => one.code === 'bore-moves');
    expect(isAsked({ substituted: true, boreMoves: undefined })).toBe(true);
    expect(isAsked({ substituted: true, boreMoves: false })).toBe(false);
    expect(isAsked({ substituted: false, boreMoves: undefined })).toBe(false);
  });
  test('a light thread that holds cold and not hot', () => {
    const at = (engagement_mm: number, hottest_C?: number) =>
      codes(of, { parent: { ...tapped, engagement_mm, hottest_C } });
    const lengths = Array.from({ length: 30 }, (_, i) => 8 + i);
    const first = lengths.find((length) => !at(length).includes('strips'))!;
    expect(at(first, 200)).toContain('strips-hot');
    expect(at(first, 20)).not.toContain('strips-hot');
    expect(at(first * 2, 200)).not.toContain('strips-hot');
    // Iron does not soften there.
    const iron = { ...tapped, metal: metal('grey-iron'), engagement_mm: first };
    expect(codes(of, { parent: { ...iron, hottest_C: 200 } })).not.toContain('strips-hot');
  });
  test('a share of yield shows how it was come to, and its figures agree with the sentence', () => {
    const over = found(input('60 lb ft', strong('3/8 BSF')), {}).find(({ working }) => working !== undefined);
    const numbers = over?.working?.map(({ figures }) =>
      figures.flatMap((one) => (typeof one === 'string' ? [] : [one.value])),
    );
    const [[force, area, tension] = [], [, shear, equivalent] = [], [, yields, share] = []] = numbers ?? [];
    expect(force! / area!).toBeCloseTo(tension!, 6);
    expect(Math.sqrt(tension! ** 2 + 3 * shear! ** 2)).toBeCloseTo(equivalent!, 6);
    expect((100 * equivalent!) / yields!).toBeCloseTo(share!, 6);
    expect(over?.message).toContain(`${share!.toFixed(0)} %`);
    expect(over?.source).toMatch(/Yield: .*Stress: VDI 2230/);
  });
  test('an insert holds by its outside', () => {
    const bare = found(of, { parent: { ...tapped, engagement_mm: 11 } });
    const insert = found(of, { parent: { ...tapped, engagement_mm: 11, insert: {} } });
    const load = (list: typeof bare) =>
      Number(/strip(?: at)?[^\d]*([\d.]+) ?kN/.exec(list.map((g) => g.message).join(' '))?.[1]);
    expect(load(insert)).toBeGreaterThan(load(bare));
    const short = found(of, { parent: { ...tapped, engagement_mm: 11, insert: { length_mm: 7 } } });
    expect(load(short)).toBeLessThan(load(insert));
  });
  test('an insert of which nothing is known is counted; one that holds the stud harder than its seating is asked', () => {
    const at = (insert: object, form: 'bolt' | 'stud' = 'bolt') =>
      unknowns(judge(of, { form, parent: { ...tapped, engagement_mm: 11, insert } })).map(({ code }) => code);
    expect(at({})).toEqual(expect.arrayContaining(['insert-length', 'insert-torque']));
    expect(at({ length_mm: 11, torque_Nm: 0 }).filter((code) => code.startsWith('insert'))).toEqual([]);
    const stud = (torque_Nm: number) =>
      codes(of, { form: 'stud', seating_Nm: 4, parent: { ...tapped, engagement_mm: 11, insert: { torque_Nm } } });
    expect(stud(5)).toContain('insert-above-seating');
    expect(stud(3)).not.toContain('insert-above-seating');
  });
  test('what the wrench’s check does not reach is asked about', () => {
    const calibration = [
      { set: 10, true: 10 },
      { set: 30, true: 30.5 },
    ];
    const outside = input('35 lb ft', today, { wrench: { ...of.wrench, calibration } });
    expect(codes(outside)).toContain('calibration-extrapolated');
  });
});

describe('what is not known is counted', () => {
  const of = input('35 lb ft', named('3/8 BSF'));
  const known: Partial<GuardInput> = {
    today: { ...strong('3/8 BSF') },
    takenBeyondYield: false,
    parent: { thread: threadNamed('3/8 BSW'), metal: metal('grey-iron'), engagement_mm: 20 },
    underHead: metal('grey-iron'),
    reach: { length_mm: 50, grip_mm: 30, threadLength_mm: 30, holeDepth_mm: 30 },
  };
  const unknown = (part: Partial<GuardInput>) => unknowns(judge(of, { ...known, ...part })).map(({ code }) => code);
  test('nothing where all is', () => expect(unknown({})).toEqual([]));
  test.each<[string, Partial<GuardInput>]>([
    ['grade', { today: named('3/8 BSF') }],
    ['original-grade', { substituted: true, original: named('3/8 BSF') }],
    ['face', { faceMeasured: false }],
    ['metal-thread', { form: 'stud', parent: undefined }],
    ['metal', { parent: { thread: threadNamed('3/8 BSW'), engagement_mm: 20 } }],
    ['engagement', { parent: { thread: threadNamed('3/8 BSW'), metal: metal('grey-iron') } }],
    ['under-head', { underHead: undefined }],
    ['washer-thickness', { washer: { outer_mm: 20 } }],
    ['grip', { reach: { length_mm: 50, threadLength_mm: 30, holeDepth_mm: 30 } }],
    ['thread-length', { reach: { length_mm: 50, grip_mm: 30, holeDepth_mm: 30 } }],
    ['hole-depth', { reach: { length_mm: 50, grip_mm: 30, threadLength_mm: 30 } }],
    ['history', { takenBeyondYield: undefined }],
  ])('%s', (code, part) => expect(unknown(part)).toEqual([code]));
});

test('no choice leads to a clamp load that is not finite, below nothing, or beyond steel without a stop that holds', () => {
  const id = fc.constantFrom(...SHELF_FILMS.map((one) => one.id));
  const thread = fc.constantFrom('M6', 'M8', 'M10x1.25', '3/8 BSF', '1/2 BSW', '2 BA', '7/16-20 UNF', '5/16 CEI');
  const nut = fc.option(
    fc.tuple(fc.double({ min: 0, max: 90, noNaN: true }), fc.double({ min: 0, max: 30, noNaN: true })),
    { nil: undefined },
  );
  const fastener = fc
    .record({
      thread,
      grade: fc.option(fc.constantFrom(...SHELF_GRADES), { nil: undefined }),
      nut,
      shank: fc.option(fc.double({ min: 2, max: 12, noNaN: true }), { nil: undefined }),
    })
    .map(({ thread: name, grade, nut: own, shank }): Fastener => ({
      ...named(name),
      ...(grade && { yield_MPa: grade.yield_MPa, grade: grade.name }),
      ...(own && { prevailing: { low_Nm: own[0], high_Nm: own[0] + own[1] } }),
      ...(shank !== undefined && { shank_mm: shank }),
    }));
  const override = fc.option(
    fc.record({ value_Nm: fc.option(fc.double({ min: 0.01, max: 500, noNaN: true })), reason: fc.constant('x') }),
    { nil: undefined },
  );
  const choices = fc.record({
    figure: fc.integer({ min: 1, max: 4000 }).map((n) => n / 10),
    unit: fc.constantFrom(...TORQUE_UNITS),
    original: fastener,
    today: fc.option(fastener, { nil: undefined }),
    films: fc.tuple(id, id, id),
    locking: override,
    filmOver: override,
    fastenerOver: override,
  });
  // A matcher takes longer than a ladder does, and seventy thousand are asked.
  const must = (holds: boolean, what: string) => {
    if (!holds) throw new Error(`it is not ${what}`);
  };
  const finite = (value: unknown): boolean =>
    typeof value === 'number'
      ? Number.isFinite(value)
      : typeof value !== 'object' || value === null || Object.values(value).every(finite);
  fc.assert(
    fc.property(choices, ({ figure, unit, original, today, films, locking, filmOver, fastenerOver }) => {
      const overrides = Object.fromEntries(
        Object.entries({ locking, film: filmOver, fastener: fastenerOver }).filter(([, value]) => value !== undefined),
      ) as LadderInput['overrides'];
      const of = input(`${figure} ${unit}`, today ?? original, {
        original,
        originalFilm: film(films[0]),
        threadFilm: film(films[1]),
        headFilm: film(films[2]),
        overrides,
      });
      const worked = ladder(of);
      must(finite(worked), 'finite');
      const { band, load, clamp } = worked;
      must(
        [band.p5_N, band.p50_N, band.p95_N, worked.designed_N, worked.least_N].every((newtons) => newtons >= 0),
        'not below nothing',
      );
      const barred = found(of).some(({ absolute }) => absolute);
      if (clamp !== 'clamps') must(barred, 'barred where it does not clamp');
      else {
        must(band.p5_N > 0, 'clamping at its weakest');
        must(load.middle.equivalent_MPa <= 1100, 'within steel');
        if (load.most.equivalent_MPa > 1100)
          must(
            found(of).some(({ severity }) => severity === 'stop'),
            'stopped beyond steel',
          );
        must(finite(spreadOf(of, worked, [film('dry-bare')])), 'finite in its spread');
      }
    }),
    { numRuns: 10_000 },
  );
});

test('a slippery end that is rougher than its lubricant is refused', () => {
  const turned = { ...named('3/8 BSF'), muThread: 0.12, muHead: 0.12 };
  const at = (muThread: number, muHead: number) =>
    codeOf(() => correct(40, turned, { ...turned, slippery: { muThread, muHead } }));
  expect([at(0.1, 0.1), at(0.12, 0.12), at(0.13, 0.1), at(0.1, 0.13)]).toEqual([
    undefined,
    undefined,
    'bad-field',
    'bad-field',
  ]);
});

test('a crowfoot turned back may be told by its length or by its angle', () => {
  const wrench = { unit: 'N·m', min: 1, max: 200, graduation: 0.1 } as const;
  const at = (extension_mm: number, angle_deg: number) =>
    wrenchSetting(40, wrench, 'whole', { wrenchLength_mm: 400, extension_mm, angle_deg }).setting;
  expect(at(-50, 0)).toBeCloseTo(at(50, 180), 9);
  expect(at(-50, 0)).toBeCloseTo((40 * 400) / 350, 9);
  expect(codeOf(() => at(-400, 0))).toBe('bad-field');
});
