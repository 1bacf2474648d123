import { DomainError } from '@/core/units';

/** What is special about one place, and has to be known before it is pulled. */
export const PLACE_NOTES = [
  'wet',
  'blind',
  'special',
  'left-hand',
  'stud',
  'dry',
  'hold',
  'tab',
  'pin',
  'wire',
  'washer',
  'no-washer',
] as const;
export type PlaceNoteKind = (typeof PLACE_NOTES)[number];

export interface PlaceNote {
  /** Counted from 0, as the places lie. */
  readonly place: number;
  readonly kind: PlaceNoteKind;
  /** `sealant on the thread`, `the long one`, `by the flats behind`; empty where the kind says it all. */
  readonly words: string;
}

export const MAX_PLACE_NOTES = 120;

/** What was noted of one place, in the order in which it is to be thought of. */
export const notesOfPlace = (notes: readonly PlaceNote[], place: number): readonly PlaceNote[] =>
  notes
    .filter((note) => note.place === place)
    .sort((a, b) => PLACE_NOTES.indexOf(a.kind) - PLACE_NOTES.indexOf(b.kind));

/** Notes are of places that there are. @throws DomainError bad-field */
export function assertNotesPlaced({
  fasteners,
  detail: { placeNotes },
}: {
  readonly fasteners: number;
  readonly detail: { readonly placeNotes: readonly PlaceNote[] };
}): void {
  const foreign = placeNotes.find(({ place }) => place >= fasteners);
  if (foreign)
    throw new DomainError(
      'bad-field',
      `Something is noted of place ${foreign.place + 1}, and there would be ${fasteners}: take the note off first.`,
      'placeNotes',
    );
}
