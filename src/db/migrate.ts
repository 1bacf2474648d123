import type { Database } from 'better-sqlite3';
import { createHash } from 'node:crypto';
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { ShopTrouble } from './trouble';

export const MIGRATIONS_FOLDER = join(/* turbopackIgnore: true */ process.cwd(), 'src', 'db', 'migrations');

export const migrationFiles = (folder: string): readonly string[] =>
  readdirSync(/* turbopackIgnore: true */ folder)
    .filter((name) => /^\d{4}-.+\.sql$/.test(name))
    .sort();

/** @throws ShopTrouble newer-version, changed-history */
export function assertHistory(applied: readonly string[], files: readonly string[]): void {
  if (applied.length > files.length)
    throw new ShopTrouble(
      'newer-version',
      'The shop file was written by a newer version of this program.',
      'Start the newer version again, or open an older copy of the file. It has been left as it is.',
    );
  for (const [i, name] of applied.entries())
    if (files[i] !== name)
      throw new ShopTrouble(
        'changed-history',
        `The shop file was brought up to date by ${name}, which this program does not know.`,
        'Use the version of the program that wrote the file. It has been left as it is.',
      );
}

export function appliedMigrations(db: Database): readonly string[] {
  const known = db.prepare("SELECT 1 FROM sqlite_master WHERE type = 'table' AND name = 'migration'").get();
  if (!known) return [];
  return db
    .prepare<[], { name: string }>('SELECT name FROM migration ORDER BY name')
    .all()
    .map((row) => row.name);
}

/** The migrations that this file still lacks. @throws ShopTrouble newer-version, changed-history */
export function pendingMigrations(db: Database, folder = MIGRATIONS_FOLDER): readonly string[] {
  const applied = appliedMigrations(db);
  const files = migrationFiles(folder);
  assertHistory(applied, files);
  return files.slice(applied.length);
}

const textOf = (folder: string, name: string) =>
  readFileSync(/* turbopackIgnore: true */ join(/* turbopackIgnore: true */ folder, name), 'utf8');

export const digestOf = (text: string): string => createHash('sha256').update(text).digest('hex');

const hasDigests = (db: Database) =>
  (db.pragma('table_info(migration)') as readonly { readonly name: string }[]).some(({ name }) => name === 'digest');

/** A migration that was altered after a file was brought up to date by it is another. @throws ShopTrouble changed-history */
export function assertDigests(db: Database, folder = MIGRATIONS_FOLDER): void {
  if (!hasDigests(db)) return;
  const rows = db.prepare<[], { name: string; digest: string | null }>('SELECT name, digest FROM migration').all();
  const other = rows.find(({ name, digest }) => digest !== null && digest !== digestOf(textOf(folder, name)));
  if (other)
    throw new ShopTrouble(
      'changed-history',
      `The shop file was brought up to date by another ${other.name} than this program has.`,
      'Use the version of the program that wrote the file. It has been left as it is.',
    );
}

/** A migration may make tables anew, for which foreign keys are off; what they bind is looked at before it is kept. */
function assertBound(db: Database, name: string): void {
  const broken = db.pragma('foreign_key_check') as readonly { readonly table: string }[];
  if (broken.length > 0)
    throw new Error(`migrate: ${name} leaves ${broken.length} rows bound to nothing, the first in ${broken[0]?.table}`);
}

/**
 * Brings the file up to date, each migration in a transaction of its own. Foreign keys are to be off. What is still
 * lacking is looked up inside the transaction: another program may be bringing the same file up to date.
 */
export function migrate(db: Database, folder = MIGRATIONS_FOLDER): void {
  db.exec('CREATE TABLE IF NOT EXISTS migration (name TEXT PRIMARY KEY, applied_at TEXT NOT NULL) STRICT');
  const note = db.prepare("INSERT INTO migration (name, applied_at) VALUES (?, strftime('%Y-%m-%dT%H:%M:%fZ', 'now'))");
  for (const name of migrationFiles(folder)) {
    const sql = textOf(folder, name);
    db.transaction(() => {
      if (!pendingMigrations(db, folder).includes(name)) return;
      db.exec(sql);
      assertBound(db, name);
      note.run(name);
    }).immediate();
  }
  if (!hasDigests(db)) return;
  const keep = db.prepare('UPDATE migration SET digest = ? WHERE name = ? AND digest IS NULL');
  for (const name of migrationFiles(folder)) keep.run(digestOf(textOf(folder, name)), name);
}
