import type { Fit, FitLine, ReadingLine } from '@/model/fit/fit';
import { fitState, type FitContext, type FitState } from '@/model/fit/fit-state';
import { doubtsOf } from '@/model/fit/reading-doubts';
import type { ReadingRow } from './readings-csv';

type Read = NonNullable<ReadingRow['reading']>;

/** A row as the line that it would be. */
function lineOf({ place, part, station, angle, value_mm, typed, unit, instrument }: Read, i: number): ReadingLine {
  const body = { unit, instrument, answers: {} };
  return { id: `row-${i}`, kind: 'reading', place, part, station, angle, value_mm, typed, at: '', body };
}

/** Each row with what is doubtful about it beside what has been read and the other rows: asked as on the sheet. */
export function withDoubts(
  rows: readonly ReadingRow[],
  fits: readonly Fit[],
  lines: ReadonlyMap<string, readonly FitLine[]>,
  contextOf: (fit: Fit) => FitContext,
): readonly ReadingRow[] {
  const read = rows.flatMap(({ reading }) => reading ?? []);
  const states = new Map<string, FitState>();
  for (const fit of fits) {
    const own = read.filter(({ fitId }) => fitId === fit.id).map(lineOf);
    if (own.length > 0) states.set(fit.id, fitState(fit, [...(lines.get(fit.id) ?? []), ...own], contextOf(fit)));
  }
  return rows.map((row) => {
    const state = row.reading && states.get(row.reading.fitId);
    if (!row.reading || !state) return row;
    const doubts = doubtsOf(state, row.reading, row.reading.value_mm, row.reading.resolution_mm ?? 0.01);
    return doubts.length === 0 ? row : { ...row, doubt: doubts.map(({ message }) => message).join(' ') };
  });
}
