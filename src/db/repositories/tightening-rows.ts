import type { BenchEvent, PullOutcome, PullReading, PullStep } from '@/core/tightening';
import type { Purpose, RecordedEvent, Round, Tightening } from '@/model/joint/tightening';
import { PLAN_JSON, type TighteningPlan } from '@/model/joint/tightening-plan';
import { readOnce } from '@/model/read-once';
import { unpacked } from '../packed-text';
import type { Cells } from '../table';

export interface RoundPlanned {
  readonly id: string;
  readonly joint_id: string;
  readonly purpose: Purpose;
  readonly digest: string;
  readonly body: Buffer | null;
  readonly started_at: string;
}

// A plan is kept once, however many rounds go by it. A round whose plan is lost is no less a round: reading it fails.
export const COLUMNS = 'tightening.id, joint_id, purpose, plan_digest AS digest, plan.body, started_at';
export const PLAN = 'LEFT JOIN plan ON plan.digest = plan_digest';

// Every line of a round asks for its plan; a text of the same digest is the same text, in whatever file.
/** Plans of the engines somebody is at work on; one takes some 60 kB. */
const MOST_PLANS = 200;
const planOnce = readOnce<TighteningPlan>(MOST_PLANS);

export const toTightening = ({ digest, body, ...row }: RoundPlanned): Tightening => ({
  id: row.id,
  jointId: row.joint_id,
  purpose: row.purpose,
  plan: body === null ? PLAN_JSON.read('') : planOnce(digest, () => PLAN_JSON.read(unpacked(body) ?? '')),
  startedAt: row.started_at,
});

export interface EventRow {
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
export const EVENT_COLUMNS = EVENT_FIELDS.map((column) => `bench_event.${column}`).join(', ');

type EventCells = Cells<EventRow, typeof EVENT_FIELDS>;

/** A row out of its cells, which lie as its fields do; told name by name, which takes a tenth of the time of a loop. */
export const toRow = (cells: EventCells): EventRow => ({
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

/** A line of a round out of its row. */
export function toEvent(row: EventRow): RecordedEvent {
  if (row.kind === 'pull' || row.kind === 'again') return toPull(row, row.kind);
  const shared = { id: row.id, at: row.at, recordedAt: row.recorded_at, ...(row.who !== '' && { who: row.who }) };
  if (row.kind === 'strike') return { ...shared, kind: 'strike', strikes: row.strikes_id as string };
  const step = row.step as number;
  if (row.kind === 'shaft') return { ...shared, kind: 'shaft', step, ...(row.words !== null && { words: row.words }) };
  return { ...shared, kind: row.kind, step, words: row.words ?? '' };
}

export const toRound = (row: RoundRow): Round => ({
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
export const rowOf = (
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

export interface RoundRow {
  readonly id: string;
  readonly joint_id: string;
  readonly purpose: Purpose;
  readonly started_at: string;
  readonly clamp_n: number | null;
}
