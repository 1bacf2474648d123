import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cooling } from '@/core/heat';
import { codeOf } from '../code-of';

const decay = (tau: number, start: number, ambient: number, times: readonly number[]) =>
  times.map((minutes) => ({ minutes, C: ambient + start * Math.exp(-minutes / tau) }));

describe('cooling', () => {
  test('an exact exponential gives its own time constant and the early end', () => {
    const { tau_min, readyFrom_min, rms_C, used } = cooling({
      ambient_C: 15,
      readings: decay(133, 90, 15, [40, 80, 130, 200]),
      target_C: 20,
    });
    expect(tau_min).toBeCloseTo(133, 4);
    expect(readyFrom_min).toBeCloseTo(133 * Math.log(90 / 5), 3);
    expect(rms_C).toBeCloseTo(0, 5);
    expect(used).toBe(4);
  });

  test('two readings: both ends by their formulas', () => {
    const found = cooling({
      ambient_C: 15,
      readings: [
        { minutes: 60, C: 85 },
        { minutes: 120, C: 65 },
      ],
      target_C: 20,
    });
    expect(found.readyFrom_min).toBeCloseTo(120 + (60 / Math.log(70 / 50)) * Math.log(50 / 5), 8);
    expect(found.readyBy_min).toBeCloseTo(60 + (60 * (5 ** -0.25 - 70 ** -0.25)) / (50 ** -0.25 - 70 ** -0.25), 8);
  });

  test('a head that cools as still air does is ready at the late end', () => {
    const still = (minutes: number) => 12 + (80 ** -0.25 + 0.0012 * minutes) ** -4;
    const readings = [45, 90].map((minutes) => ({ minutes, C: still(minutes) }));
    const { readyFrom_min, readyBy_min } = cooling({ ambient_C: 12, readings, target_C: 17 });
    expect(still(readyBy_min)).toBeCloseTo(17, 8);
    expect(readyFrom_min).toBeLessThan(readyBy_min);
  });

  test('readings while the heat evens out are left out where two later ones exist', () => {
    const late = decay(150, 80, 10, [60, 120]);
    const early = { minutes: 5, C: 60 };
    const found = cooling({ ambient_C: 10, readings: [early, ...late], target_C: 15 });
    expect([found.used, found.notes.map((note) => note.code)]).toEqual([2, ['early-readings-left-out']]);
    expect(found.tau_min).toBeCloseTo(150, 6);
    expect(
      cooling({ ambient_C: 10, readings: [{ minutes: 5, C: 95 }, late[0] as (typeof late)[0]], target_C: 15 }).used,
    ).toBe(2);
  });

  test('one reading borrows the time constant; its late end starts at the same rate', () => {
    const found = cooling({ ambient_C: 10, readings: [{ minutes: 60, C: 60 }], target_C: 15, tau_min: 120 });
    expect(found.readyFrom_min).toBeCloseTo(60 + 120 * Math.log(10), 8);
    expect(found.readyBy_min).toBeCloseTo(60 + 480 * (10 ** 0.25 - 1), 8);
  });

  test.each([
    ['never', { ambient_C: 20, readings: [{ minutes: 60, C: 60 }], target_C: 20, tau_min: 100 }],
    ['missing-field', { ambient_C: 10, readings: [{ minutes: 60, C: 60 }], target_C: 20 }],
    [
      'not-cooling',
      {
        ambient_C: 10,
        readings: [
          { minutes: 60, C: 50 },
          { minutes: 90, C: 55 },
        ],
        target_C: 20,
      },
    ],
    ['bad-field', { ambient_C: 10, readings: [], target_C: 20 }],
    ['bad-field', { ambient_C: 10, readings: [{ minutes: 60, C: 9 }], target_C: 20 }],
    [
      'bad-field',
      {
        ambient_C: 10,
        readings: [
          { minutes: 60, C: 50 },
          { minutes: 60, C: 49 },
        ],
        target_C: 20,
      },
    ],
    ['bad-field', { ambient_C: 10, readings: [{ minutes: -1, C: 50 }], target_C: 20, tau_min: 100 }],
    ['bad-field', { ambient_C: 10, readings: [{ minutes: 60, C: 50 }], target_C: 20, tau_min: 0 }],
  ])('%s', (code, input) => expect(codeOf(() => cooling(input))).toBe(code));

  test('beyond the last reading the early end never comes after the late one', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 40, max: 400, noNaN: true }),
        fc.double({ min: 30, max: 110, noNaN: true }),
        fc.integer({ min: 30, max: 90 }),
        fc.integer({ min: 20, max: 120 }),
        (tau, start, first, apart) => {
          const readings = decay(tau, start, 12, [first, first + apart]);
          fc.pre((readings[1]?.C ?? 0) > 13);
          const found = cooling({ ambient_C: 12, readings, target_C: 13 });
          expect(found.readyFrom_min).toBeLessThanOrEqual(found.readyBy_min + 1e-9);
          expect(found.tau_min).toBeCloseTo(tau, 5);
        },
      ),
    );
  });
});
