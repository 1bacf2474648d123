import SqliteDatabase, { type Database } from 'better-sqlite3';
import { appendFileSync, existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import { dirname } from 'node:path';
import { comingOf, hasForeignLog, markAnew, putLogAside, sizeOf } from './log-owner';
import { MIGRATIONS_FOLDER, assertDigests, migrate, pendingMigrations } from './migrate';
import { assertShop } from './whose-file';
import { teachPacking } from './packed-text';
import { troubleOf } from './trouble';

const BUSY_MS = 4000;
// A shop of twenty years is half a gigabyte; what a page reads of it lies scattered.
const CACHE_KIB = 65_536;

/** A copy beside the file, made before a migration touches it: `shop.sqlite.before-0002-….sqlite`. */
function copyBefore(db: Database, file: string, first: string): void {
  const copy = `${file}.before-${first.replace(/\.sql$/, '')}.sqlite`;
  // Another program that opens the same file at this moment makes the same copy: the name is taken once it is whole.
  const growing = `${copy}.${process.pid}`;
  rmSync(growing, { force: true });
  db.prepare('VACUUM INTO ?').run(growing);
  renameSync(growing, copy);
}

/** With `SPANNER_QUERY_LOG`, each statement is noted in that file, so that what a screen asks can be counted. */
const counting = () => {
  const log = process.env.SPANNER_QUERY_LOG;
  if (!log) return {};
  return {
    verbose: (sql: unknown) => appendFileSync(log, `${String(sql).replace(/\s+/g, ' ').slice(0, 8000)}\n`),
  };
};

function open(file: string, folder: string): Database {
  mkdirSync(dirname(file), { recursive: true });
  // Cut off between the one going and the other coming, where a disk knows no second names.
  if (!existsSync(file) && existsSync(comingOf(file))) renameSync(comingOf(file), file);
  if (hasForeignLog(file)) console.warn(`A log that is not of ${file} was put aside: ${putLogAside(file)}`);
  const isNew = sizeOf(file) === 0;
  const db = new SqliteDatabase(file, { timeout: BUSY_MS, ...counting() });
  teachPacking(db);
  try {
    if (!isNew) assertShop(db, file);
    const pending = pendingMigrations(db, folder);
    assertDigests(db, folder);
    // An acknowledged pull must survive a power cut.
    db.pragma('journal_mode = WAL');
    db.pragma('synchronous = FULL');
    db.pragma(`cache_size = -${CACHE_KIB}`);
    // Off while tables may be made anew; what they bind is checked then, and from here on at every write.
    db.pragma('foreign_keys = OFF');
    if (pending.length > 0) {
      if (!isNew) copyBefore(db, file, pending[0] as string);
      migrate(db, folder);
    }
    db.pragma('foreign_keys = ON');
    markAnew(db, file);
    return db;
  } catch (error) {
    db.close();
    throw error;
  }
}

/**
 * Opens the shop's file, makes it where it is missing, and brings it up to date.
 * @throws ShopTrouble where the disk is full, the file is locked, damaged, newer, or not writable
 */
export function openDatabase(file: string, folder = MIGRATIONS_FOLDER): Database {
  try {
    return open(file, folder);
  } catch (error) {
    throw troubleOf(error, file) ?? error;
  }
}
