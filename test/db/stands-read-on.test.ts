import { describe, expect, jest, test } from '@jest/globals';
import fc from 'fast-check';
import { engineRows } from '@/db/reads/engine-rows';
import { engineSummaries, lastLineAt } from '@/db/reads/engine-summaries';
import { openShop, type Shop } from '@/db/shop';
import { temporaryFile, YARD_NOW, yardShop } from './temporary-shop';

let made = 0;
const at = () => new Date(Date.parse(YARD_NOW) + made++ * 60_000).toISOString();

const stands = (shop: Shop) =>
  engineSummaries(shop, 'edition', (id) => {
    const engine = shop.engines.find(id);
    return engine && engineRows(shop, engine);
  });

const stampsOf = (shop: Shop): ReadonlyMap<string, number> =>
  new Map(shop.summaries.stamped().map(({ engineId, stamp }) => [engineId, stamp]));

const renamed = (shop: Shop, id: string) =>
  void shop.db.prepare("UPDATE engine SET name = name || '!', version = version + 1 WHERE id = ?").run(id);

const put = (shop: Shop, id: string, createdAt = at()) => {
  const engine = yard.engines.find('demo-norrhem');
  if (engine && !shop.engines.find(id)) shop.engines.add({ ...engine, id, name: `${id} ${made}`, createdAt });
};

const yard = yardShop();
const DAY = '2026-05-16T00:00:00.000Z';

/** Takes an engine away with its books, as the program does. */
function takeAway(shop: Shop, id: string): void {
  shop.engines.bringBack(id);
  shop.db.prepare('DELETE FROM engine_source WHERE engine_id = ?').run(id);
  shop.db.prepare('DELETE FROM engine WHERE id = ?').run(id);
}

const DONE: Readonly<Record<string, (shop: Shop, id: string) => unknown>> = {
  put,
  'put, of the same day': (shop, id) => put(shop, id, DAY),
  rename: renamed,
  'take away': takeAway,
  'take away, its stamp first': (shop, id) => {
    shop.db.prepare('DELETE FROM engine_stamp WHERE engine_id = ?').run(id);
    takeAway(shop, id);
  },
  'put aside': (shop, id) => shop.engines.find(id) && shop.engines.putAside(id, { reason: 'sold', at: at() }),
  'bring back': (shop, id) => shop.engines.bringBack(id),
  'alter a joint': (shop) => void shop.db.prepare("UPDATE joint SET name = name || '!' WHERE id LIKE '%-head'").run(),
  // A source stands in the books of several engines, all of which are stamped by one statement.
  'alter a source': (shop, id) => {
    const [source] = yard.book.sources('demo-norrhem');
    if (!source || !shop.engines.find(id)) return;
    const own = { ...source, id: `source-${made++}` };
    shop.book.addSource(id, own);
    for (const other of ['one', 'two', 'three'])
      if (other !== id && shop.engines.find(other)) shop.book.linkSource(other, own.id);
    shop.book.alterSource({ ...own, title: 'another' });
  },
};
const OPS = Object.keys(DONE);
const steps = fc.array(fc.tuple(fc.constantFrom(...OPS), fc.constantFrom('one', 'two', 'three'), fc.boolean()), {
  minLength: 1,
  maxLength: 10,
});

describe('the stands, read on after what was written', () => {
  test('are as if read anew, whatever was written of them, taken away and put there between', () => {
    const shop = yardShop();
    fc.assert(
      fc.property(steps, (history) => {
        for (const [op, id, isSeen] of history) {
          DONE[op]?.(shop, id);
          if (isSeen) stands(shop);
        }
        const anew = openShop(shop.file);
        expect(stands(shop)).toEqual(stands(anew));
        anew.close();
      }),
      { numRuns: 60 },
    );
  });
  test('stand in the order in which they were put there, though one was put there again', () => {
    const shop = yardShop();
    for (const id of ['one', 'two']) put(shop, id);
    const order = () => stands(shop).map(({ engineId }) => engineId);
    expect(order().slice(-2)).toEqual(['one', 'two']);
    for (const op of ['take away', 'put']) DONE[op]?.(shop, 'one');
    expect(order().slice(-2)).toEqual(['two', 'one']);
  });
  test('are asked of the file only where they were written of', () => {
    const shop = yardShop();
    const before = stands(shop).map(({ engineId }) => engineId);
    const asked = jest.spyOn(shop.summaries, 'writtenAfter');
    renamed(shop, 'demo-norrhem');
    expect(stands(shop).map(({ engineId }) => engineId)).toEqual(before);
    expect(stands(shop).find(({ engineId }) => engineId === 'demo-norrhem')?.name).toMatch(/!$/);
    const read = asked.mock.results.map(({ value }) => (value as { engines: unknown[] }).engines.length);
    expect(read).toEqual([1, 0]);
    asked.mockRestore();
  });
  test('are in no memory where a transaction is taken back', () => {
    const shop = yardShop();
    const before = stands(shop);
    const name = 'demo-norrhem';
    const undone = shop.db.transaction(() => {
      renamed(shop, name);
      expect(stands(shop).find(({ engineId }) => engineId === name)?.name).toMatch(/!$/);
      throw new Error('taken back');
    });
    expect(undone).toThrow('taken back');
    expect(stands(shop)).toEqual(before);
    // The stamp that went with it is given to another row.
    shop.db.prepare('UPDATE engine SET preferred_unit = ? WHERE id = ?').run('kgf_m', name);
    expect(stands(shop).find(({ engineId }) => engineId === name)).toMatchObject({ preferredUnit: 'kgf_m' });
  });
  test('tell when the line was written that was written last', () => {
    const empty = openShop(temporaryFile());
    stands(empty);
    expect(lastLineAt(empty)).toBeUndefined();
    const shop = yardShop();
    const newest = () => {
      stands(shop);
      return lastLineAt(shop);
    };
    const lastOf = (table: string) =>
      shop.db.prepare<[], string>(`SELECT recorded_at FROM ${table} ORDER BY seq`).pluck().all().at(-1) ?? '';
    const last = () => ['bench_event', 'fit_line', 'heat_event'].map(lastOf).sort().at(-1);
    expect(newest()).toBe(last());
    const later = '2031-01-02T03:04:05.000Z';
    shop.db
      .prepare(
        `INSERT INTO heat_event (id, engine_id, kind, at, recorded_at)
         SELECT 'later', engine_id, kind, at, ? FROM heat_event LIMIT 1`,
      )
      .run(later);
    expect([last(), newest()]).toEqual([later, later]);
  });
});

describe('a stamp', () => {
  test('is given once, above all that were given before, whichever engine was taken away', () => {
    const shop = openShop(temporaryFile());
    let highest = 0;
    let before = stampsOf(shop);
    fc.assert(
      fc.property(steps, (history) => {
        for (const [op, id] of history) {
          DONE[op]?.(shop, id);
          const now = stampsOf(shop);
          const given = [...now].filter(([engine, stamp]) => before.get(engine) !== stamp).map(([, stamp]) => stamp);
          for (const stamp of given) expect(stamp).toBeGreaterThan(highest);
          expect(new Set(now.values()).size).toBe(now.size);
          highest = Math.max(highest, ...given);
          before = now;
        }
      }),
      { numRuns: 200 },
    );
  });
  test('is not given again though the only engine of a shop was taken away, also once the file was opened anew', () => {
    const file = temporaryFile();
    const stamps = ['one', 'two', 'one'].map((id) => {
      const shop = openShop(file);
      put(shop, id);
      const stamp = stampsOf(shop).get(id);
      takeAway(shop, id);
      shop.close();
      return stamp;
    });
    expect(stamps).toEqual([1, 2, 3]);
  });
});
