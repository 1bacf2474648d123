import type { Database } from 'better-sqlite3';
import type { BuildRows } from '@/model/engine/engine-rows';
import type { BuildLine } from '@/model/order/build-line';
import { PART_DETAIL_JSON, type Part } from '@/model/order/part';
import { STEP_DETAIL_JSON, type Step } from '@/model/order/step';
import { notAside } from './aside-repository';
import { json, table, type Row } from '../table';

const STEP = table<Step>('step', {
  id: 'id',
  engineId: 'engine_id',
  place: 'place',
  kind: 'kind',
  name: 'name',
  branch: 'branch',
  jointId: 'joint_id',
  purpose: 'purpose',
  fitId: 'fit_id',
  leafId: 'leaf_id',
  after: json('after'),
  notUntil: json('not_until'),
  detail: json('detail', STEP_DETAIL_JSON),
  version: 'version',
  createdAt: 'created_at',
});

const PART = table<Part>('part', {
  id: 'id',
  engineId: 'engine_id',
  stepId: 'step_id',
  name: 'name',
  need: 'need',
  here: 'here',
  mark: 'mark',
  serial: 'serial',
  bag: 'bag',
  origin: 'origin',
  condition: 'condition',
  detail: json('detail', PART_DETAIL_JSON),
  version: 'version',
  createdAt: 'created_at',
});

interface LineRow {
  readonly id: string;
  readonly kind: string;
  readonly step_id: string | null;
  readonly part_id: string | null;
  readonly body: string;
  readonly strikes_id: string | null;
  readonly at: string;
  readonly recorded_at: string;
  readonly who: string;
}

/** A line as it is in its row, a field after another: an engine has hundreds. */
function toLine(row: LineRow): BuildLine {
  const line: Record<string, unknown> = { id: row.id, kind: row.kind, at: row.at, recordedAt: row.recorded_at };
  if (row.who !== '') line.who = row.who;
  if (row.step_id !== null) line.stepId = row.step_id;
  if (row.part_id !== null) line.partId = row.part_id;
  if (row.strikes_id !== null) line.strikes = row.strikes_id;
  line.body = JSON.parse(row.body) as object;
  return line as unknown as BuildLine;
}

const buildRows = (steps: string) => `SELECT 'step' AS what, ${STEP.asJson} AS body, '[]' AS photos, step.place AS n,
    step.created_at AS at, step.id AS id FROM step WHERE engine_id = @engineId ${steps}
  UNION ALL SELECT 'part', ${PART.asJson}, '[]', 0, part.created_at, part.id FROM part WHERE engine_id = @engineId
  UNION ALL SELECT 'line', json_object('id', id, 'kind', kind, 'step_id', step_id, 'part_id', part_id, 'body', body,
      'strikes_id', strikes_id, 'at', at, 'recorded_at', recorded_at, 'who', who), '[]', seq, '', id
    FROM build_line WHERE engine_id = @engineId`;

/** Steps, parts and lines of the engine `@engineId`, each with what it is sorted by; steps set aside are left out. */
export const BUILD_ROWS = buildRows(`AND ${notAside('step')}`);

const ORDER_BY = 'ORDER BY n, at, id';

interface BuildRow {
  readonly what: string;
  readonly body: string;
}

/** Makes something of the text of a row, or hands out what was made of the same text before. */
export type OfText = <Made>(text: string, make: (row: Row) => Made) => Made;

const afresh: OfText = (text, make) => make(JSON.parse(text) as Row);

/** The order of a build out of rows of `BUILD_ROWS`, whatever else stands among them. */
export function toBuildRows(rows: readonly BuildRow[], ofText = afresh): BuildRows {
  const of = <Made>(what: string, make: (row: Row) => Made) =>
    rows.filter((row) => row.what === what).map(({ body }) => ofText(body, make));
  return {
    steps: of('step', STEP.fromRow),
    parts: of('part', PART.fromRow),
    buildLines: of('line', (row) => toLine(row as unknown as LineRow)),
  };
}

const INSERT_LINE = `INSERT INTO build_line
  (id, engine_id, kind, step_id, part_id, body, strikes_id, at, recorded_at, who)
  VALUES (@id, @engineId, @kind, @stepId, @partId, @body, @strikes, @at, @recordedAt, coalesce(@who, who()))
  ON CONFLICT (id) DO NOTHING`;

/** The order of the build of an engine: its steps, its tray, and the lines of what was done. */
export const createBuildRepository = (db: Database) => {
  const ofEngine = db.prepare<{ engineId: string }, BuildRow>(`${BUILD_ROWS} ${ORDER_BY}`);
  const everOfEngine = db.prepare<{ engineId: string }, BuildRow>(`${buildRows('')} ${ORDER_BY}`);
  const stepById = db.prepare<[string], Row>(`SELECT ${STEP.columns} FROM step WHERE id = ?`);
  const partById = db.prepare<[string], Row>(`SELECT ${PART.columns} FROM part WHERE id = ?`);
  const withSerial = db.prepare<[string], { id: string; engine: string }>(
    `SELECT part.id AS id, engine.name AS engine FROM part JOIN engine ON engine.id = engine_id WHERE serial = ?`,
  );
  const lineById = db.prepare<[string], LineRow & { readonly engine_id: string }>(
    'SELECT * FROM build_line WHERE id = ?',
  );
  const openings = db.prepare<[string], LineRow>(
    `SELECT * FROM build_line WHERE engine_id = ? AND kind IN ('undone', 'strike') ORDER BY seq`,
  );
  const [insertStep, updateStep] = [db.prepare(STEP.insert), db.prepare(STEP.update)];
  const [insertPart, updatePart] = [db.prepare(PART.insert), db.prepare(PART.update)];
  const insertLine = db.prepare(INSERT_LINE);
  return {
    /** Everything of one engine, in one query; steps that were set aside are left out. */
    ofEngine: (engineId: string): BuildRows => toBuildRows(ofEngine.all({ engineId })),
    /** With the steps that were set aside. */
    everOfEngine: (engineId: string): BuildRows => toBuildRows(everOfEngine.all({ engineId })),
    findStep: (id: string): Step | undefined => {
      const row = stepById.get(id);
      return row && STEP.fromRow(row);
    },
    addStep: (step: Step): void => void insertStep.run(STEP.toRow(step)),
    /** Alters a step that is still of the version given; false where it was altered meanwhile. */
    alterStep: (step: Step): boolean => updateStep.run(STEP.toRow(step)).changes === 1,
    findPart: (id: string): Part | undefined => {
      const row = partById.get(id);
      return row && PART.fromRow(row);
    },
    addPart: (part: Part): void => void insertPart.run(PART.toRow(part)),
    alterPart: (part: Part): boolean => updatePart.run(PART.toRow(part)).changes === 1,
    /** Parts of the whole shop that have this number of their own, with the engine each is of. */
    partsNumbered: (serial: string): readonly { readonly id: string; readonly engine: string }[] =>
      withSerial.all(serial),
    /** The lines by which joints were opened up, with those that took one back. */
    linesOfOpening: (engineId: string): readonly BuildLine[] => openings.all(engineId).map(toLine),
    /** A line of that id, of whatever engine. */
    line: (id: string): { readonly engineId: string; readonly line: BuildLine } | undefined => {
      const row = lineById.get(id);
      return row && { engineId: row.engine_id, line: toLine(row) };
    },
    /** Adds a line; the same line sent twice is one. */
    record: (engineId: string, line: BuildLine, recordedAt: string): boolean =>
      insertLine.run({
        id: line.id,
        engineId,
        kind: line.kind,
        stepId: 'stepId' in line ? line.stepId : null,
        partId: 'partId' in line ? line.partId : null,
        body: JSON.stringify(line.body),
        strikes: line.kind === 'strike' ? line.strikes : null,
        at: line.at,
        recordedAt,
        who: line.who ?? null,
      }).changes === 1,
  };
};
