/** Lines by what they belong to, each in the order in which it was written. */
export type LinesBy<Line> = ReadonlyMap<string, readonly Line[]>;

/** How many lines of an engine there are up to a number, and those above it in their order. */
interface Found<Row> {
  readonly older: number;
  readonly newer: readonly Row[];
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
