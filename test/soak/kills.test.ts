import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { expect, jest, test } from '@jest/globals';
import sharp from 'sharp';
import { openShop, type Shop } from '@/db/shop';
import { buildFileOf } from '@/features/record/build-file';
import { parseBuildFile } from '@/features/record/build-file-schema';
import { readBack } from '@/features/record/read-back';
import { yardShop } from '../db/temporary-shop';
import { longRound, newPull, sendPull } from '../server/pulls';
import { freePort, startServer } from '../server/running-server';

// Hours rather than seconds, so it is run by hand: `KILLS=500 npm run soak`.
const KILLS = Number(process.env.KILLS ?? 20);
const LONGEST_LIFE_MS = 3000;
const LAYOUTS = 17;

jest.setTimeout(24 * 3_600_000);

type Ids = Set<string>;

/** Every line of the shop by id, and every photograph. */
const idsIn = (shop: Shop): Ids =>
  new Set(
    ['bench_event', 'fit_line', 'photo', 'engine'].flatMap((table) =>
      shop.db
        .prepare<[], { id: string }>(`SELECT id FROM ${table}`)
        .all()
        .map(({ id }) => `${table} ${id}`),
    ),
  );

/** Runs a script of ours on a shop, killed after a while if it has not ended by then; true where it ended well. */
const script = (name: string, folder: string, argument: string, lifeMs = 60_000) =>
  new Promise<boolean>((resolve) => {
    const child = spawn(process.execPath, ['node_modules/tsx/dist/cli.mjs', `scripts/${name}.ts`, argument], {
      stdio: 'ignore',
      env: { ...process.env, SPANNER_DATA: folder },
      detached: true,
    });
    const timer = setTimeout(() => child.pid && process.kill(-child.pid, 'SIGKILL'), lifeMs);
    child.once('exit', (code) => (clearTimeout(timer), resolve(code === 0)));
  });

const byTable = (ids: Ids) =>
  [...ids].reduce<Record<string, number>>((counts, id) => {
    const [table = ''] = id.split(' ');
    return { ...counts, [table]: (counts[table] ?? 0) + 1 };
  }, {});

const json = { 'content-type': 'application/json' };

/** What works on a shop at once; each says which rows were acknowledged. */
const CLIENTS = {
  pulls: async (address: string, said: Ids, sent: Ids, from: { step: number; round: string }) => {
    const pull = newPull(from.step);
    sent.add(`bench_event ${pull.id}`);
    if (!(await sendPull(address, from.round, pull))) return false;
    said.add(`bench_event ${pull.id}`);
    from.step++;
    return true;
  },
  readings: async (address: string, said: Ids, sent: Ids) => {
    const { id } = newPull(0);
    sent.add(`fit_line ${id}`);
    const body = { unit: 'mm', instrument: 'Mic', answers: {}, sure: true };
    const line = {
      id,
      kind: 'reading',
      place: 0,
      part: 'journal',
      station: 0,
      angle: 0,
      typed: '59.95',
      value_mm: 0,
      age_ms: 0,
      body,
    };
    const answer = await fetch(`${address}/api/fits/demo-n-fit-mains/lines`, {
      method: 'POST',
      headers: json,
      body: JSON.stringify(line),
    });
    if (!((await answer.json()) as { ok: boolean }).ok) return false;
    said.add(`fit_line ${id}`);
    return true;
  },
  tables: async (address: string) => {
    const rows = Array.from(
      { length: 300 },
      () => `"Main bearings, oil clearance",1,journal,1,1,59.9${Math.random().toFixed(9).slice(2)},mm,Mic`,
    );
    const text = ['Fit,Place,Part,Station,Angle,Typed,Unit,Instrument', ...rows].join('\n');
    const answer = await fetch(`${address}/api/engines/demo-norrhem/readings`, {
      method: 'POST',
      headers: json,
      body: JSON.stringify({ text, sure: true }),
    });
    return (await answer.text()).includes('"ok":true');
  },
  photographs: async (address: string, said: Ids, _sent: Ids, from: { leaf: string; picture: Buffer }) => {
    const body = new FormData();
    body.append('photo', new Blob([new Uint8Array(from.picture)], { type: 'image/jpeg' }), 'page.jpg');
    const answer = await fetch(`${address}/api/leaves/${from.leaf}/photo`, { method: 'POST', body });
    const { ok, result } = (await answer.json()) as { ok: boolean; result?: { id?: string } };
    if (ok && result?.id !== undefined) said.add(`photo ${result.id}`);
    return ok;
  },
};

/** Work goes on until the server is killed in the middle of it. */
async function oneLife(folder: string, said: Ids, sent: Ids, round: string, leaf: string, picture: Buffer) {
  const server = await startServer(folder, await freePort());
  const shopNow = openShop(join(folder, 'shop.sqlite'));
  const from = { step: shopNow.tightenings.events(round).length, round, leaf, picture };
  shopNow.db.close();
  let alive = true;
  const loops = Object.values(CLIENTS).map(async (client) => {
    while (alive) {
      const went = await client(server.address, said, sent, from).catch(() => false);
      if (!went) break;
    }
  });
  await new Promise((resolve) => setTimeout(resolve, Math.random() * LONGEST_LIFE_MS));
  await server.kill();
  alive = false;
  await Promise.all(loops);
}

test(`killed ${KILLS} times with everything under way: nothing acknowledged is lost, nothing corrupt`, async () => {
  const folder = mkdtempSync(join(tmpdir(), 'spanner-soak-'));
  const file = join(folder, 'shop.sqlite');
  const yard = yardShop(file);
  const round = longRound(yard, 'soak', 2000);
  const leaf = yard.book.leaves('demo-norrhem')[0]?.id ?? '';
  const build = JSON.stringify(buildFileOf(yard, yard.engines.all()[0] ?? never(), new Date().toISOString()));
  yard.close();
  const picture = await sharp({ create: { width: 900, height: 1200, channels: 3, background: '#ddd' } })
    .jpeg()
    .toBuffer();
  let said: Ids = new Set();
  const sent: Ids = new Set();
  const counts = { lives: 0, upgrades: 0, backups: 0, restores: 0, builds: 0 };
  for (let kill = 0; kill < KILLS; kill++) {
    const turn = kill % 10;
    if (turn === 3) {
      // A build read in by another program at the same file, cut off or not: all of it or nothing.
      const shop = openShop(file);
      const { file: came } = readBack(shop, parseBuildFile(build).file, Date.now(), () => newPull(0).id);
      said.add(`engine ${came.engine.id}`);
      shop.close();
      counts.builds++;
    } else if (turn === 5) {
      // The copy is cut off in the middle, or is there whole.
      const copy = join(folder, `copy-${kill}.sqlite`);
      const before = new Set(said);
      if (await script('backup', folder, copy, 300 + Math.random() * 2500)) {
        const kept = openShop(copy);
        expect([...before].filter((id) => !idsIn(kept).has(id))).toEqual([]);
        kept.close();
      }
      counts.backups++;
    } else if (turn === 7) {
      const copy = join(folder, `whole-${kill}.sqlite`);
      expect(await script('backup', folder, copy)).toBe(true);
      const kept = openShop(copy);
      const then = idsIn(kept);
      kept.close();
      await script('restore', folder, copy, 300 + Math.random() * 2500);
      const shop = openShop(file);
      const now = idsIn(shop);
      shop.close();
      expect([...said].filter((id) => !now.has(id) && then.has(id))).toEqual([]);
      said = new Set([...said].filter((id) => now.has(id)));
      counts.restores++;
    } else if (turn === 9) {
      const old = mkdtempSync(join(tmpdir(), 'spanner-soak-old-'));
      const layout = 1 + (Math.floor(kill / 10) % LAYOUTS);
      writeFileSync(
        join(old, 'shop.sqlite'),
        gunzipSync(readFileSync(join('test', 'fixtures', 'before', `layout-${layout}.sqlite.gz`))),
      );
      const server = await startServer(old, await freePort());
      void fetch(server.address).catch(() => undefined);
      await new Promise((resolve) => setTimeout(resolve, Math.random() * 120));
      await server.kill();
      const shop = openShop(join(old, 'shop.sqlite'));
      expect([shop.engines.all().length, shop.db.pragma('integrity_check', { simple: true })]).toEqual([3, 'ok']);
      shop.close();
      counts.upgrades++;
    } else {
      await oneLife(folder, said, sent, round, leaf, picture);
      counts.lives++;
    }
    expect(existsSync(file)).toBe(true);
    const shop = openShop(file);
    const kept = idsIn(shop);
    expect([...said].filter((id) => !kept.has(id))).toEqual([]);
    expect(shop.db.pragma('integrity_check', { simple: true })).toBe('ok');
    expect(shop.db.pragma('foreign_key_check')).toEqual([]);
    const invented = shop.tightenings.events(round).filter(({ id }) => !sent.has(`bench_event ${id}`));
    expect(invented).toEqual([]);
    shop.close();
    if (kill % 50 === 49) console.info(kill + 1, JSON.stringify(counts), JSON.stringify(byTable(said)));
  }
  console.info(`${KILLS} kills`, JSON.stringify(counts), `none lost of ${JSON.stringify(byTable(said))} acknowledged`);
});

function never(): never {
  throw new Error('the yard has no engine');
}
