// What a page is drawn from goes to the browser twice: as what is read, and as what the program goes on with. A long list
// names its fields a hundred times and says the same of most of its rows: in columns it is said once.

import { KINDS, otherQuotes, type Column, type InColumns, type Kind } from './column';
import { onceEach } from './once-each';

type Row = Readonly<Record<string, unknown>>;

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

/** Texts or values that come several times one after another are said once, where that is shorter. */
function inRuns(kind: 's' | 'v', values: readonly unknown[]): Column {
  const said: unknown[] = [];
  const times: number[] = [];
  values.forEach((value, i) => {
    if (i > 0 && value === values[i - 1]) times[times.length - 1] = (times.at(-1) ?? 0) + 1;
    else {
      said.push(value);
      times.push(1);
    }
  });
  return said.length * 2 <= values.length ? ['r', kind, said, times] : [kind, values];
}

function columnOfKind(kind: Kind, values: readonly unknown[]): Column {
  switch (kind) {
    case 's':
    case 'v':
      return inRuns(kind, values);
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
    case 'r':
      return column[1] === 's' ? ['r', 's', column[2].map(of), column[3]] : column;
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
  const often = [...times].filter(([text, n]) => n > 1 && String(text).length >= MIN_SHARED);
  const texts = often.sort(([, a], [, b]) => b - a).map(([text]) => text);
  const at = new Map(texts.map((text, i) => [text, i]));
  const [told, shared] = onceEach(withTexts(column, (text) => at.get(text) ?? text));
  return otherQuotes(`[${JSON.stringify(texts)},${told},${shared}]`);
}
