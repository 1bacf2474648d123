import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@jest/globals';
import { openShop } from '@/db/shop';
import { yardShop } from '../db/temporary-shop';
import { longRound, newPull, sendPull, type Sent } from './pulls';
import { freePort, startServer } from './running-server';

const KILLS = 50;
const LONGEST_LIFE_MS = 160;

test(`killed ${KILLS} times in the middle of a tightening, no acknowledged pull is lost`, async () => {
  const folder = mkdtempSync(join(tmpdir(), 'spanner-kill-'));
  const file = join(folder, 'shop.sqlite');
  yardShop(file).close();
  const acknowledged = new Map<string, Set<string>>();
  let waiting: Sent | undefined;
  let total = 0;
  for (let kill = 0; kill < KILLS; kill++) {
    const id = `round-${Math.floor(kill / 2)}`;
    if (kill % 2 === 0) {
      const shop = openShop(file);
      longRound(shop, id);
      shop.close();
      waiting = undefined;
    }
    const long = `${id}-long`;
    const known = acknowledged.get(long) ?? new Set<string>();
    acknowledged.set(long, known);
    const server = await startServer(folder, await freePort());
    let alive = true;
    const lines = (await (
      await fetch(`${server.address}/api/tightenings/${long}/events`).catch(() => undefined)
    )
      ?.json()
      .catch(() => undefined)) as { result: { id: string }[] } | undefined;
    // Its life counts from its first answer: a machine that is busy with something else makes it no shorter.
    const killing = new Promise<void>((resolve) =>
      setTimeout(
        () => {
          alive = false;
          void server.kill().then(resolve);
        },
        (LONGEST_LIFE_MS * (kill + 1)) / KILLS,
      ),
    );
    let step = lines?.result.length ?? known.size;
    // A line that was never acknowledged is sent again with the id it had.
    let next = waiting && !lines?.result.some((line) => line.id === waiting?.id) ? waiting : newPull(step);
    while (alive) {
      waiting = next;
      if (!(await sendPull(server.address, long, next))) break;
      known.add(next.id);
      step++;
      total++;
      waiting = undefined;
      next = newPull(step);
    }
    await killing;
  }
  const shop = openShop(file);
  for (const [id, known] of acknowledged) {
    const kept = new Set(shop.tightenings.events(id).map((event) => event.id));
    expect([...known].filter((one) => !kept.has(one))).toEqual([]);
  }
  expect(shop.db.pragma('integrity_check', { simple: true })).toBe('ok');
  expect(total).toBeGreaterThan(KILLS);
  console.info(`${KILLS} kills, ${total} acknowledged pulls, none lost`);
}, 400_000);
