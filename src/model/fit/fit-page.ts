import type { Leaf } from '@/model/book/leaf';

/** The page that what is wanted of a fit was taken from. */
export interface FitPageSays {
  /** `Workshop manual, p. 12: “0.03 to 0.06 mm”` */
  readonly says: string;
  /** How the leaf reads now, where it was corrected since; the fit still has what it was taken from. */
  readonly corrected?: { readonly leafId: string; readonly says: string };
}

/** The leaf that stands today in the place of one that was corrected, perhaps more than once. */
export function currentLeaf(leaf: Leaf, leaves: readonly Leaf[]): Leaf {
  let last = leaf;
  for (let next: Leaf | undefined = leaf; next; next = leaves.find(({ replacesId }) => replacesId === last.id))
    last = next;
  return last;
}
