import { chmodSync, copyFileSync, existsSync, mkdirSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import SqliteDatabase from 'better-sqlite3';
import { openDatabase } from '@/db/connection';
import { MIGRATIONS_FOLDER, assertHistory } from '@/db/migrate';
import { openShop } from '@/db/shop';
import { ShopTrouble } from '@/db/trouble';
import { codeOf } from '../core/code-of';
import { freshTightening, temporaryFile, yardShop, YARD_NOW } from './temporary-shop';

const troubleOf = (work: () => unknown): ShopTrouble => {
  try {
    work();
  } catch (error) {
    if (error instanceof ShopTrouble) return error;
    throw error;
  }
  throw new Error('no trouble came');
};

const pull = (id: string, step: number) => ({
  id,
  kind: 'pull' as const,
  step,
  outcome: 'pulled' as const,
  at: YARD_NOW,
});

describe('the file', () => {
  test('is durable, and keeps its references', () => {
    const { db } = openShop(temporaryFile());
    expect([
      db.pragma('journal_mode', { simple: true }),
      db.pragma('synchronous', { simple: true }),
      db.pragma('foreign_keys', { simple: true }),
    ]).toEqual(['wal', 2, 1]);
    expect(() => db.prepare("INSERT INTO engine_source VALUES ('none', 'none')").run()).toThrow(/FOREIGN KEY/);
  });

  test('a copy is made before a migration runs, and only then', () => {
    const file = temporaryFile();
    openShop(file).close();
    expect(readdirSync(dirname(file)).some((name) => name.includes('.before-'))).toBe(false);
    const folder = join(dirname(file), 'migrations');
    mkdirSync(folder);
    for (const name of readdirSync(MIGRATIONS_FOLDER)) copyFileSync(join(MIGRATIONS_FOLDER, name), join(folder, name));
    writeFileSync(join(folder, '9001-more.sql'), 'CREATE TABLE more (id TEXT PRIMARY KEY) STRICT;');
    openDatabase(file, folder).close();
    expect(existsSync(`${file}.before-9001-more.sqlite`)).toBe(true);
    const copy = new SqliteDatabase(`${file}.before-9001-more.sqlite`, { readonly: true });
    expect(copy.prepare("SELECT count(*) AS n FROM sqlite_master WHERE name = 'more'").get()).toEqual({ n: 0 });
    expect(troubleOf(() => openDatabase(file)).code).toBe('newer-version');
  });

  test('a migration that fails leaves nothing behind', () => {
    const file = temporaryFile();
    openShop(file).close();
    const folder = join(dirname(file), 'migrations');
    mkdirSync(folder);
    for (const name of readdirSync(MIGRATIONS_FOLDER)) copyFileSync(join(MIGRATIONS_FOLDER, name), join(folder, name));
    writeFileSync(join(folder, '9001-broken.sql'), 'CREATE TABLE half (id TEXT); SELECT nonsense FROM nowhere;');
    expect(() => openDatabase(file, folder)).toThrow();
    expect(openShop(file).db.prepare("SELECT count(*) AS n FROM sqlite_master WHERE name = 'half'").get()).toEqual({
      n: 0,
    });
  });

  test('a damaged file is said to be damaged, and left as it is', () => {
    const file = temporaryFile();
    writeFileSync(file, 'this is no database, and never was one; it is only text.'.repeat(40));
    const before = readFileSync(file);
    const trouble = troubleOf(() => openShop(file));
    expect([trouble.code, trouble.nextStep.length > 20, readFileSync(file).equals(before)]).toEqual([
      'corrupt',
      true,
      true,
    ]);
  });

  test('a file held by another program is said to be held', () => {
    const file = temporaryFile();
    const shop = yardShop(file);
    const other = new SqliteDatabase(file);
    other.exec('BEGIN EXCLUSIVE');
    shop.db.pragma('busy_timeout = 50');
    expect(troubleOf(() => shop.transaction(() => shop.settings.set('a', 'b', 0))).code).toBe('locked');
    other.exec('ROLLBACK');
    shop.transaction(() => shop.settings.set('a', 'b', 0));
    expect(shop.settings.get('a')).toEqual({ value: 'b', version: 1 });
  });

  test('a full disk refuses the line and keeps what was there', () => {
    const shop = yardShop();
    const tightening = freshTightening(shop);
    shop.tightenings.record(tightening, pull('first', 0), YARD_NOW);
    const pages = shop.db.pragma('page_count', { simple: true }) as number;
    shop.db.pragma(`max_page_count = ${pages}`);
    const fill = () => {
      for (let i = 0; i < 5000; i++) shop.transaction(() => shop.settings.set(`key-${i}`, 'x'.repeat(500), 0));
    };
    expect(troubleOf(fill).code).toBe('disk-full');
    shop.db.pragma('max_page_count = 1000000');
    expect(shop.tightenings.events(tightening.id)).toHaveLength(1);
    expect(shop.tightenings.record(tightening, pull('second', 1), YARD_NOW)).toBe(true);
  });

  test('a folder that cannot be written to is said', () => {
    const file = join(dirname(temporaryFile()), 'a-file');
    writeFileSync(file, '');
    expect(troubleOf(() => openShop(join(file, 'shop.sqlite'))).code).toBe('not-writable');
    chmodSync(file, 0o600);
  });
});

describe('bench lines', () => {
  test('are never altered and never removed', () => {
    const shop = yardShop();
    for (const sql of [
      'UPDATE bench_event SET step = 0',
      'DELETE FROM bench_event',
      'UPDATE leaf SET page = 1',
      "UPDATE tightening SET plan_digest = ''",
      "UPDATE plan SET body = x'00'",
      'DELETE FROM plan',
      'UPDATE heat_event SET head_c = 1',
      'DELETE FROM heat_event',
    ])
      expect(() => shop.db.exec(sql)).toThrow(/never/);
  });

  test('the same line sent twice is one line; a line out of turn is refused', () => {
    const shop = yardShop();
    const tightening = freshTightening(shop);
    expect([
      shop.tightenings.record(tightening, pull('one', 0), YARD_NOW),
      shop.tightenings.record(tightening, pull('one', 0), YARD_NOW),
    ]).toEqual([true, false]);
    expect(codeOf(() => shop.tightenings.record(tightening, pull('two', 0), YARD_NOW))).toBe('out-of-turn');
    expect(shop.tightenings.events(tightening.id).map((event) => event.id)).toEqual(['one']);
  });

  test('a plan stays as it was when the first nut was touched', () => {
    const shop = yardShop();
    const tightening = freshTightening(shop);
    const joint = shop.joints.find(tightening.jointId);
    if (joint) shop.joints.alter({ ...joint, todayFilm: 'dry-bare', fasteners: 2 });
    expect(shop.tightenings.find(tightening.id)?.plan).toEqual(JSON.parse(JSON.stringify(tightening.plan)));
  });
});

describe('heat lines', () => {
  test('a struck run takes its readings with it; the lines themselves stay', () => {
    const shop = yardShop();
    const rows = () => (shop.db.prepare('SELECT count(*) AS n FROM heat_event').get() as { n: number }).n;
    const before = rows();
    shop.heat.strike(
      { id: 'strike-it', engineId: 'demo-fourteen', strikesId: 'demo-f-cycle-1', at: YARD_NOW },
      YARD_NOW,
    );
    expect(shop.heat.log('demo-fourteen')).toEqual({ cycles: [], readings: [], meters: [] });
    expect(rows()).toBe(before + 1);
  });
});

describe('leaves', () => {
  test('a correction stands over the leaf it corrects, and joints follow it', () => {
    const shop = yardShop();
    const old = shop.book.findLeaf('demo-n-mains');
    if (!old) throw new Error('the yard has no such leaf');
    shop.book.addLeaf({
      ...old,
      id: 'better',
      printedText: '5,0 bis 5,5 mkp',
      min_Nm: 49,
      max_Nm: 54,
      replacesId: old.id,
    });
    expect(shop.joints.find('demo-n-joint-mains')?.leafId).toBe('better');
    expect(shop.book.findLeaf(old.id)?.printedText).toBe('5,5 bis 6 mkp');
  });
});

describe('a history that this program does not know', () => {
  test('is refused by name, and the file left as it is', () => {
    expect(() => assertHistory(['0001-a.sql'], ['0001-a.sql', '0002-b.sql'])).not.toThrow();
    expect(troubleOf(() => assertHistory(['0001-a.sql', '0002-x.sql'], ['0001-a.sql', '0002-b.sql']))).toMatchObject({
      code: 'changed-history',
      message: expect.stringContaining('0002-x.sql'),
    });
    expect(troubleOf(() => assertHistory(['0001-a.sql', '0002-b.sql'], ['0001-a.sql'])).code).toBe('newer-version');
    const file = temporaryFile();
    const shop = openShop(file);
    shop.db.prepare("UPDATE migration SET name = '0001-another.sql' WHERE name LIKE '0001-%'").run();
    shop.close();
    const before = readFileSync(file);
    expect(troubleOf(() => openDatabase(file)).code).toBe('changed-history');
    expect(readFileSync(file).equals(before)).toBe(true);
  });
});
