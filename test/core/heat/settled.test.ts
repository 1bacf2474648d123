import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { coldWithin, settlement, settlementByBreakAway } from '@/core/heat';
import { liftArm, tighteningArm } from '@/core/joint';
import { settling } from '@/core/statistics';
import { readThread, threadNamed } from '@/core/thread';
import { reckon } from '@/reckoner/reckon';
import { codeOf, fieldOf } from '../code-of';

const COLD = {
  preload_N: 25_000,
  stiffness_N_per_mm: 1.1e5,
  length_mm: 80,
  head_um_per_mK: 23,
  stud_um_per_mK: 11.5,
  loss: 0.02,
};

describe('how cold is cold', () => {
  test('an aluminium head of 80 mm on steel studs: 5 K for 2 %', () => {
    expect(coldWithin(COLD).within_K).toBeCloseTo(4.94, 2);
    // What a kelvin more does to the clamp load, worked out the other way round.
    const newtonsPerKelvin = 1.1e5 * 80 * 11.5e-6;
    expect(coldWithin(COLD).within_K * newtonsPerKelvin).toBeCloseTo(0.02 * 25_000, 6);
  });
  test('it does not matter which of the two grows more', () =>
    expect(coldWithin({ ...COLD, head_um_per_mK: 11.5, stud_um_per_mK: 23 })).toEqual(coldWithin(COLD)));
  test.each([
    ['no-difference', { head_um_per_mK: 11.5 }, 'head_um_per_mK'],
    ['bad-field', { preload_N: 0 }, 'preload_N'],
    ['bad-field', { stiffness_N_per_mm: -1 }, 'stiffness_N_per_mm'],
    ['bad-field', { length_mm: 0 }, 'length_mm'],
    ['bad-field', { loss: 0 }, 'loss'],
    ['bad-field', { loss: 1.1 }, 'loss'],
    ['bad-field', { stud_um_per_mK: -1 }, 'stud_um_per_mK'],
  ])('%s of %j', (code, part, field) => {
    const run = () => coldWithin({ ...COLD, ...part });
    expect([codeOf(run), fieldOf(run)]).toEqual([code, field]);
  });
});

const MOVED = { torque_Nm: 50, prevailing_Nm: 1, moved_deg: 6, slope_Nm_per_deg: 0.7, angleError_deg: 3 };
const UNMOVED = {
  torque_Nm: 50,
  didNotMove: true as const,
  thread: readThread('3/8 BSF').thread,
  bearing: { outer_mm: 14.2, inner_mm: 9.9 },
  muThread: 0.13,
  muHead: 0.13,
  staticRatio: 1.15,
};

describe('what was left before a nut was gone over', () => {
  test('is what its movement did not make up', () => {
    const { remaining, low, high } = settlement(MOVED);
    expect(remaining).toBeCloseTo(1 - (0.7 * 6) / 49, 12);
    expect(low).toBeCloseTo(1 - (0.7 * 9) / 49, 12);
    expect(high).toBeCloseTo(1 - (0.7 * 3) / 49, 12);
  });
  test('lies between nothing and all of it, the ends about it, and less the farther it moved', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 400, noNaN: true }),
        fc.double({ min: 0.01, max: 5, noNaN: true }),
        fc.double({ min: 0, max: 10, noNaN: true }),
        (moved_deg, slope_Nm_per_deg, angleError_deg) => {
          const at = (deg: number) => settlement({ ...MOVED, moved_deg: deg, slope_Nm_per_deg, angleError_deg });
          const { remaining, low, high } = at(moved_deg);
          expect(0 <= low && low <= remaining && remaining <= high && high <= 1).toBe(true);
          expect(at(moved_deg + 1).remaining).toBeLessThanOrEqual(remaining);
        },
      ),
    );
  });
  test('of one that did not move is a bound and never nothing: 0.885 and 0.79 at static ratios of 1.15 and 1.3', () => {
    const bound = settlement(UNMOVED);
    expect(bound).toMatchObject({ high: 1, notes: [{ code: 'bound-only' }] });
    expect([bound.remaining, bound.low]).toEqual([bound.low, bound.remaining]);
    expect(bound.low).toBeCloseTo(0.885, 2);
    expect(settlement({ ...UNMOVED, staticRatio: 1.3 }).low).toBeCloseTo(0.79, 2);
    expect(settlement({ ...UNMOVED, staticRatio: 1 }).low).toBe(1);
  });
  test.each([
    [MOVED, { torque_Nm: 1 }, 'torque_Nm'],
    [MOVED, { moved_deg: -1 }, 'moved_deg'],
    [MOVED, { slope_Nm_per_deg: 0 }, 'slope_Nm_per_deg'],
    [MOVED, { angleError_deg: -1 }, 'angleError_deg'],
    [MOVED, { prevailing_Nm: -1 }, 'prevailing_Nm'],
    [UNMOVED, { staticRatio: 0.9 }, 'staticRatio'],
    [UNMOVED, { muThread: 0 }, 'muThread'],
    [UNMOVED, { prevailing_Nm: 60 }, 'torque_Nm'],
  ])('%#: a field that cannot be is refused by its name', (nut, part, field) => {
    const run = () => settlement({ ...nut, ...part });
    expect([codeOf(run), fieldOf(run)]).toEqual(['bad-field', field]);
  });
  test('the two ways are not mixed up at the open door', () => {
    const ask = (part: object) => reckon({ op: 'settlement', torque_Nm: 50, ...part });
    expect(ask({ moved_deg: 5 })).toMatchObject({
      ok: false,
      error: { code: 'missing-field', field: 'slope_Nm_per_deg' },
    });
    expect(ask({ didNotMove: true, moved_deg: 5 })).toMatchObject({ ok: false });
    expect(ask({ didNotMove: false, moved_deg: 0, slope_Nm_per_deg: 1 })).toMatchObject({ result: { remaining: 1 } });
    expect(ask({ didNotMove: true })).toMatchObject({ ok: false, error: { code: 'missing-field' } });
    const { thread: _, ...fields } = UNMOVED;
    expect(ask({ ...fields, thread: '3/8 BSF' })).toMatchObject({ ok: true, notes: [{ code: 'bound-only' }] });
  });
});

describe('how a joint settles', () => {
  test('losses that halve are found to halve, with what is still to be gained', () => {
    const { ratio, ratioLow, ratioHigh, nextLoss, furtherGain, notes } = settling({
      losses: [
        [8, 4, 2],
        [4, 2, 1],
      ],
    });
    [ratio, ratioLow, ratioHigh].forEach((one) => expect(one).toBeCloseTo(0.5, 12));
    expect(nextLoss.map((one) => Number(one.toFixed(9)))).toEqual([1, 0.5]);
    // 1 + ½ + ¼ + …
    expect(furtherGain?.map((one) => Number(one.toFixed(9)))).toEqual([2, 1]);
    expect(notes).toEqual([]);
  });
  test('three cycles have one degree of freedom: t is 12.706', () => {
    const { ratio, ratioLow, ratioHigh } = settling({ losses: [[1, 0.6, 0.3]] });
    const logs = [0, Math.log(0.6), Math.log(0.3)] as const;
    const slope = (logs[2] - logs[0]) / 2;
    const mean = (logs[0] + logs[1] + logs[2]) / 3;
    const off = [-1, 0, 1].reduce((sum, at, i) => sum + ((logs[i] ?? 0) - mean - slope * at) ** 2, 0);
    const reach = 12.7062 * Math.sqrt(off / 2);
    expect(Math.log(ratio)).toBeCloseTo(slope, 12);
    expect(Math.log(ratioHigh)).toBeCloseTo(slope + reach, 4);
    expect(Math.log(ratioLow)).toBeCloseTo(slope - reach, 4);
  });
  test('the interval holds the true ratio about 95 times in 100, whatever all nuts of a cycle share', () => {
    let state = 7;
    const chance = () => {
      state = (state * 1_103_515_245 + 12_345) % 2_147_483_648;
      return state / 2_147_483_648;
    };
    const normal = () => Math.sqrt(-2 * Math.log(1 - chance())) * Math.cos(2 * Math.PI * chance());
    let held = 0;
    const TRIES = 2000;
    for (let i = 0; i < TRIES; i += 1) {
      const cycles = Array.from({ length: 5 }, (_, j) => Math.log(0.1) + j * Math.log(0.6) + 0.2 * normal());
      const losses = Array.from({ length: 8 }, () => cycles.map((value) => Math.exp(value + 0.1 * normal())));
      const { ratioLow, ratioHigh } = settling({ losses });
      if (ratioLow <= 0.6 && 0.6 <= ratioHigh) held += 1;
    }
    expect(held / TRIES).toBeGreaterThan(0.93);
    expect(held / TRIES).toBeLessThan(0.97);
  });
  test('losses that do not shrink gain nothing that can be said', () => {
    const grown = settling({ losses: [[1, 1, 1.1]] });
    expect(grown.furtherGain).toBeUndefined();
    expect(grown.notes.map(({ code }) => code)).toEqual(['not-settling']);
  });
  test.each([
    ['too-few-cycles', [[1, 0.5]]],
    ['too-few-cycles', [[]]],
    ['no-loss', [[1, 0, 0.2]]],
    ['no-loss', [[1, -0.1, 0.2]]],
    ['bad-field', []],
    [
      'bad-field',
      [
        [1, 0.5, 0.2],
        [1, 0.5],
      ],
    ],
    ['bad-field', [[1, NaN, 0.2]]],
    ['bad-field', [[1, 1e10, 0.2]]],
  ])('%s: %j', (code, losses) => expect(codeOf(() => settling({ losses }))).toBe(code));
});

describe('what a nut had left, by the figure at which it broke away', () => {
  const thread = threadNamed('3/8 BSF');
  const nut = {
    thread,
    bearing: { outer_mm: 16, inner_mm: 10 },
    muThread: 0.13,
    muHead: 0.13,
    torque_Nm: 30,
    staticLow: 1.1,
    staticHigh: 1.3,
  };
  const [arm, lift] = [tighteningArm({ ...nut, prevailing_Nm: 0 }), liftArm(thread)];

  test('by hand, tightening and loosening', () => {
    const f = arm - lift;
    const tight = settlementByBreakAway({ ...nut, broke_Nm: 28, way: 'tightening' });
    expect(tight.low).toBeCloseTo(((28 / 30) * arm) / (lift + 1.3 * f), 9);
    expect(tight.high).toBeCloseTo(((28 / 30) * arm) / (lift + 1.1 * f), 9);
    const loose = settlementByBreakAway({ ...nut, broke_Nm: 22, way: 'loosening' });
    expect(loose.low).toBeCloseTo(((22 / 30) * arm) / (1.3 * f - lift), 9);
    expect(loose.low).toBeLessThan(loose.remaining);
    expect(loose.remaining).toBeLessThan(loose.high);
  });

  test('of a nut at its full load loosening takes less than tightening did, by the printed share', () => {
    // 0.67 to 0.81, with the same friction both ways.
    const share = (arm - 2 * lift) / arm;
    expect(share).toBeGreaterThan(0.6);
    expect(share).toBeLessThan(0.82);
    const full = settlementByBreakAway({ ...nut, broke_Nm: 30 * share, way: 'loosening', staticLow: 1, staticHigh: 1 });
    expect(full.remaining).toBeCloseTo(1, 9);
  });

  test('its ends enclose it, more torque is more load, and none is over the whole', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 60, noNaN: true }),
        fc.constantFrom('tightening' as const, 'loosening' as const),
        fc.double({ min: 0.06, max: 0.3, noNaN: true }),
        (broke_Nm, way, mu) => {
          const of = (torque: number) =>
            settlementByBreakAway({ ...nut, muThread: mu, muHead: mu, broke_Nm: torque, way });
          const { low, remaining, high } = of(broke_Nm);
          expect(low).toBeLessThanOrEqual(remaining + 1e-12);
          expect(remaining).toBeLessThanOrEqual(high + 1e-12);
          expect(high).toBeLessThanOrEqual(1);
          expect(of(broke_Nm * 1.1).low).toBeGreaterThanOrEqual(low - 1e-12);
        },
      ),
    ));

  test('what comes loose by itself, or turns no harder than by itself, is refused', () => {
    expect(
      codeOf(() => settlementByBreakAway({ ...nut, muThread: 0.001, muHead: 0.001, broke_Nm: 5, way: 'loosening' })),
    ).toBe('self-loosening');
    expect(codeOf(() => settlementByBreakAway({ ...nut, broke_Nm: 2, prevailing_Nm: 3, way: 'tightening' }))).toBe(
      'bad-field',
    );
  });
});
