/** What was typed into a form and not sent: kept on this device until it is sent or thrown away. */
export interface Draft {
  /** When it was last typed into, ISO. */
  readonly at: string;
  /** Every value of the form, the version it was read at among them. */
  readonly values: Readonly<Record<string, unknown>>;
}

const PREFIX = 'spanner-draft:';

/** Drafts belong to a page of a shop: the same form elsewhere, or in the demonstration, is another. */
const keyOf = (page: string, name: string) => `${PREFIX}${document.documentElement.dataset.shop ?? ''}${page}:${name}`;

const isDraft = (held: unknown): held is Draft =>
  typeof held === 'object' &&
  held !== null &&
  typeof (held as Draft).at === 'string' &&
  typeof (held as Draft).values === 'object' &&
  (held as Draft).values !== null;

/** A device that keeps nothing, or keeps what nobody can read, has no drafts. */
export function loadDraft(page: string, name: string): Draft | undefined {
  try {
    const held: unknown = JSON.parse(localStorage.getItem(keyOf(page, name)) ?? 'null');
    return isDraft(held) ? held : undefined;
  } catch {
    return undefined;
  }
}

export function saveDraft(page: string, name: string, draft: Draft | undefined): void {
  try {
    if (draft) localStorage.setItem(keyOf(page, name), JSON.stringify(draft));
    else localStorage.removeItem(keyOf(page, name));
  } catch {
    // A full or closed store: the form still holds what was typed.
  }
}

/** The names of the forms of a page that were left half filled. */
export function draftsOf(page: string): readonly string[] {
  try {
    const start = keyOf(page, '');
    return Object.keys(localStorage).flatMap((key) => (key.startsWith(start) ? [key.slice(start.length)] : []));
  } catch {
    return [];
  }
}

const halfFilled = new Set<symbol>();

/** Says of a form whether it is half filled; single keys rest while any is. */
export function markHalfFilled(form: symbol, isHalf: boolean): void {
  if (isHalf) halfFilled.add(form);
  else halfFilled.delete(form);
}

export const isAnyHalfFilled = (): boolean => halfFilled.size > 0;
