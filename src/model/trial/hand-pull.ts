import { handOf, type Hand } from '@/core/statistics';

/** A pull by feel, with what it was read to be afterwards. */
export interface HandPullRow {
  readonly id: string;
  /** Whose hand: its initials. */
  readonly hand: string;
  /** Designation of the thread: a hand is another at another size. */
  readonly thread: string;
  readonly meant_Nm: number;
  readonly read_Nm: number;
  /** As they were typed: `22 Nm, 18 lb ft`. */
  readonly typed: string;
  readonly at: string;
  /** Initials of whoever wrote it. */
  readonly who?: string;
}

const BETWEEN = ', ';

/** Meant and read as they were typed, in one text. */
export const typedPull = (meant: string, read: string): string => [meant.trim(), read.trim()].join(BETWEEN);

/** What was meant, as it was typed. */
export const meantAsTyped = ({ typed }: Pick<HandPullRow, 'typed'>): string => typed.split(BETWEEN)[0] ?? '';

/** What one hand does at one size. */
export interface HandAtSize {
  readonly hand: string;
  readonly thread: string;
  readonly pulls: readonly HandPullRow[];
  readonly result: Hand;
}

/** Hands by size, in the order in which each was first tried. */
export function handsOf(pulls: readonly HandPullRow[]): readonly HandAtSize[] {
  const sizes = new Map<string, HandPullRow[]>();
  for (const pull of pulls) {
    const key = JSON.stringify([pull.hand, pull.thread]);
    sizes.set(key, [...(sizes.get(key) ?? []), pull]);
  }
  return [...sizes.values()].flatMap((own) => {
    const [first] = own;
    return first ? [{ hand: first.hand, thread: first.thread, pulls: own, result: handOf(own) }] : [];
  });
}
