import type { Database } from 'better-sqlite3';
import type { TorqueUnit } from '@/core/units';

export interface Wrench {
  readonly id: string;
  readonly name: string;
  readonly unit: TorqueUnit;
  readonly min: number;
  readonly max: number;
  readonly graduation: number;
  readonly accuracyPct: number;
  readonly createdAt: string;
}

interface WrenchRow {
  readonly id: string;
  readonly name: string;
  readonly unit: TorqueUnit;
  readonly scale_min: number;
  readonly scale_max: number;
  readonly graduation: number;
  readonly accuracy_pct: number;
  readonly created_at: string;
}

const toWrench = (row: WrenchRow): Wrench => ({
  id: row.id,
  name: row.name,
  unit: row.unit,
  min: row.scale_min,
  max: row.scale_max,
  graduation: row.graduation,
  accuracyPct: row.accuracy_pct,
  createdAt: row.created_at,
});

export const createWrenchRepository = (db: Database) => {
  const all = db.prepare<[], WrenchRow>('SELECT * FROM wrench ORDER BY created_at, id');
  const byId = db.prepare<[string], WrenchRow>('SELECT * FROM wrench WHERE id = ?');
  const insert = db.prepare<[Wrench]>(
    `INSERT INTO wrench (id, name, unit, scale_min, scale_max, graduation, accuracy_pct, created_at)
     VALUES (@id, @name, @unit, @min, @max, @graduation, @accuracyPct, @createdAt)`,
  );
  return {
    all: (): readonly Wrench[] => all.all().map(toWrench),
    find: (id: string): Wrench | undefined => {
      const row = byId.get(id);
      return row && toWrench(row);
    },
    add: (wrench: Wrench): void => void insert.run(wrench),
  };
};
