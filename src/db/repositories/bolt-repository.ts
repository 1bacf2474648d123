import type { Database } from 'better-sqlite3';
import type { StretchSegment } from '@/core/fastener';
import type { BoltReading, BoltSet } from '@/model/bolt/bolt-set';

interface SetRow {
  readonly id: string;
  readonly joint_id: string;
  readonly name: string;
  readonly bolts: number;
  readonly segments: string;
  readonly e_gpa: number;
  readonly min_stretch_mm: number;
  readonly max_stretch_mm: number;
  readonly ceiling_nm: number;
  readonly max_set_mm: number;
  readonly both_ends: number;
  readonly created_at: string;
}

interface ReadingRow {
  readonly id: string;
  readonly set_id: string;
  readonly bolt: number;
  readonly kind: BoltReading['kind'];
  readonly length_mm: number;
  readonly typed: string;
  readonly torque_nm: number | null;
  readonly at: string;
}

const toSet = (row: SetRow): BoltSet => ({
  id: row.id,
  jointId: row.joint_id,
  name: row.name,
  bolts: row.bolts,
  segments: JSON.parse(row.segments) as StretchSegment[],
  E_GPa: row.e_gpa,
  minStretch_mm: row.min_stretch_mm,
  maxStretch_mm: row.max_stretch_mm,
  ceiling_Nm: row.ceiling_nm,
  maxSet_mm: row.max_set_mm,
  bothEnds: row.both_ends === 1,
  createdAt: row.created_at,
});

const toReading = (row: ReadingRow): BoltReading => ({
  id: row.id,
  setId: row.set_id,
  bolt: row.bolt,
  kind: row.kind,
  length_mm: row.length_mm,
  typed: row.typed,
  torque_Nm: row.torque_nm,
  at: row.at,
});

export const createBoltRepository = (db: Database) => {
  const ofJoint = db.prepare<[string], SetRow>('SELECT * FROM bolt_set WHERE joint_id = ? ORDER BY created_at, id');
  const byId = db.prepare<[string], SetRow>('SELECT * FROM bolt_set WHERE id = ?');
  const insertSet = db.prepare(
    `INSERT INTO bolt_set (id, joint_id, name, bolts, segments, e_gpa, min_stretch_mm, max_stretch_mm, ceiling_nm, max_set_mm, both_ends, created_at)
     VALUES (@id, @jointId, @name, @bolts, @segments, @E_GPa, @minStretch_mm, @maxStretch_mm, @ceiling_Nm, @maxSet_mm, @bothEnds, @createdAt)`,
  );
  const readingsOf = db.prepare<[string], ReadingRow>('SELECT * FROM bolt_reading WHERE set_id = ? ORDER BY seq');
  const insertReading = db.prepare(
    `INSERT OR IGNORE INTO bolt_reading (id, set_id, bolt, kind, length_mm, typed, torque_nm, at)
     VALUES (@id, @setId, @bolt, @kind, @length_mm, @typed, @torque_Nm, @at)`,
  );
  return {
    ofJoint: (jointId: string): readonly BoltSet[] => ofJoint.all(jointId).map(toSet),
    find: (id: string): BoltSet | undefined => {
      const row = byId.get(id);
      return row && toSet(row);
    },
    add: (set: BoltSet): void =>
      void insertSet.run({ ...set, segments: JSON.stringify(set.segments), bothEnds: Number(set.bothEnds) }),
    readings: (setId: string): readonly BoltReading[] => readingsOf.all(setId).map(toReading),
    /** Adds a reading; the same reading sent twice is one. */
    read: (reading: BoltReading): void => void insertReading.run(reading),
  };
};
