'use client';

import { startTransition, useCallback, useEffect, useLayoutEffect, useRef, useState } from 'react';
import type { Joint } from '@/model/joint/joint';
import type { FigureFields } from '@/model/joint/figure-fields';
import { withKind } from '@/model/joint/fastener-kind';
import type { JointDetail } from '@/model/joint/joint-detail';
import { fail } from '@/model/result';
import { useOfferUndo, useSettledBeforeUndo } from '@/interface/parts/undo';
import { UNREACHED, send } from '@/interface/parts/send';
import { alterJointAction } from './actions';
import { mergedOnto } from './merged-onto';
import type { JointChange } from './schema';

interface Change {
  readonly change: JointChange;
  readonly detail: Partial<JointDetail>;
}

/** What is to be changed, or what follows from how the joint stands when it is. */
type ToChange = Change | ((joint: Joint) => Change);

/** Somebody else changed the joint: what stands on disk now, what stood here, and what was to be changed. */
export interface Conflict extends Change {
  readonly here: Joint;
  readonly onDisk: Joint;
}

export interface KeptJoint {
  readonly joint: Joint;
  readonly change: (part: JointChange) => void;
  readonly changeDetail: (part: Partial<JointDetail>) => void;
  /** Changes the figure of one of its kinds of fastener, as if that were a joint of its own. */
  readonly changeKind: (at: number, change: Partial<FigureFields>, detail: Partial<JointDetail>) => void;
  /** When it was last written, ms since 1970. */
  readonly savedAt: number | undefined;
  readonly saving: boolean;
  readonly problem?: string;
  readonly conflict?: Conflict;
  /** Takes what is on disk; with `mine`, puts the own change over it. */
  readonly resolve: (how: 'theirs' | 'mine') => void;
  /** Waits for what is under way: the version on disk, or undefined where what stands here is not what is there. */
  readonly settled: () => Promise<number | undefined>;
}

/** What is answered where the sheet shows what could not be written: nothing follows from that. */
export const notOnDisk = (done: string) =>
  fail({ code: 'not-settled', message: `What stands on this sheet is not on disk: nothing was ${done}.` });

const altered = (joint: Joint, { change, detail }: Change): Joint => ({
  ...joint,
  ...change,
  detail: { ...joint.detail, ...detail },
});

/** A change that a field made of the joint as it was drawn, on top of what was typed elsewhere since. */
const ontoNow = ({ change, detail }: Change, drawn: Joint, now: Joint): Change => ({
  change,
  detail: Object.fromEntries(
    Object.entries(detail).map(([field, mine]) => {
      const name = field as keyof JointDetail;
      return [field, mergedOnto(drawn.detail[name], mine, now.detail[name])];
    }),
  ),
});

const NO_CHANGE: Change = { change: {}, detail: {} };
const both = (a: Change, b: Change): Change => ({
  change: { ...a.change, ...b.change },
  detail: { ...a.detail, ...b.detail },
});
/** What is left of a change once the fields of another are through. */
const without = (a: Change, b: Change): Change => ({
  change: Object.fromEntries(Object.entries(a.change).filter(([field]) => !(field in b.change))),
  detail: Object.fromEntries(Object.entries(a.detail).filter(([field]) => !(field in b.detail))),
});
const isNothing = ({ change, detail }: Change) => Object.keys(change).length + Object.keys(detail).length === 0;

/** A figure is written once the finger rests: each letter of it is no figure of its own. */
const RESTS_MS = 300;

/** Whether a change comes from a field that shows by itself what is typed into it. */
const isTyping = (): boolean =>
  document.activeElement?.matches('textarea, input:not([type=checkbox]):not([type=radio])') ?? false;

/**
 * Keeps changes on disk behind the figures, one write at a time and in order: only what was changed goes out, with the
 * version that it was made on. What piles up while a write is under way goes out together.
 */
export function useKeptJoint(initial: Joint): KeptJoint {
  const [joint, setShown] = useState(initial);
  /** The same, for changes that follow one another before it is drawn again. */
  const shown = useRef(initial);
  const setJoint = useCallback((next: Joint) => {
    shown.current = next;
    // The cell shows the letter at once; what follows from it is drawn behind it, and gives way to the next letter.
    if (isTyping()) startTransition(() => setShown(next));
    else setShown(next);
  }, []);
  /** As it is drawn: what a field makes of it is made of this, which may lie behind what was typed since. */
  const drawn = useRef(initial);
  useLayoutEffect(() => {
    drawn.current = joint;
  }, [joint]);
  const [problem, setProblem] = useState<string>();
  const [conflict, setConflict] = useState<Conflict>();
  const [savedAt, setSavedAt] = useState<number>();
  const [saving, setSaving] = useState(false);
  const offerUndo = useOfferUndo();
  const queue = useRef<Promise<unknown>>(Promise.resolve());
  /** The joint as it is on disk, as far as is known here; and what is not there yet. */
  const onDisk = useRef(initial);
  const waiting = useRef<Change>(NO_CHANGE);
  /** What was refused and stands on the sheet all the same, until another figure is put in its place. */
  const refused = useRef(NO_CHANGE);
  const write = useCallback(async () => {
    const next = waiting.current;
    if (isNothing(next)) return;
    waiting.current = NO_CHANGE;
    const { id, version } = onDisk.current;
    setSaving(true);
    const outcome = await send(alterJointAction, { id, version, ...next });
    setSaving(false);
    if (outcome.ok) {
      setSavedAt(Date.now());
      offerUndo(outcome.result);
      onDisk.current = outcome.result.joint;
      refused.current = without(refused.current, next);
      if (isNothing(refused.current)) setProblem(undefined);
      return;
    }
    const { stale, code, message } = outcome.error;
    if (stale) {
      const change = both(refused.current, both(next, waiting.current));
      setConflict({ ...change, here: onDisk.current, onDisk: stale.current as Joint });
      refused.current = change;
      waiting.current = NO_CHANGE;
      return;
    }
    setProblem(message);
    // What did not get through goes along with the next change; what was refused would only be refused again.
    if (code === UNREACHED.code) waiting.current = both(next, waiting.current);
    else refused.current = both(refused.current, next);
  }, [offerUndo]);
  useEffect(() => {
    const isOwn = isNothing(waiting.current) && isNothing(refused.current) && !saving && !conflict;
    if (!isOwn || initial.version <= onDisk.current.version) return;
    // Written past this sheet and drawn anew since, as by taking an act back: nothing of one's own is lost by it.
    onDisk.current = initial;

    setJoint(initial);
  }, [initial, saving, conflict, setJoint]);
  /** Set while the finger has not rested yet. */
  const resting = useRef<ReturnType<typeof setTimeout>>(undefined);
  const writeNow = useCallback(() => {
    clearTimeout(resting.current);
    resting.current = undefined;
    queue.current = queue.current.then(write);
  }, [write]);
  useEffect(() => {
    // Whoever leaves the sheet, or puts the device down, leaves nothing unwritten behind.
    const leave = () => {
      if (resting.current !== undefined) writeNow();
    };
    // A link takes the focus before it goes: an act that is sent from the next page would not be of this one.
    document.addEventListener('focusout', leave);
    document.addEventListener('visibilitychange', leave);
    window.addEventListener('pagehide', leave);
    return () => {
      document.removeEventListener('focusout', leave);
      document.removeEventListener('visibilitychange', leave);
      window.removeEventListener('pagehide', leave);
      leave();
    };
  }, [writeNow]);
  const add = useCallback(
    (wanted: ToChange) => {
      const part = typeof wanted === 'function' ? wanted(shown.current) : ontoNow(wanted, drawn.current, shown.current);
      waiting.current = both(waiting.current, part);
      setJoint(altered(shown.current, part));
      clearTimeout(resting.current);
      if (isTyping()) resting.current = setTimeout(writeNow, RESTS_MS);
      else writeNow();
    },
    [writeNow, setJoint],
  );
  const change = useCallback((part: JointChange) => add({ change: part, detail: {} }), [add]);
  const changeDetail = useCallback((part: Partial<JointDetail>) => add({ change: {}, detail: part }), [add]);
  const changeKind = useCallback(
    (at: number, fields: Partial<FigureFields>, detail: Partial<JointDetail>) =>
      add(({ detail: now }) => ({ change: {}, detail: { kinds: withKind(now, at, fields, detail) } })),
    [add],
  );
  const resolve = (how: 'theirs' | 'mine') => {
    if (!conflict) return;
    onDisk.current = conflict.onDisk;
    setJoint(conflict.onDisk);
    setConflict(undefined);
    setProblem(undefined);
    refused.current = NO_CHANGE;
    if (how === 'mine') add(conflict);
  };
  const settled = useCallback(async () => {
    if (resting.current !== undefined) writeNow();
    await queue.current;
    const isKept = isNothing(refused.current) && isNothing(waiting.current);
    return isKept ? onDisk.current.version : undefined;
  }, [writeNow]);
  useSettledBeforeUndo(useCallback(async () => (await settled()) !== undefined, [settled]));
  return { joint, change, changeDetail, changeKind, savedAt, saving, problem, conflict, resolve, settled };
}
