import { parse } from 'csv-parse/sync';
import { DomainError } from '@/core/units';

const MAX_ROWS = 5000;

function delimiterOf(text: string): string {
  const first = text.split(/\r?\n/, 1)[0] ?? '';
  const count = (sign: string) => first.split(sign).length;
  return [';', '\t', ','].reduce((best, sign) => (count(sign) > count(best) ? sign : best));
}

/** @throws DomainError bad-csv */
function recordsOf(text: string): readonly (readonly string[])[] {
  try {
    return parse(text, {
      bom: true,
      delimiter: delimiterOf(text),
      relax_column_count: true,
      skip_empty_lines: true,
      trim: true,
    });
  } catch (error) {
    throw new DomainError(
      'bad-csv',
      `The table cannot be read: ${error instanceof Error ? error.message : 'it is no CSV'}. Nothing was written.`,
      'text',
    );
  }
}

/** A cell that was made harmless for a spreadsheet on its way out comes in as it was. */
const unescaped = (cell: string): string => cell.replace(/^'(?=[=+\-@\t\r])/, '');

/** A table with a line of headings; commas, semicolons or tabs between. @throws DomainError bad-csv */
export function readRecords(
  text: string,
  most = MAX_ROWS,
): {
  readonly headings: readonly string[];
  readonly records: readonly (readonly string[])[];
} {
  const [headings, ...records] = recordsOf(text).map((cells) => cells.map(unescaped));
  if (!headings || records.length === 0)
    throw new DomainError('bad-csv', 'The table needs a line of headings and at least one row.', 'text');
  if (records.length > most)
    throw new DomainError('bad-csv', `The table has ${records.length} rows; ${most} at a time.`, 'text');
  return { headings, records };
}

const isSameHeading = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase();

/**
 * Reads a record by the names of its columns, whatever their order and case; empty where there is none. What keeps a
 * spreadsheet from taking a cell for a formula is taken off again.
 */
export function cellsOf<Column extends string>(columns: readonly Column[], headings: readonly string[]) {
  const places = new Map(columns.map((name) => [name, headings.findIndex((heading) => isSameHeading(heading, name))]));
  return (record: readonly string[]) =>
    (column: Column): string =>
      (record[places.get(column) ?? -1] ?? '').trim().replace(/^'(?=[=+\-@])/, '');
}
