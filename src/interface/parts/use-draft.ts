'use client';

import type { UseFormReturnType } from '@mantine/form';
import { usePathname } from 'next/navigation';
import { useCallback, useEffect, useRef, useState } from 'react';
import { nearTime } from '../figures/times';
import { draftsOf, loadDraft, markHalfFilled, saveDraft } from './drafts';

export interface KeptDraft {
  /** When what stands in the form was typed, in words, where it was brought back. */
  readonly from?: string;
  /** Throws away what was typed, and what is kept of it. */
  readonly discard: () => void;
  /** What was typed has been sent: nothing is kept of it. */
  readonly sent: () => void;
}

/** Keeps a form's values on this device while it is half filled, and brings them back. */
export function useDraft<Values extends Record<string, unknown>>(
  form: UseFormReturnType<Values>,
  name: string,
): KeptDraft {
  const page = usePathname();
  const [from, setFrom] = useState<string>();
  const self = useRef<symbol>(undefined);
  const { setValues, reset } = form;
  // Nothing is written before what was kept has been brought back.
  const [ready, setReady] = useState(false);
  const kept = useRef<string>(undefined);
  useEffect(() => {
    const draft = loadDraft(page, name);
    // Here, for the store of the device can only be read once the page is there.
    setReady(true);
    if (!draft) return;
    // What a later program no longer asks for is left out.
    const known = Object.entries(draft.values).filter(([field]) => field in form.getValues());
    setValues(Object.fromEntries(known) as Partial<Values>);
    kept.current = JSON.stringify(form.getValues());
    setFrom(nearTime(draft.at, Date.now()));
    // Once, as the form comes up.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [page, name]);
  const dirty = form.isDirty();
  const values = form.values;
  useEffect(() => {
    self.current ??= Symbol(name);
    const own = self.current;
    markHalfFilled(own, dirty);
    return () => markHalfFilled(own, false);
  }, [dirty, name]);
  useEffect(() => {
    if (!ready || (dirty && JSON.stringify(values) === kept.current)) return;
    kept.current = undefined;
    saveDraft(page, name, dirty ? { at: new Date().toISOString(), values } : undefined);
  }, [ready, dirty, values, page, name]);
  const sent = useCallback(() => {
    saveDraft(page, name, undefined);
    setFrom(undefined);
  }, [page, name]);
  const discard = useCallback(() => {
    reset();
    sent();
  }, [reset, sent]);
  return { from: dirty ? from : undefined, discard, sent };
}

/** The forms of this page that were left half filled, known once the page is alive. */
export function useDrafts(onFound: (names: readonly string[]) => unknown): void {
  const page = usePathname();
  const latest = useRef(onFound);
  useEffect(() => {
    const names = draftsOf(page);
    if (names.length > 0) latest.current(names);
  }, [page]);
}
