import { copyFileSync, readdirSync, renameSync, rmSync, utimesSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { afterEach, describe, expect, test } from '@jest/globals';
import { copyShop } from '@/db/copies';
import type { Shop } from '@/db/shop';
import { ShopTrouble, isShopTrouble, troubleOf } from '@/db/trouble';
import { shopNameIn, shopNamed } from '@/server/current-shop';
import { yardShop } from '../db/temporary-shop';
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
    // Begun, and cut off before its first byte: opened, it would be a new shop with nothing in it.
    writeFileSync(file, '');
    aWhileAgo(file);
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
  test('written over in place, the new one is taken, and the log of what was open is put aside', async () => {
    const shop = ownShop();
    const copy = join(dirname(shop.file), 'copy.sqlite');
    const before = called();
    await copyShop(shop.db, copy);
    call(shop, 'after the copy');
    expect(called()).toBe('after the copy');
    copyFileSync(copy, shop.file);
    aWhileAgo(shop.file);
    expect(trouble()).toBeUndefined();
    expect(called()).toBe(before);
    expect(shopNamed('own')).not.toBe(shop);
    expect(readdirSync(dirname(shop.file)).some((name) => /\.aside-\d+-wal$/.test(name))).toBe(true);
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
});
