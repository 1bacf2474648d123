/** Puts the shop's own rows over the shipped ones of the same id, and the rest behind them. */
export function overlaid<T extends { readonly id: string }>(shipped: readonly T[], own: readonly T[]): readonly T[] {
  const byId = new Map(own.map((row) => [row.id, row]));
  const ids = new Set(shipped.map((row) => row.id));
  return [...shipped.map((row) => byId.get(row.id) ?? row), ...own.filter((row) => !ids.has(row.id))];
}
