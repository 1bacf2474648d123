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

const fieldsOf = (column: Column): string => (column[0] === '{' ? JSON.stringify(column[1]) : '');

/** A column as JSON, what it says in several places once and by its number there; and the list of those. */
export function onceEach(column: Column): readonly [column: string, shared: string] {
  const whole = new Map<Column, string>();
  const said = (one: Column): string => {
    const known = whole.get(one);
    if (known !== undefined) return known;
    const text = textOf(one, fieldsOf(one), partsOf(one).map(said));
    whole.set(one, text);
    return text;
  };
  const times = new Map<string, number>();
  const isNew = (text: string): boolean => {
    const before = times.get(text) ?? 0;
    times.set(text, before + 1);
    return before === 0;
  };
  const count = (one: Column): void => {
    if (!isNew(said(one))) return;
    if (one[0] === '{') isNew(fieldsOf(one));
    partsOf(one).forEach(count);
  };
  count(column);
  const numbers = new Map<string, number>();
  const shared: string[] = [];
  /** By its number, where it is said in several places. */
  const once = (text: string, told: () => string, named: (number: number) => string): string => {
    if (text.length < MIN_LETTERS || (times.get(text) ?? 0) < 2) return told();
    let number = numbers.get(text);
    if (number === undefined) {
      number = shared.push('') - 1;
      numbers.set(text, number);
      shared[number] = told();
    }
    return named(number);
  };
  const fields = (text: string): string => once(text, () => text, String);
  const told = (one: Column): string =>
    once(
      said(one),
      () => textOf(one, fields(fieldsOf(one)), partsOf(one).map(told)),
      (number) => `["@",${number}]`,
    );
  const text = told(column);
  return [text, `[${shared.join()}]`];
}
