import type { Database } from 'better-sqlite3';
import type { Shim } from '@/model/fit/fit';
import { table, type Row } from '../table';

const SHIM = table<Shim>('shim', {
  id: 'id',
  family: 'family',
  thickness_mm: 'thickness_mm',
  typed: 'typed',
  count: 'count',
  version: 'version',
  createdAt: 'created_at',
});

/** The drawer of shims. */
export const createShimRepository = (db: Database) => {
  const inFamily = db.prepare<[string], Row>(`SELECT ${SHIM.columns} FROM shim WHERE family = ? ORDER BY thickness_mm`);
  const all = db.prepare<[], Row>(`SELECT ${SHIM.columns} FROM shim ORDER BY family, thickness_mm`);
  const insert = db.prepare(SHIM.insert);
  const update = db.prepare(SHIM.update);
  return {
    inFamily: (family: string): readonly Shim[] => inFamily.all(family).map(SHIM.fromRow),
    all: (): readonly Shim[] => all.all().map(SHIM.fromRow),
    add: (shim: Shim): void => void insert.run(SHIM.toRow(shim)),
    /** Changes how many there are, of the version given; false where they were counted anew meanwhile. */
    alter: (shim: Shim): boolean => update.run(SHIM.toRow(shim)).changes === 1,
  };
};
