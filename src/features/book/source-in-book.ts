import { DomainError } from '@/core/units';
import type { Bench } from '@/server/shop-action';

/** A new entry is of a source of this engine's book that is not set aside. @throws DomainError not-found, set-aside */
export function assertSourceInBook(shop: Bench['shop'], engineId: string, sourceId: string): void {
  const source = shop.book.sources(engineId).find(({ id }) => id === sourceId);
  if (!source) throw new DomainError('not-found', 'That source is not in this engine’s book.', 'sourceId');
  if (source.aside !== undefined)
    throw new DomainError('set-aside', `“${source.title}” is set aside: bring it back first.`, 'sourceId');
}
