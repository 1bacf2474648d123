import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { SHELF_GRADES, usualBearingFace } from '@/core/fastener';
import { clamp, guards, headArm, ladder, unknowns, type GuardInput } from '@/core/joint';
import { threadNamed } from '@/core/thread';
import { codeOf } from '../code-of';
import { input, judge, metal, named } from './judged';

const there = <T>(row: T | undefined): T => {
  if (row === undefined) throw new Error('no such row');
  return row;
};
const grade = (name: string) => there(SHELF_GRADES.find((one) => one.id.startsWith(`iso-${name}`)));
const M10 = threadNamed('M10');

/** M10 of class 8.8 in engine oil, a stud. */
function judged(text: string, part: Partial<GuardInput> = {}, gradeName = '8.8'): GuardInput {
  const row = grade(gradeName);
  const fastener = { ...named('M10'), yield_MPa: row.yield_MPa, grade: row.name, gradeRow: row };
  return { ...judge(input(text, fastener)), original: fastener, today: fastener, form: 'stud', ...part };
}
const found = (text: string, part?: Partial<GuardInput>, gradeName?: string) => guards(judged(text, part, gradeName));
const severityOf = (code: string, text: string, part?: Partial<GuardInput>, gradeName?: string) =>
  found(text, part, gradeName).find((guard) => guard.code === code)?.severity;

describe('a seat that is a cone', () => {
  const flat = usualBearingFace(M10);
  // Dm/2 divided by the sine of half the included angle.
  test.each([
    [90, 1.41421],
    [82, 1.52425],
    [60, 2],
    [180 - 1e-9, 1],
  ])('of %d° has %d times the arm of a flat one', (cone_deg, times) => {
    expect(headArm({ ...flat, cone_deg }) / headArm(flat)).toBeCloseTo(times, 4);
  });
  test('takes more of the torque: the same figure clamps less', () => {
    const at = (bearing: typeof flat) => clamp({ thread: M10, muThread: 0.13, muHead: 0.13, bearing }, 48).preload_N;
    expect(at({ ...flat, cone_deg: 90 })).toBeLessThan(at(flat) * 0.85);
  });
  test('a seat of another cone is another fastener, and its figure another', () => {
    const flatOne = named('M10 x 1.25');
    const cone = { ...flatOne, bearing: { ...flatOne.bearing, cone_deg: 90 } };
    const rungs = (today: typeof flatOne) => ladder(input('47 N·m', today, { original: flatOne })).rungs;
    expect(rungs(flatOne).some(({ id }) => id === 'fastener')).toBe(false);
    expect(rungs(cone).find(({ id }) => id === 'fastener')?.factor).toBeGreaterThan(1.05);
  });
  test.each([[20], [180], [-90], [Number.NaN]])('%d° is none', (cone_deg) => {
    const face = { ...flat, cone_deg };
    expect(codeOf(() => clamp({ thread: M10, muThread: 0.13, muHead: 0.13, bearing: face }, 48))).toBe('bad-field');
  });
});

describe('the nut', () => {
  test('of a stud is asked for; a bolt in a tapped hole has none', () => {
    const asked = (part: Partial<GuardInput>) => unknowns(judged('48 Nm', part)).map(({ code }) => code);
    expect(asked({ nut: {} })).toContain('nut');
    expect(asked({ nut: { height_mm: 8 } })).toContain('nut');
    expect(asked({ nut: { height_mm: 8, grade: grade('8.8') } })).not.toContain('nut');
    expect(asked({})).not.toContain('nut');
  });
  test('thinner than a full one is said, from the first tenths of a millimetre that count', () => {
    expect(severityOf('nut-thin', '48 Nm', { nut: { height_mm: 8 } })).toBeUndefined();
    expect(severityOf('nut-thin', '48 Nm', { nut: { height_mm: 7.7 } })).toBe('ask');
  });
  test('of a weaker grade is said, of the same not', () => {
    expect(severityOf('nut-weaker', '48 Nm', { nut: { grade: grade('8.8') } })).toBeUndefined();
    expect(severityOf('nut-weaker', '48 Nm', { nut: { grade: grade('5.8') } })).toBe('ask');
  });
  test('strips where its thread is less than the clamp load can reach', () => {
    // 0.75 · 0.6 · 400 MPa over π·10·3·0.875 mm²: about 15 kN; over 8 mm 40 kN.
    expect(severityOf('nut-strips', '48 Nm', { nut: { height_mm: 3, grade: grade('4.6') } })).toBe('stop');
    expect(severityOf('nut-strips', '48 Nm', { nut: { height_mm: 8, grade: grade('8.8') } })).toBeUndefined();
  });
  test('is full of its stud, or it is a stop; by a height that was only taken for full, an ask', () => {
    const parent = { thread: M10, engagement_mm: 15 };
    const at = (length_mm: number, height_mm?: number) =>
      severityOf('nut-not-full', '48 Nm', {
        parent,
        nut: height_mm === undefined ? {} : { height_mm },
        reach: { length_mm, grip_mm: 60 },
      });
    expect(at(83, 8)).toBeUndefined();
    expect(at(82.9, 8)).toBe('stop');
    expect(at(82.9)).toBe('ask');
    expect(at(83)).toBeUndefined();
    // Not judged where one of the lengths is not known.
    expect(severityOf('nut-not-full', '48 Nm', { parent, nut: {}, reach: { length_mm: 70 } })).toBeUndefined();
  });
});

describe('what heat adds', () => {
  const aluminium = metal('aluminium-cast');
  const on = (hottest_C: number | undefined, grip_mm: number | undefined, underHead = aluminium) => ({
    underHead,
    reach: { grip_mm },
    ...(hottest_C !== undefined && { hottest_C }),
  });
  test('is judged for a light alloy on steel: k·L·Δα·ΔT over what it is pulled to', () => {
    // 205 GPa · 58 mm² · 80/90 · 11.5e-6 · 130 K: 15.8 kN, on up to 27 kN of clamp load.
    const hot = found('40 Nm', on(150, 80)).find(({ code }) => code === 'over-yield-hot');
    expect(hot?.severity).toBe('stop');
    expect(hot?.message).toMatch(/up to 15\.8 kN come/);
    expect(severityOf('over-yield-hot', '40 Nm', on(40, 80))).toBeUndefined();
    expect(severityOf('over-yield-hot', '40 Nm', on(150, 80, metal('grey-iron')))).toBeUndefined();
    expect(severityOf('over-yield-hot', '20 Nm', on(150, 80))).toBeUndefined();
  });
  test('rises with temperature and never turns a stop into nothing', () => {
    const rank = (hottest_C: number) =>
      found('42 Nm', on(hottest_C, 80)).some(({ code }) => code === 'over-yield-hot')
        ? 2
        : found('42 Nm', on(hottest_C, 80)).some(({ code }) => code === 'over-limit-hot')
          ? 1
          : 0;
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 300 }), fc.integer({ min: 0, max: 100 }), (at, more) => {
        expect(rank(at + more)).toBeGreaterThanOrEqual(rank(at));
      }),
      { numRuns: 60 },
    );
    expect([rank(20), rank(300)]).toEqual([0, 2]);
  });
  test('is counted as not known where nobody said how hot', () => {
    const asked = (part: Partial<GuardInput>) => unknowns(judged('48 Nm', part)).map(({ code }) => code);
    expect(asked(on(undefined, 80))).toContain('hottest');
    expect(asked(on(90, 80))).not.toContain('hottest');
    expect(asked(on(undefined, 80, metal('grey-iron')))).not.toContain('hottest');
  });
  test('a thread that holds cold, and cold load hot, strips under what heat adds', () => {
    const strips = (engagement_mm: number, part: Partial<GuardInput> = {}) =>
      found('40 Nm', { ...part, parent: { thread: M10, metal: aluminium, engagement_mm, hottest_C: 120 } })
        .map(({ code }) => code)
        .filter((code) => code === 'strips' || code === 'strips-hot');
    const enough = there([14, 16, 18, 20, 22, 24, 26].find((engagement_mm) => strips(engagement_mm).length === 0));
    expect(strips(enough, on(120, 80))).toEqual(['strips-hot']);
  });
});

describe('what beds down', () => {
  test('is said of a short grip, and not of a long one', () => {
    const at = (grip_mm: number | undefined) => severityOf('embeds', '48 Nm', { reach: { grip_mm } });
    expect(at(10)).toBe('ask');
    expect(at(120)).toBeUndefined();
    expect(at(undefined)).toBeUndefined();
  });
  test('never takes more than there is', () => {
    const { message } = there(found('3 Nm', { reach: { grip_mm: 5 } }).find(({ code }) => code === 'embeds'));
    expect(message).toMatch(/\(100 %\)/);
  });
});

describe('a gasket', () => {
  const at = (area_mm2: number, limit_MPa?: number) =>
    severityOf('crushes', '48 Nm', { gasket: { area_mm2, ...(limit_MPa !== undefined && { limit_MPa }) } });
  test('is crushed by more than it bears, at the high end of the clamp load', () => {
    const p95_N = judged('48 Nm').ladder.band.p95_N;
    expect(at(p95_N / 100, 99)).toBe('stop');
    expect(at(p95_N / 100, 101)).toBeUndefined();
  });
  test('is counted as not known where nobody knows what it bears', () => {
    expect(at(1)).toBeUndefined();
    expect(unknowns(judged('48 Nm', { gasket: { area_mm2: 300 } })).map(({ code }) => code)).toContain('gasket-limit');
  });
});

describe('a washer', () => {
  const aluminium = metal('aluminium-cast');
  const pressed = (washer: GuardInput['washer']) =>
    Number(
      /up to (\d+) MPa/.exec(
        found('48 Nm', { underHead: aluminium, washer })
          .map(({ message }) => message)
          .join(),
      )?.[1],
    );
  test('with a wide bore leaves less to press on', () => {
    const washer = { outer_mm: 20, thickness_mm: 2 };
    expect(pressed({ ...washer, inner_mm: 13 })).toBeGreaterThan(pressed({ ...washer, inner_mm: 10.5 }));
    // Where nobody measured it, by the hole that the nut turns on.
    expect(pressed(washer)).toBe(pressed({ ...washer, inner_mm: usualBearingFace(M10).inner_mm }));
  });
  test('its bore is counted as not known until it is measured', () => {
    const asked = (washer: GuardInput['washer']) =>
      unknowns(judged('48 Nm', { washer })).find(({ code }) => code === 'washer-thickness')?.what;
    expect(asked({ outer_mm: 20 })).toBe('the washer’s thickness');
    expect(asked({ outer_mm: 20, thickness_mm: 2 })).toBe('the washer’s bore');
    expect(asked({ outer_mm: 20, thickness_mm: 2, inner_mm: 10.5 })).toBeUndefined();
  });
});

describe('the nut of a stud', () => {
  const asked = (nut: GuardInput['nut']) =>
    unknowns(judged('48 Nm', { nut })).flatMap(({ code, what }) => (code === 'nut' ? [what] : []));
  test('is asked for what is not known of it, its height first; a bolt has none', () => {
    expect(asked(undefined)).toEqual([]);
    expect(asked({})).toEqual(['the height of its nut']);
    expect(asked({ grade: grade('8.8') })).toEqual(['the height of its nut']);
    expect(asked({ height_mm: 8 })).toEqual(['the grade of its nut']);
    expect(asked({ height_mm: 8, grade: grade('8.8') })).toEqual([]);
  });
});
