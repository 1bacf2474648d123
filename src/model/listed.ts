/** `1`; `1 and 2`; `1, 2 and 3` */
export const listed = (names: readonly string[]): string =>
  [names.slice(0, -1).join(', '), names.at(-1)].filter(Boolean).join(' and ');
