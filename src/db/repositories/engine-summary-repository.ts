import type { TorqueUnit } from '@/core/units';
import type { Aside } from '@/model/engine/engine';
import type { Database } from 'better-sqlite3';

/** An engine on its stand, and how lately it was written of. */
export interface StampedEngine {
  readonly engineId: string;
  readonly name: string;
  readonly preferredUnit: TorqueUnit;
  /** Rises with every row written of the engine; the engine worked on last has the highest of the shop. */
  readonly stamp: number;
  /** Where it lies aside. */
  readonly aside?: Aside;
}

export interface KeptEngine extends StampedEngine {
  /** Missing where something was written since, or another edition of the program worked it out. */
  readonly body?: string;
}

interface SummaryRow {
  readonly id: string;
  readonly name: string;
  readonly preferred_unit: TorqueUnit;
  readonly stamp: number;
  readonly body: string | null;
  readonly aside_reason: string | null;
  readonly aside_at: string | null;
}

export interface Worked {
  readonly engineId: string;
  readonly stamp: number;
  readonly body: string;
}

/** What engines' tags and strips say, kept by stamp; may be thrown away at any time. */
export const createEngineSummaryRepository = (db: Database) => {
  // The engine written of last has the highest stamp of the shop: what is known up to one is not read again.
  const stamped = db.prepare<[number, string], SummaryRow>(
    `SELECT e.id, e.name, e.preferred_unit, s.stamp, w.body, a.reason AS aside_reason, a.at AS aside_at
     FROM engine e JOIN engine_stamp s ON s.engine_id = e.id LEFT JOIN engine_aside a ON a.engine_id = e.id
     LEFT JOIN engine_summary w ON s.stamp > ? AND w.engine_id = s.engine_id AND w.stamp = s.stamp AND w.build = ?
     ORDER BY e.created_at, e.id`,
  );
  const put = db.prepare<[string, number, string, string]>(
    `INSERT INTO engine_summary (engine_id, stamp, build, body) VALUES (?, ?, ?, ?)
     ON CONFLICT (engine_id) DO UPDATE SET stamp = excluded.stamp, build = excluded.build, body = excluded.body`,
  );
  const keptAfter = (stamp: number, edition: string): readonly KeptEngine[] =>
    stamped
      .all(stamp, edition)
      .map(({ id, name, preferred_unit, body, aside_reason: reason, aside_at: at, ...row }) => ({
        engineId: id,
        name,
        preferredUnit: preferred_unit,
        stamp: row.stamp,
        ...(body !== null && { body }),
        ...(reason !== null && at !== null && { aside: { reason, at } }),
      }));
  return {
    /** Every engine in the order in which it was put on its stand. */
    stamped: (): readonly StampedEngine[] => keptAfter(Infinity, ''),
    /** The same, with what this edition worked out of those of a higher stamp. */
    keptAfter,
    keep: db.transaction((edition: string, worked: readonly Worked[]): void => {
      for (const { engineId, stamp, body } of worked) put.run(engineId, stamp, edition, body);
    }),
  };
};
