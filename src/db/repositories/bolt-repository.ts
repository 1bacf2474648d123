import type { Database } from 'better-sqlite3';
import type { BoltReading, BoltSet } from '@/model/bolt/bolt-set';
import { flag, initials, json, table, type Row } from '../table';

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
  at: 'at',
  who: initials,
});

export interface MeasuredSet {
  readonly set: BoltSet;
  readonly readings: readonly BoltReading[];
}

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
    `SELECT ${SET.columns}, (SELECT json_group_array(${READING.asJson} ORDER BY seq) FROM bolt_reading
       WHERE set_id = bolt_set.id) AS readings
     FROM bolt_set WHERE joint_id = ? ORDER BY created_at, id`,
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
      measured.all(jointId).map((row) => ({
        set: SET.fromRow(row),
        readings: (JSON.parse(row.readings as string) as readonly Row[]).map(READING.fromRow),
      })),
    /** Adds a reading; the same reading sent twice is one, and false says so. */
    read: (reading: BoltReading): boolean => insertReading.run(READING.toRow(reading)).changes === 1,
  };
};
