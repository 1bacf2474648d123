import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cooling } from '@/core/heat';
import { createRandom, normalQuantile } from '@/core/statistics';
import { codeOf } from '../code-of';

/** Nothing widened: the laws themselves. */
const SHARP = { sensor_C: 0, ambientError_C: 0 };

const decay = (tau: number, start: number, ambient: number, times: readonly number[]) =>
  times.map((minutes) => ({ minutes, C: ambient + start * Math.exp(-minutes / tau) }));

describe('cooling', () => {
  test('an exact exponential gives its own time constant and the early end', () => {
    const { tau_min, readyFrom_min, rms_C, used } = cooling({
      ambient_C: 15,
      readings: decay(133, 90, 15, [40, 80, 130, 200]),
      target_C: 20,
      ...SHARP,
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
      ...SHARP,
    });
    expect(found.readyFrom_min).toBeCloseTo(120 + (60 / Math.log(70 / 50)) * Math.log(50 / 5), 8);
    expect(found.readyBy_min).toBeCloseTo(60 + (60 * (5 ** -0.25 - 70 ** -0.25)) / (50 ** -0.25 - 70 ** -0.25), 8);
  });

  test('a head that cools as still air does is ready at the late end', () => {
    const still = (minutes: number) => 12 + (80 ** -0.25 + 0.0012 * minutes) ** -4;
    const readings = [45, 90].map((minutes) => ({ minutes, C: still(minutes) }));
    const { readyFrom_min, readyBy_min } = cooling({ ambient_C: 12, readings, target_C: 17, ...SHARP });
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
    const found = cooling({ ambient_C: 10, readings: [{ minutes: 60, C: 60 }], target_C: 15, tau_min: 120, ...SHARP });
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
    ['bad-field', { ambient_C: 10, readings: [{ minutes: 60, C: 50 }], target_C: 20, tau_min: 90, sensor_C: -1 }],
    ['bad-field', { ambient_C: 10, readings: [{ minutes: 60, C: 50 }], target_C: 20, tau_min: 90, ambientError_C: -1 }],
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

describe('the window is as wide as sensor and air are doubtful', () => {
  const two = {
    ambient_C: 15,
    readings: [
      { minutes: 60, C: 85 },
      { minutes: 120, C: 65 },
    ],
    target_C: 20,
  };
  const Z = 1.6449;
  test('the sensor’s share by hand: δτ and the last reading, at 1.645 deviations', () => {
    const { errorFrom_min, readyFrom_min } = cooling({ ...two, ambientError_C: 0 });
    const sharp = cooling({ ...two, ...SHARP });
    const tau = 60 / Math.log(70 / 50);
    const far = Math.log(50 / 5);
    // t = t2 + τ·ln(θ2/θx), τ = Δt/ln(θ1/θ2): by θ1 and by θ2.
    const by1 = (-tau * far) / (70 * Math.log(70 / 50));
    const by2 = (tau * far) / (50 * Math.log(70 / 50)) + tau / 50;
    expect(errorFrom_min).toBeCloseTo(Z * Math.hypot(by1, by2), 1);
    expect(readyFrom_min).toBeCloseTo(sharp.readyFrom_min - errorFrom_min, 9);
  });
  test('each error by itself widens both ends, and twice the error twice as far', () => {
    const of = (sensor_C: number, ambientError_C: number) => cooling({ ...two, sensor_C, ambientError_C });
    for (const end of ['errorFrom_min', 'errorBy_min'] as const) {
      const [sensor, air, both] = [of(1, 0)[end], of(0, 1)[end], of(1, 1)[end]];
      expect(both).toBeCloseTo(Math.hypot(sensor, air), 9);
      expect(of(2, 0)[end]).toBeCloseTo(2 * sensor, 9);
      expect(Math.min(sensor, air)).toBeGreaterThan(1);
    }
    expect(cooling(two)).toEqual(cooling({ ...two, sensor_C: 1, ambientError_C: 0.5 }));
  });
  test('an air that was read too warm makes it ready later', () => {
    const at = (ambient_C: number) => cooling({ ...two, ambient_C, ...SHARP });
    const slope = (at(15.001).readyFrom_min - at(15).readyFrom_min) / 0.001;
    expect(cooling({ ...two, sensor_C: 0, ambientError_C: 1 }).errorFrom_min).toBeCloseTo(Z * Math.abs(slope), 0);
  });
  test.each<[string, (t: number, a: number, tau: number, k: number) => number]>([
    [
      'with heat that evens out first',
      (t, a, tau, k) => a * Math.exp(-t / tau) + (6 + 8 * k) * Math.exp(-t / (10 + 10 * k)),
    ],
    ['in still air', (t, a, tau) => a * (1 + t / (4 * tau)) ** -4],
  ])('the truth lies inside it at least 90 times in 100, %s', (_, law) => {
    const { fill } = createRandom(41);
    const u = new Float64Array(10);
    let [inside, tried] = [0, 0];
    for (let k = 0; k < 1500; k++) {
      fill(u);
      const at = (i: number) => u[i] as number;
      const normal = (i: number) => normalQuantile(at(i));
      const [a, tau, target] = [55 + 25 * at(0), 100 + 120 * at(1), 5 + 5 * at(2)];
      const theta = (t: number) => law(t, a, tau, at(3));
      let truth = 0;
      while (theta(truth) > target) truth += 0.5;
      const air = 15 + 0.5 * normal(4);
      const readings = [30, 60, 100].map((minutes, i) => ({ minutes, C: 15 + theta(minutes) + normal(5 + i) }));
      if (truth < 100) continue;
      const { readyFrom_min, readyBy_min } = cooling({ ambient_C: air, readings, target_C: 15 + target });
      tried++;
      if (truth >= readyFrom_min && truth <= readyBy_min) inside++;
    }
    expect(tried).toBeGreaterThan(1000);
    expect(inside / tried).toBeGreaterThanOrEqual(0.9);
  });
});
