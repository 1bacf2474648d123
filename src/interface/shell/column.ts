/** A value as one text; `outOfColumns` gives it back. */
export type InColumns<T> = string & { readonly of?: T };

/**
 * One column: `=` all the same, `s` texts, `v` as they are, `r` texts or values that come several times one after another,
 * `x` numbers that JSON has no word for, `[` lists, `{` rows, `:` rows by name, `m` maps, `?` of several kinds, `@` what
 * another column says too, by its number.
 */
export type Column =
  | readonly ['=', unknown]
  | readonly ['s' | 'v' | 'x', readonly unknown[]]
  | readonly ['r', 's' | 'v', values: readonly unknown[], times: readonly number[]]
  | readonly ['[', lengths: Column, items: Column]
  | readonly ['{', fields: readonly string[] | number, columns: readonly Column[]]
  | readonly [':' | 'm', counts: Column, keys: Column, values: Column]
  | readonly ['?', kinds: string, columns: readonly Column[]]
  | readonly ['@', number];

/** What several columns say: whole columns, and fields of rows. */
export type Shared = readonly (Column | readonly string[])[];

/** What a column is of: `u` is what is not there, and has none. */
export const KINDS = ['s', 'v', 'x', 'l', 'o', 'm'] as const;
export type Kind = (typeof KINDS)[number] | 'u';

/**
 * Quotes for apostrophes and the other way round: each quote of a text within a script is told with a stroke before it,
 * and there are thousands.
 */
export const otherQuotes = (text: string): string =>
  text
    .split('"')
    .map((part) => part.replaceAll("'", '"'))
    .join("'");
