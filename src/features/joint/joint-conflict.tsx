'use client';

import type { Joint } from '@/model/joint/joint';
import type { Shelves } from '@/model/shelf/shelves';
import { differencesOf, type Say } from '@/model/stale';
import { Button } from '@/interface/parts/button';
import { ConflictNotice } from '@/interface/parts/conflict-notice';
import { sayJoint } from './joint-changes';
import type { Conflict, KeptJoint } from './use-kept-joint';

const LEFT_OUT = new Set(['version', 'detail', 'originalFilmReason', 'createdAt']);

/** A joint laid flat, part by part, without what follows from the rest. */
const partsOf = ({ detail, ...joint }: Joint) =>
  Object.fromEntries(Object.entries({ ...joint, ...detail }).filter(([part]) => !LEFT_OUT.has(part)));

const changedBy = (conflict: Conflict, say: Say) => {
  const mine = { ...conflict.change, ...conflict.detail };
  return differencesOf(partsOf(conflict.onDisk), { ...partsOf(conflict.here), ...mine }, say);
};

/** The joint was changed elsewhere: both values of all that differs, and a choice. */
export function JointConflict({
  kept,
  conflict,
  shelves,
}: {
  readonly kept: KeptJoint;
  readonly conflict: Conflict;
  readonly shelves: Shelves;
}) {
  return (
    <ConflictNotice
      what="This joint was changed in another window or on another device since it was opened here. Your change is not written yet; what follows is reckoned with it."
      differences={changedBy(conflict, sayJoint(shelves))}
    >
      <Button onClick={() => kept.resolve('theirs')}>Take what is on disk</Button>
      <Button rank="main" onClick={() => kept.resolve('mine')}>
        Take it, and put my change over it
      </Button>
    </ConflictNotice>
  );
}
