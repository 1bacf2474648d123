import { copyFileSync, cpSync, mkdtempSync, readdirSync, renameSync } from 'node:fs';
import { setTimeout as pause } from 'node:timers/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import SqliteDatabase from 'better-sqlite3';
import { describe, expect, jest, test } from '@jest/globals';
import { copyShop } from '@/db/copies';
import { openShop } from '@/db/shop';
import { yardShop } from '../db/temporary-shop';
import { longRound, newPull, sendPull } from './pulls';
import { freePort, startServer, type RunningServer } from './running-server';

jest.setTimeout(60_000);

/** Every row of a file, table by table. */
function everyRow(file: string): string {
  const db = new SqliteDatabase(file, { readonly: true });
  const tables = db
    .prepare<[], { name: string }>(
      "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name NOT IN ('engine_summary') ORDER BY name",
    )
    .all();
  const rows = JSON.stringify(tables.map(({ name }) => [name, db.prepare(`SELECT * FROM "${name}"`).all()]));
  db.close();
  return rows;
}

const isWhole = (file: string) => {
  const db = new SqliteDatabase(file, { readonly: true });
  const found = db.pragma('integrity_check', { simple: true });
  db.close();
  return found === 'ok';
};

async function pulls(server: RunningServer, round: string, from: number, to: number): Promise<number> {
  let acknowledged = 0;
  for (let step = from; step < to; step++) if (await sendPull(server.address, round, newPull(step))) acknowledged += 1;
  return acknowledged;
}

const count = async (server: RunningServer, round: string): Promise<number | string> => {
  const answer = (await (await fetch(`${server.address}/api/tightenings/${round}/events`)).json()) as {
    readonly ok: boolean;
    readonly result?: readonly unknown[];
    readonly error?: { readonly code: string };
  };
  return answer.result?.length ?? answer.error?.code ?? '';
};

async function bench() {
  const folder = mkdtempSync(join(tmpdir(), 'spanner-recover-'));
  const file = join(folder, 'shop.sqlite');
  const shop = yardShop(file);
  const round = longRound(shop, 'round', 400);
  shop.close();
  return { folder, file, round, server: await startServer(folder, await freePort()) };
}

/** A copy as a person makes it with the means of the system, while the server is at work. */
async function backup(file: string, to: string): Promise<string> {
  const db = new SqliteDatabase(file);
  await db.backup(to);
  db.close();
  return to;
}

describe('stopped, the file alone is the whole shop', () => {
  test('no log is left, and a plain copy has every pull', async () => {
    const { folder, file, round, server } = await bench();
    expect(await pulls(server, round, 0, 60)).toBe(60);
    await server.stop();
    expect(readdirSync(folder).filter((name) => name.endsWith('-wal'))).toEqual([]);
    const copy = join(folder, 'plain-copy.sqlite');
    copyFileSync(file, copy);
    const shop = openShop(copy);
    expect(shop.tightenings.events(round)).toHaveLength(60);
    shop.close();
  });
});

describe('a copy put in the place of the shop', () => {
  test.each([
    ['stopped as a person does', 'stop', 40, 'copy'],
    ['stopped as a person does', 'stop', 5, 'move'],
    ['cut off', 'kill', 60, 'copy'],
    ['cut off', 'kill', 300, 'move'],
  ] as const)(
    'the server %s: what was pulled after the copy is not played over it (%s, %d more, %s)',
    async (_, end, more, how) => {
      const { folder, file, round, server } = await bench();
      await pulls(server, round, 0, 20);
      const copy = join(folder, 'copy.sqlite');
      const open = new SqliteDatabase(file);
      await copyShop(open, copy);
      open.close();
      expect(await pulls(server, round, 20, 20 + more)).toBe(more);
      await server[end]();
      renameSync(file, join(folder, 'away.sqlite'));
      if (how === 'copy') copyFileSync(copy, file);
      else renameSync(copy, file);
      const again = await startServer(folder, await freePort());
      expect(await count(again, round)).toBe(20);
      expect(await pulls(again, round, 20, 30)).toBe(10);
      await again.stop();
      expect(isWhole(file)).toBe(true);
    },
  );
  test('made by other means in an earlier sitting, copied over what a cut-off server left', async () => {
    const { folder, file, round, server } = await bench();
    await pulls(server, round, 0, 20);
    const copy = await backup(file, join(folder, 'copy.sqlite'));
    await server.stop();
    const second = await startServer(folder, await freePort());
    expect(await pulls(second, round, 20, 140)).toBe(120);
    await second.kill();
    copyFileSync(copy, file);
    const again = await startServer(folder, await freePort());
    expect(await count(again, round)).toBe(20);
    await again.stop();
    expect(isWhole(file)).toBe(true);
    expect(readdirSync(folder).some((name) => name.includes('.aside-') && name.endsWith('-wal'))).toBe(true);
  });
  test('a cut-off server’s own log is played, also where the whole folder was carried elsewhere', async () => {
    const { folder, round, server } = await bench();
    expect(await pulls(server, round, 0, 150)).toBe(150);
    await server.kill();
    const elsewhere = mkdtempSync(join(tmpdir(), 'spanner-carried-'));
    cpSync(folder, elsewhere, { recursive: true });
    for (const where of [elsewhere, folder]) {
      const again = await startServer(where, await freePort());
      expect(await count(again, round)).toBe(150);
      await again.stop();
      expect(isWhole(join(where, 'shop.sqlite'))).toBe(true);
    }
  });
  test.each(['copied over', 'moved over'] as const)(
    'under a running server, %s: nothing more is written, then the new one is opened',
    async (how) => {
      const { folder, file, round, server } = await bench();
      await pulls(server, round, 0, 20);
      const copy = join(folder, 'copy.sqlite');
      const open = new SqliteDatabase(file);
      await copyShop(open, copy);
      open.close();
      await pulls(server, round, 20, 90);
      if (how === 'copied over') copyFileSync(copy, file);
      else renameSync(copy, file);
      expect(await sendPull(server.address, round, newPull(90))).toBe(false);
      // A copy that was moved there is whole at once, and opened as soon as it is old enough to be.
      expect(how === 'copied over' ? ['exchanged'] : ['exchanged', 20]).toContain(await count(server, round));
      if (how === 'copied over')
        expect(await (await fetch(server.address)).text()).toContain('was exchanged while the program ran');
      for (let waits = 0; waits < 40 && (await count(server, round)) !== 20; waits++) await pause(500);
      expect(await count(server, round)).toBe(20);
      expect(await pulls(server, round, 20, 80)).toBe(60);
      expect(await count(server, round)).toBe(80);
      await server.stop();
      expect(isWhole(file)).toBe(true);
      const shop = openShop(file);
      expect(shop.tightenings.events(round)).toHaveLength(80);
      shop.close();
    },
  );
  test('stopped right after it was written over, the server folds nothing into it', async () => {
    const { folder, file, round, server } = await bench();
    await pulls(server, round, 0, 20);
    const copy = join(folder, 'copy.sqlite');
    const open = new SqliteDatabase(file);
    await copyShop(open, copy);
    open.close();
    await pulls(server, round, 20, 300);
    const wanted = everyRow(copy);
    copyFileSync(copy, file);
    await server.stop();
    const again = await startServer(folder, await freePort());
    expect(await count(again, round)).toBe(20);
    await again.stop();
    expect(isWhole(file)).toBe(true);
    expect(everyRow(file)).toBe(wanted);
  });
});
