import type { Column } from './column';

/** Less than this is as soon said again. */
const MIN_LETTERS = 20;

/** The columns that a column is made of. */
function partsOf(column: Column): readonly Column[] {
  switch (column[0]) {
    case '[':
      return [column[1], column[2]];
    case '{':
    case '?':
      return column[2];
    case ':':
    case 'm':
      return [column[1], column[2], column[3]];
    default:
      return [];
  }
}

/** A column's text, of what stands in it for its fields and its parts. */
function textOf(column: Column, fields: string, parts: readonly string[]): string {
  switch (column[0]) {
    case '{':
      return `["{",${fields},[${parts.join()}]]`;
    case '?':
      return `["?",${JSON.stringify(column[1])},[${parts.join()}]]`;
    case '[':
    case ':':
    case 'm':
      return `["${column[0]}",${parts.join()}]`;
    default:
      return JSON.stringify(column);
  }
}

/** A column with its text, and those of what it is made of: each is told once. */
interface Told {
  readonly column: Column;
  readonly text: string;
  readonly fields: string;
  readonly parts: readonly Told[];
}

function toldOf(column: Column): Told {
  const parts = partsOf(column).map(toldOf);
  const fields = column[0] === '{' ? JSON.stringify(column[1]) : '';
  const texts = parts.map(({ text }) => text);
  return { column, text: textOf(column, fields, texts), fields, parts };
}

/** How often each text is said, where what is said again is not looked into again. */
function timesSaid(whole: Told): ReadonlyMap<string, number> {
  const times = new Map<string, number>();
  const isNew = (text: string): boolean => {
    if (text.length < MIN_LETTERS) return true;
    const before = times.get(text) ?? 0;
    times.set(text, before + 1);
    return before === 0;
  };
  const count = ({ text, fields, parts }: Told): void => {
    if (!isNew(text)) return;
    if (fields) isNew(fields);
    for (const part of parts) count(part);
  };
  count(whole);
  return times;
}

/** A column as JSON, what it says in several places once and by its number there; and the list of those. */
export function onceEach(column: Column): readonly [column: string, shared: string] {
  const whole = toldOf(column);
  const times = timesSaid(whole);
  const numbers = new Map<string, number>();
  const shared: string[] = [];
  /** The number of what is said in several places; undefined of what is not. */
  const numberOf = (text: string, body: () => string): number | undefined => {
    if (text.length < MIN_LETTERS || (times.get(text) ?? 0) < 2) return undefined;
    const known = numbers.get(text);
    if (known !== undefined) return known;
    const number = shared.push('') - 1;
    numbers.set(text, number);
    shared[number] = body();
    return number;
  };
  const once = ({ column: own, text, fields, parts }: Told): string => {
    const body = () => {
      if (parts.length === 0 && !fields) return text;
      return textOf(own, String(numberOf(fields, () => fields) ?? fields), parts.map(once));
    };
    const number = numberOf(text, body);
    return number === undefined ? body() : `["@",${number}]`;
  };
  const text = once(whole);
  return [text, `[${shared.join()}]`];
}
