import SqliteDatabase from 'better-sqlite3';
import { existsSync, mkdtempSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { loadBigYard } from '@demo/big-yard';
import { frameworkBytes, scriptBytes } from '../../scripts/script-weight';
import { yardShop, YARD_NOW } from '../db/temporary-shop';
import { freePort, startServer, type RunningServer } from './running-server';
import { SCREENS } from './screens';

const MAX_QUERIES = 12;
/** Script over the bare framework that a page waits for, gzip. */
const MAX_SCRIPT_KB = 60;
/** What weighs more as yet, and may not grow. */
const HEAVY: readonly (readonly [path: RegExp, kB: number])[] = [
  [/\/joints\/new$/, 71],
  [/\/stretch$/, 63],
  [/\/joints\//, 160],
  [/\/fits\/bearings$/, 70],
  [/\/fits\/demo-/, 107],
  [/\/run-in$/, 79],
  [/\/order$/, 78],
  [/\/rehearsal\//, 74],
  [/\/timing$/, 68],
  [/\/tray$/, 67],
  [/\/about$/, 65],
  [/\/book$/, 64],
];
const MANY = {
  engines: 500,
  jointsPerEngine: 2,
  pullsPerJoint: 4,
  readingsPerEngine: 6,
  cyclesPerEngine: 1,
  leavesPerEngine: 2,
  stepsPerEngine: 3,
  partsPerEngine: 4,
};

interface Counted {
  readonly server: RunningServer;
  readonly count: (
    path: string,
  ) => Promise<{ readonly status: number; readonly queries: readonly string[]; readonly html: string }>;
}

/** Until what the page before had begun behind it is done: its questions are not this one's. */
async function quiet(log: string): Promise<void> {
  for (let size = -1, now = 0; now !== size;) {
    size = now;
    await pause(40);
    now = existsSync(log) ? statSync(log).size : 0;
  }
}

/** A real server on the yard and so many engines more, whose statements are counted. */
async function counted(engines: number): Promise<Counted> {
  const folder = mkdtempSync(join(tmpdir(), 'spanner-count-'));
  const log = join(folder, 'queries.log');
  const shop = yardShop(join(folder, 'demonstration.sqlite'));
  loadBigYard(shop, { ...MANY, engines }, Date.parse(YARD_NOW));
  shop.close();
  const server = await startServer(folder, await freePort(), {
    SPANNER_OPEN: 'demonstration',
    SPANNER_QUERY_LOG: log,
  });
  const beside = new SqliteDatabase(join(folder, 'demonstration.sqlite'));
  const ask = async (path: string) => {
    // Its engine was worked on since the last look, so that nothing kept between pages answers for the file.
    const engine = /demo-[a-z]+/.exec(path)?.[0];
    if (engine) beside.prepare('UPDATE engine SET name = name WHERE id = ?').run(engine);
    await quiet(log);
    writeFileSync(log, '');
    const response = await fetch(server.address + path);
    const html = await response.text();
    const queries = readFileSync(log, 'utf8')
      .split('\n')
      // Whether anything was written at all is no question to a table; unasked twice, it saves two that are.
      .filter((line) => /^(SELECT|WITH)/.test(line) && !line.startsWith('SELECT total_changes()'));
    return { status: response.status, queries, html };
  };
  // What the engines' tags say is worked out once after a new build, and kept; whoever asks for all waits for it.
  await ask('/api/calendar');
  await ask('/');
  return { server, count: ask };
}

let few: Counted;
let many: Counted;
beforeAll(async () => {
  few = await counted(0);
  many = await counted(MANY.engines);
}, 240_000);
afterAll(async () => {
  await few.server.kill();
  await many.server.kill();
});

describe('what a screen asks of the file', () => {
  test.each(SCREENS)(
    '%s: a known number of queries, the same at 3 and at 500 engines, and no more script than it may wait for',
    async (_, path) => {
      const [small, large] = [await few.count(path), await many.count(path)];
      expect(large.status).toBe(small.status);
      expect(large.queries).toHaveLength(small.queries.length);
      expect(small.queries.length).toBeLessThanOrEqual(MAX_QUERIES);
      // Nothing is read twice; a page that is not found is drawn again as such.
      if (small.status === 200) expect(new Set(small.queries).size).toBe(small.queries.length);
      const kB = (scriptBytes(small.html) - frameworkBytes()) / 1000;
      expect(kB).toBeLessThanOrEqual(HEAVY.find(([heavy]) => heavy.test(path))?.[1] ?? MAX_SCRIPT_KB);
    },
  );
  test('where nothing was written since, neither the shelves nor the engines are asked for again', async () => {
    await many.count('/due');
    const { queries } = await many.count('/due');
    expect(queries.filter((one) => /engine_stamp|shelf_row/.test(one))).toEqual([]);
  });
  test('an engine that was worked on is worked out by the page that shows it, from the rows that it reads anyway', async () => {
    const path = '/engines/demo-norrhem/joints/demo-n-joint-mains';
    const line = { id: 'felt-0001', kind: 'felt', place: 0, body: { words: 'none to be felt' } };
    const response = await fetch(`${many.server.address}/api/fits/demo-n-fit-float/lines`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(line),
    });
    expect(response.status).toBe(200);
    const { queries } = await many.count(path);
    expect(queries.length).toBeLessThanOrEqual(MAX_QUERIES);
  });
});
