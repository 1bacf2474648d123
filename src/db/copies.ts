import SqliteDatabase, { type Database } from 'better-sqlite3';
import { existsSync, linkSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import { dirname } from 'node:path';
import { asideOf, comingOf, isFolded, indexOf, logOf } from './log-owner';
import { appliedMigrations } from './migrate';
import { assertShop, tablesOf } from './whose-file';
import { ShopTrouble, troubleOf } from './trouble';

export interface TableCount {
  readonly table: string;
  readonly rows: number;
}

/** A copy that was looked through: whole, and how many rows each of its tables has. */
export interface CheckedCopy {
  readonly file: string;
  readonly counts: readonly TableCount[];
}

const countRows = (db: Database): readonly TableCount[] =>
  tablesOf(db).map((table) => ({
    table,
    rows: (db.prepare(`SELECT count(*) AS n FROM "${table}"`).get() as { readonly n: number }).n,
  }));

const broken = (file: string, what: string) =>
  new ShopTrouble('corrupt', `The copy ${file} is not whole: ${what}.`, 'Use another copy. It has been left as it is.');

/**
 * Looks through a file: that it is a shop's, of a version known here, whole, and bound together.
 * @throws ShopTrouble foreign-file, newer-version, changed-history, corrupt
 */
export function checkCopy(file: string): CheckedCopy {
  if (!existsSync(file))
    throw new ShopTrouble('not-writable', `There is no file ${file}.`, 'Name a copy that is there.');
  let db: Database | undefined;
  try {
    db = new SqliteDatabase(file, { readonly: true, fileMustExist: true });
    assertShop(db, file);
    // SQLite takes a file of nothing for a new one: a download that broke off is such a file.
    if (appliedMigrations(db).length === 0) throw broken(file, 'there is nothing in it');
    const [whole] = db.pragma('integrity_check') as readonly { readonly integrity_check: string }[];
    if (whole?.integrity_check !== 'ok') throw broken(file, whole?.integrity_check ?? 'nothing was found');
    const unbound = db.pragma('foreign_key_check') as readonly unknown[];
    if (unbound.length > 0) throw broken(file, `${unbound.length} rows are bound to nothing`);
    return { file, counts: countRows(db) };
  } catch (error) {
    const trouble = troubleOf(error, file);
    // What is to be done about a shop that is damaged is no advice to somebody who holds a damaged copy.
    if (trouble?.code === 'corrupt' && trouble !== error) throw broken(file, 'it is damaged, or no file of a shop');
    throw trouble ?? error;
  } finally {
    db?.close();
  }
}

/**
 * Copies an open shop while it is worked on, by SQLite's own means, a little at a time; the copy is closed without a
 * log, looked through, and only then given its name.
 * @throws ShopTrouble
 */
export async function copyShop(db: Database, to: string): Promise<CheckedCopy> {
  mkdirSync(dirname(to), { recursive: true });
  // Two programs at one shop may be asked for the copy of one moment.
  const growing = `${to}.growing-${process.pid}`;
  rmSync(growing, { force: true });
  try {
    await db.backup(growing);
    closeWithoutLog(growing);
    const { counts } = checkCopy(growing);
    renameSync(growing, to);
    return { file: to, counts };
  } catch (error) {
    throw troubleOf(error, to) ?? error;
  } finally {
    for (const file of [growing, logOf(growing), indexOf(growing)]) rmSync(file, { force: true });
  }
}

/** Copies a shop's file, whether or not another program has it open. @throws ShopTrouble */
export async function copyFileOf(file: string, to: string): Promise<CheckedCopy> {
  const db = new SqliteDatabase(file, { fileMustExist: true, timeout: 4000 });
  try {
    return await copyShop(db, to);
  } finally {
    db.close();
  }
}

/** Folds a file's log into it and says so in its header: what lies beside it later is no log of its own. */
function closeWithoutLog(file: string): void {
  const db = new SqliteDatabase(file);
  try {
    db.pragma('journal_mode = DELETE');
  } finally {
    db.close();
  }
}

export interface PutInPlace extends CheckedCopy {
  /** Where what was here went; undefined where nothing was here. */
  readonly aside?: string;
}

/**
 * Puts a checked copy in the place of a shop's file. What was here is kept aside, with its log; nobody writes to it
 * while that is done.
 * @throws ShopTrouble
 */
export function putInPlace(copy: string, file: string): PutInPlace {
  const { counts } = checkCopy(copy);
  const coming = comingOf(file);
  const aside = asideOf(file, '.sqlite');
  mkdirSync(dirname(file), { recursive: true });
  try {
    cloneFile(copy, coming);
    const isThere = existsSync(file);
    if (isThere) exchange(file, aside, coming);
    else {
      moveBeside(file, aside);
      renameSync(coming, file);
    }
    return { file, counts, ...(isThere && { aside }) };
  } catch (error) {
    throw troubleOf(error, file) ?? error;
  } finally {
    if (existsSync(file)) rmSync(coming, { force: true });
  }
}

/** A copy of a copy, whole and without a log, whatever lies beside the first. */
function cloneFile(from: string, to: string): void {
  rmSync(to, { force: true });
  const db = new SqliteDatabase(from, { readonly: true });
  try {
    db.prepare('VACUUM INTO ?').run(to);
  } finally {
    db.close();
  }
}

/** What lies beside a file goes where the file went: its log, the index of that, its note. */
function moveBeside(file: string, aside: string): void {
  for (const ending of ['-wal', '-shm', '-mark'])
    if (existsSync(/* turbopackIgnore: true */ `${file}${ending}`))
      renameSync(/* turbopackIgnore: true */ `${file}${ending}`, `${aside}${ending}`);
}

/**
 * Puts a file in the place of another, which keeps its other name, while holding the right to write to it. At no moment
 * is there no shop; a cut-off after the exchange leaves a log that cannot be the new file's, and is put aside when that
 * is opened. A damaged file is moved as it is.
 */
function exchange(file: string, aside: string, coming: string): void {
  let db: Database | undefined;
  try {
    db = new SqliteDatabase(file, { timeout: 4000 });
    isFolded(db);
    db.exec('BEGIN IMMEDIATE');
  } catch (error) {
    const trouble = troubleOf(error, file);
    if (trouble?.code === 'locked') {
      db?.close();
      throw trouble;
    }
  }
  try {
    try {
      linkSync(file, aside);
    } catch {
      // A disk that knows no second names: between these two the shop is the file that is coming, and opened as such.
      renameSync(file, aside);
    }
    renameSync(coming, file);
    moveBeside(file, aside);
  } finally {
    db?.close();
  }
}
