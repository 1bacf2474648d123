const isPlain = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const isList = (value: unknown): value is readonly unknown[] => Array.isArray(value);

/**
 * What somebody made of a value, on top of what it has become meanwhile: part by part, what was not touched is as it is
 * now. Of one part that both changed the own one stands.
 * @param before what it was made of
 */
export function mergedOnto(before: unknown, mine: unknown, now: unknown): unknown {
  if (before === now || mine === now) return mine;
  if (mine === before) return now;
  if (isPlain(before) && isPlain(mine) && isPlain(now)) {
    const keys = new Set([...Object.keys(mine), ...Object.keys(now)]);
    return Object.fromEntries(
      [...keys].flatMap((key) => {
        // What either took away is gone.
        if (!(key in mine) && key in before) return [];
        if (!(key in now) && key in before && mine[key] === before[key]) return [];
        return [[key, mergedOnto(before[key], mine[key], now[key])]];
      }),
    );
  }
  if (isList(before) && isList(mine) && isList(now) && before.length === mine.length && mine.length === now.length)
    return mine.map((one, i) => mergedOnto(before[i], one, now[i]));
  return mine;
}
