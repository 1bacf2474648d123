import type { Database } from 'better-sqlite3';

/** A small setting of the shop, with the version that a writer must name. */
export interface Setting {
  readonly value: string;
  readonly version: number;
}

/** Small settings of the shop, as text by key. */
export const createSettingRepository = (db: Database) => {
  const byKey = db.prepare<[string], Setting>('SELECT value, version FROM setting WHERE key = ?');
  const insert = db.prepare<[string, string]>(
    'INSERT INTO setting (key, value) VALUES (?, ?) ON CONFLICT (key) DO NOTHING',
  );
  const update = db.prepare<[string, string, number]>(
    'UPDATE setting SET value = ?, version = version + 1 WHERE key = ? AND version = ?',
  );
  return {
    get: (key: string): Setting | undefined => byKey.get(key),
    /** Keeps a setting that was read at a version, 0 where there was none; false where it was set meanwhile. */
    set: (key: string, value: string, version: number): boolean =>
      (version === 0 ? insert.run(key, value) : update.run(value, key, version)).changes === 1,
  };
};
