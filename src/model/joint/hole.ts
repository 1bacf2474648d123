import { DomainError } from '@/core/units';
import type { PlaceNote } from './place-note';

export const HOLE_ENDS = ['through', 'blind'] as const;
export const HOLE_MEETS = ['dry', 'water', 'oil'] as const;
export const HOLE_THREADS = ['good', 'chased', 'insert', 'bad'] as const;

/** A hole as it was looked at, before anything goes into it. */
export interface Hole {
  /** Counted from 0, as the places lie. */
  readonly place: number;
  readonly end: (typeof HOLE_ENDS)[number];
  /** What it reaches. */
  readonly meets: (typeof HOLE_MEETS)[number];
  /** Of full thread, from the face; null of one that goes through, or where nobody measured it. */
  readonly depth_mm: number | null;
  readonly thread: (typeof HOLE_THREADS)[number];
  /** Dry and clean down to its end. */
  readonly isClear: boolean;
}

/** Whether each hole was looked at: an insert that is in one was found then. */
export const isEveryHoleSeen = (holes: readonly Hole[], fasteners: number): boolean => holes.length >= fasteners;

/** Holes are of places that there are, each once. @throws DomainError bad-field */
export function assertHolesPlaced({
  fasteners,
  detail: { holes },
}: {
  readonly fasteners: number;
  readonly detail: { readonly holes: readonly Hole[] };
}): void {
  const places = holes.map(({ place }) => place);
  const foreign = places.find((place) => place >= fasteners);
  if (foreign !== undefined)
    throw new DomainError(
      'bad-field',
      `The hole of place ${foreign + 1} was looked at, and there would be ${fasteners}: take it off first.`,
      'holes',
    );
  if (new Set(places).size < places.length)
    throw new DomainError('bad-field', 'A hole is entered twice: each is looked at once.', 'holes');
}

/** What of a hole is said at the bench before its fastener is pulled. One that was found dry and clean asks nothing. */
export const notesOfHoles = (holes: readonly Hole[]): readonly PlaceNote[] =>
  holes.flatMap(({ place, end, meets, isClear }): readonly PlaceNote[] => [
    ...(meets === 'dry' ? [] : [{ place, kind: 'wet', words: '' } as const]),
    ...(end === 'blind' && !isClear ? [{ place, kind: 'blind', words: '' } as const] : []),
  ]);

/** Full thread of the shallowest hole that was measured; undefined where none was. */
export const shallowest = (holes: readonly Hole[]): number | undefined => {
  const depths = holes.flatMap(({ depth_mm }) => (depth_mm === null ? [] : [depth_mm]));
  return depths.length === 0 ? undefined : Math.min(...depths);
};
