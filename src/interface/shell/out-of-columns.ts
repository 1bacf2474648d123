import { KINDS, otherQuotes, type Column, type InColumns, type Shared } from './column';

type Row = Readonly<Record<string, unknown>>;

/** What is said once and stands in many places by its number. */
interface Said {
  readonly texts: readonly string[];
  readonly shared: Shared;
}

/** Lists of those lengths, out of all their items one after another. */
function cutUp(lengths: readonly number[], items: (all: number) => readonly unknown[]): readonly unknown[][] {
  const all = items(lengths.reduce((sum, length) => sum + length, 0));
  let from = 0;
  return lengths.map((length) => all.slice(from, (from += length)));
}

/** The values of a column of several kinds, each out of the column of its kind. */
function ofSeveralKinds(kinds: string, columns: readonly Column[], said: Said): readonly unknown[] {
  const runs = [...kinds.matchAll(/(\D)(\d*)/g)].map(
    ([, kind = 'u', times]) => [kind, times ? Number(times) : 1] as const,
  );
  const count = (of: string) => runs.reduce((sum, [kind, times]) => (kind === of ? sum + times : sum), 0);
  const present = KINDS.filter((kind) => runs.some(([of]) => of === kind));
  const left = new Map<string, { readonly values: readonly unknown[]; next: number }>(
    present.map((kind, i) => [kind, { values: valuesOf(columns[i] ?? ['v', []], count(kind), said), next: 0 }]),
  );
  const all: unknown[] = [];
  for (const [kind, times] of runs) {
    const own = left.get(kind);
    for (let i = 0; i < times; i++) all.push(own ? own.values[own.next++] : undefined);
  }
  return all;
}

/** Rows of their fields, a column after another; what is not there is left out. */
function rowsOf(fields: readonly string[], columns: readonly (readonly unknown[])[], count: number): readonly Row[] {
  const rows = Array.from({ length: count }, (): Record<string, unknown> => ({}));
  fields.forEach((field, i) => {
    const values = columns[i] ?? [];
    for (let row = 0; row < count; row++) {
      const value = values[row];
      if (value === undefined) continue;
      // Put there as any other field, and not as what the row is made of.
      if (field === '__proto__')
        Object.defineProperty(rows[row], field, { value, enumerable: true, configurable: true, writable: true });
      else (rows[row] as Record<string, unknown>)[field] = value;
    }
  });
  return rows;
}

/** Values each so many times, one after another. */
function ofRuns(values: readonly unknown[], times: readonly number[]): readonly unknown[] {
  const all: unknown[] = [];
  values.forEach((value, i) => {
    for (let left = times[i] as number; left > 0; left--) all.push(value);
  });
  return all;
}

/** The `count` values of a column. */
function valuesOf(column: Column, count: number, said: Said): readonly unknown[] {
  const numbers = (one: Column) => valuesOf(one, count, said) as readonly number[];
  const cut = (counts: readonly number[], one: Column) => cutUp(counts, (all) => valuesOf(one, all, said));
  const text = (one: unknown) => (typeof one === 'number' ? said.texts[one] : one);
  switch (column[0]) {
    case '=':
      return new Array<unknown>(count).fill(column[1]);
    case 's':
      return column[1].map(text);
    case 'v':
      return column[1];
    case 'r':
      return ofRuns(column[1] === 's' ? column[2].map(text) : column[2], column[3]);
    case '@':
      return valuesOf(said.shared[column[1]] as Column, count, said);
    case 'x':
      return column[1].map(Number);
    case '[':
      return cut(numbers(column[1]), column[2]);
    case '{':
      return rowsOf(
        typeof column[1] === 'number' ? (said.shared[column[1]] as readonly string[]) : column[1],
        column[2].map((one) => valuesOf(one, count, said)),
        count,
      );
    case '?':
      return ofSeveralKinds(column[1], column[2], said);
    default: {
      const counts = numbers(column[1]);
      const values = cut(counts, column[3]);
      const rows = cut(counts, column[2]).map((keys, row) => keys.map((key, i) => [key, values[row]?.[i]] as const));
      return rows.map((row) => (column[0] === 'm' ? new Map(row) : (Object.fromEntries(row) as Row)));
    }
  }
}

/** The value again, as plain data. */
export function outOfColumns<T>(text: InColumns<T>): T {
  const [texts, column, shared] = JSON.parse(otherQuotes(text)) as [readonly string[], Column, Shared];
  return valuesOf(column, 1, { texts, shared })[0] as T;
}
