import { expect, test } from '@jest/globals';
import { engineSummaries } from '@/db/reads/engine-summaries';
import { dueLines } from '@/features/engine/due';
import { rowsNamed, yardShop } from '../db/temporary-shop';

const RUNS = 10_000;
const PULLS = 100_000;
const NOW = Date.parse('2026-11-28T12:00:00.000Z');

/** Many columns of one row, as they are but for some. */
function copier(shop: ReturnType<typeof yardShop>, table: string, row: Readonly<Record<string, unknown>>) {
  const columns = Object.keys(row).filter((column) => column !== 'seq');
  const insert = shop.db.prepare(
    `INSERT INTO ${table} (${columns.join(', ')}) VALUES (${columns.map((column) => `@${column}`).join(', ')})`,
  );
  return (part: Readonly<Record<string, unknown>>) => insert.run({ ...row, ...part });
}

test('the day is told from a file of ten thousand runs and a hundred thousand pulls as fast as from a small one', () => {
  const shop = yardShop();
  const run = shop.db.prepare("SELECT * FROM heat_event WHERE id = 'demo-m-run-1'").get() as Record<string, unknown>;
  const pull = shop.db
    .prepare("SELECT * FROM bench_event WHERE tightening_id = 'demo-m-joint-case-round-4' AND kind = 'pull' LIMIT 1")
    .get() as Record<string, unknown>;
  const round = shop.db.prepare("SELECT * FROM tightening WHERE id = 'demo-m-joint-case-round-4'").get() as Record<
    string,
    unknown
  >;
  shop.transaction(() => {
    const [addRun, addRound, addPull] = [
      copier(shop, 'heat_event', run),
      copier(shop, 'tightening', round),
      copier(shop, 'bench_event', pull),
    ];
    for (let i = 0; i < RUNS; i++) {
      const at = Date.parse('2026-05-02T00:00:00.000Z') + i * 900_000;
      const [from, to] = [new Date(at).toISOString(), new Date(at + 600_000).toISOString()];
      addRun({ id: `run-${i}`, ran_from: from, ran_to: to, at: to, recorded_at: to });
    }
    for (let r = 0; r < PULLS / 8; r++) {
      addRound({
        id: `round-${r}`,
        started_at: new Date(Date.parse('2026-09-01T00:00:00.000Z') + r * 60_000).toISOString(),
      });
      for (let i = 0; i < 8; i++) addPull({ id: `pull-${r}-${i}`, tightening_id: `round-${r}`, step: i });
    }
  });
  const day = () =>
    dueLines(
      engineSummaries(shop, 'now', (id) => rowsNamed(shop, id)),
      [],
      NOW,
    );
  const first = day();
  expect(first.length).toBeGreaterThan(0);
  // Worked out once, it is kept until a row of the engine is written: no run and no pull is read for it.
  const times = Array.from({ length: 15 }, () => {
    const began = performance.now();
    expect(day()).toEqual(first);
    return performance.now() - began;
  });
  expect(Math.min(...times)).toBeLessThan(5);
});
