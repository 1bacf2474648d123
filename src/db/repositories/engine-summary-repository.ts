import type { TorqueUnit } from '@/core/units';
import type { Aside } from '@/model/engine/engine';
import type { Database } from 'better-sqlite3';

/** An engine on its stand, and what was last worked out of it. */
export interface StampedEngine {
  readonly engineId: string;
  readonly name: string;
  readonly preferredUnit: TorqueUnit;
  /** Rises with every row written of the engine; the engine worked on last has the highest of the shop. */
  readonly stamp: number;
  /** Where it lies aside. */
  readonly aside?: Aside;
  /** Missing where something was written since, or another build of the program worked it out. */
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
  const stamped = db.prepare<[string], SummaryRow>(
    `SELECT e.id, e.name, e.preferred_unit, s.stamp, w.body, a.reason AS aside_reason, a.at AS aside_at
     FROM engine e JOIN engine_stamp s ON s.engine_id = e.id LEFT JOIN engine_aside a ON a.engine_id = e.id
     LEFT JOIN engine_summary w ON w.engine_id = s.engine_id AND w.stamp = s.stamp AND w.build = ?
     ORDER BY e.created_at, e.id`,
  );
  const put = db.prepare<[string, number, string, string]>(
    `INSERT INTO engine_summary (engine_id, stamp, build, body) VALUES (?, ?, ?, ?)
     ON CONFLICT (engine_id) DO UPDATE SET stamp = excluded.stamp, build = excluded.build, body = excluded.body`,
  );
  return {
    /** Every engine in the order in which it was put on its stand. */
    stamped: (build: string): readonly StampedEngine[] =>
      stamped.all(build).map(({ id, name, preferred_unit, stamp, body, aside_reason: reason, aside_at: at }) => ({
        engineId: id,
        name,
        preferredUnit: preferred_unit,
        stamp,
        ...(body !== null && { body }),
        ...(reason !== null && at !== null && { aside: { reason, at } }),
      })),
    keep: db.transaction((build: string, worked: readonly Worked[]): void => {
      for (const { engineId, stamp, body } of worked) put.run(engineId, stamp, build, body);
    }),
  };
};
