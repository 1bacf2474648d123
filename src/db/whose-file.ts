import type { Database } from 'better-sqlite3';
import { MIGRATIONS_FOLDER, appliedMigrations, assertHistory, migrationFiles } from './migrate';
import { ShopTrouble } from './trouble';

/** `UnSp`, in the header of every shop's file. */
export const APPLICATION_ID = 1_433_293_680;

export const tablesOf = (db: Database): readonly string[] =>
  db
    .prepare<[], { name: string }>(
      "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' ORDER BY name",
    )
    .all()
    .map(({ name }) => name);

/** @throws ShopTrouble foreign-file, newer-version, changed-history */
export function assertShop(db: Database, file: string): void {
  const applied = appliedMigrations(db);
  const tables = tablesOf(db);
  const id = db.pragma('application_id', { simple: true });
  const isOther = id !== 0 && id !== APPLICATION_ID;
  if (isOther || (applied.length === 0 && tables.length > 0 && !tables.includes('migration')))
    throw new ShopTrouble(
      'foreign-file',
      `${file} is a file of another program.`,
      'It has been left as it is. Put it elsewhere, or name another folder with SPANNER_DATA.',
    );
  assertHistory(applied, migrationFiles(MIGRATIONS_FOLDER));
}
