import { describe, expect, test } from '@jest/globals';
import { SHELF_FILMS } from '@/core/film';
import { clamp, clampBand, torqueFor } from '@/core/joint';
import {
  createRandom,
  filmTrial,
  monteCarlo,
  normalQuantile,
  startMonteCarlo,
  studentQuantile,
  type TrialPull,
} from '@/core/statistics';
import { threadNamed } from '@/core/thread';
import { NEXT_BOLT_FACTOR, NORMAL, STUDENT } from '../../reference/quantile-tables';
import { codeOf } from '../code-of';

describe('printed quantiles', () => {
  test.each(STUDENT)('t with %d degrees of freedom', (df, t95, t975) => {
    expect(studentQuantile(0.95, df)).toBeCloseTo(t95, 3);
    expect(studentQuantile(0.975, df)).toBeCloseTo(t975, 2);
  });
  test.each(NORMAL)('z at %d', (p, z) => {
    expect(normalQuantile(p)).toBeCloseTo(z, 4);
    expect(normalQuantile(1 - p)).toBeCloseTo(-z, 4);
  });
  test.each(NEXT_BOLT_FACTOR)('the next bolt after %d', (n, factor) => {
    expect(studentQuantile(0.95, n - 1) * Math.sqrt(1 + 1 / n)).toBeCloseTo(factor, 2);
  });
});

describe('chance', () => {
  test('the same seed gives the same numbers, everywhere and for good', () => {
    const draw = (seed: number) => Array.from({ length: 3 }, createRandom(seed).next);
    expect(draw(1936)).toEqual(draw(1936));
    expect(draw(1936)).not.toEqual(draw(1937));
    // A result kept since the first day: a change of the generator is a change of every recorded band.
    expect(draw(1936)).toEqual([2689851528, 2124993733, 30549036]);
  });
  test('its numbers are even', () => {
    const { uniform } = createRandom(5);
    const bins = new Array<number>(10).fill(0);
    for (let i = 0; i < 100_000; i++) bins[Math.floor(uniform() * 10)]!++;
    for (const bin of bins) expect(Math.abs(bin - 10_000)).toBeLessThan(400);
  });
  test.each([-1, 0.5, Number.NaN])('a seed of %d is refused', (seed) =>
    expect(codeOf(() => createRandom(seed))).toBe('bad-field'),
  );
});

const base = {
  thread: threadNamed('3/8 BSF'),
  bearing: { outer_mm: 14.48, inner_mm: 10.52 },
  torque_Nm: 34,
  wrenchAccuracy_pct: 4,
  graduation_Nm: 0.5,
};

describe('the simulated band', () => {
  test.each(SHELF_FILMS.flatMap((film) => [[film.name, film, true] as const, [film.name, film, false] as const]))(
    '%s approaches the closed form',
    (_, film, sharedFilm) => {
      const input = { ...base, muThread: film.thread, muHead: film.head, sharedFilm };
      const [drawn, closed] = [monteCarlo({ ...input, samples: 400_000, seed: 11 }), clampBand(input)];
      // The ends are what the band is for; where thread and head slip apart, the split lognormal shifts the middle by
      // up to 2.3 %.
      const most = { p5_N: 0.004, p95_N: 0.008, p50_N: sharedFilm ? 0.005 : 0.025, mean_N: sharedFilm ? 0.005 : 0.012 };
      for (const end of ['p5_N', 'p50_N', 'p95_N', 'mean_N'] as const)
        expect(Math.abs(drawn[end] / closed[end] - 1)).toBeLessThan(most[end]);
    },
  );
  // Kept since before the draws went by whole columns: each way in which thread, head, wrench, mark and nut are drawn.
  const [even, wide] = [
    { low: 0.1, middle: 0.13, high: 0.16 },
    { low: 0.08, middle: 0.12, high: 0.2 },
  ];
  test.each([
    [
      'one film',
      { muThread: even, muHead: even },
      17009.77709063604,
      20624.063207209703,
      26001.815042127542,
      20973.654951967506,
    ],
    [
      'two films, drawn as one',
      { muThread: even, muHead: wide },
      15146.079505403097,
      21392.339810053836,
      28717.207670710985,
      21539.8671743758,
    ],
    [
      'two films apart, and a nut',
      { muThread: even, muHead: wide, sharedFilm: false, prevailing_Nm: 3, prevailingSpread_Nm: 2 },
      14598.764874529874,
      19293.29055911446,
      23862.7491297864,
      19264.551937516408,
    ],
    [
      'a perfect wrench',
      { muThread: wide, muHead: wide, wrenchAccuracy_pct: 0, graduation_Nm: 0, prevailing_Nm: 3 },
      12772.2042964069,
      20081.654776208787,
      28204.89459554529,
      20111.732422467176,
    ],
  ])('%s: the same seed gives the same answer for good', (_, films, p5_N, p50_N, p95_N, mean_N) =>
    expect(monteCarlo({ ...base, ...films, samples: 5000, seed: 1936 })).toEqual({ p5_N, p50_N, p95_N, mean_N }),
  );
  test('drawn in pieces or at once it is the same', () => {
    const film = SHELF_FILMS[0]!;
    const input = { ...base, muThread: film.thread, muHead: film.head, samples: 5000, seed: 3 };
    const run = startMonteCarlo(input);
    while (!run.advance(700)) expect(run.drawn()).toBeLessThan(5000);
    expect(run.band()).toEqual(monteCarlo(input));
  });
  test.each([
    [0, 1],
    [5_000_001, 1],
    [10.5, 1],
    [100, -1],
  ])('%d samples with seed %d are refused', (samples, seed) => {
    const film = SHELF_FILMS[0]!;
    expect(codeOf(() => monteCarlo({ ...base, muThread: film.thread, muHead: film.head, samples, seed }))).toBe(
      'bad-field',
    );
  });
});

describe('a lubricant trial', () => {
  const shelf = { low: 0.1, middle: 0.13, high: 0.16 };
  const preload = (mu: number) => clamp({ ...base, muThread: mu, muHead: mu }, 34).preload_N;
  const pulls = (mus: readonly number[]): readonly TrialPull[] =>
    mus.map((mu, i) => ({ bolt: String(i + 1), torque_Nm: 34, preload_N: preload(mu) }));
  test('finds the friction that made the stretch, and K with it', () => {
    const { mu, K } = filmTrial(pulls([0.12, 0.12, 0.12, 0.12]), base, shelf);
    expect(mu).toBeCloseTo(0.12, 6);
    expect(K).toBeCloseTo(torqueFor({ ...base, muThread: 0.12, muHead: 0.12 }, preload(0.12)).K, 6);
  });
  test('the next bolt is wider than the mean, and few bolts lean on the shelf', () => {
    const five = filmTrial(pulls([0.11, 0.13, 0.12, 0.125, 0.135]), base, shelf);
    const two = filmTrial(pulls([0.12, 0.121]), base, shelf);
    const width = (interval?: { low: number; high: number }) => (interval?.high ?? 0) - (interval?.low ?? 0);
    expect(width(five.nextMu)).toBeGreaterThan(width(five.meanMu));
    const ten = filmTrial(pulls([0.11, 0.13, 0.12, 0.125, 0.135, 0.11, 0.13, 0.12, 0.125, 0.135]), base, shelf);
    expect([ten.shrunk, five.shrunk, two.shrunk]).toEqual([false, true, true]);
    expect(two.deviation).toBeGreaterThan(0.02);
    expect(filmTrial(pulls([0.12]), base, shelf).nextMu).toBeUndefined();
  });
  test('nothing jumps at the fourth bolt: every number of bolts leans on the shelf’s row', () => {
    const mus = [0.12, 0.13, 0.125, 0.12, 0.13, 0.125];
    const s = [2, 3, 4, 5, 6].map((n) => filmTrial(pulls(mus.slice(0, n)), base, shelf).deviation ?? 0);
    for (let i = 1; i < s.length; i++) expect(Math.abs((s[i] ?? 0) / (s[i - 1] ?? 1) - 1)).toBeLessThan(0.15);
    // Bolts all alike: s² = 4·s0²/(n + 3), by hand.
    const alike = (n: number) => filmTrial(pulls(Array.from({ length: n }, () => 0.12)), base, shelf).deviation ?? 0;
    expect(alike(5) / alike(2)).toBeCloseTo(Math.sqrt(5 / 8), 9);
  });
  test('repeats on a bolt are not new bolts, and show wear', () => {
    const first = pulls([0.12, 0.13, 0.125, 0.12]);
    const again = first.map((pull) => ({ ...pull, preload_N: pull.preload_N * 0.95 }));
    const result = filmTrial([...first, ...again], base, shelf);
    expect([result.bolts, result.pulls]).toEqual([4, 8]);
    expect(result.wear_pct).toBeCloseTo((1 / 0.95 - 1) * 100, 6);
  });
  test('a stretch that leaves nothing for friction is refused', () => {
    expect(codeOf(() => filmTrial([{ bolt: '1', torque_Nm: 34, preload_N: 200_000 }], base, shelf))).toBe(
      'no-friction',
    );
  });
});
