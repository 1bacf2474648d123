import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, jest, test } from '@jest/globals';
import { yardShop } from '../db/temporary-shop';
import { freePort, startServer } from './running-server';

jest.setTimeout(60_000);

const yardFolder = (work: (shop: ReturnType<typeof yardShop>) => void = () => undefined): string => {
  const folder = mkdtempSync(join(tmpdir(), 'spanner-aside-'));
  const shop = yardShop(join(folder, 'shop.sqlite'));
  work(shop);
  shop.close();
  return folder;
};

async function pagesOf(folder: string, paths: readonly string[], env: Record<string, string> = {}) {
  const server = await startServer(folder, await freePort(), env);
  try {
    return await Promise.all(paths.map(async (path) => (await fetch(server.address + path)).text()));
  } finally {
    await server.kill();
  }
}

test('an engine that lies aside is on no tag and no stand, and its own pages say so', async () => {
  const folder = yardFolder((shop) => {
    shop.engines.putAside('demo-norrhem', { reason: 'sold to the coast', at: '2026-11-20T18:00:00.000Z' });
  });
  const [stands, other, own] = await pagesOf(folder, [
    '/',
    '/engines/demo-fourteen/book',
    '/engines/demo-norrhem/book',
  ]);
  expect(other).not.toContain('demo-norrhem');
  expect(stands).toContain('1 engine');
  expect(stands).not.toContain('href="/engines/demo-norrhem/joints"');
  expect(own).toContain('sold to the coast');
});

test('a clock that went back is said on every page, and one that did not is not', async () => {
  const said = 'went back';
  const pages = ['/', '/engines/demo-fourteen/joints'];
  const behind = await pagesOf(yardFolder(), pages, { SPANNER_CLOCK: '2020-01-01T00:00:00Z' });
  expect(behind.map((page) => page.includes(said))).toEqual([true, true]);
  const right = await pagesOf(yardFolder(), pages);
  expect(right.map((page) => page.includes(said))).toEqual([false, false]);
});
