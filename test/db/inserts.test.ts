import { describe, expect, test } from '@jest/globals';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { MIGRATIONS_FOLDER } from '@/db/migrate';
import { yardShop, YARD_NOW } from './temporary-shop';

const shop = yardShop();
const nothing = null as unknown as string;
const counts = () =>
  ['fit_line', 'heat_event', 'bolt_reading', 'trial_pull', 'hand_pull'].map(
    (table) => (shop.db.prepare(`SELECT count(*) AS n FROM ${table}`).get() as { n: number }).n,
  );
const [set] = shop.bolts.ofJoint('demo-m-joint-rods');
const [trial] = shop.trials.all();
if (!set || !trial) throw new Error('the yard is not whole');

const reading = {
  setId: set.id,
  bolt: 1,
  kind: 'free' as const,
  length_mm: 60,
  typed: '60',
  torque_Nm: null,
  strikes: null,
};
const pull = { trialId: trial.id, bolt: '1', film: 'x', torque_Nm: 40, stretch_mm: 0.1, typed: '0.1' };
const byHand = { hand: 'IH', thread: 'M8', meant_Nm: 20, read_Nm: 24, typed: '20, 24' };
const cycle = { engineId: 'demo-norrhem', ranFrom: YARD_NOW, highest_C: 80, ambient_C: 15 };
const felt = { kind: 'felt' as const, place: 0, body: { words: 'x' } };

const WRITES: readonly (readonly [string, (id: string, at: string) => boolean])[] = [
  ['a line of a fit', (id, at) => shop.fits.record('demo-n-fit-float', { ...felt, id, at }, YARD_NOW)],
  ['a run of the engine', (id, at) => shop.heat.addCycle({ ...cycle, id, ranTo: at }, YARD_NOW)],
  ['a length of a bolt', (id, at) => shop.bolts.read({ ...reading, id, at })],
  ['a pull of a trial', (id, at) => shop.trials.pull({ ...pull, id, at })],
  ['a pull by feel', (id, at) => shop.hands.pull({ ...byHand, id, at })],
];

describe('an insert passes over a known id and nothing else', () => {
  test.each(WRITES)('%s without its hour is an error, not “there already”', (_, write) => {
    const before = counts();
    expect(() => write('no-hour', nothing)).toThrow(/NOT NULL/);
    expect(counts()).toEqual(before);
  });
  test.each(WRITES)('%s sent twice is one', (_, write) => {
    expect([write('twice', YARD_NOW), write('twice', YARD_NOW)]).toEqual([true, false]);
  });
  test('no statement of the program passes over more', () => {
    const folder = join(MIGRATIONS_FOLDER, '..', 'repositories');
    for (const name of readdirSync(folder)) expect(readFileSync(join(folder, name), 'utf8')).not.toMatch(/OR IGNORE/);
  });
});

describe('the file itself', () => {
  const sql = (kind: string) =>
    shop.db
      .prepare<[string], { name: string; tbl_name: string; sql: string | null }>(
        "SELECT name, tbl_name, sql FROM sqlite_master WHERE type = ? AND name NOT LIKE 'sqlite_%'",
      )
      .all(kind);
  test('holds no list of kinds', () => {
    for (const { sql: text } of sql('table')) expect(text).not.toMatch(/CHECK/);
  });
  test('has an index for every foreign key', () => {
    for (const { name } of sql('table')) {
      const keys = shop.db.pragma(`foreign_key_list(${name})`) as readonly { from: string }[];
      const indexes = shop.db.pragma(`index_list(${name})`) as readonly { name: string }[];
      const first = indexes.map(
        (index) => (shop.db.pragma(`index_info(${index.name})`) as readonly { name: string }[])[0]?.name,
      );
      const own = (shop.db.pragma(`table_info(${name})`) as readonly { name: string; pk: number }[])
        .filter(({ pk }) => pk === 1)
        .map((column) => column.name);
      for (const { from } of keys) expect([name, [...first, ...own].includes(from), from]).toEqual([name, true, from]);
    }
  });
  test('raises the stamp of an engine with every row that reaches it, whoever writes, alters or removes it', () => {
    const bound = new Map(
      sql('table').map(({ name }) => [
        name,
        (shop.db.pragma(`foreign_key_list(${name})`) as readonly { table: string }[]).map(({ table }) => table),
      ]),
    );
    const reaches = new Set(['engine']);
    for (let more = true; more;) {
      const found = [...bound].filter(([name, to]) => !reaches.has(name) && to.some((one) => reaches.has(one)));
      for (const [name] of found) reaches.add(name);
      more = found.length > 0;
    }
    // What is worked out from the rows, not written of the engine.
    for (const cache of ['engine_stamp', 'engine_summary']) reaches.delete(cache);
    expect(reaches.size).toBeGreaterThan(12);
    const triggers = sql('trigger');
    const does = (table: string, event: string) =>
      triggers.filter(({ tbl_name, sql: text }) => tbl_name === table && new RegExp(` ${event} ON `).test(text ?? ''));
    for (const table of reaches)
      for (const event of ['INSERT', 'UPDATE', 'DELETE']) {
        if (table === 'engine' && event === 'DELETE') continue; // its stamp goes with it
        const says = does(table, event).map(({ sql: text }) => (/engine_stamp|RAISE/.test(text ?? '') ? 'so' : 'not'));
        expect([table, event, says.includes('so')]).toEqual([table, event, true]);
      }
  });
  test('a source altered stamps every engine it stands in the book of, each with a stamp of its own', () => {
    const stamps = () => new Map(shop.summaries.stamped().map(({ engineId, stamp }) => [engineId, stamp]));
    shop.book.linkSource('demo-norrhem', 'demo-fourteen-service');
    const before = stamps();
    const source = shop.book.findSource('demo-fourteen-service');
    if (!source) throw new Error('no source');
    expect(shop.book.alterSource({ ...source, title: 'Another title' })).toBe(true);
    const after = stamps();
    const risen = [...after].filter(([id, stamp]) => stamp > (before.get(id) ?? 0)).map(([id]) => id);
    expect(risen.sort()).toEqual(['demo-fourteen', 'demo-norrhem']);
    expect(new Set(after.values()).size).toBe(after.size);
  });
});
