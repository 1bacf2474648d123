import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { travelled, type MeterFact } from '@/core/heat';

const km = (at: number, reads: number, part: Partial<MeterFact> = {}): MeterFact => ({
  at,
  reads,
  unit: 'km',
  ...part,
});
const run = (from: number, to: number, adds?: number) => ({
  ranFrom: from,
  ranTo: to,
  ...(adds !== undefined && { adds }),
});

describe('how far an engine went', () => {
  test('by its odometer, from the last reading before', () => {
    expect(travelled([km(0, 100), km(50, 130), km(90, 190)], [], 60, 100)).toEqual({ amount: 60, unsaidRuns: 0 });
    expect(travelled([km(0, 100), km(50, 130), km(90, 190)], [], 60, 80)).toEqual({ amount: 0, unsaidRuns: 0 });
  });

  test('beyond its readings the runs go on counting, and between two of them they do not count twice', () => {
    const runs = [run(10, 20, 30), run(60, 70, 12), run(80, 90)];
    expect(travelled([km(0, 100), km(50, 130)], runs, 0, 100)).toEqual({ amount: 42, unsaidRuns: 1 });
  });

  test('what it went before the joint was tightened is not counted', () => {
    expect(travelled([km(0, 100), km(90, 160)], [run(10, 20, 25), run(40, 50, 35)], 30, 100)?.amount).toBe(35);
  });

  test('a mile is 1.609344 km', () => {
    expect(travelled([km(0, 0, { unit: 'mi' }), km(9, 100, { unit: 'mi' })], [], 0, 10)?.amount).toBeCloseTo(
      160.9344,
      9,
    );
  });

  test('exchanged and turned over', () => {
    expect(travelled([km(0, 45_000), km(5, 12, { jump: { from: 45_100, to: 4 } })], [], 0, 10)?.amount).toBe(108);
    expect(travelled([km(0, 99_990), km(5, 15, { jump: { from: 100_000, to: 0 } })], [], 0, 10)?.amount).toBe(25);
  });

  test('what is not known is not nothing', () => {
    expect(travelled([], [run(1, 2)], 0, 10)).toBeUndefined();
    expect(travelled([km(5, 100), km(8, 140)], [run(1, 2)], 0, 10)).toBeUndefined();
    expect(travelled([km(5, 100), km(8, 140)], [run(1, 2, 7)], 0, 10)).toEqual({ amount: 47, unsaidRuns: 0 });
    expect(travelled([], [], 0, 10)).toEqual({ amount: 0, unsaidRuns: 0 });
    expect(() => travelled([], [], 10, 0)).toThrow('The end must not be before the start.');
  });

  test('is the same however often the odometer is read on the way, and never less later', () =>
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 100 }), { minLength: 1, maxLength: 30 }),
        fc.nat(),
        (steps, seed) => {
          const sums = steps.reduce<number[]>((all, step) => [...all, (all.at(-1) ?? 500) + step], [500]);
          const every = sums.map((reads, i) => km(10 * i, reads));
          const some = every.filter((_, i) => i === 0 || i === every.length - 1 || (seed >> (i % 24)) % 2 === 0);
          const end = 10 * sums.length;
          expect(travelled(some, [], 0, end)).toEqual(travelled(every, [], 0, end));
          let last = 0;
          for (let at = 0; at <= end; at += 5) {
            const now = travelled(every, [], 0, at)?.amount ?? 0;
            expect(now).toBeGreaterThanOrEqual(last);
            last = now;
          }
        },
      ),
    ));
});
