import type { Database } from 'better-sqlite3';
import { assertFollows, type BenchEvent, type PullOutcome, type PullStep } from '@/core/tightening';
import type { TighteningPlan } from '@/model/joint/tightening-plan';
import type { Purpose, RecordedEvent, Tightening } from '@/model/joint/tightening';

interface TighteningRow {
  readonly id: string;
  readonly joint_id: string;
  readonly purpose: Purpose;
  readonly plan: string;
  readonly started_at: string;
}

interface RoundRow {
  readonly id: string;
  readonly joint_id: string;
  readonly purpose: Purpose;
  readonly started_at: string;
}

interface EventRow {
  readonly id: string;
  readonly kind: BenchEvent['kind'];
  readonly step: number | null;
  readonly outcome: PullOutcome | null;
  readonly strikes_id: string | null;
  readonly at: string;
  readonly recorded_at: string;
}

const toTightening = (row: TighteningRow): Tightening => ({
  id: row.id,
  jointId: row.joint_id,
  purpose: row.purpose,
  plan: JSON.parse(row.plan) as TighteningPlan,
  startedAt: row.started_at,
});

function toEvent(row: EventRow): RecordedEvent {
  const shared = { id: row.id, at: row.at, recordedAt: row.recorded_at };
  if (row.kind === 'strike') return { ...shared, kind: 'strike', strikes: row.strikes_id as string };
  if (row.kind === 'shaft') return { ...shared, kind: 'shaft', step: row.step as number };
  return { ...shared, kind: 'pull', step: row.step as number, outcome: row.outcome as PullOutcome };
}

/** What a line says of its fastener, beside the number of its step. */
function details(event: BenchEvent, { steps }: TighteningPlan) {
  const step = event.kind === 'pull' ? (steps[event.step] as PullStep) : undefined;
  return {
    step: event.kind === 'strike' ? null : event.step,
    position: step?.position ?? null,
    torque_Nm: step?.torque_Nm ?? null,
    outcome: event.kind === 'pull' ? event.outcome : null,
    strikesId: event.kind === 'strike' ? event.strikes : null,
  };
}

export const createTighteningRepository = (db: Database) => {
  const byId = db.prepare<[string], TighteningRow>('SELECT * FROM tightening WHERE id = ?');
  const ofJoint = db.prepare<[string], TighteningRow>(
    'SELECT * FROM tightening WHERE joint_id = ? ORDER BY started_at, rowid',
  );
  const rounds = db.prepare<[string], RoundRow>(
    `SELECT tightening.id, joint_id, purpose, started_at FROM joint JOIN tightening ON joint_id = joint.id
     WHERE engine_id = ? ORDER BY started_at, tightening.rowid`,
  );
  const insert = db.prepare<[string, string, Purpose, string, string]>(
    'INSERT INTO tightening (id, joint_id, purpose, plan, started_at) VALUES (?, ?, ?, ?, ?)',
  );
  const eventsOf = db.prepare<[string], EventRow>('SELECT * FROM bench_event WHERE tightening_id = ? ORDER BY seq');
  const eventById = db.prepare<[string], { tightening_id: string }>(
    'SELECT tightening_id FROM bench_event WHERE id = ?',
  );
  const insertEvent = db.prepare(
    `INSERT INTO bench_event (id, tightening_id, kind, step, position, torque_nm, outcome, strikes_id, at, recorded_at)
     VALUES (@id, @tighteningId, @kind, @step, @position, @torque_Nm, @outcome, @strikesId, @at, @recordedAt)`,
  );
  const events = (id: string): readonly RecordedEvent[] => eventsOf.all(id).map(toEvent);
  const append = db.transaction((tightening: Tightening, event: BenchEvent, recordedAt: string): boolean => {
    if (eventById.get(event.id)) return false;
    assertFollows(tightening.plan.steps, events(tightening.id), event);
    insertEvent.run({
      id: event.id,
      kind: event.kind,
      at: event.at,
      tighteningId: tightening.id,
      recordedAt,
      ...details(event, tightening.plan),
    });
    return true;
  });
  return {
    find: (id: string): Tightening | undefined => {
      const row = byId.get(id);
      return row && toTightening(row);
    },
    ofJoint: (jointId: string): readonly Tightening[] => ofJoint.all(jointId).map(toTightening),
    /** When each going-round of an engine began, without its plan. */
    rounds: (engineId: string): readonly Omit<Tightening, 'plan'>[] =>
      rounds
        .all(engineId)
        .map((row) => ({ id: row.id, jointId: row.joint_id, purpose: row.purpose, startedAt: row.started_at })),
    start: ({ id, jointId, purpose, plan, startedAt }: Tightening): void =>
      void insert.run(id, jointId, purpose, JSON.stringify(plan), startedAt),
    events,
    /**
     * Adds one line. The same line sent twice is one line: false says that it was already there.
     * @throws DomainError out-of-turn, nothing-to-strike
     */
    record: (tightening: Tightening, event: BenchEvent, recordedAt: string): boolean =>
      append.immediate(tightening, event, recordedAt),
  };
};
