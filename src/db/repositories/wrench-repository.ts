import type { Database } from 'better-sqlite3';
import type { Wrench } from '@/model/shelf/wrench';
import { asideReason, json, table, type Row } from '../table';

export const WRENCH = table<Wrench>('wrench', {
  id: 'id',
  name: 'name',
  unit: 'unit',
  min: 'scale_min',
  max: 'scale_max',
  graduation: 'graduation',
  accuracy_pct: 'accuracy_pct',
  calibration: json('calibration'),
  checkedAt: 'checked_at',
  cameWith: 'came_with',
  aside: asideReason,
  version: 'version',
  createdAt: 'created_at',
});

export const createWrenchRepository = (db: Database) => {
  const all = db.prepare<[], Row>(`SELECT ${WRENCH.columns} FROM wrench ORDER BY created_at, id`);
  const byId = db.prepare<[string], Row>(`SELECT ${WRENCH.columns} FROM wrench WHERE id = ?`);
  const insert = db.prepare(WRENCH.insert);
  const update = db.prepare(WRENCH.update);
  return {
    all: (): readonly Wrench[] => all.all().map(WRENCH.fromRow),
    find: (id: string): Wrench | undefined => {
      const row = byId.get(id);
      return row && WRENCH.fromRow(row);
    },
    add: (wrench: Wrench): void => void insert.run(WRENCH.toRow(wrench)),
    /** Alters a wrench that is still of the version given; false where it was altered meanwhile. */
    alter: (wrench: Wrench): boolean => update.run(WRENCH.toRow(wrench)).changes === 1,
  };
};
