import type { Database } from 'better-sqlite3';
import type { HeadMetal } from '@/core/heat';
import type { HousePractice } from '@/model/practice/house-practice';
import type { TorqueUnit } from '@/core/units';
import type { Engine } from '@/model/engine/engine';

interface EngineRow {
  readonly id: string;
  readonly name: string;
  readonly kind: Engine['kind'];
  readonly year: number | null;
  readonly engine_number: string;
  readonly head_metal: HeadMetal;
  readonly block_metal: HeadMetal;
  readonly preferred_unit: TorqueUnit;
  readonly practice: string;
  readonly created_at: string;
}

const toEngine = (row: EngineRow): Engine => ({
  id: row.id,
  name: row.name,
  kind: row.kind,
  year: row.year,
  engineNumber: row.engine_number,
  headMetal: row.head_metal,
  blockMetal: row.block_metal,
  preferredUnit: row.preferred_unit,
  practice: JSON.parse(row.practice) as Partial<HousePractice>,
  createdAt: row.created_at,
});

export const createEngineRepository = (db: Database) => {
  const byId = db.prepare<[string], EngineRow>('SELECT * FROM engine WHERE id = ?');
  const all = db.prepare<[], EngineRow>('SELECT * FROM engine ORDER BY created_at, id');
  const insert = db.prepare(
    `INSERT INTO engine (id, name, kind, year, engine_number, head_metal, block_metal, preferred_unit, practice, created_at)
     VALUES (@id, @name, @kind, @year, @engineNumber, @headMetal, @blockMetal, @preferredUnit, @practice, @createdAt)`,
  );
  const update = db.prepare<[Omit<Engine, 'createdAt' | 'practice'>]>(
    `UPDATE engine SET name = @name, kind = @kind, year = @year, engine_number = @engineNumber,
       head_metal = @headMetal, block_metal = @blockMetal, preferred_unit = @preferredUnit
     WHERE id = @id`,
  );
  const setPractice = db.prepare<[string, string]>('UPDATE engine SET practice = ? WHERE id = ?');
  return {
    find: (id: string): Engine | undefined => {
      const row = byId.get(id);
      return row && toEngine(row);
    },
    all: (): readonly Engine[] => all.all().map(toEngine),
    add: (engine: Engine): void => void insert.run({ ...engine, practice: JSON.stringify(engine.practice) }),
    alter: (engine: Omit<Engine, 'createdAt' | 'practice'>): void => void update.run(engine),
    practise: (id: string, practice: Partial<HousePractice>): void =>
      void setPractice.run(JSON.stringify(practice), id),
  };
};
