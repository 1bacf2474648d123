import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { coolingWindow, type CoolingWindow, type HeadMetal } from '@/core/heat';
import { coolingCurve } from '@/features/run-in/cooling-curve';
import { threadNamed } from '@/core/thread';
import { shelvesOf } from '@/db/reads/shelves-of-shop';
import { runInOf, warmHeads } from '@/features/run-in/queries';
import { engineStateOf, inputsOf } from '@/model/engine/engine-rows';
import { computeJoint } from '@/model/joint/joint-result';
import { warmHeadOf } from '@/model/joint/warm-head';
import { cycleSchema, readingSchema } from '@/features/run-in/schema';
import { fieldOf, isoOfField } from '@/features/run-in/time-field';
import { workingOfWindow } from '@/features/run-in/window-working';
import { jointNamed, rowsNamed, stateNamed, yardShop, YARD_NOW } from '../db/temporary-shop';

const MIN = 60_000;
const RAN_TO = Date.parse('2026-05-16T09:00:00.000Z');
const cycle = { id: 'cycle-0001', ranFrom: RAN_TO - 30 * MIN, ranTo: RAN_TO, highest_C: 90, ambient_C: 15 };

/** The window after readings at so many minutes of an engine that truly cools by one exponential. */
function windowAfter(tau_min: number, minutes: readonly number[], ambient_C = 15, highest_C = 90): CoolingWindow {
  const readings = minutes.map((m) => ({
    cycleId: cycle.id,
    at: RAN_TO + m * MIN,
    head_C: ambient_C + (highest_C - ambient_C) * Math.exp(-m / tau_min),
    ambient_C,
  }));
  return coolingWindow({ kind: 'car', headMetal: 'iron', cycle: { ...cycle, ambient_C }, cycles: [cycle], readings });
}

const numbersIn = (figures: readonly unknown[]) =>
  figures.flatMap((piece) =>
    typeof piece === 'object' && piece !== null && 'value' in piece ? [piece.value as number] : [],
  );

describe('the curve that is drawn while a head cools', () => {
  const taus = fc.integer({ min: 60, max: 240 });
  test('both laws set out from the last reading and only fall', () =>
    fc.assert(
      fc.property(taus, (tau) => {
        const window = windowAfter(tau, [40, 80]);
        const curve = coolingCurve(window, RAN_TO);
        const last = window.used.at(-1);
        expect(curve[0]?.early).toBeCloseTo(last?.C ?? NaN, 6);
        expect(curve[0]?.late).toBeCloseTo(last?.C ?? NaN, 6);
        for (let i = 1; i < curve.length; i++) {
          expect(curve[i]?.early).toBeLessThan(curve[i - 1]?.early ?? -1);
          expect(curve[i]?.late).toBeLessThanOrEqual((curve[i - 1]?.late ?? -1) + 1e-9);
        }
      }),
    ));
  test('the early law meets the target where the window opens, the late one where it ends', () =>
    fc.assert(
      fc.property(taus, (tau) => {
        const window = windowAfter(tau, [40, 80]);
        const curve = coolingCurve(window, RAN_TO);
        const at = (side: 'early' | 'late', ms: number) => {
          const minutes = (ms - RAN_TO) / MIN;
          const i = curve.findIndex((point) => point.minutes >= minutes);
          const [a, b] = [curve[i - 1], curve[i]];
          if (!a || !b) throw new Error('the curve ends before the window');
          return a[side] + ((b[side] - a[side]) * (minutes - a.minutes)) / (b.minutes - a.minutes);
        };
        expect(at('early', window.from + window.errorFrom_min * MIN)).toBeCloseTo(window.target_C, 0);
        expect(at('late', window.by - (window.errorBy_min + window.tailBy_min) * MIN)).toBeCloseTo(window.target_C, 0);
      }),
    ));
  test('it never comes to the air itself, and is drawn past the window', () => {
    const window = windowAfter(120, [40, 80]);
    const curve = coolingCurve(window, RAN_TO);
    expect(curve).toHaveLength(61);
    for (const { early, late } of curve) expect(Math.min(early, late)).toBeGreaterThan(window.ambient_C);
    expect(curve.at(-1)?.minutes).toBeGreaterThan((window.by - RAN_TO) / MIN);
  });
});

describe('the working of the window', () => {
  test('its figures give what it ends with: the early end by pencil', () =>
    fc.assert(
      fc.property(fc.integer({ min: 60, max: 240 }), (tau) => {
        const window = windowAfter(tau, [45, 90]);
        const [, from] = workingOfWindow(window, RAN_TO).lines ?? [];
        const [t = NaN, shown = NaN, above = NaN, target = NaN, ends = NaN] = numbersIn(from?.figures ?? []);
        expect(t + shown * Math.log(above / target)).toBeCloseTo(ends, 0);
      }),
    ));
  test('and the late end by pencil, from two readings', () => {
    const window = windowAfter(120, [45, 90]);
    const late = workingOfWindow(window, RAN_TO).lines?.[2];
    const [t1 = NaN, apart = NaN, target = NaN, first = NaN, last = NaN, , ends = NaN] = numbersIn(late?.figures ?? []);
    expect(t1 + (apart * (target ** -0.25 - first ** -0.25)) / (last ** -0.25 - first ** -0.25)).toBeCloseTo(ends, 3);
  });
  test.each([
    [[45, 90], 'this run’s own readings', 'least squares through the readings'],
    [[45], 'one reading; take another to make it sharper', 'a usual figure for its kind, until it has shown its own'],
    [
      [],
      'the highest temperature when it was stopped; a reading or two will make it sharper',
      'a usual figure for its kind, until it has shown its own',
    ],
  ] as const)('after readings at %j it says what it rests on', (minutes, basis, tau) => {
    const { remarks = [], caution } = workingOfWindow(windowAfter(120, minutes), RAN_TO);
    expect(remarks.find(([label]) => label === 'Rests on')?.[1]).toBe(basis);
    expect(remarks.find(([label]) => label === 'τ')?.[1]).toBe(tau);
    expect(caution).toContain('Hot coolant');
  });
});

describe('a run as typed', () => {
  const run = {
    sentAt: YARD_NOW,
    id: 'cycle-0001',
    engineId: 'e',
    ranFrom: '2026-05-16T08:30:00.000Z',
    ranTo: '2026-05-16T09:00:00.000Z',
    highest_C: 88,
    ambient_C: 14,
  };
  const problem = (fields: object) => cycleSchema.validate({ ...run, ...fields }).error?.details[0]?.message;
  test.each([
    [{}, undefined],
    [{ highest_C: '' }, 'Give the highest temperature in °C, or in °F with its letter, such as 185 F.'],
    [{ ambient_C: 'warm' }, 'Give the air temperature in °C, or in °F with its letter, such as 185 F.'],
    [{ ranTo: '' }, 'Give when it was stopped.'],
    [{ ranFrom: 'this morning' }, 'Give when it was started as a date and a time.'],
  ])('%j', (fields, message) => expect(problem(fields)).toBe(message));
  test('a head of 500 °C is not believed', () => {
    const read = {
      sentAt: YARD_NOW,
      id: 'read-00001',
      engineId: 'e',
      cycleId: 'c',
      at: YARD_NOW,
      head_C: 40,
      ambient_C: 14,
    };
    expect(readingSchema.validate(read).error).toBeUndefined();
    expect(readingSchema.validate({ ...read, head_C: 500 }).error).toBeDefined();
  });
  test('a field’s own clock and the record’s UTC are one time', () => {
    const minute = Math.floor(Date.parse(YARD_NOW) / MIN) * MIN;
    expect(Date.parse(isoOfField(fieldOf(minute)))).toBe(minute);
    expect(isoOfField('half past')).toBe('half past');
  });
});

test('the run-in of the yard: newest run first, each with its readings in order, a line for every joint', () => {
  const shop = yardShop();
  const state = stateNamed(shop, 'demo-fourteen');
  const { engine } = state;
  const { cycles, dues, window } = runInOf(state, Date.parse(YARD_NOW));
  expect(cycles.map(({ ranTo }) => ranTo)).toEqual([...cycles.map(({ ranTo }) => ranTo)].sort().reverse());
  for (const { readings, id } of cycles) {
    expect(readings.every(({ cycleId }) => cycleId === id)).toBe(true);
    expect(readings.map(({ at }) => at)).toEqual([...readings.map(({ at }) => at)].sort());
  }
  expect(dues.map(({ name }) => name)).toEqual(shop.joints.ofEngine(engine.id).map(({ name }) => name));
  expect(window?.from).toBeLessThan(window?.by ?? 0);
});

describe('what a head that is not quite cold costs a joint', () => {
  const shop = yardShop();
  const rows = rowsNamed(shop, 'demo-fourteen');
  const NOW = Date.parse(YARD_NOW);
  const head = jointNamed(shop, 'demo-f-joint-head');
  const withGrip = (grip_mm: number | null) => ({
    ...head,
    detail: { ...head.detail, parent: { ...head.detail.parent, grip_mm } },
  });
  const costOf = (grip_mm: number | null, headMetal: HeadMetal = 'aluminium') => {
    const inputs = inputsOf(rows, withGrip(grip_mm), shelvesOf(shop), NOW);
    return warmHeadOf(inputs, computeJoint(inputs), headMetal);
  };
  test('is by the law of the contract, with the fastener alone, and asks for the grip', () => {
    expect(costOf(null)).toEqual({ is: 'unknown' });
    const found = costOf(80);
    if (found.is !== 'known') throw new Error('its grip is known');
    const inputs = inputsOf(rows, withGrip(80), shelvesOf(shop), NOW);
    const F = computeJoint(inputs).ladder.band.p50_N;
    const { stressArea_mm2, major_mm } = threadNamed('7/16 BSF');
    const k = (205e3 * stressArea_mm2) / (80 + major_mm);
    expect(found.within_K).toBeCloseTo(((0.02 * F) / (k * 80 * (23 - 11.5))) * 1e6, 9);
    expect(found.share / found.counts_K).toBeCloseTo(0.02 / found.within_K, 12);
    expect(found.counts_K).toBe(5);
  });
  test('an iron head grows nearly as its studs do: it may be warmer by many times', () => {
    const [iron, aluminium] = [costOf(80, 'iron'), costOf(80)];
    if (iron.is !== 'known' || aluminium.is !== 'known') throw new Error('its grip is known');
    expect(iron.within_K / aluminium.within_K).toBeCloseTo(11.5, 9);
    expect(iron.counts_K).toBe(10);
  });
  test('of one of which nobody said the metal is what the worse would cost, and it is asked', () => {
    expect(costOf(80, 'unsaid')).toEqual(costOf(80));
    const asked = (headMetal: HeadMetal, retorqueSchool?: 'warm') =>
      runInOf(
        engineStateOf({
          ...rows,
          engine: { ...rows.engine, headMetal },
          joints: rows.joints.map((joint) => ({ ...joint, ...(retorqueSchool && { retorqueSchool }) })),
        }),
        NOW,
      ).metalUnsaid;
    expect([asked('unsaid'), asked('iron'), asked('aluminium')]).toEqual([true, undefined, undefined]);
    // Where nothing waits for the cold, nobody is asked for it there.
    expect(asked('unsaid', 'warm')).toBeUndefined();
  });
  test('is told of the joint that waits for the cold, and of none beside', () => {
    const { dues } = runInOf(engineStateOf(rows), NOW, warmHeads(rows, shelvesOf(shop), NOW));
    expect(dues.map(({ name, warm }) => [name, warm?.is])).toEqual([
      ['Main bearing caps', undefined],
      ['Cylinder head', 'unknown'],
    ]);
    // Gone over warm, as its page says, nothing is asked of a cold head.
    const warm = { ...rows, joints: rows.joints.map((joint) => ({ ...joint, retorqueSchool: 'warm' as const })) };
    const asked = runInOf(engineStateOf(warm), NOW, warmHeads(warm, shelvesOf(shop), NOW));
    expect(asked.dues.map((due) => due.warm)).toEqual([undefined, undefined]);
  });
});

describe('before the first start', () => {
  const start = (id: string) => runInOf(stateNamed(yardShop(), id), Date.parse(YARD_NOW)).start;
  test('what stands against it is what the gate of the order has', () => {
    const found = start('demo-norrhem');
    expect(found).toMatchObject({ isReady: false, href: '/engines/demo-norrhem/order' });
    expect(found?.bars.join(' ')).toMatch(/out of limits/);
    expect(found?.bars.length).toBeGreaterThan(3);
  });
  test('nothing is said of it once the engine ran', () => expect(start('demo-fourteen')).toBeUndefined());
});
