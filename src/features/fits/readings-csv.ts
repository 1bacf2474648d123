import { createHash } from 'node:crypto';
import { isDomainError, plainFigure, READING_UNITS_MM, type ReadingUnit } from '@/core/units';
import { stringify } from 'csv-stringify/sync';
import { PARTS, cellKey, isSigned, readReading, type Part } from '@/core/fits';
import type { Fit, FitLine } from '@/model/fit/fit';
import { assertAsked } from '@/model/fit/fit-reading';
import { cancelledIn } from '@/model/fit/fit-fold';
import { cellsOf, readRecords } from '@/server/read-records';

const COLUMNS = [
  'Fit',
  'Place',
  'Part',
  'Station',
  'Angle',
  'Typed',
  'Unit',
  'Standard mm',
  'mm',
  'Instrument',
  'Reads to mm',
  'Read by',
  'Reported by',
  'At',
  'Struck',
  'Piece',
] as const;

/** Every reading of an engine’s fits as a table that can be read in again; stations and angles count from 1. */
export function readingsCsv(fits: readonly Fit[], lines: ReadonlyMap<string, readonly FitLine[]>): string {
  const rows = fits.flatMap((fit) => {
    const own = lines.get(fit.id) ?? [];
    const struck = cancelledIn(own);
    return own.flatMap((line) => {
      if (line.kind !== 'reading') return [];
      const { body } = line;
      return [
        [
          fit.name,
          fit.places[line.place],
          line.part,
          line.station + 1,
          line.angle + 1,
          line.typed,
          body.unit,
          body.standard_mm ?? '',
          Number(line.value_mm.toPrecision(10)),
          body.instrument,
          body.resolution_mm ?? '',
          body.by ?? '',
          body.reportedBy ?? '',
          line.at,
          struck.has(line.id) ? 'struck' : '',
          body.piece ?? '',
        ],
      ];
    });
  });
  return stringify(rows, { header: true, columns: [...COLUMNS], escape_formulas: true });
}

export interface ReadingRow {
  /** Line in the file, the heading being 1. */
  readonly line: number;
  readonly fit: string;
  readonly place: string;
  readonly part: string;
  readonly cell: string;
  readonly typed: string;
  readonly unit: string;
  readonly value_mm?: number;
  /** Why the row is kept aside. */
  readonly reason?: string;
  /** What is doubtful about it; it is entered only where somebody says that it is so. */
  readonly doubt?: string;
  /** The reading to be written, where it can be. */
  readonly reading?: {
    /** Of this row of this table: the same table read in again is known by it. */
    readonly id: string;
    readonly fitId: string;
    readonly place: number;
    readonly part: Part;
    readonly station: number;
    readonly angle: number;
    readonly value_mm: number;
    readonly typed: string;
    readonly unit: ReadingUnit;
    readonly standard_mm?: number;
    readonly instrument: string;
    readonly resolution_mm?: number;
    readonly by?: string;
    readonly reportedBy?: string;
    readonly piece?: string;
    /** When it was read, where the table says so. */
    readonly at?: string;
  };
}

const same = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase();
const isPart = (text: string): text is Part => (PARTS as readonly string[]).includes(text);
const isUnit = (text: string): text is ReadingUnit => text in READING_UNITS_MM;
/** A time as this table writes it, or as a spreadsheet left it; a bare clock says no day and is not taken. */
function whenOf(text: string): string | undefined {
  if (!/^\d{4}-\d{2}-\d{2}/.test(text)) return undefined;
  const time = new Date(text);
  return Number.isNaN(time.getTime()) ? undefined : time.toISOString();
}

type Found = Omit<NonNullable<ReadingRow['reading']>, 'id'>;
type At = (column: (typeof COLUMNS)[number]) => string;

function readingOf(at: At, fits: readonly Fit[]): Found | { readonly reason: string } {
  const fit = fits.find(({ name }) => same(name, at('Fit')));
  if (!fit) return { reason: `No fit here is called “${at('Fit')}”.` };
  if (at('Struck') !== '') return { reason: 'It was cancelled where it comes from.' };
  const place =
    fit.places.length === 1 && at('Place') === '' ? 0 : fit.places.findIndex((name) => same(name, at('Place')));
  if (place < 0) return { reason: `${fit.name} has no place “${at('Place')}”.` };
  const part = at('Part').toLowerCase();
  const unit = at('Unit');
  if (!isPart(part)) return { reason: `“${at('Part')}” is no part of a reading. Known: ${PARTS.join(', ')}.` };
  if (!isUnit(unit))
    return {
      reason:
        unit === ''
          ? 'The figure has no unit.'
          : `“${unit}” is not a unit read here. Known: ${Object.keys(READING_UNITS_MM).join(', ')}.`,
    };
  const [station, angle] = [(plainFigure(at('Station')) ?? 1) - 1, (plainFigure(at('Angle')) ?? 1) - 1];
  const standard_mm = plainFigure(at('Standard mm'));
  const value_mm = readReading({
    typed: at('Typed'),
    unit,
    ...(standard_mm !== undefined && !isSigned(part) && { standard_mm }),
    signed: isSigned(part),
  });
  assertAsked(fit, { part, station, angle }, value_mm);
  const resolution_mm = plainFigure(at('Reads to mm'));
  return {
    fitId: fit.id,
    place,
    part,
    station,
    angle,
    value_mm,
    typed: at('Typed'),
    unit,
    instrument: at('Instrument').slice(0, 80),
    ...(standard_mm !== undefined && !isSigned(part) && { standard_mm }),
    ...(resolution_mm !== undefined && resolution_mm > 0 && resolution_mm <= 1 && { resolution_mm }),
    ...(at('Read by') !== '' && { by: at('Read by').slice(0, 60) }),
    ...(at('Reported by') !== '' && { reportedBy: at('Reported by').slice(0, 80) }),
    ...(whenOf(at('At')) && { at: whenOf(at('At')) }),
    ...(at('Piece') !== '' && { piece: at('Piece').slice(0, 20) }),
  };
}

type Lines = ReadonlyMap<string, readonly FitLine[]>;

type Read = NonNullable<ReadingRow['reading']>;

const isSameReading = (reading: Read, line: FitLine): boolean =>
  line.kind === 'reading' &&
  line.place === reading.place &&
  cellKey(line) === cellKey(reading) &&
  line.typed === reading.typed &&
  Date.parse(line.at) === Date.parse(reading.at ?? '');

/** This row was read in before, or the same figure of the same cell at the same moment: it went out from here. */
const isHere = (reading: Read, lines: readonly FitLine[], known: ReadonlySet<string>): boolean =>
  known.has(reading.id) || (reading.at !== undefined && lines.some((line) => isSameReading(reading, line)));

export interface ReadTable {
  readonly records: readonly (readonly string[])[];
  /** One record as it would be entered. */
  readonly rowOf: (record: readonly string[], index: number) => ReadingRow;
}

/** A table of readings, and how each of its rows is read; nothing is written. @throws DomainError bad-csv */
export function readTable(text: string, fits: readonly Fit[], lines: Lines = new Map()): ReadTable {
  const { headings, records } = readRecords(text);
  const known = new Set([...lines.values()].flatMap((own) => own.map(({ id }) => id)));
  const table = createHash('sha256').update(text).digest('base64url').slice(0, 16);
  const cells = cellsOf(COLUMNS, headings);
  const rowOf = (record: readonly string[], i: number): ReadingRow => {
    const at: At = cells(record);
    const shown = {
      line: i + 2,
      fit: at('Fit'),
      place: at('Place'),
      part: at('Part'),
      cell: `${at('Station')}, ${at('Angle')}`,
      typed: at('Typed'),
      unit: at('Unit'),
    };
    try {
      const found = readingOf(at, fits);
      if ('reason' in found) return { ...shown, ...found };
      const reading = { id: `${table}-${i + 2}`, ...found };
      if (isHere(reading, lines.get(reading.fitId) ?? [], known))
        return { ...shown, reason: 'It is in the record already.' };
      return { ...shown, value_mm: reading.value_mm, reading };
    } catch (error) {
      if (isDomainError(error)) return { ...shown, reason: error.message };
      throw error;
    }
  };
  return { records, rowOf };
}

/** Every row of a table as it would be entered. @throws DomainError bad-csv */
export function readReadings(text: string, fits: readonly Fit[], lines?: Lines): readonly ReadingRow[] {
  const { records, rowOf } = readTable(text, fits, lines);
  return records.map(rowOf);
}
