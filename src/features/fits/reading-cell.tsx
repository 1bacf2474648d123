'use client';

import type { PlacedCell } from '@/model/fit/reading-doubts';
import { cellKey } from '@/core/fits';
import type { ReadingLine } from '@/model/fit/fit';
import type { FitPlace } from '@/model/fit/place-state';
import { useLengths } from '@/interface/figures/preferences';
import { cellId, type Entry } from './use-fit-entry';
import styles from './readings.module.css';

interface Props {
  readonly cell: PlacedCell;
  readonly label: string;
  readonly place: FitPlace;
  readonly entry: Entry;
  /** True for figures that are told as a clearance, not as a size. */
  readonly small?: boolean;
  /** True where the sentence on it stands elsewhere, so that the drawing keeps its shape. */
  readonly apart?: boolean;
}

const isAsTyped = ({ body, typed }: ReadingLine, inch: boolean, small: boolean) =>
  body.standard_mm === undefined && /^[\d.,]+$/.test(typed) && body.unit === (inch ? (small ? 'thou' : 'in') : 'mm');

const CellProblem = ({ id, words }: { readonly id: string; readonly words: string }) => (
  <span className={styles.problem} id={`${id}-problem`} role="alert">
    {words}
  </span>
);

/** The sentences on some cells, across the whole width. */
export const CellProblems = ({ cells, entry }: { readonly cells: readonly PlacedCell[]; readonly entry: Entry }) =>
  cells.map((cell) => {
    const problem = entry.problems[cellId(cell)];
    return problem && <CellProblem key={cellId(cell)} id={cellId(cell)} words={problem.words} />;
  });

/** One figure of a grid: as typed, and what it comes to. Leaving it keeps it; Enter goes on to the next. */
export function ReadingCell({ cell, label, place, entry, small = false, apart = false }: Props) {
  const { size, gap, inch } = useLengths();
  const id = cellId(cell);
  const current = place.current.get(cellKey(cell));
  const draft = entry.drafts[id];
  const problem = entry.problems[id];
  const earlier = place.beneath.findLast((line) => cellKey(line) === cellKey(cell));
  const told = small ? gap : size;
  // Said only where it is not what was typed: another unit, or from a standard.
  const comes = current && isAsTyped(current, inch, small) ? undefined : current && told(current.value_mm);
  return (
    <span
      className={styles.cell}
      data-read={current !== undefined || undefined}
      data-draft={draft !== undefined || undefined}
    >
      <input
        id={id}
        className={styles.input}
        aria-label={label}
        aria-invalid={problem !== undefined || undefined}
        aria-describedby={problem ? `${id}-problem` : undefined}
        autoComplete="off"
        spellCheck={false}
        value={draft ?? current?.typed ?? ''}
        onChange={(event) => entry.type(cell, event.currentTarget.value)}
        onBlur={() => entry.leave(cell)}
        onKeyDown={(event) => {
          if (event.key === 'Enter') {
            event.preventDefault();
            entry.enter(cell);
          }
          if (event.key === 'Escape') entry.forget(cell);
          if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
            event.preventDefault();
            entry.move(cell, event.key === 'ArrowDown' ? 1 : -1);
          }
        }}
      />
      <span className={styles.told}>
        {earlier && <s>{told(earlier.value_mm)}</s>} {comes}
      </span>
      {problem && !apart && <CellProblem id={id} words={problem.words} />}
    </span>
  );
}
