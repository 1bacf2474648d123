import { afterEach, expect, jest, test } from '@jest/globals';
import { mkdirSync, utimesSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { copiesFolder, copyIfDue } from '@/server/copies';
import { closeShop } from '@/server/current-shop';
import { ownShop } from './own-shop';

const HOUR_MS = 3_600_000;
const behindIt = () => new Promise((done) => setImmediate(() => setImmediate(done)));

afterEach(() => void jest.restoreAllMocks());

test('a shop that is closed before its copy of the day is begun takes nothing down', async () => {
  const warned = jest.spyOn(console, 'warn').mockImplementation(() => undefined);
  const shop = ownShop();
  closeShop('own');
  expect(shop.db.open).toBe(false);
  await behindIt();
  expect(warned).not.toHaveBeenCalled();
});

test('a copy of the day that cannot be begun is said, and takes nothing down', async () => {
  const warned = jest.spyOn(console, 'warn').mockImplementation(() => undefined);
  const shop = ownShop();
  writeFileSync(copiesFolder(), 'no folder');
  const now = Date.now();
  jest.spyOn(Date, 'now').mockReturnValue(now + HOUR_MS);
  copyIfDue(shop);
  await behindIt();
  expect(warned).toHaveBeenCalledTimes(1);
  expect(shop.engines.all().length).toBeGreaterThan(0);
});

test('an old copy that cannot be dropped is said, and takes nothing down', async () => {
  const warned = jest.spyOn(console, 'warn').mockImplementation(() => undefined);
  const shop = ownShop();
  const now = Date.now();
  for (let i = 0; i < 8; i += 1) {
    // A folder is not dropped as a file is.
    const old = join(copiesFolder(), `daily-${i}.sqlite`);
    mkdirSync(old, { recursive: true });
    utimesSync(old, now / 1000 - 30 * 24 * 3600, now / 1000 - 30 * 24 * 3600);
  }
  jest.spyOn(Date, 'now').mockReturnValue(now + 2 * HOUR_MS);
  copyIfDue(shop);
  await behindIt();
  await (globalThis as { spannerDaily?: Promise<void> }).spannerDaily;
  expect(warned).toHaveBeenCalledTimes(1);
});
