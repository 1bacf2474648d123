import type { Locking } from '@/core/joint';
import type { PlaceNote } from '@/model/joint/place-note';

/** What is known of the joint beside its plan, as its sheet has it now. */
export interface KnownOfPlaces {
  readonly placeNotes: readonly PlaceNote[];
  /** Of the joint's own fasteners. */
  readonly locking: Locking;
  /** Of other kinds, by their names. */
  readonly kindLockings: Readonly<Record<string, Locking>>;
}
