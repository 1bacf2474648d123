import { DomainError } from '@/core/units';
import type { Joint } from './joint';

/** Kinds beside the joint's own. */
export const MAX_KINDS = 8;

interface Placed {
  readonly name: string;
  readonly places: readonly number[];
}

const samePlaces = (one: Placed, other: Placed): boolean =>
  one.places.length === other.places.length && one.places.every((place) => other.places.includes(place));

/** That kind among others: the one of its name, or where there is none the one that has its places. */
export const kindAmong = <Kind extends Placed>(kinds: readonly Kind[] | undefined, kind: Placed): Kind | undefined =>
  kinds?.find(({ name }) => name === kind.name) ?? kinds?.find((one) => samePlaces(one, kind));

/** Whether kinds have the places that they had; what one that has them is called says nothing. */
export const areSameKinds = (before: readonly Placed[], after: readonly Placed[]): boolean =>
  before.length === after.length &&
  after.every((kind) => {
    const was = kindAmong(before, kind);
    return was !== undefined && samePlaces(was, kind);
  });

/**
 * Kinds that are called otherwise now, by what they were called: a name that is gone, for one that was not there, of the
 * same places. Kinds that exchange their places keep their names, and what goes by these.
 */
export const renamedKinds = (
  before: readonly Placed[],
  after: readonly Placed[],
): readonly { readonly from: string; readonly to: string }[] =>
  before
    .filter(({ name }) => !after.some((one) => one.name === name))
    .flatMap((kind) => {
      const now = after.find((one) => samePlaces(one, kind) && !before.some(({ name }) => name === one.name));
      return now ? [{ from: kind.name, to: now.name }] : [];
    });

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
