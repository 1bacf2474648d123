import type { Fit, FitLine, ReadingLine } from '@/model/fit/fit';
import { fittedElsewhere } from '@/model/fit/fit-reading';
import type { FitContext } from '@/model/fit/fit-context';
import { fitState } from '@/model/fit/fit-state';
import type { FitState } from '@/model/fit/place-state';
import { doubtsOf } from '@/model/fit/reading-doubts';
import type { ReadingRow } from './readings-csv';

type Read = NonNullable<ReadingRow['reading']>;

/** A row as the line that it would be. */
function lineOf({ id, place, part, station, angle, value_mm, typed, unit, instrument, piece }: Read): ReadingLine {
  const body = { unit, instrument, piece, answers: {} };
  return { id, kind: 'reading', place, part, station, angle, value_mm, typed, at: '', body };
}

/**
 * Gives each row what is doubtful about it beside what has been read and the other rows: asked as on the sheet. A marked
 * part that would stand in two bores is kept aside.
 */
export function doubter(
  rows: readonly ReadingRow[],
  fits: readonly Fit[],
  lines: ReadonlyMap<string, readonly FitLine[]>,
  contextOf: (fit: Fit) => FitContext,
): (row: ReadingRow) => ReadingRow {
  const read = rows.flatMap(({ reading }) => reading ?? []);
  const states = new Map<string, FitState>();
  for (const fit of fits) {
    const own = read.filter(({ fitId }) => fitId === fit.id).map((reading) => lineOf(reading));
    if (own.length > 0) states.set(fit.id, fitState(fit, [...(lines.get(fit.id) ?? []), ...own], contextOf(fit)));
  }
  return (row) => {
    const state = row.reading && states.get(row.reading.fitId);
    if (!row.reading || !state) return row;
    const { place, piece } = row.reading;
    const elsewhere = piece === undefined ? undefined : fittedElsewhere(state, place, piece);
    if (elsewhere) {
      const { reading: _, ...shown } = row;
      return { ...shown, reason: `${piece ?? ''} stands in ${elsewhere.name} too: it stays with one bore.` };
    }
    const doubts = doubtsOf(state, row.reading, row.reading.value_mm, row.reading.resolution_mm ?? 0.01);
    return doubts.length === 0 ? row : { ...row, doubt: doubts.map(({ message }) => message).join(' ') };
  };
}
