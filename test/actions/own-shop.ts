import SqliteDatabase, { type Database } from 'better-sqlite3';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Shop } from '@/db/shop';
import type { Problem, Result } from '@/model/result';
import { closeShop, shopNamed } from '@/server/current-shop';
import { shopFile } from '@/server/shop-file';
import { fillWithYard } from '../db/temporary-shop';

/**
 * The shop that server actions look at, on a real file of its own with the yard in it. Actions are called as the
 * browser calls them: a request in, rows out.
 */
export function ownShop(): Shop {
  closeShop('own');
  process.env.SPANNER_DATA = mkdtempSync(join(tmpdir(), 'spanner-actions-'));
  fillWithYard(shopFile('own'));
  return shopNamed('own');
}

/** What an action answered. @throws where it refused */
export async function accepted<T>(answer: Promise<Result<T>>): Promise<T> {
  const outcome = await answer;
  if (!outcome.ok) throw new Error(`refused: ${outcome.error.code}, ${outcome.error.message}`);
  return outcome.result;
}

/** Why an action refused. @throws where it did not */
export async function refused(answer: Promise<Result<unknown>>): Promise<Problem> {
  const outcome = await answer;
  if (outcome.ok) throw new Error('it was not refused');
  return outcome.error;
}

/** A row, which must be there. */
export function there<T>(row: T | undefined | null): T {
  if (row === undefined || row === null) throw new Error('the row is not there');
  return row;
}

/** How many rows a table has. */
export const rowsIn = (shop: Shop, table: string): number =>
  (shop.db.prepare(`SELECT count(*) AS n FROM ${table}`).get() as { readonly n: number }).n;

/** Every row of the file but what may be thrown away (what is worked out, and what was done), to see that a refused request changed nothing. */
export const everything = (shop: Shop): string => everyRowOf(shop.db);

function everyRowOf(db: Database): string {
  const tables = db
    .prepare<[], { name: string }>(
      "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name NOT IN ('engine_summary', 'act', 'act_change') ORDER BY name",
    )
    .all();
  return JSON.stringify(tables.map(({ name }) => [name, db.prepare(`SELECT * FROM ${name}`).all()]));
}

/** Why an act refuses, with nothing written of it. @throws where it did not refuse, or something was written */
export async function refusedWhole(shop: Shop, act: () => Promise<Result<unknown>>): Promise<Problem> {
  const before = shop.db.serialize();
  const problem = await refused(act());
  if (shop.db.serialize().equals(before)) return problem;
  // Some byte is another: perhaps only of what may be thrown away.
  if (everything(shop) !== rowsOfBytes(before)) throw new Error('it was refused, and yet something was written');
  return problem;
}

/** Bytes 18 and 19 say that a log goes with a file: read in memory there is none. */
function rowsOfBytes(bytes: Buffer): string {
  const db = new SqliteDatabase(Buffer.from(bytes).fill(1, 18, 20));
  try {
    return everyRowOf(db);
  } finally {
    db.close();
  }
}
