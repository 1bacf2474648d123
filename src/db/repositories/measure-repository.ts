import type { Database } from 'better-sqlite3';
import { EngineSheet, EngineSheets, holdingSheets, SheetKind } from '@/model/engine/engine-measure';

interface SheetRow {
  readonly id: string;
  readonly engine_id: string;
  readonly kind: SheetKind;
  readonly body: string;
  readonly at: string;
}

const toSheet = (row: SheetRow): EngineSheet => ({
  id: row.id,
  engineId: row.engine_id,
  kind: row.kind,
  body: JSON.parse(row.body) as EngineSheets[SheetKind],
  at: row.at,
});

export const createSheetRepository = (db: Database) => {
  const ofEngine = db.prepare<[string], SheetRow>('SELECT * FROM engine_sheet WHERE engine_id = ? ORDER BY seq');
  const insert = db.prepare('INSERT INTO engine_sheet (id, engine_id, kind, body, at) VALUES (@id, @engineId, @kind, @body, @at)');
  const all = (engineId: string): readonly EngineSheet[] => ofEngine.all(engineId).map(toSheet);
  return {
    /** Every sheet, the earlier ones before the one that holds. */
    all,
    /** Those of a kind that hold: one of each name. */
    holding: <K extends SheetKind>(engineId: string, kind: K): readonly EngineSheet<K>[] =>
      holdingSheets(all(engineId)).filter((sheet): sheet is EngineSheet<K> => sheet.kind === kind),
    /** The sheet of a kind that holds. */
    latest: <K extends SheetKind>(engineId: string, kind: K): EngineSheet<K> | undefined =>
      all(engineId).findLast((sheet): sheet is EngineSheet<K> => sheet.kind === kind),
    add: (sheet: EngineSheet): void => void insert.run({ ...sheet, body: JSON.stringify(sheet.body) }),
  };
};
