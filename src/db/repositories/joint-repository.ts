import type { Database } from 'better-sqlite3';
import type { RangeSchool } from '@/core/joint';
import { detailOf } from '@/model/joint/joint-detail';
import type { OrderSchool, PatternKind, StageScheme, UnitOfWork } from '@/core/tightening';
import type { Joint } from '@/model/joint/joint';
import type { RetorqueSchool } from '@/core/heat';

interface JointRow {
  readonly id: string;
  readonly engine_id: string;
  readonly leaf_id: string;
  readonly name: string;
  readonly pattern: PatternKind;
  readonly fasteners: number;
  readonly thread: string;
  readonly bearing_outer_mm: number;
  readonly bearing_inner_mm: number;
  readonly bearing_measured: number;
  readonly original_film: string;
  readonly original_film_reason: string;
  readonly today_film: string;
  readonly range_school: RangeSchool;
  readonly stage_scheme: string;
  readonly order_school: OrderSchool;
  readonly unit_of_work: UnitOfWork;
  readonly turn_shaft: number;
  readonly wrench_id: string;
  readonly retorque_school: RetorqueSchool;
  readonly detail: string;
  readonly created_at: string;
}

const toJoint = (row: JointRow): Joint => ({
  id: row.id,
  engineId: row.engine_id,
  leafId: row.leaf_id,
  name: row.name,
  pattern: row.pattern,
  fasteners: row.fasteners,
  thread: row.thread,
  bearingOuter_mm: row.bearing_outer_mm,
  bearingInner_mm: row.bearing_inner_mm,
  bearingMeasured: row.bearing_measured === 1,
  originalFilm: row.original_film,
  originalFilmReason: row.original_film_reason,
  todayFilm: row.today_film,
  rangeSchool: row.range_school,
  stageScheme: JSON.parse(row.stage_scheme) as StageScheme,
  orderSchool: row.order_school,
  unitOfWork: row.unit_of_work,
  turnShaft: row.turn_shaft === 1,
  wrenchId: row.wrench_id,
  retorqueSchool: row.retorque_school,
  detail: detailOf(row.detail),
  createdAt: row.created_at,
});

const toParameters = (joint: Joint) => ({
  ...joint,
  bearingMeasured: Number(joint.bearingMeasured),
  turnShaft: Number(joint.turnShaft),
  stageScheme: JSON.stringify(joint.stageScheme),
  detail: JSON.stringify(joint.detail),
});

export const createJointRepository = (db: Database) => {
  const byId = db.prepare<[string], JointRow>('SELECT * FROM joint WHERE id = ?');
  const ofEngine = db.prepare<[string], JointRow>('SELECT * FROM joint WHERE engine_id = ? ORDER BY created_at, id');
  const insert = db.prepare(
    `INSERT INTO joint (id, engine_id, leaf_id, name, pattern, fasteners, thread, bearing_outer_mm, bearing_inner_mm,
       bearing_measured, original_film, original_film_reason, today_film, range_school, stage_scheme, order_school,
       unit_of_work, turn_shaft, wrench_id, retorque_school, detail, created_at)
     VALUES (@id, @engineId, @leafId, @name, @pattern, @fasteners, @thread, @bearingOuter_mm, @bearingInner_mm,
       @bearingMeasured, @originalFilm, @originalFilmReason, @todayFilm, @rangeSchool, @stageScheme, @orderSchool,
       @unitOfWork, @turnShaft, @wrenchId, @retorqueSchool, @detail, @createdAt)`,
  );
  const update = db.prepare(
    `UPDATE joint SET name = @name, pattern = @pattern, fasteners = @fasteners, thread = @thread,
       bearing_outer_mm = @bearingOuter_mm, bearing_inner_mm = @bearingInner_mm, bearing_measured = @bearingMeasured,
       original_film = @originalFilm, original_film_reason = @originalFilmReason, today_film = @todayFilm,
       range_school = @rangeSchool, stage_scheme = @stageScheme, order_school = @orderSchool,
       unit_of_work = @unitOfWork, turn_shaft = @turnShaft, wrench_id = @wrenchId, retorque_school = @retorqueSchool, detail = @detail, leaf_id = @leafId
     WHERE id = @id`,
  );
  return {
    find: (id: string): Joint | undefined => {
      const row = byId.get(id);
      return row && toJoint(row);
    },
    ofEngine: (engineId: string): readonly Joint[] => ofEngine.all(engineId).map(toJoint),
    add: (joint: Joint): void => void insert.run(toParameters(joint)),
    alter: (joint: Joint): void => void update.run(toParameters(joint)),
  };
};
