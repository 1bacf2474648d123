import type { Wrench } from '@/model/shelf/wrench';
import type { Row } from '../table';
import { WRENCH } from './wrench-repository';
import type { Database } from 'better-sqlite3';
import { SHELF_JSON, type OwnRow, type ShelfKind, type ShelfRows } from '@/model/shelf/shelf-rows';

interface Held {
  readonly body: string;
  readonly version: number;
}

interface Anything {
  readonly what: 'own' | 'practice' | 'wrench';
  readonly kind: string;
  readonly body: string;
  readonly version: number;
}

/** Everything on the shelves at once: it is drawn on by every screen with a figure. */
const EVERYTHING = `SELECT 'own' AS what, kind, body, version, created_at, id FROM shelf_row
  UNION ALL SELECT 'practice', key, value, version, '', '' FROM setting WHERE key = ?
  UNION ALL SELECT 'wrench', '', ${WRENCH.asJson}, version, created_at, id FROM wrench
  ORDER BY created_at, id`;

/** The shop's own rows. What ships with the program is not in the file and is never changed by it. */
export const createShelfRepository = (db: Database) => {
  const ofKind = db.prepare<[string], Held>(
    'SELECT body, version FROM shelf_row WHERE kind = ? ORDER BY created_at, id',
  );
  const byId = db.prepare<[string, string], Held>('SELECT body, version FROM shelf_row WHERE kind = ? AND id = ?');
  const counts = db.prepare<[], { kind: ShelfKind; rows: number }>(
    'SELECT kind, count(*) AS rows FROM shelf_row GROUP BY kind',
  );
  const insert = db.prepare<[string, string, string, string]>(
    'INSERT INTO shelf_row (kind, id, body, created_at) VALUES (?, ?, ?, ?) ON CONFLICT (kind, id) DO NOTHING',
  );
  const update = db.prepare<[string, string, string, number]>(
    'UPDATE shelf_row SET body = ?, version = version + 1 WHERE kind = ? AND id = ? AND version = ?',
  );
  const remove = db.prepare<[string, string, number]>(
    'DELETE FROM shelf_row WHERE kind = ? AND id = ? AND version = ?',
  );
  const toOwn = <K extends ShelfKind>({ body, version }: Held): OwnRow<K> => ({
    row: SHELF_JSON.read(body) as ShelfRows[K],
    version,
  });
  const everything = db.prepare<[string], Anything>(EVERYTHING);
  return {
    /** The shop's own rows, its wrenches and its practice as kept, in one query. */
    everything: (practiceKey: string) => {
      const rows = everything.all(practiceKey);
      return {
        own: <K extends ShelfKind>(kind: K): readonly OwnRow<K>[] =>
          rows.filter((row) => row.what === 'own' && row.kind === kind).map((row) => toOwn<K>(row)),
        wrenches: rows
          .filter(({ what }) => what === 'wrench')
          .map(({ body }): Wrench => WRENCH.fromRow(JSON.parse(body) as Row)),
        practice: rows.find(({ what }) => what === 'practice')?.body,
      };
    },
    own: <K extends ShelfKind>(kind: K): readonly OwnRow<K>[] => ofKind.all(kind).map((held) => toOwn<K>(held)),
    find: <K extends ShelfKind>(kind: K, id: string): OwnRow<K> | undefined => {
      const held = byId.get(kind, id);
      return held && toOwn<K>(held);
    },
    counts: (): ReadonlyMap<ShelfKind, number> => new Map(counts.all().map(({ kind, rows }) => [kind, rows])),
    /** Puts a row that was read at a version, 0 where there was none; false where another was put there meanwhile. */
    put: <K extends ShelfKind>(kind: K, row: ShelfRows[K], version: number, createdAt: string): boolean => {
      const body = SHELF_JSON.write(row);
      const run = version === 0 ? insert.run(kind, row.id, body, createdAt) : update.run(body, kind, row.id, version);
      return run.changes === 1;
    },
    /** Takes an own row off the shelf; a built-in one of that id comes to light again. */
    remove: (kind: ShelfKind, id: string, version: number): boolean => remove.run(kind, id, version).changes === 1,
  };
};
