import type { Source } from '@/model/book/source';
import type { Fit } from './fit';
import type { Leaf } from '@/model/book/leaf';

/** The page that what is wanted of a fit was taken from. */
export interface FitPageSays {
  /** `Workshop manual, p. 12: “0.03 to 0.06 mm”` */
  readonly says: string;
  /** Why its source was set aside, so that nothing in it is in force. */
  readonly aside?: string;
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

/** Tells the page of any fit of an engine, from its book. */
export function pagesOf(
  leaves: readonly Leaf[],
  sources: readonly Source[],
): (fit: Pick<Fit, 'leafId'>) => FitPageSays | undefined {
  const byId = new Map(sources.map((source) => [source.id, source]));
  const says = ({ sourceId, page, printedText }: Leaf) =>
    `${byId.get(sourceId)?.title ?? ''}, p. ${page}: “${printedText}”`;
  return ({ leafId }) => {
    const leaf = leafId === null ? undefined : leaves.find(({ id }) => id === leafId);
    if (!leaf) return undefined;
    const now = currentLeaf(leaf, leaves);
    const aside = byId.get(now.sourceId)?.aside;
    return {
      says: says(leaf),
      ...(aside !== undefined && { aside }),
      ...(now.id !== leaf.id && { corrected: { leafId: now.id, says: says(now) } }),
    };
  };
}
