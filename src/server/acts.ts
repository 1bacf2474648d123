import { nanoid } from 'nanoid';
import type { Shop } from '@/db/shop';
import { nowIso } from './clock';

/** How an act is taken back, and in what words it was done. */
export interface Undo {
  readonly token: string;
  readonly words: string;
}

/** Writes in one transaction and in somebody's name, as an act that can be taken back. */
export function asAct<T extends object>(
  shop: Shop,
  who: string,
  words: string,
  work: (at: string) => T,
): T & { readonly undo?: Undo } {
  const doer = { id: nanoid(), who, at: nowIso() };
  const { done, act } = shop.inNameOf(who, () =>
    shop.transaction(() => shop.acts.during(doer, () => ({ done: work(doer.at), words }))),
  );
  return act ? { ...done, undo: act } : done;
}
