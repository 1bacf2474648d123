import type { Database } from 'better-sqlite3';
import type { Shim } from '@/model/fit/fit';

interface ShimRow {
  readonly id: string;
  readonly family: string;
  readonly thickness_mm: number;
  readonly typed: string;
  readonly count: number;
  readonly created_at: string;
}

const toShim = (row: ShimRow): Shim => ({
  id: row.id,
  family: row.family,
  thickness_mm: row.thickness_mm,
  typed: row.typed,
  count: row.count,
  createdAt: row.created_at,
});

/** The drawer of shims. */
export const createShimRepository = (db: Database) => {
  const shimsOf = db.prepare<[string], ShimRow>('SELECT * FROM shim WHERE family = ? ORDER BY thickness_mm');
  const allShims = db.prepare<[], ShimRow>('SELECT * FROM shim ORDER BY family, thickness_mm');
  const putShim = db.prepare(
    `INSERT INTO shim (id, family, thickness_mm, typed, count, created_at) VALUES (@id, @family, @thickness_mm, @typed, @count, @createdAt)
     ON CONFLICT (id) DO UPDATE SET count = excluded.count`,
  );
  return {
    inFamily: (family: string): readonly Shim[] => shimsOf.all(family).map(toShim),
    all: (): readonly Shim[] => allShims.all().map(toShim),
    /** Adds a shim to the drawer, or changes how many there are. */
    put: (shim: Shim): void => void putShim.run(shim),
  };
};
