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

type SummaryCells = readonly [
  id: string,
  name: string,
  preferredUnit: TorqueUnit,
  stamp: number,
  body: string | null,
  reason: string | null,
  at: string | null,
];

/** An engine out of its cells, a field after another: a page of any engine asks for those of the whole shop. */
function toKept([engineId, name, preferredUnit, stamp, body, reason, at]: SummaryCells): KeptEngine {
  const engine: { -readonly [Field in keyof KeptEngine]: KeptEngine[Field] } = { engineId, name, preferredUnit, stamp };
  if (body !== null) engine.body = body;
  if (reason !== null && at !== null) engine.aside = { reason, at };
  return engine;
}

export interface Worked {
  readonly engineId: string;
  readonly stamp: number;
  readonly body: string;
}

/** What engines' tags and strips say, kept by stamp; may be thrown away at any time. */
export const createEngineSummaryRepository = (db: Database) => {
  // The engine written of last has the highest stamp of the shop: what is known up to one is not read again.
  const stamped = db
    .prepare<[number, string], string>(
      `SELECT json_group_array(json_array(e.id, e.name, e.preferred_unit, s.stamp, w.body, a.reason, a.at)
         ORDER BY e.created_at, e.id)
       FROM engine e JOIN engine_stamp s ON s.engine_id = e.id LEFT JOIN engine_aside a ON a.engine_id = e.id
       LEFT JOIN engine_summary w ON s.stamp > ? AND w.engine_id = s.engine_id AND w.stamp = s.stamp AND w.build = ?`,
    )
    .pluck();
  const put = db.prepare<[string, number, string, string]>(
    `INSERT INTO engine_summary (engine_id, stamp, build, body) VALUES (?, ?, ?, ?)
     ON CONFLICT (engine_id) DO UPDATE SET stamp = excluded.stamp, build = excluded.build, body = excluded.body`,
  );
  const keptAfter = (stamp: number, edition: string): readonly KeptEngine[] =>
    (JSON.parse(stamped.get(stamp, edition) ?? '[]') as readonly SummaryCells[]).map(toKept);
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
