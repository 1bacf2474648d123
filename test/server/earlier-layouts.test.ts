import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, jest, test } from '@jest/globals';
import { openShop } from '@/db/shop';
import { freePort, startServer, type RunningServer } from './running-server';
import { SCREENS } from './screens';

jest.setTimeout(60_000);

const fixture = (layout: number) =>
  gunzipSync(readFileSync(join('test', 'fixtures', 'before', `layout-${layout}.sqlite.gz`)));

/** Every screen of every engine of a shop, and what it gives out. */
function pathsOf(file: string): readonly string[] {
  const shop = openShop(file);
  const engines = shop.engines.all().flatMap(({ id }) => {
    const at = (path: string) => `/engines/${id}/${path}`;
    return [
      ...['book', 'about', 'joints', 'fits', 'tighten', 'run-in', 'record', 'record/fits'].map(at),
      ...['fits/bearings', 'fits/rings', 'fits/volumes', 'fits/weights', 'fits/new', 'joints/new'].map(at),
      ...shop.joints
        .ofEngine(id)
        .flatMap((joint) => [
          at(`joints/${joint.id}`),
          at(`joints/${joint.id}/stretch`),
          at(`record/${joint.id}`),
          ...shop.tightenings.ofJoint(joint.id).map((round) => `/face/${round.id}`),
        ]),
      ...shop.fits.ofEngine(id).map((fit) => at(`fits/${fit.id}`)),
      `/api/engines/${id}/build`,
      `/api/engines/${id}/book`,
      `/api/engines/${id}/fits`,
    ];
  });
  shop.close();
  const shelves = SCREENS.map(([, path]) => path).filter((path) => /^\/(shelves\/[\w-]+)?$/.test(path));
  return [...shelves, '/copies', '/engines/new', '/engines/read-in', ...engines];
}

describe('a shop of an earlier layout', () => {
  // One server for all: half the time went into reading in the program of each page six times.
  let server: RunningServer;
  beforeAll(async () => {
    server = await startServer(mkdtempSync(join(tmpdir(), 'spanner-none-')), await freePort());
  });
  afterAll(() => server.stop());
  test.each([1, 2, 3, 4, 5, 6])('a shop of layout %d opens, and every page of it is drawn', async (layout) => {
    const folder = mkdtempSync(join(tmpdir(), 'spanner-layout-'));
    const file = join(folder, 'shop.sqlite');
    writeFileSync(file, fixture(layout));
    await server.moveTo(folder);
    await fetch(server.address).then((response) => response.text());
    const statuses: [string, number][] = [];
    for (const path of pathsOf(file)) {
      const response = await fetch(server.address + path);
      await response.text();
      statuses.push([path, response.status]);
    }
    expect(statuses.filter(([, status]) => status !== 200)).toEqual([]);
    expect(statuses.length).toBeGreaterThan(50);
  });
});

test('two servers that open one folder at the same moment both work', async () => {
  for (const layout of [undefined, 1, 4]) {
    const folder = mkdtempSync(join(tmpdir(), 'spanner-two-'));
    if (layout !== undefined) writeFileSync(join(folder, 'shop.sqlite'), fixture(layout));
    const servers = await Promise.all([startServer(folder, await freePort()), startServer(folder, await freePort())]);
    const answers = await Promise.all(
      servers.map(({ address }) => fetch(address).then(async (r) => (await r.text(), r.status))),
    );
    const again = await Promise.all(
      servers.map(({ address }) => fetch(address).then(async (r) => (await r.text(), r.status))),
    );
    await Promise.all(servers.map((server) => server.stop()));
    expect([layout, answers, again]).toEqual([layout, [200, 200], [200, 200]]);
    const shop = openShop(join(folder, 'shop.sqlite'));
    expect(shop.db.pragma('integrity_check', { simple: true })).toBe('ok');
    shop.close();
  }
});
