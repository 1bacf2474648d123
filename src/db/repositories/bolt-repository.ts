import type { Database } from 'better-sqlite3';
import type { BoltReading, BoltSet, MeasuredSet } from '@/model/bolt/bolt-set';
import { notAside } from './aside-repository';
import { asideReason, flag, initials, json, table, type Row } from '../table';

const SET = table<BoltSet>('bolt_set', {
  id: 'id',
  jointId: 'joint_id',
  kind: 'kind',
  name: 'name',
  bolts: 'bolts',
  segments: json('segments'),
  E_GPa: 'e_gpa',
  minStretch_mm: 'min_stretch_mm',
  maxStretch_mm: 'max_stretch_mm',
  ceiling_Nm: 'ceiling_nm',
  maxSet_mm: 'max_set_mm',
  bothEnds: flag('both_ends'),
  aside: asideReason,
  createdAt: 'created_at',
});

const READING = table<BoltReading>('bolt_reading', {
  id: 'id',
  setId: 'set_id',
  bolt: 'bolt',
  kind: 'kind',
  length_mm: 'length_mm',
  typed: 'typed',
  torque_Nm: 'torque_nm',
  strikes: 'strikes_id',
  at: 'at',
  who: initials,
});

const READINGS = `(SELECT json_group_array(${READING.asJson} ORDER BY seq) FROM bolt_reading
    WHERE set_id = bolt_set.id)`;

/** The sets of the joints of the engine `@engineId` that are worked with, a set a row: its readings as a JSON list. */
export const BOLT_ROWS = `SELECT 'bolts' AS what, ${SET.asJson} AS body, ${READINGS} AS photos,
    bolt_set.created_at AS at, bolt_set.id AS id
  FROM bolt_set JOIN joint ON joint.id = bolt_set.joint_id WHERE joint.engine_id = @engineId AND ${notAside('joint')}`;

const measuredSet = (set: Row, readings: string): MeasuredSet => ({
  set: SET.fromRow(set),
  readings: (JSON.parse(readings) as readonly Row[]).map(READING.fromRow),
});

/** Out of a row of `BOLT_ROWS`. */
export const toMeasured = (set: string, readings: string): MeasuredSet => measuredSet(JSON.parse(set) as Row, readings);

export const createBoltRepository = (db: Database) => {
  const ofJoint = db.prepare<[string], Row>(
    `SELECT ${SET.columns} FROM bolt_set WHERE joint_id = ? ORDER BY created_at, id`,
  );
  const byId = db.prepare<[string], Row>(`SELECT ${SET.columns} FROM bolt_set WHERE id = ?`);
  const insertSet = db.prepare(SET.insert);
  const readingsOf = db.prepare<[string], Row>(
    `SELECT ${READING.columns} FROM bolt_reading WHERE set_id = ? ORDER BY seq`,
  );
  const measured = db.prepare<[string], Row>(
    `SELECT ${SET.columns}, ${READINGS} AS readings FROM bolt_set WHERE joint_id = ? ORDER BY created_at, id`,
  );
  const ofEngine = db.prepare<{ engineId: string }, { set: string; readings: string }>(
    `SELECT body AS "set", photos AS readings FROM (${BOLT_ROWS} ORDER BY at, id)`,
  );
  const rename = db.prepare<[string, string, string]>('UPDATE bolt_set SET kind = ? WHERE joint_id = ? AND kind = ?');
  const insertReading = db.prepare(`${READING.insert} ON CONFLICT (id) DO NOTHING`);
  return {
    ofJoint: (jointId: string): readonly BoltSet[] => ofJoint.all(jointId).map(SET.fromRow),
    find: (id: string): BoltSet | undefined => {
      const row = byId.get(id);
      return row && SET.fromRow(row);
    },
    add: (set: BoltSet): void => void insertSet.run(SET.toRow(set)),
    /** The sets of a kind go with it where it is called otherwise. */
    renameKind: (jointId: string, from: string, to: string): void => void rename.run(to, jointId, from),
    readings: (setId: string): readonly BoltReading[] => readingsOf.all(setId).map(READING.fromRow),
    /** The sets of a joint, each with its readings in the order in which they were taken. */
    measured: (jointId: string): readonly MeasuredSet[] =>
      measured.all(jointId).map((row) => measuredSet(row, row.readings as string)),
    /** Those of the joints of an engine that are worked with. */
    ofEngine: (engineId: string): readonly MeasuredSet[] =>
      ofEngine.all({ engineId }).map(({ set, readings }) => toMeasured(set, readings)),
    /** Adds a reading; the same reading sent twice is one, and false says so. */
    read: (reading: BoltReading): boolean => insertReading.run(READING.toRow(reading)).changes === 1,
  };
};
