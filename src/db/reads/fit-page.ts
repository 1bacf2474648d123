import type { Fit } from '@/model/fit/fit';
import type { Leaf } from '@/model/book/leaf';
import type { Shop } from '../shop';
import { currentLeaf, type FitPageSays } from '@/model/fit/fit-page';

/** Tells the page of any fit of an engine; its book is read once, and only if a fit rests on it. */
export function pagesOfFits(shop: Shop, engineId: string, fits: readonly Fit[]): (fit: Fit) => FitPageSays | undefined {
  if (fits.every(({ leafId }) => leafId === null)) return () => undefined;
  const leaves = shop.book.leaves(engineId);
  const titles = new Map(shop.book.sources(engineId).map(({ id, title }) => [id, title]));
  const says = ({ sourceId, page, printedText }: Leaf) => `${titles.get(sourceId) ?? ''}, p. ${page}: “${printedText}”`;
  return ({ leafId }) => {
    const leaf = leaves.find(({ id }) => id === leafId);
    if (!leaf) return undefined;
    const now = currentLeaf(leaf, leaves);
    return { says: says(leaf), ...(now.id !== leaf.id && { corrected: { leafId: now.id, says: says(now) } }) };
  };
}
