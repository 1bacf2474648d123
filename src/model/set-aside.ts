/** What can be set aside with a reason where something hangs on it. */
export const ASIDE_KINDS = ['leaf', 'joint', 'fit', 'step'] as const;
export type AsideKind = (typeof ASIDE_KINDS)[number];

/** What is of the shop, or of several engines, and says in its own row that it is aside. */
export const SHELF_ASIDE_KINDS = ['wrench', 'source', 'trial', 'bolt-set'] as const;
export type ShelfAsideKind = (typeof SHELF_ASIDE_KINDS)[number];

/** Something that is no longer worked with, and why. */
export interface SetAside {
  readonly kind: AsideKind;
  readonly id: string;
  readonly engineId: string;
  readonly name: string;
  readonly reason: string;
  /** Initials of whoever set it aside. */
  readonly who?: string;
  readonly at: string;
}
