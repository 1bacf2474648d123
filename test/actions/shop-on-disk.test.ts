import { copyFileSync, renameSync, rmSync, utimesSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterEach, describe, expect, jest, test } from '@jest/globals';
import Joi from 'joi';
import { loadBigYard } from '@demo/big-yard';
import { copyShop } from '@/db/copies';
import { beingWorkedOut, engineSummaries } from '@/db/reads/engine-summaries';
import type { Shop } from '@/db/shop';
import { ShopTrouble, isShopTrouble, troubleOf } from '@/db/trouble';
import { shopNameIn, shopNamed } from '@/server/current-shop';
import { EDITION } from '@/server/edition';
import { inBits } from '@/server/in-bits';
import { problemOf } from '@/server/problem';
import { summariesOnce } from '@/server/request-reads';
import { workOutRest } from '@/server/work-out-rest';
import { YARD_NOW, yardShop } from '../db/temporary-shop';
import { ownShop } from './own-shop';

describe('which shop a browser looks at', () => {
  const keeps = (value?: string) => ({ get: () => (value === undefined ? undefined : { value }) });
  afterEach(() => void delete process.env.SPANNER_OPEN);
  test.each([
    ['demonstration', undefined, 'demonstration'],
    ['own', 'demonstration', 'own'],
    ['another', undefined, 'own'],
    [undefined, undefined, 'own'],
    [undefined, 'demonstration', 'demonstration'],
    [undefined, 'own', 'own'],
  ] as const)('it keeps %s, the program was started with %s: %s', (kept, opened, name) => {
    if (opened) process.env.SPANNER_OPEN = opened;
    expect(shopNameIn(keeps(kept))).toBe(name);
  });
});

/** What opening the own shop is refused for; undefined where it is not. */
function trouble(): string | undefined {
  try {
    shopNamed('own');
    return undefined;
  } catch (error) {
    if (isShopTrouble(error)) return error.code;
    throw error;
  }
}

const call = ({ db }: Shop, name: string) =>
  void db.prepare("UPDATE engine SET name = ? WHERE id = 'demo-norrhem'").run(name);
const called = () => shopNamed('own').engines.find('demo-norrhem')?.name;

/** The bytes of another shop, without a log. */
function anotherShop(): Buffer {
  const other = yardShop();
  call(other, 'of another shop');
  const bytes = other.db.serialize();
  other.close();
  return bytes;
}

describe('a file that is exchanged while it is open', () => {
  const aWhileAgo = (file: string) => utimesSync(file, new Date(), new Date(Date.now() - 5000));
  test('is written to no more while the new one is not there, or is still being written', () => {
    const { file } = ownShop();
    renameSync(file, `${file}.away`);
    expect(trouble()).toBe('exchanged');
    writeFileSync(file, anotherShop());
    expect(trouble()).toBe('exchanged');
    aWhileAgo(file);
    expect(trouble()).toBeUndefined();
    expect(called()).toBe('of another shop');
  });
  test('a copy that this program made is whole at once', () => {
    const { file } = ownShop();
    const other = yardShop();
    call(other, 'copied');
    const left = other.file;
    other.db.pragma('wal_checkpoint(TRUNCATE)');
    rmSync(file);
    copyFileSync(`${left}-mark`, `${file}-mark`);
    copyFileSync(left, file);
    other.close();
    expect(trouble()).toBeUndefined();
    expect(called()).toBe('copied');
  });
  test('written over in place, the new one is taken, and what was open is left as it was', async () => {
    const shop = ownShop();
    const copy = join(shop.file, '..', 'copy.sqlite');
    const before = called();
    await copyShop(shop.db, copy);
    call(shop, 'after the copy');
    expect(called()).toBe('after the copy');
    copyFileSync(copy, shop.file);
    aWhileAgo(shop.file);
    expect(trouble()).toBeUndefined();
    expect(called()).toBe(before);
    expect(shopNamed('own')).not.toBe(shop);
  });
});

describe('trouble with a file', () => {
  test('is itself once it was told, and keeps what it came from', () => {
    const told = new ShopTrouble('locked', 'held', 'close it');
    expect(troubleOf(told, 'x')).toBe(told);
    const cause = Object.assign(new Error('full'), { code: 'ENOSPC' });
    expect(troubleOf(cause, 'x')).toMatchObject({ code: 'disk-full', cause });
    expect(troubleOf(new Error('plain'), 'x')).toBeUndefined();
  });
  test('a refusal of no field in particular names none', () => {
    const { error } = Joi.object({ a: Joi.number() }).or('a', 'b').validate({});
    expect(error && problemOf(error)).toMatchObject({ code: 'bad-field', field: '' });
    expect(problemOf(new Joi.ValidationError('nothing was sent', [], {}))).toEqual({
      code: 'bad-field',
      message: expect.stringMatching(/^Nothing was sent/),
      field: undefined,
      fields: {},
    });
  });
});

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
    const waits = () => beingWorkedOut(engineSummaries(shop, EDITION, () => undefined, { latest: 0 }));
    const all = waits();
    expect(all).toBe(FEW_OF_EACH.engines + 3);
    // What is not whole is not kept, and sees to the rest.
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
    call(shop, 'otherwise');
    expect(summariesOnce(shop)).not.toBe(known);
    shop.close();
  });
});
