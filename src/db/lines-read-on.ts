import type { Database } from 'better-sqlite3';

/** Lines by what they belong to, each in the order in which it was written. */
export type LinesBy<Line> = ReadonlyMap<string, readonly Line[]>;

/** How many lines of an engine there are up to a number, and those above it in their order. */
interface Found<Row> {
  readonly older: number;
  readonly newer: readonly Row[];
}

/** Rows out of the text that they came in, in the order in which they were written: no index promises it. */
export const rowsIn = <Cells, Row extends { readonly seq: number }>(
  text: string | undefined,
  toRow: (cells: Cells) => Row,
): readonly Row[] => (JSON.parse(text ?? '[]') as readonly Cells[]).map(toRow).sort((a, b) => a.seq - b.seq);

/**
 * Asks the file for an engine's lines above a number. As one text they come in a third of the time of as many rows.
 * @param columns of a line, as `toRow` takes its cells
 * @param from the table of lines joined to what has the engine's id
 */
export function linesAbove<Cells, Row extends { readonly seq: number }>(
  db: Database,
  columns: string,
  from: string,
  toRow: (cells: Cells) => Row,
): (engineId: string, seq: number) => Found<Row> {
  const sql = db.prepare<{ engineId: string; seq: number }, { readonly older: number; readonly newer: string }>(
    `SELECT count(*) FILTER (WHERE seq <= @seq) AS older,
       json_group_array(json_array(${columns})) FILTER (WHERE seq > @seq) AS newer
     FROM ${from} WHERE engine_id = @engineId`,
  );
  return (engineId, seq) => {
    const found = sql.get({ engineId, seq });
    return { older: found?.older ?? 0, newer: rowsIn(found?.newer, toRow) };
  };
}

interface Mark {
  readonly engineId: string;
  readonly last: number;
  readonly count: number;
}

/**
 * Makes what reads an engine's lines, on from those that were read before where they are given: a line is never altered
 * and never removed, and no number is given twice, so that those read before are what they were. Of what no line was
 * added to, the very same list comes back. Where there are not as many as there were, all of them are read anew.
 */
export function linesReadOn<Row extends { readonly seq: number }, Line>(
  above: (engineId: string, seq: number) => Found<Row>,
  ownerOf: (row: Row) => string,
  toLines: (rows: readonly Row[]) => readonly Line[],
): (engineId: string, before?: LinesBy<Line>) => LinesBy<Line> {
  const marks = new WeakMap<LinesBy<Line>, Mark>();
  const read = (engineId: string, before: LinesBy<Line> | undefined, mark: Mark | undefined): LinesBy<Line> => {
    const { older, newer } = above(engineId, mark?.last ?? 0);
    if (mark && older !== mark.count) return read(engineId, undefined, undefined);
    if (before && newer.length === 0) return before;
    const rows = new Map<string, Row[]>();
    for (const row of newer) {
      const own = rows.get(ownerOf(row));
      if (own) own.push(row);
      else rows.set(ownerOf(row), [row]);
    }
    const lines = new Map(before);
    for (const [owner, own] of rows) lines.set(owner, [...(lines.get(owner) ?? []), ...toLines(own)]);
    marks.set(lines, { engineId, last: newer.at(-1)?.seq ?? 0, count: older + newer.length });
    return lines;
  };
  return (engineId, before) => {
    const mark = before && marks.get(before);
    return mark?.engineId === engineId ? read(engineId, before, mark) : read(engineId, undefined, undefined);
  };
}
