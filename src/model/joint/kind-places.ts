import { DomainError } from '@/core/units';
import type { Joint } from './joint';

/** Kinds beside the joint's own. */
export const MAX_KINDS = 8;

interface Placed {
  readonly name: string;
  readonly places: readonly number[];
}

/** That kind among others: the one that has its places, whatever it is called, else the one of its name. */
export const kindAmong = <Kind extends Placed>(kinds: readonly Kind[] | undefined, kind: Placed): Kind | undefined =>
  kinds?.find(({ places }) => places.join(' ') === kind.places.join(' ')) ??
  kinds?.find(({ name }) => name === kind.name);

type Kinded = Pick<Joint, 'fasteners' | 'detail'>;

/** The places of the joint's own fasteners: those of no kind. */
export function ownPlaces({ fasteners, detail: { kinds } }: Kinded): readonly number[] {
  const others = new Set(kinds.flatMap(({ places }) => places));
  return Array.from({ length: fasteners }, (_, place) => place).filter((place) => !others.has(place));
}

/**
 * Kinds have names of their own and places that there are, none of them in two, and leave the joint some. Whether the
 * order that was typed names each as often as it has stages is asked where those are known.
 * @throws DomainError bad-field
 */
export function assertKindsPlaced({ fasteners, detail: { kinds, kindSequence } }: Kinded): void {
  if (kinds.length === 0) return;
  const refuse = (message: string) => {
    throw new DomainError('bad-field', message, 'kinds');
  };
  const names = kinds.map(({ name }) => name.trim().toLowerCase());
  if (new Set(names).size < names.length) refuse('Two kinds of fastener have one name.');
  const places = kinds.flatMap((kind) => kind.places);
  const foreign = places.find((place) => place >= fasteners);
  if (foreign !== undefined)
    refuse(`Place ${foreign + 1} is of a kind, and there would be ${fasteners}: take it out of its kind first.`);
  if (new Set(places).size < places.length) refuse('A place is of two kinds.');
  const bare = kinds.find((kind) => kind.places.length === 0);
  if (bare) refuse(`“${bare.name}” has no places.`);
  if (places.length >= fasteners) refuse('Every place is of a kind: leave some to the joint’s own.');
  if (kindSequence.some((at) => at > kinds.length)) refuse('The order of the kinds names one that is not there.');
}
