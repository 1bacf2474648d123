import type { Locking } from '@/core/joint';
import type { Joint } from '@/model/joint/joint';
import type { PlaceNote } from '@/model/joint/place-note';

/** What is known of the joint beside its plan, as its sheet has it now. */
export interface KnownOfPlaces {
  readonly placeNotes: readonly PlaceNote[];
  /** Of the joint's own fasteners. */
  readonly locking: Locking;
  /** Of other kinds, by their names. */
  readonly kindLockings: Readonly<Record<string, Locking>>;
}

export const knownOfPlaces = ({
  detail: { placeNotes, today, original, kinds },
}: Pick<Joint, 'detail'>): KnownOfPlaces => ({
  placeNotes,
  locking: (today ?? original).locking,
  kindLockings: Object.fromEntries(kinds.map(({ name, detail }) => [name, (detail.today ?? detail.original).locking])),
});
