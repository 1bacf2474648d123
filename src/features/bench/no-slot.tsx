'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { PullStep } from '@/core/tightening';
import { turnNumber } from '@/interface/words/bench-words';
import { kindAt, type TighteningPlan } from '@/model/joint/tightening-plan';
import { reasonForm } from './face-reason';
import type { KnownOfPlaces } from './known-of-places';
import { useFetched } from './use-fetched';

// With the reason that it may ask for.
const slot = () => Promise.all([import('./face-slot'), reasonForm()]).then(([{ FaceSlot }]) => FaceSlot);

/** With what a slot further costs, and the reading of what is typed: fetched once the key is open. */
const FaceSlot = dynamic(slot);

interface Props {
  readonly plan: TighteningPlan;
  readonly pulled: PullStep;
  readonly known: KnownOfPlaces;
  readonly onMeets: (words: string) => void;
  readonly onLeave: () => void;
}

/** In the place of the call: no slot meets at this one. */
export const NoSlot = ({ plan, pulled: { position }, known, ...acts }: Props) => (
  <FaceSlot number={turnNumber(plan, position)} basis={known.slots[kindAt(plan, position)?.name ?? '']} {...acts} />
);

/** Whether it is looked at what the next slot costs; it ends with the next line that is recorded. */
export function useNoSlot(count: number) {
  const [openAt, setOpenAt] = useState<number>();
  const { ready, isOut } = useFetched(slot);
  return {
    isOpen: openAt === count,
    /** It could not be fetched. */
    isOut,
    open: () => ready(() => setOpenAt(count)),
    close: () => setOpenAt(undefined),
  };
}
