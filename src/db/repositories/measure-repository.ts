import type { Database } from 'better-sqlite3';
import {
  type EngineMeasure,
  type EngineMeasures,
  holdingMeasures,
  type MeasureKind,
} from '@/model/engine/engine-measure';

interface SheetRow {
  readonly id: string;
  readonly engine_id: string;
  readonly kind: MeasureKind;
  readonly body: string;
  readonly at: string;
}

const toSheet = (row: SheetRow): EngineMeasure => ({
  id: row.id,
  engineId: row.engine_id,
  kind: row.kind,
  body: JSON.parse(row.body) as EngineMeasures[MeasureKind],
  at: row.at,
});

export const createMeasureRepository = (db: Database) => {
  const ofEngine = db.prepare<[string], SheetRow>('SELECT * FROM engine_sheet WHERE engine_id = ? ORDER BY seq');
  const insert = db.prepare(
    'INSERT INTO engine_sheet (id, engine_id, kind, body, at) VALUES (@id, @engineId, @kind, @body, @at)',
  );
  const all = (engineId: string): readonly EngineMeasure[] => ofEngine.all(engineId).map(toSheet);
  return {
    /** Every sheet, the earlier ones before the one that holds. */
    all,
    /** Those of a kind that hold: one of each name. */
    holding: <K extends MeasureKind>(engineId: string, kind: K): readonly EngineMeasure<K>[] =>
      holdingMeasures(all(engineId)).filter((sheet): sheet is EngineMeasure<K> => sheet.kind === kind),
    /** The sheet of a kind that holds. */
    latest: <K extends MeasureKind>(engineId: string, kind: K): EngineMeasure<K> | undefined =>
      all(engineId).findLast((sheet): sheet is EngineMeasure<K> => sheet.kind === kind),
    add: (sheet: EngineMeasure): void => void insert.run({ ...sheet, body: JSON.stringify(sheet.body) }),
  };
};
