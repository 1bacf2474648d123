import type { Database } from 'better-sqlite3';
import type { Part } from '@/core/fits';
import {
  FIT_DETAIL_JSON,
  WANTED_JSON,
  type Fit,
  type FitLine,
  type FitLineKind,
  type ReadingLine,
} from '@/model/fit/fit';
import { linesAbove, linesReadOn, type LinesBy } from '../lines-read-on';
import { notAside } from './aside-repository';
import { json, table, type Cells, type Row } from '../table';

const FIT = table<Omit<Fit, 'holds'>>('fit', {
  id: 'id',
  engineId: 'engine_id',
  kind: 'kind',
  name: 'name',
  places: json('places'),
  methods: json('methods'),
  stations: 'stations',
  angles: 'angles',
  jointId: 'joint_id',
  leafId: 'leaf_id',
  wanted: json('wanted', WANTED_JSON),
  detail: json('detail', FIT_DETAIL_JSON),
  version: 'version',
  createdAt: 'created_at',
});

const HOLDS = '(SELECT json_group_array(joint_id) FROM fit_hold WHERE fit_id = fit.id) AS holds';

const toFit = (row: Row): Fit => ({ ...FIT.fromRow(row), holds: JSON.parse(row.holds as string) as string[] });
const ofFit = ({ holds: _, ...fit }: Fit) => FIT.toRow(fit);

interface LineRow {
  readonly seq: number;
  readonly id: string;
  readonly fit_id: string;
  readonly kind: FitLineKind;
  readonly place: number | null;
  readonly part: Part | null;
  readonly station: number | null;
  readonly angle: number | null;
  readonly value_mm: number | null;
  readonly typed: string | null;
  readonly body: string;
  readonly strikes_id: string | null;
  readonly at: string;
  readonly recorded_at: string;
  readonly who: string;
}

/** Readings taken one after another were taken alike: what is kept with them is parsed once. */
function bodies(): (text: string) => object {
  const parsed = new Map<string, object>();
  return (text) => {
    const known = parsed.get(text) ?? (JSON.parse(text) as object);
    parsed.set(text, known);
    return known;
  };
}

const LINE_FIELDS = [
  'seq',
  'id',
  'fit_id',
  'kind',
  'place',
  'part',
  'station',
  'angle',
  'value_mm',
  'typed',
  'body',
  'strikes_id',
  'at',
  'recorded_at',
  'who',
] as const satisfies readonly (keyof LineRow)[];
const LINE_COLUMNS = LINE_FIELDS.map((column) => `fit_line.${column}`).join(', ');

type LineCells = Cells<LineRow, typeof LINE_FIELDS>;

/** A row out of its cells, which lie as its fields do. */
const toRow = (cells: LineCells): LineRow => ({
  seq: cells[0],
  id: cells[1],
  fit_id: cells[2],
  kind: cells[3],
  place: cells[4],
  part: cells[5],
  station: cells[6],
  angle: cells[7],
  value_mm: cells[8],
  typed: cells[9],
  body: cells[10],
  strikes_id: cells[11],
  at: cells[12],
  recorded_at: cells[13],
  who: cells[14],
});

/** A line as it is in its row, a field after another: an engine has hundreds. */
function toLine(row: LineRow, bodyOf: (text: string) => object): FitLine {
  const { id, kind, place, at, recorded_at: recordedAt, who } = row;
  const body = bodyOf(row.body);
  const shared =
    who === '' ? { id, kind, place, at, recordedAt, body } : { id, kind, place, at, recordedAt, who, body };
  if (kind === 'strike') return { ...shared, kind: 'strike', strikes: row.strikes_id as string };
  if (kind !== 'reading') return shared as FitLine;
  const reading = shared as { -readonly [Field in keyof ReadingLine]?: unknown };
  reading.part = row.part;
  reading.station = row.station;
  reading.angle = row.angle;
  reading.value_mm = row.value_mm;
  reading.typed = row.typed;
  return reading as ReadingLine;
}

function toLines(rows: readonly LineRow[]): readonly FitLine[] {
  const bodyOf = bodies();
  return rows.map((row) => toLine(row, bodyOf));
}

const NO_CELL = { part: null, station: null, angle: null, value_mm: null, typed: null };

function cellOf(line: FitLine) {
  if (line.kind !== 'reading') return NO_CELL;
  const { part, station, angle, value_mm, typed } = line;
  return { part, station, angle, value_mm, typed };
}

const INSERT_LINE = `INSERT INTO fit_line
  (id, fit_id, kind, place, part, station, angle, value_mm, typed, body, strikes_id, at, recorded_at, who)
  VALUES (@id, @fitId, @kind, @place, @part, @station, @angle, @value_mm, @typed, @body, @strikesId, @at, @recordedAt, coalesce(@who, who()))
  ON CONFLICT (id) DO NOTHING`;

const createLines = (db: Database) => {
  const ofFitId = db.prepare<[string], LineRow>('SELECT * FROM fit_line WHERE fit_id = ? ORDER BY seq');
  const linesOfEngine = linesReadOn(
    linesAbove(db, LINE_COLUMNS, 'fit JOIN fit_line ON fit_line.fit_id = fit.id', toRow),
    (row: LineRow) => row.fit_id,
    toLines,
  );
  const insert = db.prepare(INSERT_LINE);
  const byId = db.prepare<[string], LineRow>('SELECT * FROM fit_line WHERE id = ?');
  return {
    /** A line of that id, of whatever fit. */
    line: (id: string): { readonly fitId: string; readonly line: FitLine } | undefined => {
      const row = byId.get(id);
      return row && { fitId: row.fit_id, line: toLine(row, bodies()) };
    },
    lines: (fitId: string): readonly FitLine[] => toLines(ofFitId.all(fitId)),
    /** Every line of every fit of an engine, by fit; read on from what was read before. */
    linesOfEngine: (engineId: string, before?: LinesBy<FitLine>) => linesOfEngine(engineId, before),
    /** Adds a line; the same line sent twice is one. */
    record: (fitId: string, line: FitLine, recordedAt: string): boolean =>
      insert.run({
        id: line.id,
        fitId,
        kind: line.kind,
        place: line.place,
        ...cellOf(line),
        body: JSON.stringify(line.body),
        strikesId: line.kind === 'strike' ? line.strikes : null,
        at: line.at,
        recordedAt,
        who: line.who ?? null,
      }).changes === 1,
  };
};

export const createFitRepository = (db: Database) => {
  const ofEngine = db.prepare<[string], Row>(
    `SELECT ${FIT.columns}, ${HOLDS} FROM fit WHERE engine_id = ? AND ${notAside('fit')} ORDER BY created_at, id`,
  );
  const everOfEngine = db.prepare<[string], Row>(
    `SELECT ${FIT.columns}, ${HOLDS} FROM fit WHERE engine_id = ? ORDER BY created_at, id`,
  );
  const byId = db.prepare<[string], Row>(`SELECT ${FIT.columns}, ${HOLDS} FROM fit WHERE id = ?`);
  const insert = db.prepare(FIT.insert);
  const update = db.prepare(FIT.update);
  const addHold = db.prepare<[string, string]>('INSERT INTO fit_hold (fit_id, joint_id) VALUES (?, ?)');
  const families = db.prepare<[], { family: string }>(
    "SELECT DISTINCT json_extract(detail, '$.shim.family') AS family FROM fit WHERE json_extract(detail, '$.shim') IS NOT NULL",
  );
  const dropHolds = db.prepare<[string]>('DELETE FROM fit_hold WHERE fit_id = ?');
  const hold = ({ id, holds }: Fit) => {
    dropHolds.run(id);
    for (const joint of new Set(holds)) addHold.run(id, joint);
  };
  return {
    /** Those that are worked with: what was set aside is left out. */
    ofEngine: (engineId: string): readonly Fit[] => ofEngine.all(engineId).map(toFit),
    /** Those that were set aside as well. */
    everOfEngine: (engineId: string): readonly Fit[] => everOfEngine.all(engineId).map(toFit),
    find: (id: string): Fit | undefined => {
      const row = byId.get(id);
      return row && toFit(row);
    },
    /** Drawers of shims that any fit of the shop draws on. */
    shimFamilies: (): readonly string[] => families.all().map(({ family }) => family),
    add: db.transaction((fit: Fit): void => {
      insert.run(ofFit(fit));
      hold(fit);
    }),
    /** Alters a fit that is still of the version given; false where it was altered meanwhile. */
    alter: db.transaction((fit: Fit): boolean => {
      if (update.run(ofFit(fit)).changes === 0) return false;
      hold(fit);
      return true;
    }),
    ...createLines(db),
  };
};
