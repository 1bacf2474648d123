import type { Database } from 'better-sqlite3';
import { DomainError } from '@/core/units';
import { assertSameLine } from '@/model/same-line';
import { assertFollows, type BenchEvent } from '@/core/tightening';
import { assertReadingStands, assertReadOnce, readAlready } from '@/model/joint/pull-reading';
import type { RecordedEvent, Round, Tightening } from '@/model/joint/tightening';
import { PLAN_JSON, type TighteningPlan } from '@/model/joint/tightening-plan';
import { linesAbove, linesReadOn, rowsIn, type LinesBy } from '../lines-read-on';
import {
  COLUMNS,
  EVENT_COLUMNS,
  PLAN,
  rowOf,
  toEvent,
  toRound,
  toRow,
  toTightening,
  type EventRow,
  type RoundPlanned,
  type RoundRow,
} from './tightening-rows';

// Going-rounds follow one another as they were written: a clock that went back would hide the one under way.
const prepared = (db: Database) => ({
  byId: db.prepare<[string], RoundPlanned>(`SELECT ${COLUMNS} FROM tightening ${PLAN} WHERE tightening.id = ?`),
  ofJoint: db.prepare<[string], RoundPlanned>(
    `SELECT ${COLUMNS} FROM tightening ${PLAN} WHERE joint_id = ? ORDER BY tightening.rowid`,
  ),
  ofEngine: db.prepare<[string], RoundPlanned>(
    `SELECT ${COLUMNS} FROM joint JOIN tightening ON joint_id = joint.id ${PLAN}
     WHERE engine_id = ? ORDER BY tightening.rowid`,
  ),
  rounds: db.prepare<[string], RoundRow>(
    `SELECT tightening.id, joint_id, purpose, started_at, clamp_n
     FROM joint JOIN tightening ON joint_id = joint.id ${PLAN}
     WHERE engine_id = ? ORDER BY tightening.rowid`,
  ),
  dropUnpulled: db.prepare<[string]>(
    `DELETE FROM tightening WHERE joint_id = ?
     AND NOT EXISTS (SELECT 1 FROM bench_event WHERE tightening_id = tightening.id)`,
  ),
  keepPlan: db.prepare(
    `INSERT INTO plan (digest, clamp_n, body)
     VALUES (digest(@plan), json_extract(@plan, '$.ladder.band.p50_N'), packed(@plan)) ON CONFLICT (digest) DO NOTHING`,
  ),
  insert: db.prepare(
    `INSERT INTO tightening (id, joint_id, purpose, plan_digest, started_at)
     VALUES (@id, @jointId, @purpose, digest(@plan), @startedAt)`,
  ),
  events: db
    .prepare<[string], string>(
      `SELECT json_group_array(json_array(${EVENT_COLUMNS})) FROM bench_event WHERE tightening_id = ?`,
    )
    .pluck(),
  eventById: db.prepare<[string], EventRow>(`SELECT ${EVENT_COLUMNS} FROM bench_event WHERE id = ?`),
  // A copy of an engine has the readings of what it was copied from: they are of its own past.
  readElsewhere: db.prepare<[string, string], { readonly id: string }>(
    `SELECT id FROM bench_event WHERE reading_id = ? AND tightening_id <> ? LIMIT 1`,
  ),
  insertEvent: db.prepare(
    `INSERT INTO bench_event (id, tightening_id, kind, step, position, torque_nm, outcome, strikes_id, at, recorded_at, words,
       read_nm, turned_deg, broke_nm, instrument, reading_id, who)
     VALUES (@id, @tighteningId, @kind, @step, @position, @torque_Nm, @outcome, @strikesId, @at, @recordedAt, @words,
       @read_Nm, @turned_deg, @broke_Nm, @instrument, @readingId, coalesce(@who, who()))`,
  ),
});

/** What every line is asked before it is written, by whatever door it comes. @throws DomainError */
function assertStands(plan: TighteningPlan, before: readonly BenchEvent[], event: BenchEvent): void {
  assertFollows(plan.steps, before, event);
  assertReadingStands(plan, event);
  assertReadOnce(before, event);
}

/** A wrench may be heard at two benches: its reading is a pull of one. @throws DomainError read-already */
function assertReadHere(sql: ReturnType<typeof prepared>, tighteningId: string, event: BenchEvent): void {
  const readingId = 'readingId' in event ? event.readingId : undefined;
  if (readingId !== undefined && sql.readElsewhere.get(readingId, tighteningId)) throw readAlready();
}

export const createTighteningRepository = (db: Database) => {
  const sql = prepared(db);
  const events = (id: string): readonly RecordedEvent[] => rowsIn(sql.events.get(id), toRow).map(toEvent);
  const eventsOfEngine = linesReadOn(
    linesAbove(
      db,
      EVENT_COLUMNS,
      'joint JOIN tightening ON joint_id = joint.id JOIN bench_event ON tightening_id = tightening.id',
      toRow,
    ),
    (row: EventRow) => row.tightening_id,
    (rows) => rows.map(toEvent),
  );
  const append = db.transaction((tightening: Tightening, event: BenchEvent, recordedAt: string): boolean => {
    const known = sql.eventById.get(event.id);
    if (known) {
      assertSameLine({ ...toEvent({ ...known, who: '' }), of: known.tightening_id }, { ...event, of: tightening.id });
      return false;
    }
    assertStands(tightening.plan, events(tightening.id), event);
    assertReadHere(sql, tightening.id, event);
    sql.insertEvent.run(rowOf(tightening, event, recordedAt));
    return true;
  });
  const start = db.transaction((tightening: Tightening): void => {
    const plan = PLAN_JSON.write(tightening.plan);
    sql.keepPlan.run({ plan });
    sql.insert.run({ ...tightening, plan });
  });
  return {
    find: (id: string): Tightening | undefined => {
      const row = sql.byId.get(id);
      return row && toTightening(row);
    },
    ofJoint: (jointId: string): readonly Tightening[] => sql.ofJoint.all(jointId).map(toTightening),
    ofEngine: (engineId: string): readonly Tightening[] => sql.ofEngine.all(engineId).map(toTightening),
    /** When each going-round of an engine began, without its plan. */
    rounds: (engineId: string): readonly Round[] => sql.rounds.all(engineId).map(toRound),
    /** Drops a joint’s rounds in which nothing was recorded. */
    dropUnpulled: (jointId: string): void => void sql.dropUnpulled.run(jointId),
    start,
    events,
    /** Every line of every round of an engine, by round; read on from what was read before. */
    eventsOfEngine: (engineId: string, before?: LinesBy<RecordedEvent>) => eventsOfEngine(engineId, before),
    /**
     * Adds every line of a round that has none yet.
     * @throws DomainError out-of-turn, nothing-to-strike; id-taken where a line of that id stands anywhere already
     */
    recordAll: (tightening: Tightening, lines: readonly RecordedEvent[]): void => {
      for (const [i, { recordedAt, who, ...event }] of lines.entries()) {
        if (sql.eventById.get(event.id))
          throw new DomainError(
            'id-taken',
            `A line ${event.id} is known already, of this or another going-round.`,
            'id',
          );
        assertStands(tightening.plan, lines.slice(0, i), event);
        sql.insertEvent.run(rowOf(tightening, event, recordedAt, who));
      }
    },
    /**
     * Adds one line. The same line sent twice is one line: false says that it was already there.
     * @throws DomainError out-of-turn, nothing-to-strike, outside-limits, by-feel, read-already; id-taken where another
     *   line is of that id
     */
    record: (tightening: Tightening, event: BenchEvent, recordedAt: string): boolean =>
      append.immediate(tightening, event, recordedAt),
  };
};
