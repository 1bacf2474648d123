import { describe, expect, test } from '@jest/globals';
import { evenness, givingAlike, goRound, roundOf } from '@/core/interaction';
import { startClampScatter, type ClampScatterInput } from '@/core/statistics';
import { codeOf } from '../code-of';

// Four nuts on a stiff block: hardly any of them feels the others.
const STIFF = givingAlike(
  Array.from({ length: 4 }, (_, i) => Array.from({ length: 4 }, (_v, j) => (i === j ? 1e-5 : 1e-12))),
);
const SOFT = givingAlike(
  Array.from({ length: 4 }, (_, i) => Array.from({ length: 4 }, (_v, j) => (i === j ? 2e-5 : 4e-6 / Math.abs(i - j)))),
);
const pulls = [0.5, 1].flatMap((share) => [1, 2, 0, 3].map((place) => ({ place, target_N: 20_000 * share })));
const asked = (given: Partial<ClampScatterInput> = {}): ClampScatterInput => ({
  giving: STIFF,
  pulls,
  deviations: { batch: 0, nut: 0, pull: 0 },
  samples: 20_000,
  seed: 7,
  ...given,
});
const drawn = (given: Partial<ClampScatterInput> = {}) => {
  const run = startClampScatter(asked(given));
  while (!run.advance(3000));
  return run.result();
};
const NORMAL_95 = 1.6449;

describe('the scatter of a round', () => {
  test('without any, every sample is what the round leaves', () => {
    const { places, least_N, variation_pct } = drawn({ giving: SOFT, samples: 10 });
    const left = goRound(roundOf(SOFT, pulls));
    places.forEach(({ p5, p50, p95 }, i) => {
      for (const one of [p5, p50, p95]) expect(one).toBeCloseTo(left[i] ?? NaN, 9);
    });
    expect(least_N.p50).toBeCloseTo(evenness(left).least_N, 9);
    expect(variation_pct.p50).toBeCloseTo(evenness(left).variation_pct, 9);
  });
  test('of the batch alone moves all alike: lognormal as given, and no more uneven for it', () => {
    const { places, variation_pct, least_N } = drawn({ deviations: { batch: 0.1, nut: 0, pull: 0 } });
    for (const { p5, p50, p95 } of places) {
      expect(p50 / 20_000).toBeCloseTo(1, 2);
      expect(Math.log(p95 / p50) / (0.1 * NORMAL_95)).toBeCloseTo(1, 1);
      expect(Math.log(p50 / p5) / (0.1 * NORMAL_95)).toBeCloseTo(1, 1);
    }
    expect(variation_pct.p95).toBeLessThan(0.01);
    expect(least_N.p5).toBeCloseTo(places[0]?.p5 ?? NaN, -1);
  });
  test('of each nut by itself makes them uneven by as much, and the lowest lower than any one’s middle', () => {
    const { variation_pct, least_N, lowest } = drawn({ deviations: { batch: 0, nut: 0.1, pull: 0 } });
    // A sample of four, over its own mean and without correction: √(3/4) of it, the middle of a chi a little lower.
    expect(variation_pct.p50).toBeGreaterThan(6.5);
    expect(variation_pct.p50).toBeLessThan(9);
    // The least of four: P(all above x) = 1/2 where each is with (1/2)^(1/4), at −0.998 deviations.
    expect(Math.log(least_N.p50 / 20_000) / 0.1).toBeCloseTo(-0.998, 1);
    for (const share of lowest) expect(share).toBeCloseTo(0.25, 1);
    expect(lowest.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9);
  });
  test('of the wrench is drawn anew at each pull, and a nut keeps the larger of its last two at one figure', () => {
    const twice = [1, 2, 0, 3, 1, 2, 0, 3].map((place) => ({ place, target_N: 20_000 }));
    const [one, two] = [pulls.slice(4), twice].map(
      (round) => drawn({ pulls: round, deviations: { batch: 0, nut: 0, pull: 0.05 } }).places[0]?.p50 ?? NaN,
    );
    expect(one).toBeCloseTo(20_000, -2);
    // The middle of the larger of two: P(both under x) = 1/2 where each is with √(1/2), at 0.545 deviations.
    expect(Math.log((two ?? NaN) / 20_000) / 0.05).toBeCloseTo(0.545, 1);
  });
  test('is the same for the same seed, in whatever pieces; and another for another', () => {
    const [whole, pieces] = [startClampScatter(asked({ samples: 500 })), startClampScatter(asked({ samples: 500 }))];
    const deviations = { batch: 0.05, nut: 0.05, pull: 0.02 };
    whole.advance(500);
    while (!pieces.advance(7));
    expect(pieces.result()).toEqual(whole.result());
    expect(drawn({ samples: 500, deviations, seed: 8 })).not.toEqual(drawn({ samples: 500, deviations, seed: 9 }));
  });
  test('stopped half way it speaks of what was drawn', () => {
    const run = startClampScatter(asked({ samples: 1000 }));
    expect(() => run.result()).toThrow(/nothing was drawn/);
    expect(run.advance(300)).toBe(false);
    expect(run.result().samples).toBe(300);
    expect(run.drawn()).toBe(300);
  });
  test('a nut that lies between others and is pulled first is the lowest most often on what gives', () => {
    const { lowest, places } = drawn({
      giving: SOFT,
      pulls: pulls.slice(4),
      deviations: { batch: 0.02, nut: 0.005, pull: 0 },
    });
    expect(lowest.indexOf(Math.max(...lowest))).toBe(1);
    expect(places[3]?.p50).toBeGreaterThan(places[1]?.p50 ?? NaN);
  });
  test('refuses what makes no scatter', () => {
    for (const given of [
      { samples: 0 },
      { samples: 1.5 },
      { samples: 1e7 },
      { pulls: [] },
      { deviations: { batch: -1, nut: 0, pull: 0 } },
      { deviations: { batch: 0, nut: NaN, pull: 0 } },
    ])
      expect(codeOf(() => startClampScatter(asked(given)))).toBe('bad-field');
  });
});
