import type { Database } from 'better-sqlite3';
import type { TorqueUnit } from '@/core/units';
import type { CalibrationPoint } from '@/core/wrench';
import type { Wrench } from '@/model/shelf/wrench';

interface WrenchRow {
  readonly id: string;
  readonly name: string;
  readonly unit: TorqueUnit;
  readonly scale_min: number;
  readonly scale_max: number;
  readonly graduation: number;
  readonly accuracy_pct: number;
  readonly calibration: string;
  readonly checked_at: string | null;
  readonly created_at: string;
}

const toWrench = (row: WrenchRow): Wrench => ({
  id: row.id,
  name: row.name,
  unit: row.unit,
  min: row.scale_min,
  max: row.scale_max,
  graduation: row.graduation,
  accuracy_pct: row.accuracy_pct,
  calibration: JSON.parse(row.calibration) as CalibrationPoint[],
  checkedAt: row.checked_at,
  createdAt: row.created_at,
});

export const createWrenchRepository = (db: Database) => {
  const all = db.prepare<[], WrenchRow>('SELECT * FROM wrench ORDER BY created_at, id');
  const byId = db.prepare<[string], WrenchRow>('SELECT * FROM wrench WHERE id = ?');
  const insert = db.prepare(
    `INSERT INTO wrench (id, name, unit, scale_min, scale_max, graduation, accuracy_pct, calibration, checked_at, created_at)
     VALUES (@id, @name, @unit, @min, @max, @graduation, @accuracy_pct, @calibration, @checkedAt, @createdAt)`,
  );
  const update = db.prepare(
    `UPDATE wrench SET name = @name, unit = @unit, scale_min = @min, scale_max = @max, graduation = @graduation,
       accuracy_pct = @accuracy_pct, calibration = @calibration, checked_at = @checkedAt WHERE id = @id`,
  );
  const toParameters = (wrench: Wrench) => ({ ...wrench, calibration: JSON.stringify(wrench.calibration) });
  return {
    all: (): readonly Wrench[] => all.all().map(toWrench),
    find: (id: string): Wrench | undefined => {
      const row = byId.get(id);
      return row && toWrench(row);
    },
    add: (wrench: Wrench): void => void insert.run(toParameters(wrench)),
    alter: (wrench: Wrench): void => void update.run(toParameters(wrench)),
  };
};
