import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { afterEach, describe, expect, jest, test } from '@jest/globals';
import fc from 'fast-check';
import { usualBearingFace } from '@/core/fastener';
import { monteCarlo } from '@/core/statistics';
import { compiledDraws } from '@/core/statistics/compiled-draws';
import { BATCH, columnsOf, type Draw, type Draws } from '@/core/statistics/draws';
import { plainDraws } from '@/core/statistics/plain-draws';
import { threadNamed } from '@/core/thread';

const film = { middle: 0.13, arm: 5.4, up: 0.12, down: 0.16 };
const PLAIN: Draws = {
  seed: 1936,
  lift: 0.25,
  thread: film,
  head: { ...film, arm: 6.6 },
  shared: true,
  torque_Nm: 40,
  deviation: 0.02,
  graduation_Nm: 0.5,
  prevailing_Nm: 0,
  nutDeviation_Nm: 0,
};

/** Clamp loads in batches as a run takes them, with their sum at the end. */
function drawn(draw: Draw, counts: readonly number[]): Float64Array {
  const forces = new Float64Array(counts.reduce((sum, count) => sum + count, 0) + 1);
  let from = 0;
  let sum = 0;
  for (const count of counts) {
    sum = draw(forces, from, count, sum);
    from += count;
  }
  forces[from] = sum;
  return forces;
}

const compiled = (draws: Draws): Draw => {
  const draw = compiledDraws(draws);
  if (!draw) throw new Error('There is no WebAssembly here.');
  return draw;
};
/** The bits themselves: one zero is not the other, and what is no number is itself. */
const bits = (forces: Float64Array) => new BigUint64Array(forces.buffer);
const expectSame = (draws: Draws, counts: readonly number[]) =>
  expect(bits(drawn(compiled(draws), counts))).toEqual(bits(drawn(plainDraws(draws), counts)));

const friction = fc.record({
  middle: fc.double({ min: 0.02, max: 0.6, noNaN: true }),
  arm: fc.double({ min: 0.5, max: 60, noNaN: true }),
  up: fc.double({ min: 0, max: 0.5, noNaN: true }),
  down: fc.double({ min: 0, max: 0.5, noNaN: true }),
});
const orNone = (max: number) => fc.oneof(fc.constant(0), fc.double({ min: 0, max, noNaN: true }));

describe('compiled draws', () => {
  test('give the bits of plain ones, whatever is drawn', () =>
    fc.assert(
      fc.property(
        fc.record({
          seed: fc.integer({ min: 0, max: Number.MAX_SAFE_INTEGER }),
          lift: fc.double({ min: 0.01, max: 1, noNaN: true }),
          thread: friction,
          head: friction,
          shared: fc.boolean(),
          torque_Nm: fc.double({ min: 0.1, max: 900, noNaN: true }),
          deviation: orNone(0.5),
          graduation_Nm: orNone(20),
          prevailing_Nm: orNone(20),
          nutDeviation_Nm: orNone(5),
        }),
        fc.boolean(),
        fc.array(fc.integer({ min: 1, max: BATCH }), { minLength: 1, maxLength: 3 }),
        (draws, isAlike, counts) => {
          const head = isAlike ? { ...draws.thread, arm: draws.head.arm } : draws.head;
          expectSame({ ...draws, head }, counts);
        },
      ),
      { seed: 11, numRuns: 300 },
    ));

  test('in whole batches, far into both tails', () => expectSame(PLAIN, Array<number>(400).fill(BATCH)));

  test('where a factor is beyond all bounds, on either side, and where there is none', () => {
    for (const up of [130, 400, Infinity, NaN])
      for (const down of [130, 400])
        expectSame({ ...PLAIN, thread: { ...film, up, down }, head: { ...film, up: 300, down } }, [BATCH, 7, BATCH]);
  });

  test('of a wrench that is left with nothing clamp nothing', () => {
    const draws = { ...PLAIN, torque_Nm: 3, prevailing_Nm: 3, graduation_Nm: 2 };
    const forces = drawn(compiled(draws), [BATCH]).subarray(0, BATCH);
    const none = forces.filter((force) => force === 0).length;
    expect(none).toBeGreaterThan(BATCH / 3);
    expect(none).toBeLessThan((2 * BATCH) / 3);
    expect(Math.min(...forces)).toBe(0);
    expectSame(draws, [BATCH, 501]);
  });

  test('of two runs at once are each its own', () => {
    const [one, other] = [compiled(PLAIN), compiled({ ...PLAIN, seed: 7, shared: false })];
    const [mine, its] = [new Float64Array(20), new Float64Array(20)];
    for (const from of [0, 10]) {
      one(mine, from, 10, 0);
      other(its, from, 10, 0);
    }
    const alone = drawn(compiled(PLAIN), [10, 10]);
    expect(mine).toEqual(alone.subarray(0, 20));
    expect(its).not.toEqual(mine);
  });

  test('are compiled from the source that lies beside them', () => {
    const digest = createHash('sha256').update(readFileSync('src/core/statistics/draws.as')).digest('hex');
    expect(readFileSync('src/core/statistics/draws-code.ts', 'utf8')).toContain(`digest: ${digest}.`);
  });
});

test.each([
  ['nothing but the thread’s', { shared: true, deviation: 0, graduation_Nm: 0 }, [1, 0, 0, 0, 0]],
  ['the wrench and its marks', { shared: true }, [3, 0, 1, 2, 0]],
  ['two films and a locking nut', { shared: false, nutDeviation_Nm: 1, graduation_Nm: 0 }, [4, 1, 2, 0, 3]],
  ['all', { shared: false, nutDeviation_Nm: 1 }, [5, 1, 2, 3, 4]],
])('columns of %s', (_, changed, expected) => {
  const { columns, headAt, wrenchAt, markAt, nutAt } = columnsOf({ ...PLAIN, ...changed });
  expect([columns, headAt, wrenchAt, markAt, nutAt]).toEqual(expected);
});

describe('where WebAssembly is not to be had', () => {
  afterEach(() => {
    jest.restoreAllMocks();
  });

  const thread = threadNamed('3/8 BSF');
  const muThread = { low: 0.1, middle: 0.13, high: 0.16 };
  const input = {
    ...{ thread, bearing: usualBearingFace(thread), torque_Nm: 40, muThread, muHead: muThread },
    ...{ wrenchAccuracy_pct: 4, graduation_Nm: 0.5, samples: 50_001, seed: 1936 },
  };

  test.each(['Module', 'Instance'] as const)('for want of its %s, the answer is the same', async (part) => {
    const asked = jest.spyOn(WebAssembly, part).mockImplementation(() => {
      throw new Error('not here');
    });
    let without: unknown;
    await jest.isolateModulesAsync(async () => {
      const room = await import('@/core/statistics');
      without = [room.monteCarlo(input), room.monteCarlo({ ...input, seed: 5 })];
    });
    // It is asked for once, and not again.
    expect(asked).toHaveBeenCalledTimes(1);
    asked.mockRestore();
    expect(without).toEqual([monteCarlo(input), monteCarlo({ ...input, seed: 5 })]);
  });
});
