'use client';

import { usePathname } from 'next/navigation';
import { useCallback, useEffect, useRef, useState } from 'react';
import { nearTime } from '../figures/times';
import { loadDraft, markHalfFilled, saveDraft } from './drafts';
import type { KeptDraft } from './use-draft';

export interface TableDraft extends KeptDraft {
  /** Another one whenever the table was put back to something else: its cells begin anew. */
  readonly key: number;
  /** The sheet on disk that what stands in it was typed over; null where there was none. */
  readonly over: string | null;
  /** What stands in it was saved under this id. */
  readonly saved: (id: string) => void;
}

/** What is kept of a table: its cells, and the sheet that they were typed over. */
interface Typed<Values extends object> {
  readonly table: Values;
  readonly over: string | null;
}

interface Table<Values extends object> {
  readonly name: string;
  /** What stands in it now. */
  readonly values: Values;
  /** What is on disk, and its id there. */
  readonly onDisk: Values;
  readonly id: string | undefined;
  readonly restore: (values: Values) => void;
}

/**
 * Keeps what is typed into a table that is saved by a key of its own, on this device, and brings it back. Where the
 * sheet on disk becomes another than the one saved here, as by taking an act back, that one stands in the table; unless
 * something was typed over the earlier one, which stays, and is held against what is there when it is saved.
 */
export function useTableDraft<Values extends object>({ name, values, onDisk, id, restore }: Table<Values>): TableDraft {
  const page = usePathname();
  const disk = JSON.stringify(onDisk);
  const now = JSON.stringify(values);
  const [base, setBase] = useState(disk);
  const [key, setKey] = useState(0);
  const [from, setFrom] = useState<string>();
  const [ready, setReady] = useState(false);
  const [over, setOver] = useState(id ?? null);
  const shown = useRef(id);
  const latest = useRef(restore);
  const dirty = now !== base;
  useEffect(() => {
    latest.current = restore;
  });
  const put = useCallback((to: Values) => {
    latest.current(to);
    setKey((before) => before + 1);
  }, []);
  useEffect(() => {
    const draft = loadDraft(page, name);
    // oxlint-disable-next-line react/set-state-in-effect -- the store of the device can only be read here
    setReady(true);
    if (!draft) return;
    const typed = draft.values as Partial<Typed<Values>>;
    if (!typed.table) return;
    put(typed.table);
    setOver(typed.over ?? null);
    setFrom(nearTime(draft.at, Date.now()));
  }, [page, name, put]);
  useEffect(() => {
    if (id === shown.current) return;
    shown.current = id;
    if ((id ?? null) === over || dirty) return;
    // Saved or taken back past this table, and nothing of one's own stands in it.
    // oxlint-disable-next-line react/set-state-in-effect
    setOver(id ?? null);
    setBase(disk);
    put(JSON.parse(disk) as Values);
  }, [id, over, dirty, disk, put]);
  const self = useRef<symbol>(undefined);
  useEffect(() => {
    self.current ??= Symbol(name);
    const own = self.current;
    markHalfFilled(own, dirty);
    return () => markHalfFilled(own, false);
  }, [dirty, name]);
  useEffect(() => {
    if (!ready) return;
    const typed: Typed<Values> = { table: JSON.parse(now) as Values, over };
    saveDraft(page, name, dirty ? { at: new Date().toISOString(), values: { ...typed } } : undefined);
  }, [ready, dirty, now, over, page, name]);
  const sent = useCallback(() => {
    setBase(now);
    setFrom(undefined);
  }, [now]);
  const saved = useCallback(
    (savedAs: string) => {
      setOver(savedAs);
      sent();
    },
    [sent],
  );
  const discard = useCallback(() => {
    put(JSON.parse(disk) as Values);
    setBase(disk);
    setOver(id ?? null);
    setFrom(undefined);
  }, [disk, id, put]);
  return { key, over, from: dirty ? from : undefined, discard, sent, saved };
}
