import type { Database } from 'better-sqlite3';
import type { Joint } from '@/model/joint/joint';
import { DETAIL_JSON } from '@/model/joint/joint-detail';
import { notAside } from './aside-repository';
import { flag, json, table, type Row } from '../table';

const JOINT = table<Joint>('joint', {
  id: 'id',
  engineId: 'engine_id',
  leafId: 'leaf_id',
  name: 'name',
  pattern: 'pattern',
  fasteners: 'fasteners',
  thread: 'thread',
  bearingOuter_mm: 'bearing_outer_mm',
  bearingInner_mm: 'bearing_inner_mm',
  bearingMeasured: flag('bearing_measured'),
  originalFilm: 'original_film',
  originalFilmReason: 'original_film_reason',
  todayFilm: 'today_film',
  rangeSchool: 'range_school',
  stageScheme: json('stage_scheme'),
  orderSchool: 'order_school',
  unitOfWork: 'unit_of_work',
  turnShaft: flag('turn_shaft'),
  wrenchId: 'wrench_id',
  retorqueSchool: 'retorque_school',
  detail: json('detail', DETAIL_JSON),
  version: 'version',
  createdAt: 'created_at',
});

export const createJointRepository = (db: Database) => {
  const byId = db.prepare<[string], Row>(`SELECT ${JOINT.columns} FROM joint WHERE id = ?`);
  const ofEngine = db.prepare<[string], Row>(
    `SELECT ${JOINT.columns} FROM joint WHERE engine_id = ? AND ${notAside('joint')} ORDER BY created_at, id`,
  );
  const everOfEngine = db.prepare<[string], Row>(
    `SELECT ${JOINT.columns} FROM joint WHERE engine_id = ? ORDER BY created_at, id`,
  );
  const referringTo = db.prepare<{ id: string; held: string }, Row>(
    `SELECT ${JOINT.columns} FROM joint
     WHERE original_film = @id OR today_film = @id OR thread = @id OR instr(detail, @held) > 0 ORDER BY created_at, id`,
  );
  const ofThread = db.prepare<{ thread: string; held: string }, Row>(
    `SELECT ${JOINT.columns} FROM joint WHERE thread = @thread OR instr(detail, @held) > 0 ORDER BY created_at, id`,
  );
  const insert = db.prepare(JOINT.insert);
  const update = db.prepare(JOINT.update);
  const engineOf = db.prepare<[string], string>('SELECT engine_id FROM joint WHERE id = ?').pluck();
  return {
    find: (id: string): Joint | undefined => {
      const row = byId.get(id);
      return row && JOINT.fromRow(row);
    },
    /** The engine that a joint is of; undefined where there is no such joint. */
    engineOf: (id: string): string | undefined => engineOf.get(id),
    /** Those that are worked with: what was set aside is left out. */
    ofEngine: (engineId: string): readonly Joint[] => ofEngine.all(engineId).map(JOINT.fromRow),
    /** Those that were set aside as well. */
    everOfEngine: (engineId: string): readonly Joint[] => everOfEngine.all(engineId).map(JOINT.fromRow),
    /** Joints of the whole shop whose film, thread, or anything in their detail is a row of a shelf, by its id. */
    referringTo: (id: string): readonly Joint[] => referringTo.all({ id, held: JSON.stringify(id) }).map(JOINT.fromRow),
    /** Joints of the whole shop that have a thread, or had another before it was substituted. */
    ofThread: (thread: string): readonly Joint[] =>
      ofThread.all({ thread, held: JSON.stringify(thread) }).map(JOINT.fromRow),
    add: (joint: Joint): void => void insert.run(JOINT.toRow(joint)),
    /** Alters a joint that is still of the version given; false where it was altered meanwhile. */
    alter: (joint: Joint): boolean => update.run(JOINT.toRow(joint)).changes === 1,
  };
};
