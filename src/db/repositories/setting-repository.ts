import type { Database } from 'better-sqlite3';

/** Small settings of the shop, as text by key. */
export const createSettingRepository = (db: Database) => {
  const byKey = db.prepare<[string], { value: string }>('SELECT value FROM setting WHERE key = ?');
  const put = db.prepare<[string, string]>(
    'INSERT INTO setting (key, value) VALUES (?, ?) ON CONFLICT (key) DO UPDATE SET value = excluded.value',
  );
  return {
    get: (key: string): string | undefined => byKey.get(key)?.value,
    set: (key: string, value: string): void => void put.run(key, value),
  };
};
