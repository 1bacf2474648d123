import type { Locking } from '@/core/joint';
import type { BoltSet } from '@/model/bolt/bolt-set';
import type { Joint } from '@/model/joint/joint';
import { notesOfHoles } from '@/model/joint/hole';
import type { JointInputs } from '@/model/joint/joint-inputs';
import { slotBases, type SlotBasis } from '@/model/joint/slotted-nut';
import type { HousePractice } from '@/model/practice/house-practice';
import { schoolWords } from '@/model/practice/practice-questions';
import type { PlaceNote } from '@/model/joint/place-note';

/** What is known of the joint beside its plan, as its sheet has it now. */
export interface KnownOfPlaces {
  readonly placeNotes: readonly PlaceNote[];
  /** Of the joint's own fasteners. */
  readonly locking: Locking;
  /** What the house locks with where nobody said; undefined where that cannot be read. */
  readonly houseLock?: string;
  /** Of other kinds, by their names. */
  readonly kindLockings: Readonly<Record<string, Locking>>;
  /** What fasteners are stretched to, and the torque that is the end of it, by their kind's name; the joint's own under ''. */
  readonly stretches: Readonly<Record<string, StretchTarget>>;
  /** What a slot further would cost, of nuts that a pin goes through, by their kind's name as above. */
  readonly slots: Readonly<Record<string, SlotBasis>>;
}

export type StretchTarget = Pick<BoltSet, 'minStretch_mm' | 'maxStretch_mm' | 'ceiling_Nm' | 'bothEnds'>;

const houseLockOf = (practice: HousePractice): string =>
  practice.locking === 'two-together' ? 'two locks together' : schoolWords(practice, 'locking').name;

/**
 * @param sets the sets of bolts that the joint had, the one in use last
 * @param inputs what it is reckoned from; undefined where it cannot be
 */
export function knownOfPlaces(
  { detail }: Pick<Joint, 'detail'>,
  sets: readonly BoltSet[],
  inputs: JointInputs | undefined,
): KnownOfPlaces {
  const { placeNotes, today, original, kinds } = detail;
  return {
    placeNotes: [
      ...placeNotes,
      ...notesOfHoles(detail.holes).filter(
        (note) => !placeNotes.some(({ place, kind }) => place === note.place && kind === note.kind),
      ),
    ],
    locking: (today ?? original).locking,
    ...(inputs && { houseLock: houseLockOf(inputs.shelves.practice) }),
    kindLockings: Object.fromEntries(kinds.map(({ name, detail: own }) => [name, (own.today ?? own.original).locking])),
    // A later set of a kind takes the place of the one before.
    stretches: Object.fromEntries(
      sets
        .filter(({ aside }) => aside === undefined)
        .map(({ kind, minStretch_mm, maxStretch_mm, ceiling_Nm, bothEnds }) => [
          kind,
          { minStretch_mm, maxStretch_mm, ceiling_Nm, bothEnds },
        ]),
    ),
    slots: inputs ? slotBases(inputs) : {},
  };
}
