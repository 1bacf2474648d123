import { nanoid } from 'nanoid';
import { DomainError } from '@/core/units';
import type { Shop } from '@/db/shop';

/** What an act can be taken back by, while it is fresh. */
export interface Undo {
  readonly token: string;
  /** What was done: `Cylinder head taken away`. */
  readonly words: string;
}

interface Held {
  readonly shop: Shop;
  readonly until: number;
  readonly run: (shop: Shop) => void;
}

// Longer than the notice stays, for one who was called away from it; gone with the program.
const KEPT_MS = 10 * 60_000;
const MOST = 500;

// Pages and actions are bundled apart; what can be taken back is shared through the process.
const holder = globalThis as { spannerUndos?: Map<string, Held> };
const held = (holder.spannerUndos ??= new Map<string, Held>());

/** Says how an act is taken back. The work runs in one transaction, and throws where it can no longer be done. */
export function undoable(shop: Shop, now: number, words: string, run: (shop: Shop) => void): Undo {
  for (const [token, { until }] of held) if (until < now || held.size > MOST) held.delete(token);
  const token = nanoid();
  held.set(token, { shop, until: now + KEPT_MS, run });
  return { token, words };
}

/** Takes an act back, once. @throws DomainError too-late */
export function takeBack(shop: Shop, now: number, token: string): void {
  const undo = held.get(token);
  if (!undo || undo.shop !== shop || undo.until < now)
    throw new DomainError('too-late', 'That can no longer be taken back here.', 'token');
  undo.run(shop);
  held.delete(token);
}
