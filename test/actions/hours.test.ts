import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { keepHoursAction } from '@/features/hours/shop-actions';
import { shopNamed } from '@/server/current-shop';
import { edition } from '@/server/edition';
import { dataFolder } from '@/server/shop-file';
import { goByKeptHours } from '@/server/wall-clock';
import type { Shop } from '@/db/shop';
import { drawn } from '../stubs/next-cache';
import { accepted, ownShop, refused } from './own-shop';

const FILE = 'hours-of';
const file = () => join(dataFolder(), FILE);

let shop: Shop;
const begun = process.env.TZ;
beforeEach(() => {
  shop = ownShop();
});
afterEach(() => {
  if (begun === undefined) delete process.env.TZ;
  else process.env.TZ = begun;
});

test('a device’s hours are kept beside the shop, gone by once it is opened anew, and the pages drawn', async () => {
  const before = drawn.times;
  await accepted(keepHoursAction({ zone: 'Asia/Kathmandu' }));
  expect(readFileSync(file(), 'utf8')).toBe('Asia/Kathmandu\n');
  expect(drawn.times).toBe(before + 1);
  // What was worked out by the other clock lies with the open file.
  expect(shopNamed('own')).not.toBe(shop);
  expect(process.env.TZ).toBe('Asia/Kathmandu');
  await accepted(keepHoursAction({ zone: 'Europe/London' }));
  shopNamed('own');
  expect(process.env.TZ).toBe('Europe/London');
});

test('another folder has its own hours, and one without any goes by those that the program was begun with', async () => {
  await accepted(keepHoursAction({ zone: 'Asia/Kathmandu' }));
  shopNamed('own');
  ownShop();
  shopNamed('own');
  expect(process.env.TZ).toBe(begun);
});

test.each(['Middle/Earth', 'UTC; rm', '', ' ', 'x'.repeat(65), 12, undefined])(
  'hours of %p are refused at their field, and nothing is kept',
  async (zone) => {
    const before = drawn.times;
    const error = await refused(keepHoursAction({ zone }));
    expect([error.field, ...Object.keys(error.fields ?? {})]).toContain('zone');
    expect(existsSync(file())).toBe(false);
    expect([drawn.times, shopNamed('own')]).toEqual([before, shop]);
  },
);

test.each(['', 'Middle/Earth\n', '\0\0'])('a file of hours that says nothing sure is passed over: %#', (text) => {
  writeFileSync(file(), text);
  goByKeptHours();
  expect(process.env.TZ).toBe(begun);
});

test('what an engine waits for is worked out anew by another clock', () => {
  expect(edition()).toContain(new Intl.DateTimeFormat('en').resolvedOptions().timeZone);
  const asked = jest.spyOn(Intl, 'DateTimeFormat');
  edition();
  expect(asked).not.toHaveBeenCalled();
  process.env.TZ = 'Asia/Kathmandu';
  edition();
  expect(asked).toHaveBeenCalledTimes(1);
  asked.mockRestore();
});
