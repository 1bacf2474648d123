import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { freePort, startServer, type RunningServer } from './running-server';
import { textOf } from './text-of';

const held = (name: string) => gunzipSync(readFileSync(join('test', 'fixtures', 'before', name)));
const SCREENS = JSON.parse(held('screens.json.gz').toString()) as Readonly<Record<string, readonly string[]>>;

/** Ways that the stands and the record lead to since, and the one that is gone. */
const SINCE = new Set(['Read a build in', 'Copies of the shop', 'Look at a build file', 'Read a build file in']);

let server: RunningServer;
beforeAll(async () => {
  const folder = mkdtempSync(join(tmpdir(), 'spanner-before-'));
  writeFileSync(join(folder, 'demonstration.sqlite'), held('yard-0004.sqlite.gz'));
  server = await startServer(folder, await freePort(), {
    SPANNER_OPEN: 'demonstration',
    SPANNER_CLOCK: '2026-11-20T18:00:00Z',
    TZ: 'UTC',
  });
}, 60_000);
afterAll(() => server.kill());

describe('a file written before the lists left it opens, and every screen says what it said', () => {
  test.each(Object.keys(SCREENS))('%s', async (path) => {
    const html = await (await fetch(server.address + path)).text();
    expect(textOf(html).filter((line) => !SINCE.has(line))).toEqual(SCREENS[path]?.filter((line) => !SINCE.has(line)));
  });
});
