'use client';

import { nanoid } from 'nanoid';
import { useLocalStorage } from '@mantine/hooks';
import { useCallback, useMemo, useRef, useState } from 'react';
import { cellKey, entryOrder } from '@/core/fits';
import { isDomainError, READING_UNITS_MM } from '@/core/units';
import type { FitLine, ReadingLine } from '@/model/fit/fit';
import { doubtsOf, type PlacedCell } from '@/model/fit/reading-doubts';
import { assertOfThisBore } from '@/model/fit/fit-reading';
import { planOfFit } from '@/model/fit/kind-of-fit';
import type { FitState } from '@/model/fit/place-state';
import { isLength, type InstrumentReading, type LengthReading } from '@/instruments/measuring-instrument';
import { bodyOf, valueOf, type Session } from './session';

export const cellId = (cell: PlacedCell): string => `cell-${cell.place}-${cellKey(cell).replaceAll('.', '-')}`;

export interface Entry {
  readonly drafts: Readonly<Record<string, string>>;
  /** A sentence on a cell, and whether a second Enter keeps the reading all the same. */
  readonly problems: Readonly<Record<string, { readonly words: string; readonly isDoubt: boolean }>>;
  readonly type: (cell: PlacedCell, text: string) => void;
  /** Enters what was typed and goes on to the next cell that is still to be read. */
  readonly enter: (cell: PlacedCell, text?: string, how?: Session) => void;
  /** Keeps what was typed as the cell is left, by whatever way; a reading that is in doubt waits for Enter. */
  readonly leave: (cell: PlacedCell) => void;
  /** What was typed is thrown away; the reading that stood there stands. */
  readonly forget: (cell: PlacedCell) => void;
  /** A reading that an instrument sent: into the cell at hand, else the next that is open and fits it. */
  readonly receive: (reading: LengthReading) => void;
  /** What marks the part at a place, as typed or as it was last read. */
  readonly pieceAt: (place: number) => string;
  readonly markPiece: (place: number, piece: string) => void;
  readonly goOn: () => void;
  readonly move: (cell: PlacedCell, by: number) => void;
  readonly left: number;
}

const focusCell = (cell: PlacedCell | undefined) => {
  const element = cell && document.getElementById(cellId(cell));
  if (element instanceof HTMLInputElement) {
    element.focus();
    element.select();
  }
};

/** A wrench, a gauge of bolts or a probe may be heard here too: it reads no fit. */
export const isOfFit = (reading: InstrumentReading): reading is LengthReading =>
  isLength(reading) && reading.kind !== 'stretch-gauge';

/** Entering readings by keyboard in the order of the hand: value, Enter, and on to the next cell. */
export function useFitEntry(
  judged: FitState,
  session: Session,
  bolts: string | undefined,
  add: (line: FitLine) => void,
): Entry {
  const { fit } = judged;
  // What cannot be kept yet outlives the page.
  const [drafts, setDrafts] = useLocalStorage<Readonly<Record<string, string>>>({
    key: `spanner-readings-${fit.id}`,
    defaultValue: {},
  });
  // The cell that is being entered is left on the way to the next one, before its draft is gone.
  const entering = useRef<string>(undefined);
  const [pieces, setPieces] = useState<Readonly<Record<number, string>>>({});
  const [problems, setProblems] = useState<Entry['problems']>({});
  const order = useMemo(() => entryOrder(planOfFit(fit), fit.places.length), [fit]);
  const isRead = useCallback(
    (cell: PlacedCell) => judged.places[cell.place]?.current.has(cellKey(cell)) ?? false,
    [judged],
  );
  const without = (id: string) => (before: Entry['problems']) =>
    Object.fromEntries(Object.entries(before).filter(([key]) => key !== id));
  const indexOf = (cell: PlacedCell) => order.findIndex((one) => cellId(one) === cellId(cell));
  const onFrom = (cell: PlacedCell) => {
    const at = indexOf(cell);
    const rest = [...order.slice(at + 1), ...order.slice(0, at)];
    focusCell(rest.find((one) => !isRead(one)) ?? order[at + 1]);
  };
  const pieceAt = (place: number) => {
    const { current, beneath } = judged.places[place] ?? { current: new Map<string, ReadingLine>(), beneath: [] };
    return (
      pieces[place] ??
      [...beneath, ...current.values()].findLast(({ body }) => body.piece !== undefined)?.body.piece ??
      ''
    );
  };
  const refuse = (id: string, words: string, isDoubt: boolean) =>
    setProblems((before) => ({ ...before, [id]: { words, isDoubt } }));
  const dropDraft = (id: string) =>
    setDrafts((before) => Object.fromEntries(Object.entries(before).filter(([key]) => key !== id)));
  /** True where the reading was kept; what stands against it is said at its cell. */
  const keep = (cell: PlacedCell, text: string, how: Session, isSure: boolean): boolean => {
    const id = cellId(cell);
    const refused = (words: string, isDoubt: boolean) => {
      refuse(id, words, isDoubt);
      return false;
    };
    try {
      const value_mm = valueOf(text, cell.part, how, fit.detail.packet?.unit);
      const doubts = doubtsOf(judged, cell, value_mm, how.resolution_mm);
      if (doubts.length > 0 && !isSure)
        return refused(`${doubts.map(({ message }) => message).join(' ')} Enter again if it is really so.`, true);
      const { place, part, station, angle } = cell;
      const piece = pieceAt(place).trim() || undefined;
      assertOfThisBore(judged, place, piece);
      add({
        id: nanoid(),
        kind: 'reading',
        place,
        part,
        station,
        angle,
        value_mm,
        typed: text.trim(),
        at: new Date().toISOString(),
        body: {
          ...bodyOf(how, part, bolts, fit.detail.packet?.unit),
          ...(piece !== undefined && { piece }),
          ...(doubts.length > 0 && { sure: true }),
        },
      });
    } catch (error) {
      if (isDomainError(error)) return refused(error.message, false);
      throw error;
    }
    setProblems(without(id));
    dropDraft(id);
    return true;
  };
  const enter = (cell: PlacedCell, text = drafts[cellId(cell)], how = session) => {
    const id = cellId(cell);
    const isEmpty = text === undefined || text.trim() === '';
    if (!isEmpty && !keep(cell, text, how, problems[id]?.isDoubt ?? false)) return;
    entering.current = id;
    onFrom(cell);
    entering.current = undefined;
  };
  const leave = (cell: PlacedCell) => {
    const id = cellId(cell);
    const text = drafts[id];
    if (text === undefined || entering.current === id) return;
    // Emptied: the reading that stood there stands.
    if (text.trim() === '' || text.trim() === judged.places[cell.place]?.current.get(cellKey(cell))?.typed) {
      dropDraft(id);
      return;
    }
    if (!problems[id]) keep(cell, text, session, false);
  };
  const open = order.filter((cell) => !isRead(cell));
  const receive = (reading: LengthReading) => {
    const suits = (cell: PlacedCell) => reading.says === undefined || cell.part === reading.says;
    const inFocus = order.find((cell) => cellId(cell) === document.activeElement?.id);
    const cell = [inFocus, ...open].find((one) => one && suits(one));
    if (!cell) return;
    const text = String(reading.value);
    setDrafts((before) => ({ ...before, [cellId(cell)]: text }));
    if (reading.over) return refuse(cellId(cell), `${reading.instrument} went past its scale: read it again.`, false);
    const named = cell.part === 'bore' ? { outerInstrument: reading.instrument } : { instrument: reading.instrument };
    const { unit } = reading;
    const resolution_mm = reading.resolution * READING_UNITS_MM[unit];
    enter(cell, text, { ...session, ...named, unit, resolution_mm, standard: '' });
  };
  return {
    drafts,
    problems,
    enter,
    leave,
    forget: (cell) => {
      setProblems(without(cellId(cell)));
      dropDraft(cellId(cell));
    },
    receive,
    left: open.length,
    pieceAt,
    markPiece: (place, piece) => setPieces((before) => ({ ...before, [place]: piece })),
    type: (cell, text) => {
      setDrafts((before) => ({ ...before, [cellId(cell)]: text }));
      setProblems(without(cellId(cell)));
    },
    goOn: () => focusCell(open[0]),
    move: (cell, by) => focusCell(order[indexOf(cell) + by]),
  };
}
