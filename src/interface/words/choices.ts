export interface Choice<T extends string> {
  readonly value: T;
  readonly label: string;
}

/** A closed list with its words, in its order; an entry without words does not compile. */
export const choices = <T extends string>(list: readonly T[], words: Readonly<Record<T, string>>): Choice<T>[] =>
  list.map((value) => ({ value, label: words[value] }));
