import type { Database } from 'better-sqlite3';
import { DomainError } from '@/core/units';
import { assertSameLine } from '@/model/same-line';
import { assertFollows, type BenchEvent, type PullOutcome, type PullReading, type PullStep } from '@/core/tightening';
import { assertReadingStands, assertReadOnce, readAlready } from '@/model/joint/pull-reading';
import type { Purpose, RecordedEvent, Round, Tightening } from '@/model/joint/tightening';
import { PLAN_JSON, type TighteningPlan } from '@/model/joint/tightening-plan';
import { readOnce } from '@/model/read-once';
import { linesAbove, linesReadOn, rowsIn, type LinesBy } from '../lines-read-on';
import { unpacked } from '../packed-text';
import type { Cells } from '../table';

interface RoundPlanned {
  readonly id: string;
  readonly joint_id: string;
  readonly purpose: Purpose;
  readonly digest: string;
  readonly body: Buffer | null;
  readonly started_at: string;
}

// A plan is kept once, however many rounds go by it. A round whose plan is lost is no less a round: reading it fails.
const COLUMNS = 'tightening.id, joint_id, purpose, plan_digest AS digest, plan.body, started_at';
const PLAN = 'LEFT JOIN plan ON plan.digest = plan_digest';

// Every line of a round asks for its plan; a text of the same digest is the same text, in whatever file.
/** Plans of the engines somebody is at work on; one takes some 60 kB. */
const MOST_PLANS = 200;
const planOnce = readOnce<TighteningPlan>(MOST_PLANS);

const toTightening = ({ digest, body, ...row }: RoundPlanned): Tightening => ({
  id: row.id,
  jointId: row.joint_id,
  purpose: row.purpose,
  plan: body === null ? PLAN_JSON.read('') : planOnce(digest, () => PLAN_JSON.read(unpacked(body) ?? '')),
  startedAt: row.started_at,
});

interface EventRow {
  readonly seq: number;
  readonly id: string;
  readonly tightening_id: string;
  readonly kind: BenchEvent['kind'];
  readonly step: number | null;
  readonly outcome: PullOutcome | null;
  readonly words: string | null;
  readonly read_nm: number | null;
  readonly turned_deg: number | null;
  readonly broke_nm: number | null;
  readonly instrument: string | null;
  readonly reading_id: string | null;
  readonly strikes_id: string | null;
  readonly at: string;
  readonly recorded_at: string;
  readonly who: string;
}

const EVENT_FIELDS = [
  'seq',
  'id',
  'tightening_id',
  'kind',
  'step',
  'outcome',
  'strikes_id',
  'at',
  'recorded_at',
  'words',
  'read_nm',
  'turned_deg',
  'broke_nm',
  'instrument',
  'reading_id',
  'who',
] as const satisfies readonly (keyof EventRow)[];
const EVENT_COLUMNS = EVENT_FIELDS.map((column) => `bench_event.${column}`).join(', ');

type EventCells = Cells<EventRow, typeof EVENT_FIELDS>;

/** A row out of its cells, which lie as its fields do; told name by name, which takes a tenth of the time of a loop. */
const toRow = (cells: EventCells): EventRow => ({
  seq: cells[0],
  id: cells[1],
  tightening_id: cells[2],
  kind: cells[3],
  step: cells[4],
  outcome: cells[5],
  strikes_id: cells[6],
  at: cells[7],
  recorded_at: cells[8],
  words: cells[9],
  read_nm: cells[10],
  turned_deg: cells[11],
  broke_nm: cells[12],
  instrument: cells[13],
  reading_id: cells[14],
  who: cells[15],
});

type Pulled = Extract<RecordedEvent, { readonly kind: 'pull' }>;
type PulledSoFar = { -readonly [Field in keyof Pulled]?: Field extends 'kind' ? 'pull' | 'again' : Pulled[Field] };

/**
 * A pull as it is in its row, a field after another: an engine has thousands, and spread out they take five times as
 * long.
 */
function toPull(row: EventRow, kind: 'pull' | 'again'): RecordedEvent {
  const { id, at, recorded_at: recordedAt, who, words } = row;
  const [step, outcome] = [row.step as number, row.outcome as PullOutcome];
  const pulled: PulledSoFar =
    who === '' ? { id, at, recordedAt, step, outcome } : { id, at, recordedAt, who, step, outcome };
  if (row.read_nm !== null) pulled.read_Nm = row.read_nm;
  if (row.turned_deg !== null) pulled.turned_deg = row.turned_deg;
  if (row.broke_nm !== null) pulled.broke_Nm = row.broke_nm;
  if (row.instrument !== null) pulled.instrument = row.instrument;
  if (row.reading_id !== null) pulled.readingId = row.reading_id;
  pulled.kind = kind;
  if (kind === 'pull' && words !== null) pulled.words = words;
  return pulled as RecordedEvent;
}

function toEvent(row: EventRow): RecordedEvent {
  if (row.kind === 'pull' || row.kind === 'again') return toPull(row, row.kind);
  const shared = { id: row.id, at: row.at, recordedAt: row.recorded_at, ...(row.who !== '' && { who: row.who }) };
  if (row.kind === 'strike') return { ...shared, kind: 'strike', strikes: row.strikes_id as string };
  const step = row.step as number;
  if (row.kind === 'shaft') return { ...shared, kind: 'shaft', step, ...(row.words !== null && { words: row.words }) };
  return { ...shared, kind: row.kind, step, words: row.words ?? '' };
}

const toRound = (row: RoundRow): Round => ({
  id: row.id,
  jointId: row.joint_id,
  purpose: row.purpose,
  startedAt: row.started_at,
  ...(row.clamp_n !== null && { clamp_N: row.clamp_n }),
});

/** What a line says of its fastener, beside the number of its step. */
function details(event: BenchEvent, { steps }: TighteningPlan) {
  const isPulled = event.kind === 'pull' || event.kind === 'again';
  const step = isPulled ? (steps[event.step] as PullStep) : undefined;
  const { read_Nm, turned_deg, broke_Nm, instrument, readingId }: PullReading = isPulled ? event : {};
  return {
    read_Nm: read_Nm ?? null,
    turned_deg: turned_deg ?? null,
    broke_Nm: broke_Nm ?? null,
    instrument: instrument ?? null,
    readingId: readingId ?? null,
    step: event.kind === 'strike' ? null : event.step,
    position: step?.position ?? null,
    torque_Nm: step?.torque_Nm ?? null,
    outcome: isPulled ? event.outcome : null,
    words: 'words' in event ? (event.words ?? null) : null,
    strikesId: event.kind === 'strike' ? event.strikes : null,
  };
}

/** A line as it is written; by whoever is at this device, where nobody else is named. */
const rowOf = (
  { id: tighteningId, plan }: Pick<Tightening, 'id' | 'plan'>,
  event: BenchEvent,
  recordedAt: string,
  who?: string,
) => ({
  id: event.id,
  kind: event.kind,
  at: event.at,
  tighteningId,
  recordedAt,
  who: who ?? null,
  ...details(event, plan),
});

interface RoundRow {
  readonly id: string;
  readonly joint_id: string;
  readonly purpose: Purpose;
  readonly started_at: string;
  readonly clamp_n: number | null;
}

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
