import { describe, expect, test } from '@jest/globals';
import { SHELF_FILMS } from '@/core/film';
import { filmTrial, monteCarlo } from '@/core/statistics';
import { threadNamed } from '@/core/thread';

const [shelf] = SHELF_FILMS;
if (!shelf) throw new Error('no lubricant');
const fastener = { thread: threadNamed('M8'), bearing: { outer_mm: 13, inner_mm: 8.4 } };
/** Pulls of one bolt after another: the same torque, the clamp load that each pull gave. */
const trial = (...bolts: readonly (readonly number[])[]) =>
  filmTrial(
    bolts.flatMap((preloads, bolt) => preloads.map((preload_N) => ({ bolt: `${bolt}`, torque_Nm: 25, preload_N }))),
    fastener,
    shelf.thread,
  );

describe('how a lubricant wears from a bolt’s first pull to its last', () => {
  test('is not known of bolts that were pulled once', () => {
    expect(trial([15_000]).wear_pct).toBeUndefined();
    expect(trial([15_000], [16_000], [14_000]).wear_pct).toBeUndefined();
  });
  // The arm T/F falls by 2 % where the clamp load rises by 1/0.98.
  test('two pulls: by how much the second differs', () =>
    expect(trial([15_000, 15_000 / 0.98]).wear_pct).toBeCloseTo(-2, 9));
  test('three pulls: what lies between the first and the last, a pull', () =>
    expect(trial([15_000, 1.3 * 15_000, 15_000 / 0.98 ** 2]).wear_pct).toBeCloseTo(-2, 9));
  test('several bolts: the mean of those that were pulled again, and no other', () => {
    expect(trial([15_000, 15_000 / 0.98], [14_000], [16_000, 16_000 / 0.98]).wear_pct).toBeCloseTo(-2, 9);
    const mean = (Math.sqrt(0.98 * 1.04) - 1) * 100;
    expect(trial([15_000, 15_000 / 0.98], [16_000, 16_000 / 1.04]).wear_pct).toBeCloseTo(mean, 9);
  });
});

test('one sample is a sample; none, half of one, or too many are not', () => {
  const run = (samples: number) =>
    monteCarlo({
      ...fastener,
      torque_Nm: 20,
      muThread: { low: 0.1, middle: 0.12, high: 0.15 },
      muHead: { low: 0.1, middle: 0.12, high: 0.15 },
      wrenchAccuracy_pct: 4,
      samples,
      seed: 1,
    });
  expect(run(1).p50_N).toBeGreaterThan(0);
  for (const samples of [0, 0.5, -1, 5_000_001, Number.NaN]) expect(() => run(samples)).toThrow(/samples/);
});
