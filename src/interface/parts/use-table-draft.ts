'use client';

import { usePathname } from 'next/navigation';
import { useCallback, useEffect, useRef, useState } from 'react';
import { nearTime } from '../figures/times';
import { loadDraft, markHalfFilled, saveDraft } from './drafts';
import type { KeptDraft } from './use-draft';

export interface TableDraft extends KeptDraft {
  /** Another one whenever the table was put back to something else: its cells begin anew. */
  readonly key: number;
  /** What stands in it was saved under this id. */
  readonly saved: (id: string) => void;
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
 * sheet on disk becomes another than the one saved here, as by taking an act back, that one stands in the table.
 */
export function useTableDraft<Values extends object>({ name, values, onDisk, id, restore }: Table<Values>): TableDraft {
  const page = usePathname();
  const disk = JSON.stringify(onDisk);
  const now = JSON.stringify(values);
  const [base, setBase] = useState(disk);
  const [key, setKey] = useState(0);
  const [from, setFrom] = useState<string>();
  const [ready, setReady] = useState(false);
  const known = useRef(id);
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
    // eslint-disable-next-line react-hooks/set-state-in-effect -- the store of the device can only be read here
    setReady(true);
    if (!draft) return;
    put(draft.values as Values);
    setFrom(nearTime(draft.at, Date.now()));
  }, [page, name, put]);
  useEffect(() => {
    if (id === known.current) return;
    known.current = id;

    setBase(disk);
    put(JSON.parse(disk) as Values);
    saveDraft(page, name, undefined);
  }, [id, disk, page, name, put]);
  const self = useRef<symbol>(undefined);
  useEffect(() => {
    self.current ??= Symbol(name);
    const own = self.current;
    markHalfFilled(own, dirty);
    return () => markHalfFilled(own, false);
  }, [dirty, name]);
  useEffect(() => {
    if (ready)
      saveDraft(
        page,
        name,
        dirty ? { at: new Date().toISOString(), values: JSON.parse(now) as Record<string, unknown> } : undefined,
      );
  }, [ready, dirty, now, page, name]);
  const sent = useCallback(() => {
    setBase(now);
    setFrom(undefined);
  }, [now]);
  const saved = useCallback(
    (savedAs: string) => {
      known.current = savedAs;
      sent();
    },
    [sent],
  );
  const discard = useCallback(() => {
    put(JSON.parse(base) as Values);
    setFrom(undefined);
  }, [base, put]);
  return { key, from: dirty ? from : undefined, discard, sent, saved };
}
