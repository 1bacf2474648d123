import type { Database } from 'better-sqlite3';
import type { ShelfKind, ShelfRows } from '@/model/shelf/shelf-rows';

/** The shop's own rows. What ships with the program is not in the file and is never changed by it. */
export const createShelfRepository = (db: Database) => {
  const ofKind = db.prepare<[string], { body: string }>(
    'SELECT body FROM shelf_row WHERE kind = ? ORDER BY created_at, id',
  );
  const put = db.prepare<[string, string, string, string]>(
    'INSERT INTO shelf_row (kind, id, body, created_at) VALUES (?, ?, ?, ?) ON CONFLICT (kind, id) DO UPDATE SET body = excluded.body',
  );
  const remove = db.prepare<[string, string]>('DELETE FROM shelf_row WHERE kind = ? AND id = ?');
  return {
    own: <K extends ShelfKind>(kind: K): readonly ShelfRows[K][] =>
      ofKind.all(kind).map((row) => JSON.parse(row.body) as ShelfRows[K]),
    put: <K extends ShelfKind>(kind: K, row: ShelfRows[K], createdAt: string): void =>
      void put.run(kind, row.id, JSON.stringify(row), createdAt),
    /** Takes an own row off the shelf; a shipped one of that id comes to light again. */
    remove: (kind: ShelfKind, id: string): void => void remove.run(kind, id),
  };
};
