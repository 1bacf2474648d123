import type { Database } from 'better-sqlite3';
import type { Method, Part, Wanted } from '@/core/fits';
import type { Fit, FitDetail, FitLine, FitLineKind, ReadingLine } from '@/model/fit/fit';

interface FitRow {
  readonly id: string;
  readonly engine_id: string;
  readonly kind: string;
  readonly name: string;
  readonly places: string;
  readonly methods: string;
  readonly stations: number;
  readonly angles: number;
  readonly joint_id: string | null;
  readonly leaf_id: string | null;
  readonly holds: string;
  readonly wanted: string;
  readonly detail: string;
  readonly created_at: string;
}

interface LineRow {
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
}

const toFit = (row: FitRow): Fit => ({
  id: row.id,
  engineId: row.engine_id,
  kind: row.kind,
  name: row.name,
  places: JSON.parse(row.places) as string[],
  methods: JSON.parse(row.methods) as Method[],
  stations: row.stations,
  angles: row.angles,
  jointId: row.joint_id,
  leafId: row.leaf_id,
  holds: JSON.parse(row.holds) as string[],
  wanted: JSON.parse(row.wanted) as Wanted,
  detail: JSON.parse(row.detail) as FitDetail,
  createdAt: row.created_at,
});

/** Readings taken one after another were taken alike: what is kept with them is parsed once. */
function bodies(): (text: string) => object {
  const parsed = new Map<string, object>();
  return (text) => {
    const known = parsed.get(text) ?? (JSON.parse(text) as object);
    parsed.set(text, known);
    return known;
  };
}

function toLine(row: LineRow, bodyOf: (text: string) => object): FitLine {
  const shared = { id: row.id, kind: row.kind, place: row.place, at: row.at, body: bodyOf(row.body) };
  if (row.kind === 'strike') return { ...shared, kind: 'strike', strikes: row.strikes_id as string };
  if (row.kind !== 'reading') return shared as FitLine;
  return {
    ...shared,
    part: row.part,
    station: row.station,
    angle: row.angle,
    value_mm: row.value_mm,
    typed: row.typed,
  } as ReadingLine;
}

function byFit(rows: readonly LineRow[]): ReadonlyMap<string, readonly FitLine[]> {
  const lines = new Map<string, FitLine[]>();
  const bodyOf = bodies();
  for (const row of rows) {
    const own = lines.get(row.fit_id);
    if (own) own.push(toLine(row, bodyOf));
    else lines.set(row.fit_id, [toLine(row, bodyOf)]);
  }
  return lines;
}

const FITS = `SELECT fit.*, (SELECT json_group_array(joint_id) FROM fit_hold WHERE fit_id = fit.id) AS holds FROM fit`;
const NO_CELL = { part: null, station: null, angle: null, value_mm: null, typed: null };

const cellOf = (line: FitLine) =>
  line.kind === 'reading'
    ? { part: line.part, station: line.station, angle: line.angle, value_mm: line.value_mm, typed: line.typed }
    : NO_CELL;

const INSERT = `INSERT INTO fit (id, engine_id, kind, name, places, methods, stations, angles, joint_id, leaf_id, wanted, detail, created_at)
     VALUES (@id, @engineId, @kind, @name, @places, @methods, @stations, @angles, @jointId, @leafId, @wanted, @detail, @createdAt)`;
const INSERT_LINE = `INSERT OR IGNORE INTO fit_line (id, fit_id, kind, place, part, station, angle, value_mm, typed, body, strikes_id, at, recorded_at)
     VALUES (@id, @fitId, @kind, @place, @part, @station, @angle, @value_mm, @typed, @body, @strikesId, @at, @recordedAt)`;

const columns = (fit: Fit) => ({
  ...fit,
  places: JSON.stringify(fit.places),
  methods: JSON.stringify(fit.methods),
  wanted: JSON.stringify(fit.wanted),
  detail: JSON.stringify(fit.detail),
});

export const createFitRepository = (db: Database) => {
  const ofEngine = db.prepare<[string], FitRow>(`${FITS} WHERE engine_id = ? ORDER BY created_at, id`);
  const byId = db.prepare<[string], FitRow>(`${FITS} WHERE id = ?`);
  const insert = db.prepare(INSERT);
  const update = db.prepare(
    `UPDATE fit SET name = @name, places = @places, methods = @methods, stations = @stations, angles = @angles, joint_id = @jointId, leaf_id = @leafId,
     wanted = @wanted, detail = @detail WHERE id = @id`,
  );
  const addHold = db.prepare<[string, string]>('INSERT INTO fit_hold (fit_id, joint_id) VALUES (?, ?)');
  const dropHolds = db.prepare<[string]>('DELETE FROM fit_hold WHERE fit_id = ?');
  const linesOfFit = db.prepare<[string], LineRow>('SELECT * FROM fit_line WHERE fit_id = ? ORDER BY seq');
  const linesOfEngine = db.prepare<[string], LineRow>(
    'SELECT fit_line.* FROM fit JOIN fit_line ON fit_line.fit_id = fit.id WHERE fit.engine_id = ? ORDER BY seq',
  );
  const insertLine = db.prepare(INSERT_LINE);
  const hold = ({ id, holds }: Fit) => {
    dropHolds.run(id);
    for (const joint of new Set(holds)) addHold.run(id, joint);
  };
  return {
    ofEngine: (engineId: string): readonly Fit[] => ofEngine.all(engineId).map(toFit),
    find: (id: string): Fit | undefined => {
      const row = byId.get(id);
      return row && toFit(row);
    },
    add: db.transaction((fit: Fit): void => {
      insert.run(columns(fit));
      hold(fit);
    }),
    alter: db.transaction((fit: Fit): void => {
      update.run(columns(fit));
      hold(fit);
    }),
    lines: (fitId: string): readonly FitLine[] => {
      const bodyOf = bodies();
      return linesOfFit.all(fitId).map((row) => toLine(row, bodyOf));
    },
    /** Every line of every fit of an engine, by fit, read at once. */
    linesOfEngine: (engineId: string): ReadonlyMap<string, readonly FitLine[]> => byFit(linesOfEngine.all(engineId)),
    /** Adds a line; the same line sent twice is one. */
    record: (fitId: string, line: FitLine, recordedAt: string): boolean =>
      insertLine.run({
        id: line.id,
        fitId,
        kind: line.kind,
        place: line.place,
        ...cellOf(line),
        body: JSON.stringify(line.body),
        strikesId: line.kind === 'strike' ? line.strikes : null,
        at: line.at,
        recordedAt,
      }).changes === 1,
  };
};
