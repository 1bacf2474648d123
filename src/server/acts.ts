import { nanoid } from 'nanoid';
import type { Shop } from '@/db/shop';
import { nowIso } from './clock';

/** How an act is taken back, and in what words it was done. */
export interface Undo {
  readonly token: string;
  readonly words: string;
}

/** Tells what was done, so that it can be taken back; what is not told cannot. */
export type Tell = (words: string | undefined) => void;

/** Writes in one transaction and in somebody's name; what is told of it comes with the answer, as the way back. */
export function asAct<T>(shop: Shop, who: string, work: (at: string, tell: Tell) => T): T & { readonly undo?: Undo } {
  const doer = { id: nanoid(), who, at: nowIso() };
  let words: string | undefined;
  const tell: Tell = (told) => void (words = told);
  const { done, act } = shop.inNameOf(who, () =>
    shop.transaction(() => shop.acts.during(doer, () => ({ done: work(doer.at, tell), words }))),
  );
  // Whoever does something answers with an object of its own.
  return (act ? { ...done, undo: act } : done) as T & { readonly undo?: Undo };
}
