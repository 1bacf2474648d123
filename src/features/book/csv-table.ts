import { stringify } from 'csv-stringify/sync';
import { isDomainError } from '@/core/units';
import { askedOf, leafOfText } from '@/model/book/leaf-of-text';
import { readRecords } from '@/server/read-records';
import type { ColumnUse } from './column-uses';
import type { BookSource } from './queries';

export interface ImportRow {
  /** Line in the file, the heading being 1. */
  readonly line: number;
  readonly subject: string;
  readonly page: string;
  readonly printedText: string;
  readonly conditionText: string;
  /** N·m as it will be read; absent where the row is kept aside. */
  readonly min_Nm?: number;
  readonly max_Nm?: number;
  readonly deg?: number;
  /** Why the row is kept aside. */
  readonly reason?: string;
}

export interface ImportTable {
  readonly headings: readonly string[];
  readonly uses: readonly ColumnUse[];
  readonly rows: readonly ImportRow[];
}

const GUESSES: readonly (readonly [RegExp, ColumnUse])[] = [
  [/page|seite|pag\b|leaf/i, 'page'],
  [/unit|einheit/i, 'unit'],
  [/thread|film|condition|gewinde|oil/i, 'threads'],
  [/torque|figure|printed|value|text|moment|couple|coppia|drehmoment/i, 'figure'],
  [/subject|joint|name|part|fastener|description|item|nut|bolt/i, 'subject'],
];

const guessUse = (heading: string): ColumnUse => GUESSES.find(([pattern]) => pattern.test(heading))?.[1] ?? 'left out';

/** Each use once, the first column that asks for it. */
const guessUses = (headings: readonly string[]): readonly ColumnUse[] =>
  headings.map(guessUse).map((use, i, all) => (use !== 'left out' && all.indexOf(use) < i ? 'left out' : use));

function readRow(fields: Omit<ImportRow, 'min_Nm' | 'max_Nm' | 'reason'>): ImportRow {
  if (fields.subject === '') return { ...fields, reason: 'It says not what it is for.' };
  if (fields.printedText === '') return { ...fields, reason: 'It holds no figure.' };
  try {
    const asked = askedOf({ kind: 'torque', printedText: fields.printedText });
    const read = leafOfText({
      kind: 'torque',
      printedText: fields.printedText,
      conditionText: fields.conditionText || null,
      readingIndex: -1,
    });
    if (asked.length > 0)
      return { ...fields, reason: `To be agreed to first: ${asked.map((note) => note.message).join(' ')}` };
    if (read.min_Nm === null || read.max_Nm === null) return { ...fields, deg: read.min_deg ?? 0 };
    return { ...fields, conditionText: read.conditionText ?? '', min_Nm: read.min_Nm, max_Nm: read.max_Nm };
  } catch (error) {
    if (isDomainError(error)) return { ...fields, reason: error.message };
    throw error;
  }
}

/**
 * Reads a table of figures as it would be entered, row by row; nothing is written. A figure and a unit in columns of
 * their own are put together.
 * @throws DomainError bad-csv
 */
export function readTable(text: string, uses?: readonly ColumnUse[]): ImportTable {
  const { headings, records } = readRecords(text);
  const inForce = uses?.length === headings.length ? uses : guessUses(headings);
  const at = (record: readonly string[], use: ColumnUse) => {
    const column = inForce.indexOf(use);
    return column < 0 ? '' : (record[column] ?? '').trim();
  };
  const rows = records.map((record, i) =>
    readRow({
      line: i + 2,
      subject: at(record, 'subject').slice(0, 200),
      page: at(record, 'page').slice(0, 40) || 'table',
      printedText: [at(record, 'figure'), at(record, 'unit')].filter(Boolean).join(' ').slice(0, 400),
      conditionText: at(record, 'threads').slice(0, 200),
    }),
  );
  return { headings, uses: inForce, rows };
}

/** Rows kept aside, as a table again, each with its reason. */
export const asideCsv = (rows: readonly ImportRow[]): string =>
  stringify(
    rows
      .filter((row) => row.reason !== undefined)
      .map((row) => [row.line, row.subject, row.page, row.printedText, row.conditionText, row.reason]),
    {
      header: true,
      columns: ['Line', 'Subject', 'Page', 'Printed', 'Threads', 'Kept aside because'],
      escape_formulas: true,
    },
  );

/** An engine's leaves as a table that can be read in again. */
export const bookCsv = (sources: readonly BookSource[]): string =>
  stringify(
    sources.flatMap((source) =>
      source.leaves.map((leaf) => [
        source.title,
        source.edition,
        source.year ?? '',
        leaf.subject,
        leaf.page,
        leaf.printedText,
        leaf.conditionText ?? '',
        leaf.kind,
        leaf.min_Nm ?? leaf.min_mm ?? leaf.min_deg ?? '',
        leaf.max_Nm ?? leaf.max_mm ?? leaf.max_deg ?? '',
        leaf.min_Nm !== null ? 'N·m' : leaf.min_mm !== null ? 'mm' : leaf.min_deg !== null ? '°' : '',
      ]),
    ),
    {
      header: true,
      columns: [
        'Source',
        'Edition',
        'Year',
        'Subject',
        'Page',
        'Printed',
        'Threads',
        'Kind',
        'SI low',
        'SI high',
        'SI measure',
      ],
      escape_formulas: true,
    },
  );
