// What a page is drawn from goes to the browser twice: as what is read, and as what the program goes on with. A long list
// names its fields a hundred times and says the same of most of its rows: in columns it is said once.

/** A value as one text; `outOfColumns` gives it back. */
export type InColumns<T> = string & { readonly of?: T };

type Row = Readonly<Record<string, unknown>>;

/**
 * One column: `=` all the same, `s` texts, `v` as they are, `x` numbers that JSON has no word for, `[` lists, `{` rows,
 * `:` rows by name, `m` maps, `?` of several kinds.
 */
type Column =
  | readonly ['=', unknown]
  | readonly ['s' | 'v' | 'x', readonly unknown[]]
  | readonly ['[', lengths: Column, items: Column]
  | readonly ['{', fields: readonly string[], columns: readonly Column[]]
  | readonly [':' | 'm', counts: Column, keys: Column, values: Column]
  | readonly ['?', kinds: string, columns: readonly Column[]];

/** What a column is of: `u` is what is not there, and has none. */
const KINDS = ['s', 'v', 'x', 'l', 'o', 'm'] as const;
type Kind = (typeof KINDS)[number] | 'u';

function kindOf(value: unknown): Kind {
  if (value === undefined) return 'u';
  if (typeof value === 'string') return 's';
  if (typeof value === 'number') return Number.isFinite(value) ? 'v' : 'x';
  if (value === null || typeof value === 'boolean') return 'v';
  if (Array.isArray(value)) return 'l';
  if (typeof value === 'object') {
    const of = Object.getPrototypeOf(value) as object | null;
    if (of === Object.prototype || of === null) return 'o';
    if (value instanceof Map) return 'm';
  }
  throw new TypeError('only plain data goes into columns');
}

/** Whether rows are told apart by who they are of, and not by fields that each of them has. */
function areByName(rows: readonly Row[], fields: number): boolean {
  const [only] = rows;
  if (rows.length > 1 || !only)
    return rows.reduce((sum, row) => sum + Object.keys(row).length, 0) * 2 < rows.length * fields;
  const kinds = new Set(Object.values(only).map(kindOf));
  return fields > 3 && kinds.size === 1 && (kinds.has('o') || kinds.has('l'));
}

const named = (sign: ':' | 'm', rows: readonly (readonly (readonly [unknown, unknown])[])[]): Column => [
  sign,
  columnOf(rows.map(({ length }) => length)),
  columnOf(rows.flatMap((row) => row.map(([key]) => key))),
  columnOf(rows.flatMap((row) => row.map(([, value]) => value))),
];

function columnOfRows(rows: readonly Row[]): Column {
  const found = new Set<string>();
  for (const row of rows) for (const field of Object.keys(row)) found.add(field);
  const fields = [...found];
  if (areByName(rows, fields.length))
    return named(
      ':',
      rows.map((row) => Object.entries(row)),
    );
  return [
    '{',
    fields,
    fields.map((field) => columnOf(rows.map((row) => (Object.hasOwn(row, field) ? row[field] : undefined)))),
  ];
}

function columnOfKind(kind: Kind, values: readonly unknown[]): Column {
  switch (kind) {
    case 's':
    case 'v':
      return [kind, values];
    case 'x':
      return ['x', values.map(String)];
    case 'o':
      return columnOfRows(values as readonly Row[]);
    case 'm':
      return named(
        'm',
        (values as readonly ReadonlyMap<unknown, unknown>[]).map((map) => [...map]),
      );
    default: {
      const lists = values as readonly (readonly unknown[])[];
      return ['[', columnOf(lists.map(({ length }) => length)), columnOf(lists.flat())];
    }
  }
}

/** `u3v2`: three of one kind, two of another. */
function runsOf(kinds: readonly Kind[]): string {
  let said = '';
  for (let i = 0; i < kinds.length;) {
    const from = i;
    while (kinds[i] === kinds[from] && i < kinds.length) i++;
    said += i - from === 1 ? kinds[from] : `${kinds[from]}${i - from}`;
  }
  return said;
}

const areAllOf = (values: readonly unknown[], of: unknown): boolean => {
  for (const value of values) if (value !== of) return false;
  return true;
};

function columnOf(values: readonly unknown[]): Column {
  const kinds = values.map(kindOf);
  const [first = 'v'] = kinds;
  if (first !== 'u' && areAllOf(kinds, first))
    return (first === 's' || first === 'v') && areAllOf(values, values[0])
      ? ['=', values[0]]
      : columnOfKind(first, values);
  return [
    '?',
    runsOf(kinds),
    KINDS.filter((kind) => kinds.includes(kind)).map((kind) => columnOf(values.filter((_, i) => kinds[i] === kind))),
  ];
}

const MIN_SHARED = 5;

/** Every text of a column put through a function. */
function withTexts(column: Column, of: (text: unknown) => unknown): Column {
  switch (column[0]) {
    case 's':
      return ['s', column[1].map(of)];
    case '[':
      return ['[', withTexts(column[1], of), withTexts(column[2], of)];
    case '{':
    case '?':
      return [column[0], column[1], column[2].map((one) => withTexts(one, of))] as Column;
    case ':':
    case 'm':
      return [column[0], column[1], withTexts(column[2], of), withTexts(column[3], of)];
    default:
      return column;
  }
}

/**
 * Puts a value of plain data in columns: what JSON has, maps, and numbers without end. A field that is undefined is left
 * out. @throws TypeError of a date, a set, or whatever else would come out as something else
 */
export function inColumns<T>(value: T): InColumns<T> {
  const column = columnOf([value]);
  const times = new Map<unknown, number>();
  withTexts(column, (text) => times.set(text, (times.get(text) ?? 0) + 1));
  const shared = [...times].filter(([text, n]) => n > 1 && String(text).length >= MIN_SHARED);
  const texts = shared.sort(([, a], [, b]) => b - a).map(([text]) => text);
  const at = new Map(texts.map((text, i) => [text, i]));
  return JSON.stringify([texts, withTexts(column, (text) => at.get(text) ?? text)]);
}

/** Lists of those lengths, out of all their items one after another. */
function cutUp(lengths: readonly number[], items: (all: number) => readonly unknown[]): readonly unknown[][] {
  const all = items(lengths.reduce((sum, length) => sum + length, 0));
  let from = 0;
  return lengths.map((length) => all.slice(from, (from += length)));
}

/** The values of a column of several kinds, each out of the column of its kind. */
function ofSeveralKinds(said: string, columns: readonly Column[], texts: readonly string[]): readonly unknown[] {
  const runs = [...said.matchAll(/(\D)(\d*)/g)].map(
    ([, kind = 'u', times]) => [kind, times ? Number(times) : 1] as const,
  );
  const count = (of: string) => runs.reduce((sum, [kind, times]) => (kind === of ? sum + times : sum), 0);
  const present = KINDS.filter((kind) => runs.some(([of]) => of === kind));
  const left = new Map<string, { readonly values: readonly unknown[]; next: number }>(
    present.map((kind, i) => [kind, { values: valuesOf(columns[i] ?? ['v', []], count(kind), texts), next: 0 }]),
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

/** The `count` values of a column. */
function valuesOf(column: Column, count: number, texts: readonly string[]): readonly unknown[] {
  const numbers = (one: Column) => valuesOf(one, count, texts) as readonly number[];
  const cut = (counts: readonly number[], one: Column) => cutUp(counts, (all) => valuesOf(one, all, texts));
  switch (column[0]) {
    case '=':
      return new Array<unknown>(count).fill(column[1]);
    case 's':
      return column[1].map((text) => (typeof text === 'number' ? texts[text] : text));
    case 'v':
      return column[1];
    case 'x':
      return column[1].map(Number);
    case '[':
      return cut(numbers(column[1]), column[2]);
    case '{':
      return rowsOf(
        column[1],
        column[2].map((one) => valuesOf(one, count, texts)),
        count,
      );
    case '?':
      return ofSeveralKinds(column[1], column[2], texts);
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
  const [texts, column] = JSON.parse(text) as [readonly string[], Column];
  return valuesOf(column, 1, texts)[0] as T;
}
