import type { Database } from 'better-sqlite3';
import { MEASURE_JSON, holdingMeasures, type EngineMeasure, type MeasureKind } from '@/model/engine/engine-measure';
import { initials, json, table, type Row } from '../table';

export const MEASURE = table<EngineMeasure>('engine_sheet', {
  id: 'id',
  engineId: 'engine_id',
  kind: 'kind',
  body: json('body', MEASURE_JSON),
  at: 'at',
  who: initials,
});

export const createMeasureRepository = (db: Database) => {
  const ofEngine = db.prepare<[string], Row>(
    `SELECT ${MEASURE.columns} FROM engine_sheet WHERE engine_id = ? ORDER BY seq`,
  );
  const insert = db.prepare(MEASURE.insert);
  const all = (engineId: string): readonly EngineMeasure[] => ofEngine.all(engineId).map(MEASURE.fromRow);
  return {
    /** Every measure, the earlier ones before the one that holds. */
    all,
    /** Those of a kind that hold: one of each name. */
    holding: <K extends MeasureKind>(engineId: string, kind: K): readonly EngineMeasure<K>[] =>
      holdingMeasures(all(engineId)).filter((one): one is EngineMeasure<K> => one.kind === kind),
    /** The one of a kind that holds. */
    latest: <K extends MeasureKind>(engineId: string, kind: K): EngineMeasure<K> | undefined =>
      all(engineId).findLast((one): one is EngineMeasure<K> => one.kind === kind),
    add: (measure: EngineMeasure): void => void insert.run(MEASURE.toRow(measure)),
  };
};
