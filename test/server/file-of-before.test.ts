import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { freePort, startServer, type RunningServer } from './running-server';
import { textOf } from './text-of';

const held = (name: string) => gunzipSync(readFileSync(join('test', 'fixtures', 'before', name)));
const SCREENS = JSON.parse(held('screens.json.gz').toString()) as Readonly<Record<string, readonly string[]>>;

/** Said in other words since, on purpose: one gone over has not thereby settled; no pulls of a wrench are counted. */
const SAID_OTHERWISE: Readonly<Record<string, string>> = {
  settled: 'gone over',
  'Retorque after the first heat': 'Gone over again',
  'None: the gasket says not to': 'Not gone over again',
  'ISO 6789, or every 5000 pulls': 'ISO 6789 asks for it, or after 5000 pulls, which are not counted here',
};

/** What counts as a heat cycle has to cool, too, and says so. */
const withCooling = (line: string): string =>
  line
    .replace(/(60 °C at the head|75 °C in the coolant), ten minutes$/, '$1, 10 min, cooled to 40')
    .replace(/80 °C at the head, twenty minutes$/, '80 °C at the head, 20 min, cooled to 30');

/** Of each joint it is asked since how it is locked: nobody had said it. */
const withLock = (line: string): string =>
  line.replace(/^(\d+)(?= (?:things are )?not known$)/, (count) => `${Number(count) + 1}`);

/** The late end of the cooling, since it allows for a block that cools more slowly than its head. */
const LATE_END = 'Sat 01:08';

/** At the end of a round one key leaves; before, two beside each other did. */
const isLeftTwice = (line: string, before: readonly string[]): boolean =>
  line === 'Leave' && before.includes('Leave the bench');

/** The first line that was said before and is not said any more, in the order in which it was; undefined where all are. */
function firstMissing(before: readonly string[], now: readonly string[]): string | undefined {
  let at = 0;
  for (const line of before) {
    if (isLeftTwice(line, before)) continue;
    const today = SAID_OTHERWISE[line] ?? withLock(withCooling(line.replace('Sat 00:21', LATE_END)));
    // On Due it is told with both ends; the tag tells the early one, as before.
    const onDue = today.replace(/ about (20:43)$/, `: from $1, by ${LATE_END}`);
    const found = [today, onDue].map((said) => now.indexOf(said, at)).filter((place) => place >= 0);
    if (found.length === 0) return line;
    at = Math.min(...found) + 1;
  }
  return undefined;
}

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
    // More may be said today; nothing that was said then is gone, and no figure has moved.
    expect(firstMissing(SCREENS[path] ?? [], textOf(html))).toBeUndefined();
  });
});
