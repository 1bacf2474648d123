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
  /** When it was put on its stand, by which stands are in order. */
  readonly createdAt: string;
  /** Where it lies aside. */
  readonly aside?: Aside;
}

export interface KeptEngine extends StampedEngine {
  /** Missing where something was written since, or another edition of the program worked it out. */
  readonly body?: string;
}

/** What was written of engines since a stamp. */
export interface WrittenAfter {
  /** Those of a higher stamp, in the order of their stands, with what an edition worked out of them. */
  readonly engines: readonly KeptEngine[];
  /** How many engines there are in all. */
  readonly inAll: number;
  /** When the line was written that was written last in the shop, by the server's clock of then. */
  readonly lastLineAt?: string;
}

type SummaryCells = readonly [
  id: string,
  name: string,
  preferredUnit: TorqueUnit,
  stamp: number,
  createdAt: string,
  body: string | null,
  reason: string | null,
  at: string | null,
];

/** An engine out of its cells, a field after another: the first page asks for those of the whole shop. */
function toKept([engineId, name, preferredUnit, stamp, createdAt, body, reason, at]: SummaryCells): KeptEngine {
  const engine: { -readonly [Field in keyof KeptEngine]: KeptEngine[Field] } = {
    engineId,
    name,
    preferredUnit,
    stamp,
    createdAt,
  };
  if (body !== null) engine.body = body;
  if (reason !== null && at !== null) engine.aside = { reason, at };
  return engine;
}

export interface Worked {
  readonly engineId: string;
  readonly stamp: number;
  readonly body: string;
}

const LAST_LINES = ['bench_event', 'fit_line', 'heat_event']
  .map((table) => `SELECT * FROM (SELECT recorded_at FROM ${table} ORDER BY seq DESC LIMIT 1)`)
  .join(' UNION ALL ');

/** What engines' tags and strips say, kept by stamp; may be thrown away at any time. */
export const createEngineSummaryRepository = (db: Database) => {
  // No stamp is given twice, and every row that is written of an engine raises its own above all there were.
  const after = db.prepare<
    { stamp: number; edition: string },
    { readonly engines: string; readonly inAll: number; readonly lastLineAt: string | null }
  >(
    `SELECT
       (SELECT json_group_array(
            json_array(e.id, e.name, e.preferred_unit, s.stamp, e.created_at, w.body, a.reason, a.at)
            ORDER BY e.created_at, e.id)
        FROM engine_stamp s JOIN engine e ON e.id = s.engine_id LEFT JOIN engine_aside a ON a.engine_id = e.id
        LEFT JOIN engine_summary w ON w.engine_id = s.engine_id AND w.stamp = s.stamp AND w.build = @edition
        WHERE s.stamp > @stamp) AS engines,
       (SELECT count(*) FROM engine_stamp) AS inAll,
       (SELECT max(recorded_at) FROM (${LAST_LINES})) AS lastLineAt`,
  );
  const put = db.prepare<[string, number, string, string]>(
    `INSERT INTO engine_summary (engine_id, stamp, build, body) VALUES (?, ?, ?, ?)
     ON CONFLICT (engine_id) DO UPDATE SET stamp = excluded.stamp, build = excluded.build, body = excluded.body`,
  );
  const writtenAfter = (stamp: number, edition: string): WrittenAfter => {
    const { engines, inAll, lastLineAt } = after.get({ stamp, edition }) ?? {
      engines: '[]',
      inAll: 0,
      lastLineAt: null,
    };
    const kept = (JSON.parse(engines) as readonly SummaryCells[]).map(toKept);
    return { engines: kept, inAll, ...(lastLineAt !== null && { lastLineAt }) };
  };
  return {
    /** Every engine in the order in which it was put on its stand. */
    stamped: (): readonly StampedEngine[] => writtenAfter(0, '').engines,
    writtenAfter,
    keep: db.transaction((edition: string, worked: readonly Worked[]): void => {
      for (const { engineId, stamp, body } of worked) put.run(engineId, stamp, edition, body);
    }),
  };
};
