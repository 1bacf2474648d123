import type { Database } from 'better-sqlite3';
import type { Aside, Engine } from '@/model/engine/engine';
import { PRACTICE_JSON } from '@/model/practice/house-practice';
import { json, table, type Row } from '../table';

const ENGINE = table<Engine>('engine', {
  id: 'id',
  name: 'name',
  kind: 'kind',
  year: 'year',
  engineNumber: 'engine_number',
  headMetal: 'head_metal',
  blockMetal: 'block_metal',
  preferredUnit: 'preferred_unit',
  practice: json('practice', PRACTICE_JSON),
  version: 'version',
  createdAt: 'created_at',
});

/** An engine with its stamp, which rises with every row written of it. */
export interface EngineAtStamp {
  readonly engine: Engine;
  readonly stamp: number;
}

export const createEngineRepository = (db: Database) => {
  const byId = db.prepare<[string], Row>(`SELECT ${ENGINE.columns} FROM engine WHERE id = ?`);
  const atStamp = db.prepare<[string], Row>(
    `SELECT ${ENGINE.columns}, stamp FROM engine JOIN engine_stamp ON engine_id = engine.id WHERE engine.id = ?`,
  );
  const all = db.prepare<[], Row>(`SELECT ${ENGINE.columns} FROM engine ORDER BY created_at, id`);
  const byIds = db.prepare<[string], Row>(
    `SELECT ${ENGINE.columns} FROM json_each(?) JOIN engine ON engine.id = json_each.value`,
  );
  const insert = db.prepare(ENGINE.insert);
  const update = db.prepare(ENGINE.update);
  const putAside = db.prepare<[string, string, string]>(
    'INSERT INTO engine_aside (engine_id, reason, at) VALUES (?, ?, ?) ON CONFLICT (engine_id) DO NOTHING',
  );
  const bringBack = db.prepare<[string]>('DELETE FROM engine_aside WHERE engine_id = ?');
  return {
    find: (id: string): Engine | undefined => {
      const row = byId.get(id);
      return row && ENGINE.fromRow(row);
    },
    atStamp: (id: string): EngineAtStamp | undefined => {
      const row = atStamp.get(id);
      return row && { engine: ENGINE.fromRow(row), stamp: row.stamp as number };
    },
    all: (): readonly Engine[] => all.all().map(ENGINE.fromRow),
    byIds: (ids: readonly string[]): readonly Engine[] => byIds.all(JSON.stringify(ids)).map(ENGINE.fromRow),
    add: (engine: Engine): void => void insert.run(ENGINE.toRow(engine)),
    /** Takes an engine off the rail and out of the stands; false where it lies aside already. */
    putAside: (id: string, { reason, at }: Aside): boolean => putAside.run(id, reason, at).changes === 1,
    /** False where it did not lie aside. */
    bringBack: (id: string): boolean => bringBack.run(id).changes === 1,
    /** Alters an engine that is still of the version given; false where it was altered meanwhile. */
    alter: (engine: Engine): boolean => update.run(ENGINE.toRow(engine)).changes === 1,
  };
};
