import { ownPlaces } from '@/model/joint/kind-places';
import type { Joint } from '@/model/joint/joint';
import type { BoltSet } from './bolt-set';

/** How many fasteners its joint has of the set's kind, where that is another number than the set's; undefined where it is the same. */
export function otherNumber(
  { kind, bolts }: Pick<BoltSet, 'kind' | 'bolts'>,
  joint: Pick<Joint, 'fasteners' | 'detail'>,
): number | undefined {
  const places = kind === '' ? ownPlaces(joint) : joint.detail.kinds.find(({ name }) => name === kind)?.places;
  return places === undefined || places.length === bolts ? undefined : places.length;
}

/** What is wrong where a set has fewer bolts than its joint, or more. */
export const numberWords = (bolts: number, fasteners: number): string =>
  bolts < fasteners
    ? `${bolts} of ${fasteners} bolts: nothing is read of the others`
    : `${bolts} bolts, and there are ${fasteners}`;
