import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { isHeatCycle, minutesAt, recordedRun, thinned, type Recorded } from '@/core/heat';
import { readTemperatures, guessedUses } from '@/model/heat/temperature-table';

/** A run that begins, warms, is held with a thermostat's swing, soaks and cools; a point a minute. */
function made({ idle = 10, warm = 15, held = 20, cool = 300, top = 85, air = 12, swing = 2, noise = 0, seed = 1 }) {
  let state = seed;
  const shake = () => {
    state = (state * 1_103_515_245 + 12_345) % 2_147_483_648;
    return noise * (2 * (state / 2_147_483_648) - 1);
  };
  const points: Recorded[] = [];
  for (let m = 0; m <= idle + warm + held + cool; m++) {
    const [w, h, c] = [m - idle, m - idle - warm, m - idle - warm - held];
    const C =
      w <= 0
        ? air
        : h <= 0
          ? air + ((top - air) * w) / warm
          : c <= 0
            ? top - swing * Math.sin(h) ** 2
            : air + (top - air) * Math.exp(-c / 120);
    points.push([m, C + shake()]);
  }
  return points;
}

describe('a run in a record', () => {
  test('is taken from where it warms to where it begins to cool', () => {
    const run = recordedRun(made({}));
    expect(run).toMatchObject({ from_min: 10, highest_C: 85, began_C: 12, isStopped: true });
    expect(run.to_min).toBeGreaterThanOrEqual(45);
    expect(run.to_min).toBeLessThanOrEqual(56);
  });

  test('whatever its length, heat and noise: the stop is never taken early, and late by minutes only', () =>
    fc.assert(
      fc.property(
        fc.record({
          idle: fc.integer({ min: 2, max: 60 }),
          warm: fc.integer({ min: 5, max: 40 }),
          held: fc.integer({ min: 8, max: 90 }),
          top: fc.integer({ min: 60, max: 110 }),
          air: fc.integer({ min: -5, max: 25 }),
          noise: fc.double({ min: 0, max: 0.8, noNaN: true }),
          seed: fc.integer({ min: 1, max: 1e6 }),
        }),
        (of) => {
          const run = recordedRun(made(of));
          const stopped = of.idle + of.warm + of.held;
          expect(run.to_min).toBeGreaterThanOrEqual(stopped - 1);
          expect(run.to_min).toBeLessThanOrEqual(stopped + 20);
          expect(Math.abs(run.from_min - of.idle)).toBeLessThanOrEqual(6);
        },
      ),
    ));

  test('one that never warmed is none, nor one that stands still or goes back in time', () => {
    const code = (points: readonly Recorded[]) => {
      try {
        recordedRun(points);
        return 'taken';
      } catch (error) {
        return (error as { code: string }).code;
      }
    };
    expect(code([[0, 12], [1, 20], [2, 14]])).toBe('not-a-run');
    expect(code([[0, 12], [1, 80]])).toBe('too-few-points');
    expect(code([[0, 12], [5, 80], [5, 70]])).toBe('not-in-order');
  }); // prettier-ignore

  test('one that ends hot was not seen to be stopped', () => {
    expect(recordedRun([[0, 12], [20, 80], [40, 84]]).isStopped).toBe(false);
  }); // prettier-ignore

  test('the minutes at a temperature are those on the straight lines between its points', () => {
    expect(minutesAt([[0, 20], [10, 60], [20, 60], [30, 20]], 40)).toBeCloseTo(20, 9);
    expect(minutesAt([[0, 20], [10, 60]], 70)).toBe(0);
  }); // prettier-ignore

  test('a long run that was hot for a moment only is no heat cycle, and by its hours alone it would be', () => {
    const run = { id: 'a', ranFrom: 0, ranTo: 60 * 60_000, highest_C: 65, ambient_C: 12 };
    const least = { highest_C: 60, minutes: 10, cooledTo_C: 40 };
    expect(isHeatCycle(run, least)).toBe(true);
    expect(isHeatCycle({ ...run, series: [[0, 12], [50, 50], [55, 65], [60, 50]] }, least)).toBe(false);
  }); // prettier-ignore

  test('thinned it keeps its ends, its highest and its order', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 4, max: 60 }),
        fc.array(fc.double({ min: -40, max: 200, noNaN: true }), { minLength: 3, maxLength: 400 }),
        (most, degrees) => {
          const points = degrees.map((C, i): Recorded => [i, C]);
          const few = thinned(points, most);
          expect(few.length).toBeLessThanOrEqual(Math.max(most, 4));
          expect([few[0], few.at(-1)]).toEqual([points[0], points.at(-1)]);
          const high = (all: readonly Recorded[]) => Math.max(...all.map(([, C]) => C));
          expect(high(few)).toBe(high(points));
          expect(few.every(([m], i) => i === 0 || m > (few[i - 1] as Recorded)[0])).toBe(true);
        },
      ),
    ));
});

describe("a recorder's table", () => {
  const table = (headings: readonly string[], ...records: readonly (readonly string[])[]) => ({ headings, records });

  test.each([
    [
      ['Time', 'Head °C', 'Air °C'],
      ['time', 'temperature', 'air'],
    ],
    [
      ['Elapsed (s)', 'Channel 1'],
      ['time', 'temperature'],
    ],
    [
      ['No', 'Date', 'Coolant temp', 'Oil temp'],
      ['left out', 'time', 'temperature', 'left out'],
    ],
  ])('%j is taken for %j', (headings, uses) => {
    expect(guessedUses(headings)).toEqual(uses);
  });

  test('by day and hour, over midnight', () => {
    const read = readTemperatures(table(['Time', 'Head'], ['2026-05-16 23:50:00', '60'], ['2026-05-17 00:10:30', '50'], ['2026-05-17 01:00', '41,5']));
    expect(read).toMatchObject({ times: 'day-and-hour', firstAt: '2026-05-16T23:50:00', points: [[0, 60], [20.5, 50], [70, 41.5]] });
  }); // prettier-ignore

  test('by the hour alone, over midnight; and a line that is not later is left out', () => {
    const read = readTemperatures(table(['Time', 'T °F'], ['23:30', '140'], ['23:20', '139'], ['0:30', '104'], ['1:00', '95 F']));
    expect(read.points).toEqual([[0, 60], [60, 40], [90, 35]]);
    expect(read.aside).toEqual([{ line: 3, reason: 'it is not later than the one before it' }]);
  }); // prettier-ignore

  test.each([
    ['Seconds', [[0, 12], [1, 20], [2, 30]]],
    ['min', [[0, 12], [60, 20], [120, 30]]],
    ['Hours', [[0, 12], [3600, 20], [7200, 30]]],
  ])('from its beginning in %s', (heading, points) => {
    expect(readTemperatures(table([heading, 'Probe'], ['30', '12'], ['90', '20'], ['150', '30'])).points).toEqual(points);
  }); // prettier-ignore

  test('what cannot be read is left out by its line, and air is told', () => {
    const read = readTemperatures(
      table(
        ['Time', 'Probe', 'Air'],
        ['10:00', '12', '11'],
        ['25:00', '13', ''],
        ['10:05', 'n/a', ''],
        ['2026-02-30 10:06', '14', ''],
        ['10:10', '40', '11,5'],
        ['10:20', '60', ''],
      ),
    );
    expect(read.aside.map(({ line }) => line)).toEqual([3, 4, 5]);
    expect(read.air_C).toBe(11.5);
  });

  test.each([
    [['Probe', 'Air'], 'no-time'],
    [['Time'], 'no-temperature'],
    [['Time', 'Probe'], 'too-few-points'],
  ])('%j: %s', (headings, code) => {
    expect(() =>
      readTemperatures(
        table(
          headings,
          headings.map(() => '10:00'),
        ),
      ),
    ).toThrow(expect.objectContaining({ code }));
  });
});
