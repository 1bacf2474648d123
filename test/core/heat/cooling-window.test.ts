import { describe, expect, test } from '@jest/globals';
import { coolingWindow, retorqueState, type HeadMetal, type HeadReadingFact } from '@/core/heat';
import { createRandom, normalQuantile } from '@/core/statistics';

const MIN = 60_000;
const RECORDS = 400;

type Uniform = () => number;
/** Degrees over the air, so many minutes after it was stopped. */
type Law = (minutes: number) => number;

/** Laws that are not the fitted one: each engine of its own. */
const LAWS: Readonly<Record<string, (u: Uniform) => Law>> = {
  'two time constants, the fast one of the mixing': (u) => {
    const [share, fast, slow, start] = [0.1 + 0.2 * u(), 6 + 8 * u(), 80 + 150 * u(), 60 + 25 * u()];
    return (m) => start * (share * Math.exp(-m / fast) + (1 - share) * Math.exp(-m / slow));
  },
  'two time constants near each other, of head and block': (u) => {
    const [share, head, start] = [0.6 + 0.3 * u(), 60 + 60 * u(), 60 + 25 * u()];
    const block = head * (2 + 2 * u());
    return (m) => start * (share * Math.exp(-m / head) + (1 - share) * Math.exp(-m / block));
  },
  'still air': (u) => {
    const [start, tau] = [60 + 25 * u(), 80 + 150 * u()];
    return (m) => start * (1 + m / (4 * tau)) ** -4;
  },
};

/** One record with noise and an air that drifts, and whether the true hour lies in its window. */
function record(law: (u: Uniform) => Law, count: number, seed: number): 'in' | 'early' | 'late' | undefined {
  const { uniform } = createRandom(seed);
  const noise = () => normalQuantile(uniform());
  const over = law(uniform);
  const [air, drift] = [8 + 14 * uniform(), 2 * uniform() - 1];
  const airAt = (m: number) => air + (drift * m) / 360;
  const headMetal: HeadMetal = uniform() < 0.5 ? 'iron' : 'aluminium';
  const allowed = headMetal === 'iron' ? 10 : 5;
  const first = 30 + 20 * uniform();
  const last = first + 40 + 100 * uniform();
  const readings = Array.from({ length: count }, (_, i): HeadReadingFact => {
    const m = first + ((last - first) * i) / (count - 1);
    return { cycleId: 'a', at: m * MIN, head_C: airAt(m) + over(m) + noise(), ambient_C: airAt(m) + 0.5 * noise() };
  });
  let truly = 0;
  while (over(truly) > allowed) truly += 1;
  if (truly <= last) return undefined;
  const cycle = { id: 'a', ranFrom: -30 * MIN, ranTo: 0, highest_C: 90, ambient_C: air };
  const window = coolingWindow({ kind: 'car', headMetal, cycle, cycles: [cycle], readings });
  if (window.basis !== 'readings') return undefined;
  return truly < window.from / MIN ? 'early' : truly > window.by / MIN ? 'late' : 'in';
}

describe('the window in which a head is cold', () => {
  test.each(Object.keys(LAWS).flatMap((name) => [2, 4].map((count) => [name, count] as const)))(
    'holds the true hour nine times in ten: %s, %d readings',
    (name, count) => {
      const found = Array.from({ length: RECORDS }, (_, seed) =>
        record(LAWS[name] as (u: Uniform) => Law, count, seed + 1),
      ).filter((one) => one !== undefined);
      expect(found.length).toBeGreaterThan(0.9 * RECORDS);
      expect(found.filter((one) => one === 'in').length / found.length).toBeGreaterThanOrEqual(0.9);
    },
  );

  const cycle = (id: string, day: number) => ({
    id,
    ranFrom: day * 1440 * MIN - 30 * MIN,
    ranTo: day * 1440 * MIN,
    highest_C: 90,
    ambient_C: 12,
  });
  const decay = (id: string, day: number, tau: number): readonly HeadReadingFact[] =>
    [60, 120].map((m) => ({
      cycleId: id,
      at: (day * 1440 + m) * MIN,
      head_C: 12 + 70 * Math.exp(-m / tau),
      ambient_C: 12,
    }));

  test('an engine’s own rate is the middle of its earlier runs, the geometric one', () => {
    const window = coolingWindow({
      kind: 'car',
      headMetal: 'iron',
      cycle: cycle('c', 9),
      cycles: [cycle('a', 1), cycle('b', 5), cycle('c', 9)],
      readings: [...decay('a', 1, 100), ...decay('b', 5, 144)],
    });
    expect(window).toMatchObject({ tauFrom: 'own-earlier-run', pooledRuns: 2, basis: 'highest-at-stop' });
    expect(window.tau_min).toBeCloseTo(120, 6);
  });

  test('what is read in the first half hour does not count, and two of them give no rate', () => {
    const early = [5, 20].map((m) => ({ cycleId: 'a', at: (1440 + m) * MIN, head_C: 90 - m, ambient_C: 12 }));
    const of = (readings: readonly HeadReadingFact[]) =>
      coolingWindow({ kind: 'car', headMetal: 'iron', cycle: cycle('a', 1), cycles: [cycle('a', 1)], readings });
    expect(of(early)).toEqual(of([]));
    expect(of([...early, ...decay('a', 1, 150)]).tau_min).toBeCloseTo(150, 6);
  });

  test('a head that warms while it stands, or is colder than the air, gives no window of its own', () => {
    const of = (...temperatures: readonly number[]) =>
      coolingWindow({
        kind: 'car',
        headMetal: 'iron',
        cycle: cycle('a', 1),
        cycles: [cycle('a', 1)],
        readings: temperatures.map((head_C, i) => ({
          cycleId: 'a',
          at: (1440 + 60 * (i + 1)) * MIN,
          head_C,
          ambient_C: 12,
        })),
      }).basis;
    expect(of(60, 65)).toBe('one-reading');
    expect(of(8, 7)).toBe('highest-at-stop');
    expect(of(60, 45)).toBe('readings');
  });

  test('ten thousand runs behind it, and it is told at once where it stands', () => {
    const cycles = Array.from({ length: 10_000 }, (_, i) => cycle(`c${i}`, i + 1));
    const readings = cycles.flatMap(({ id }, i) => decay(id, i + 1, 120));
    // The processor's time: what else the machine does is no part of it.
    const began = process.cpuUsage();
    const state = retorqueState({
      kind: 'car', headMetal: 'iron', school: 'straight', least: { highest_C: 60, minutes: 10, cooledTo_C: 40 }, tightenedAt: 0, cycles, readings,
      answered: [{ cycleId: 'c0', at: 2 * 1440 * MIN }],
      stages: [{ cycles: 1 }, { distance: { value: 300, unit: 'mi' }, hours: 9000, days: 20_000 }],
      meters: cycles.map(({ ranTo }, i) => ({ at: ranTo, reads: i / 100, unit: 'mi' as const })),
    }); // prettier-ignore
    expect(state.state).toBe('done');
    expect(process.cpuUsage(began).user / 1000).toBeLessThan(2000);
  });
});
