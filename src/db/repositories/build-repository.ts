import type { Database } from 'better-sqlite3';
import type { BuildRows } from '@/model/engine/engine-rows';
import type { BuildLine } from '@/model/order/build-line';
import { PART_DETAIL_JSON, type Part } from '@/model/order/part';
import { STEP_DETAIL_JSON, type Step } from '@/model/order/step';
import { notAside } from './aside-repository';
import { json, rowOfCells, table, type Cells, type Row } from '../table';

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
  readonly seq: number;
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

const LINE_FIELDS = [
  'id',
  'seq',
  'kind',
  'step_id',
  'part_id',
  'body',
  'strikes_id',
  'at',
  'recorded_at',
  'who',
] as const satisfies readonly (keyof LineRow)[];
type LineCells = Cells<LineRow, typeof LINE_FIELDS>;

/** All rows of one table as one text of lists of cells, the id first; beside others it lies as `photos, at, id`. */
const allOf = (what: string, cells: string, where = '') =>
  `SELECT '${what}' AS what, json_group_array(${cells}) AS body, '[]' AS photos, '' AS at, '' AS id
   FROM ${what} WHERE engine_id = @engineId ${where}`;

const buildRows = (steps: string) =>
  [
    allOf('step', STEP.asCells, steps),
    allOf('part', PART.asCells),
    allOf('build_line', `json_array(${LINE_FIELDS.join(', ')})`),
  ].join(' UNION ALL ');

/** Steps, parts and lines of the engine `@engineId`; steps set aside are left out. */
export const BUILD_ROWS = buildRows(`AND ${notAside('step')}`);

interface BuildRow {
  readonly what: string;
  readonly body: string;
}

interface Made {
  readonly cells: readonly unknown[];
  readonly one: object;
}

/** What rows were made into, by the table and the id of each. */
const made = new WeakMap<BuildRows, ReadonlyMap<string, Made>>();

/** As SQLite sorts plain letters. */
const byText = (a: string, b: string): number => (a < b ? -1 : Number(a > b));
const byAge = (a: Step | Part, b: Step | Part) => byText(a.createdAt, b.createdAt) || byText(a.id, b.id);

/**
 * The order of a build out of rows of `BUILD_ROWS`, whatever else stands among them.
 * @param before what was read before: of a row whose cells are what they were, the very same thing stays
 */
export function toBuildRows(rows: readonly BuildRow[], before?: BuildRows): BuildRows {
  const known = before && made.get(before);
  const now = new Map<string, Made>();
  function of<Row extends readonly unknown[], One extends object>(what: string, make: (cells: Row) => One): One[] {
    const all = JSON.parse(rows.find((row) => row.what === what)?.body ?? '[]') as readonly Row[];
    return all.map((cells) => {
      const key = `${what} ${String(cells[0])}`;
      const was = known?.get(key);
      const one = was?.cells.every((cell, i) => cell === cells[i]) ? (was.one as One) : make(cells);
      now.set(key, { cells, one });
      return one;
    });
  }
  const order = {
    steps: of('step', STEP.fromCells).sort((a, b) => a.place - b.place || byAge(a, b)),
    parts: of('part', PART.fromCells).sort(byAge),
    buildLines: of('build_line', (cells: LineCells) => ({
      seq: cells[1],
      line: toLine(rowOfCells<LineRow>(LINE_FIELDS, cells)),
    }))
      .sort((a, b) => a.seq - b.seq)
      .map(({ line }) => line),
  };
  made.set(order, now);
  return order;
}

const INSERT_LINE = `INSERT INTO build_line
  (id, engine_id, kind, step_id, part_id, body, strikes_id, at, recorded_at, who)
  VALUES (@id, @engineId, @kind, @stepId, @partId, @body, @strikes, @at, @recordedAt, coalesce(@who, who()))
  ON CONFLICT (id) DO NOTHING`;

/** The order of the build of an engine: its steps, its tray, and the lines of what was done. */
export const createBuildRepository = (db: Database) => {
  const ofEngine = db.prepare<{ engineId: string }, BuildRow>(BUILD_ROWS);
  const everOfEngine = db.prepare<{ engineId: string }, BuildRow>(buildRows(''));
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
