import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { loadBigYard } from '@demo/big-yard';
import { beingWorkedOut, engineSummaries } from '@/db/reads/engine-summaries';
import { edition } from '@/server/edition';
import { inBits } from '@/server/in-bits';
import { summariesOnce } from '@/server/request-reads';
import { workOutRest } from '@/server/work-out-rest';
import { YARD_NOW, yardShop } from '../db/temporary-shop';

describe('work on the one thread', () => {
  afterEach(() => void jest.restoreAllMocks());
  /** How often others were served while so many items of so long were worked through. */
  async function served(items: number, ms: number): Promise<number> {
    let clock = 1000;
    jest.spyOn(performance, 'now').mockImplementation(() => clock);
    let count = 0;
    let going = true;
    const others = () => {
      count += 1;
      if (going) setImmediate(others);
    };
    setImmediate(others);
    const done = await inBits(Array.from({ length: items }), (_, at) => ((clock += ms), at));
    going = false;
    expect(done).toEqual(Array.from({ length: items }, (_, at) => at));
    return count;
  }
  test.each([
    [30, 6, 10],
    [4, 15, 4],
    [4, 14, 2],
    [100, 0.1, 0],
  ])('%d items of %d ms each: others are served %d times', async (items, ms, times) =>
    expect(await served(items, ms)).toBe(times),
  );
});

const FEW_OF_EACH = {
  engines: 17,
  jointsPerEngine: 1,
  pullsPerJoint: 2,
  readingsPerEngine: 2,
  cyclesPerEngine: 1,
  leavesPerEngine: 1,
  stepsPerEngine: 1,
  partsPerEngine: 1,
};

describe('what the engines wait for', () => {
  test('is worked out behind the page, once, and then read once for as long as nothing is written', async () => {
    const shop = yardShop();
    loadBigYard(shop, FEW_OF_EACH, Date.parse(YARD_NOW));
    const waits = () => beingWorkedOut(engineSummaries(shop, edition(), () => undefined, { latest: 0 }));
    const all = waits();
    expect(all).toBe(FEW_OF_EACH.engines + 3);
    // Some are worked out by the page that asks, which sees to the rest behind it.
    expect(beingWorkedOut(summariesOnce(shop))).toBeLessThan(all);
    const work = workOutRest(shop);
    expect(workOutRest(shop)).toBe(work);
    // The pages that are asked for meanwhile come between the rest.
    expect(waits()).toBeGreaterThan(0);
    await work;
    expect(waits()).toBe(0);
    const known = summariesOnce(shop);
    expect(beingWorkedOut(known)).toBe(0);
    expect(summariesOnce(shop)).toBe(known);
    shop.engines.putAside('demo-norrhem', { reason: 'sold', at: YARD_NOW });
    expect(summariesOnce(shop)).not.toBe(known);
    shop.close();
  });
});
