/** A table to be asked for words that a person typed: it answers only for its own keys, not for `constructor`. */
export const dictionary = <T>(table: Readonly<Record<string, T>>): Readonly<Record<string, T | undefined>> =>
  Object.assign(Object.create(null) as Record<string, T | undefined>, table);
