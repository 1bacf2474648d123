import type { Shop } from '@/db/shop';
import { ShopTrouble } from '@/db/trouble';

interface Waiting {
  readonly work: () => unknown;
  readonly answer: (value: unknown) => void;
  readonly refuse: (error: unknown) => void;
}

const queues = new WeakMap<Shop, Waiting[]>();

/** What the file took back by itself took back all that was written with it. */
function assertStillOpen(shop: Shop): void {
  if (!shop.db.inTransaction)
    throw new ShopTrouble('failed', `The file ${shop.file} took back what was being written.`, 'Try again.');
}

/** A work that throws is taken back alone; one that takes the whole transaction with it, with all. */
function writeAll(shop: Shop, all: readonly Waiting[]): readonly (() => void)[] {
  return shop.transaction(() =>
    all.map(({ work, answer, refuse }) => {
      try {
        const value = shop.transaction(work);
        assertStillOpen(shop);
        return () => answer(value);
      } catch (error) {
        assertStillOpen(shop);
        return () => refuse(error);
      }
    }),
  );
}

function flush(shop: Shop): void {
  const all = queues.get(shop) ?? [];
  queues.delete(shop);
  try {
    for (const tell of writeAll(shop, all)) tell();
  } catch (error) {
    for (const { refuse } of all) refuse(error);
  }
}

/**
 * Writes what has come in at the same time in one transaction, so that the disk is waited for once; each is answered
 * when all of it is on disk.
 */
export function together<T>(shop: Shop, work: () => T): Promise<T> {
  return new Promise((answer, refuse) => {
    const waiting = { work, answer: answer as (value: unknown) => void, refuse };
    const queue = queues.get(shop);
    if (queue) {
      queue.push(waiting);
      return;
    }
    queues.set(shop, [waiting]);
    setImmediate(() => flush(shop));
  });
}
