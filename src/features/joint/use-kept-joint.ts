'use client';

import { useCallback, useRef, useState } from 'react';
import type { Joint } from '@/model/joint/joint';
import type { JointDetail } from '@/model/joint/joint-detail';
import { fail } from '@/model/result';
import { send } from '@/interface/parts/use-action-form';
import { alterJointAction } from './actions';
import type { JointChange } from './schema';

interface Change {
  readonly change: JointChange;
  readonly detail: Partial<JointDetail>;
}

/** Somebody else changed the joint: what stands on disk now, what stood here, and what was to be changed. */
export interface Conflict extends Change {
  readonly here: Joint;
  readonly onDisk: Joint;
}

export interface KeptJoint {
  readonly joint: Joint;
  readonly change: (part: JointChange) => void;
  readonly changeDetail: (part: Partial<JointDetail>) => void;
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

const NO_CHANGE: Change = { change: {}, detail: {} };
const both = (a: Change, b: Change): Change => ({
  change: { ...a.change, ...b.change },
  detail: { ...a.detail, ...b.detail },
});
const isNothing = ({ change, detail }: Change) => Object.keys(change).length + Object.keys(detail).length === 0;

/**
 * Keeps changes on disk behind the figures, one write at a time and in order: only what was changed goes out, with the
 * version that it was made on. What piles up while a write is under way goes out together.
 */
export function useKeptJoint(initial: Joint): KeptJoint {
  const [joint, setJoint] = useState(initial);
  const [problem, setProblem] = useState<string>();
  const [conflict, setConflict] = useState<Conflict>();
  const queue = useRef<Promise<unknown>>(Promise.resolve());
  /** The joint as it is on disk, as far as is known here; and what is not there yet. */
  const onDisk = useRef(initial);
  const waiting = useRef<Change>(NO_CHANGE);
  const isKept = useRef(true);
  const write = useCallback(async () => {
    const next = waiting.current;
    if (isNothing(next)) return;
    waiting.current = NO_CHANGE;
    const { id, version } = onDisk.current;
    const outcome = await send(alterJointAction, { id, version, ...next });
    isKept.current = outcome.ok;
    if (outcome.ok) {
      onDisk.current = outcome.result.joint;
      setProblem(undefined);
    } else if (outcome.error.stale) {
      const theirs = outcome.error.stale.current as Joint;
      setConflict({ ...both(next, waiting.current), here: onDisk.current, onDisk: theirs });
      waiting.current = NO_CHANGE;
    } else setProblem(outcome.error.message);
  }, []);
  const add = useCallback(
    (part: Change) => {
      waiting.current = both(waiting.current, part);
      setJoint((before) => altered(before, part));
      queue.current = queue.current.then(write);
    },
    [write],
  );
  const change = useCallback((part: JointChange) => add({ change: part, detail: {} }), [add]);
  const changeDetail = useCallback((part: Partial<JointDetail>) => add({ change: {}, detail: part }), [add]);
  const resolve = (how: 'theirs' | 'mine') => {
    if (!conflict) return;
    onDisk.current = conflict.onDisk;
    setJoint(conflict.onDisk);
    setConflict(undefined);
    setProblem(undefined);
    isKept.current = true;
    if (how === 'mine') add(conflict);
  };
  const settled = useCallback(async () => {
    await queue.current;
    return isKept.current ? onDisk.current.version : undefined;
  }, []);
  return { joint, change, changeDetail, problem, conflict, resolve, settled };
}
