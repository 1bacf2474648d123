import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, jest, test } from '@jest/globals';
import { longRound } from './pulls';
import { yardShop } from '../db/temporary-shop';
import { freePort, startServer } from './running-server';

jest.setTimeout(60_000);

test('one plan that cannot be read takes no other engine with it, and its rows can be taken along', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'spanner-unreadable-'));
  const shop = yardShop(join(folder, 'shop.sqlite'));
  const round = longRound(shop, 'round');
  shop.db.exec('DROP TRIGGER plan_is_not_altered');
  shop.db
    .prepare(
      "UPDATE plan SET body = packed(replace(unpacked(body), '\"steps\"', '\"st')) WHERE digest = (SELECT plan_digest FROM tightening WHERE id = ?)",
    )
    .run(round);
  shop.close();
  const server = await startServer(folder, await freePort());
  const get = async (path: string) => {
    const response = await fetch(server.address + path);
    return [response.status, await response.text()] as const;
  };
  try {
    const [status, stands] = await get('/');
    expect([status, stands.includes('its record cannot be read')]).toEqual([200, true]);
    for (const path of ['/engines/demo-fourteen/joints', '/engines/demo-maestrale/record', '/shelves/films'])
      expect([path, (await get(path))[0]]).toEqual([path, 200]);
    const [, rows] = await get('/api/engines/demo-norrhem/rows');
    const { rows: taken } = JSON.parse(rows) as { rows: Record<string, Readonly<Record<string, string>>[]> };
    const damaged = taken.tightening?.find(({ id }) => id === round)?.plan_digest;
    expect(taken.plan?.find(({ digest }) => digest === damaged)?.body).toContain('"st');
    expect(taken.joint?.length).toBeGreaterThan(1);
    const [, own] = await get('/engines/demo-norrhem/joints');
    expect(own).not.toContain('Main bearing caps');
  } finally {
    await server.kill();
  }
});
