import { appendFileSync, copyFileSync, existsSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import SqliteDatabase from 'better-sqlite3';
import { describe, expect, test } from '@jest/globals';
import { checkCopy, copyShop, putInPlace } from '@/db/copies';
import { hasForeignLog, headerOf } from '@/db/log-owner';
import { openShop, type Shop } from '@/db/shop';
import { ShopTrouble } from '@/db/trouble';
import { copyBeside, isCopyName } from '@/server/copies';
import { freshTightening, temporaryFile, yardShop, YARD_NOW } from './temporary-shop';

/** Every row of every table, as JSON. */
function everyRow(db: Shop['db']): readonly string[] {
  const tables = db
    .prepare<[], { name: string }>(
      "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' ORDER BY name",
    )
    .all();
  return tables.flatMap(({ name }) =>
    db
      .prepare(`SELECT * FROM "${name}"`)
      .all()
      .map(
        (row) =>
          `${name} ${JSON.stringify(row, (_, held: unknown) => (Buffer.isBuffer(held) ? held.toString('hex') : held))}`,
      ),
  );
}

const rowsOf = (file: string): readonly string[] => {
  const db = new SqliteDatabase(file, { readonly: true });
  const rows = everyRow(db);
  db.close();
  return rows;
};

const codeOf = (work: () => unknown): string => {
  try {
    work();
    return 'nothing';
  } catch (error) {
    if (error instanceof ShopTrouble) return error.code;
    throw error;
  }
};

const beside = (file: string, name: string) => join(dirname(file), name);

describe('a copy of the shop', () => {
  test('made while pulls are written is whole at one moment, and put in place it is that, row by row', async () => {
    const file = temporaryFile();
    const shop = yardShop(file);
    const round = freshTightening(shop);
    const pulls = round.plan.steps.flatMap((step, i) => (step.kind === 'pull' ? [i] : []));
    const copy = beside(file, 'copy.sqlite');
    const making = copyShop(shop.db, copy);
    let pulled = 0;
    for (const step of pulls.slice(0, 4)) {
      shop.tightenings.record(
        round,
        { id: `pull-${step}`, kind: 'pull', step, outcome: 'pulled', at: YARD_NOW },
        YARD_NOW,
      );
      pulled += 1;
      await new Promise((resolve) => setImmediate(resolve));
    }
    const { counts } = await making;
    const kept = rowsOf(copy);
    expect(counts.reduce((sum, { rows }) => sum + rows, 0)).toBe(kept.length);
    const after = everyRow(shop.db);
    expect(pulled).toBe(4);
    shop.close();
    const placed = putInPlace(copy, file);
    expect(rowsOf(file)).toEqual(kept);
    expect(rowsOf(placed.aside ?? '')).toEqual(after);
    const again = openShop(file);
    expect(everyRow(again.db).filter((row) => !row.startsWith('migration '))).toEqual(
      kept.filter((row) => !row.startsWith('migration ')),
    );
    again.close();
  });
  test('says in its header that no log is its own', async () => {
    const file = temporaryFile();
    const shop = yardShop(file);
    const copy = beside(file, 'copy.sqlite');
    await copyShop(shop.db, copy);
    expect([headerOf(copy)?.withoutLog, headerOf(file)?.withoutLog]).toEqual([true, false]);
    shop.close();
    writeFileSync(`${copy}-wal`, readFileSync(file).subarray(0, 9000));
    expect(hasForeignLog(copy)).toBe(true);
    expect(hasForeignLog(file)).toBe(false);
  });
  test('beside a file that is empty any log is foreign; of one that is no shop nothing can be told', () => {
    const file = temporaryFile();
    writeFileSync(file, '');
    expect(hasForeignLog(file)).toBe(false);
    writeFileSync(`${file}-wal`, 'left by another');
    expect(hasForeignLog(file)).toBe(true);
    writeFileSync(file, 'too short for a header');
    expect(hasForeignLog(file)).toBe(false);
  });
  test('damaged, foreign, newer or missing, it is put in no place, and what is there stays', async () => {
    const file = temporaryFile();
    const shop = yardShop(file);
    const copy = beside(file, 'copy.sqlite');
    await copyShop(shop.db, copy);
    const before = everyRow(shop.db);
    shop.close();
    const spoilt = (name: string, spoil: (to: string) => void) => {
      const to = beside(file, name);
      copyFileSync(copy, to);
      spoil(to);
      return to;
    };
    const inSql = (sql: string) => (to: string) => {
      const db = new SqliteDatabase(to);
      db.exec(sql);
      db.close();
    };
    const cases: readonly (readonly [string, string])[] = [
      ['corrupt', spoilt('half.sqlite', (to) => writeFileSync(to, readFileSync(copy).subarray(0, 200_000)))],
      [
        'corrupt',
        spoilt('text.sqlite', (to) => writeFileSync(to, 'a letter, and no file of this program '.repeat(20))),
      ],
      // A download that broke off before its first page: to SQLite a new file, with nothing in it.
      ['corrupt', spoilt('empty.sqlite', (to) => writeFileSync(to, ''))],
      ['corrupt', spoilt('byte.sqlite', (to) => writeFileSync(to, 'S'))],
      ['foreign-file', spoilt('other.sqlite', inSql('PRAGMA application_id = 7'))],
      [
        'newer-version',
        spoilt('newer.sqlite', inSql("INSERT INTO migration (name, applied_at) VALUES ('9999-later.sql', '2030')")),
      ],
      [
        'changed-history',
        spoilt('changed.sqlite', inSql("UPDATE migration SET name = '0001-other.sql' WHERE name LIKE '0001%'")),
      ],
      ['corrupt', spoilt('unbound.sqlite', inSql("PRAGMA foreign_keys = OFF; UPDATE joint SET leaf_id = 'none'"))],
      ['not-writable', beside(file, 'not-there.sqlite')],
    ];
    for (const [code, one] of cases) expect([one, codeOf(() => putInPlace(one, file))]).toEqual([one, code]);
    expect(rowsOf(file)).toEqual(before);
    expect(existsSync(`${file}.coming`)).toBe(false);
  });
  test('a file that another program made is not opened, and nothing is written into it', () => {
    const file = temporaryFile();
    const db = new SqliteDatabase(file);
    db.exec('CREATE TABLE accounts (a)');
    db.close();
    const bytes = readFileSync(file);
    expect(codeOf(() => openShop(file))).toBe('foreign-file');
    expect(readFileSync(file)).toEqual(bytes);
  });
  test('a damaged shop is kept aside as it is, and the copy takes its place', async () => {
    const file = temporaryFile();
    const shop = yardShop(file);
    const copy = beside(file, 'copy.sqlite');
    await copyShop(shop.db, copy);
    shop.close();
    writeFileSync(file, 'x'.repeat(8000));
    appendFileSync(`${file}-wal`, 'left over');
    const { aside } = putInPlace(copy, file);
    expect(readFileSync(aside ?? '', 'utf8')).toBe('x'.repeat(8000));
    expect(readFileSync(`${aside ?? ''}-wal`, 'utf8')).toBe('left over');
    expect(checkCopy(file).counts.find(({ table }) => table === 'engine')?.rows).toBe(3);
  });
  test('its name is no way out of its folder', () => {
    expect(isCopyName('by-hand-2026-11-26-21-02-30.sqlite')).toBe(true);
    for (const name of [
      '../shop.sqlite',
      'daily-../x.sqlite',
      'shop.sqlite',
      'daily-a.sqlite/..',
      'by-hand-.sqlite.exe',
      '',
    ])
      expect(isCopyName(name)).toBe(false);
  });
});

test('the log of a file that was carried to another folder is its own', () => {
  const from = yardShop(temporaryFile());
  const folder = mkdtempSync(join(tmpdir(), 'spanner-carried-'));
  const to = join(folder, 'shop.sqlite');
  from.engines.alter({ ...(from.engines.find('demo-norrhem') ?? (undefined as never)), name: 'In the log' });
  for (const ending of ['', '-wal', '-mark']) copyFileSync(`${from.file}${ending}`, `${to}${ending}`);
  expect(hasForeignLog(to)).toBe(false);
  const carried = openShop(to);
  expect(carried.engines.find('demo-norrhem')?.name).toBe('In the log');
});

test('a copy by a program beside is the same, and a failure of it is a sentence', async () => {
  const file = temporaryFile();
  const shop = yardShop(file);
  const to = beside(file, 'copy.sqlite');
  const { counts } = await copyBeside(file, to);
  expect(counts.reduce((sum, { rows }) => sum + rows, 0)).toBe(everyRow(shop.db).length);
  expect(rowsOf(to)).toEqual(everyRow(shop.db));
  await expect(copyBeside(file, to)).rejects.toThrow(/is there already/);
  shop.close();
}, 30_000);
