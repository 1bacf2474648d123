import type { Database } from 'better-sqlite3';

/** An engine's stamp, and what was last worked out of it at that stamp. */
export interface EngineSummary {
  readonly engineId: string;
  /** Rises with every row written of the engine; the engine worked on last has the highest of the shop. */
  readonly stamp: number;
  /** Missing where something was written since, or another edition of the program worked it out. */
  readonly body?: string;
}

interface Row {
  readonly engine_id: string;
  readonly stamp: number;
  readonly body: string | null;
}

export const createEngineSummaryRepository = (db: Database) => {
  const stamped = db.prepare<[string], Row>(
    `SELECT s.engine_id, s.stamp, w.body FROM engine_stamp s
     LEFT JOIN engine_wait w ON w.engine_id = s.engine_id AND w.stamp = s.stamp AND w.edition = ?`,
  );
  const put = db.prepare<[string, number, string, string]>(
    `INSERT INTO engine_wait (engine_id, stamp, edition, body) VALUES (?, ?, ?, ?)
     ON CONFLICT (engine_id) DO UPDATE SET stamp = excluded.stamp, edition = excluded.edition, body = excluded.body`,
  );
  return {
    stamped: (edition: string): readonly EngineSummary[] =>
      stamped
        .all(edition)
        .map(({ engine_id, stamp, body }) => ({ engineId: engine_id, stamp, ...(body !== null && { body }) })),
    keep: db.transaction((edition: string, worked: readonly Required<EngineSummary>[]): void => {
      for (const { engineId, stamp, body } of worked) put.run(engineId, stamp, edition, body);
    }),
  };
};
