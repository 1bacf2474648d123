/** Something that was done, and how it stands now. */
export interface Act {
  readonly id: string;
  /** Null where it is of the whole shop. */
  readonly engineId: string | null;
  /** What was done: `“Cylinder head” was changed: the lubricant today`. */
  readonly words: string;
  /** Initials; empty where nobody gave them. */
  readonly who: string;
  readonly at: string;
  readonly isUndone: boolean;
  /** The act that is taken back to turn this one over once more: itself, or what took it back. */
  readonly tip: string;
}

/** Who does something, and when, by the server's clock. */
export interface Doer {
  readonly id: string;
  readonly who: string;
  readonly at: string;
}
