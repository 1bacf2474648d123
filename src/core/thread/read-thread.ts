import { INCH_MM, DomainError, dictionary, type Note } from '@/core/units';
import { threadOfRow } from './geometry';
import { rowByFigures } from './own';
import { BRITISH_ASSOCIATION_ROWS } from './series/british-association';
import { CYCLE_ROWS } from './series/cycle';
import { inches } from './series/inch-row';
import { METRIC_ROWS } from './series/metric';
import { NAMED_ONLY_ROWS } from './series/named-only';
import { UNIFIED_ROWS } from './series/unified';
import { WHITWORTH_ROWS } from './series/whitworth';
import type { Thread, ThreadRow, ThreadSeries } from './thread';

export const THREAD_ROWS: readonly ThreadRow[] = [
  ...METRIC_ROWS,
  ...UNIFIED_ROWS,
  ...WHITWORTH_ROWS,
  ...CYCLE_ROWS,
  ...BRITISH_ASSOCIATION_ROWS,
];

/** Everything that has a name. */
const NAMED_ROWS: readonly ThreadRow[] = [...THREAD_ROWS, ...NAMED_ONLY_ROWS];

const THREADS: ReadonlyMap<ThreadRow, Thread> = new Map(NAMED_ROWS.map((row) => [row, threadOfRow(row)]));

const SERIES_WORDS = dictionary<readonly ThreadSeries[]>({
  unc: ['UNC'],
  nc: ['UNC'],
  unf: ['UNF'],
  nf: ['UNF'],
  // What went before them has their sizes and pitches.
  uss: ['UNC'],
  sae: ['UNF'],
  un: ['UNC', 'UNF'],
  bsw: ['BSW'],
  w: ['BSW'],
  ww: ['BSW'],
  whit: ['BSW'],
  whitworth: ['BSW'],
  bsf: ['BSF'],
  cei: ['CEI'],
  bsc: ['CEI'],
  cycle: ['CEI'],
  ba: ['BA'],
  brass: ['Brass'],
  bsp: ['BSP'],
  g: ['BSP'],
  pipe: ['BSP'],
  gas: ['BSP'],
  m: ['M'],
});

interface Wanted {
  readonly series: readonly ThreadSeries[];
  readonly size: number;
  readonly numbered: boolean;
  /** The size was printed in decimals, and so rounded. */
  readonly decimal?: boolean;
  /** Pitch in mm for metric, threads to the inch for the rest; undefined where only the size is given. */
  readonly pitch?: number;
  readonly label: string;
}

const VULGAR: Readonly<Record<string, string>> = {
  '¼': '1/4',
  '½': '1/2',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

const tidyText = (text: string): string =>
  text
    .replace(/[¼½¾⅛⅜⅝⅞]/g, (sign) => VULGAR[sign] ?? sign)
    .replace(/⁄/g, '/')
    .replace(/[×✕*]/g, 'x')
    .replace(/[‐‑‒–—−]/g, '-')
    .replace(/["″”“]|''/g, ' ')
    .toLowerCase()
    .replace(/(?<![a-z])(?:inch(?:es)?|ins?|t\.?p\.?i)\b\.?/g, ' ')
    .replace(/([a-z])\./g, '$1')
    .replace(/(\d),(\d)/g, '$1.$2')
    .replace(/\s+/g, ' ')
    .trim()
    .replace(/^([a-z]{1,9}) ?((?:no |#)?\d[\d/x -]*)$/, (whole, word: string, size: string) =>
      word === 'm' || word === 'no' ? whole : `${size} ${word}`,
    );

const METRIC_PATTERN = /^m ?(\d+(?:\.\d+)?)(?: ?[x-] ?(\d+(?:\.\d+)?|\.\d+))?(?: ?mm)?( ?\(?pre-? ?iso\)?)?$/;
/** A size is a fraction, or its decimals: `3/8-24`, `.375-24`. */
const INCH_PATTERN = /^(?:(no|#) ?)?(\d+(?:\/\d+)?|\d?\.\d{2,4})(?:(?: ?[x-] ?| )(\d+))? ?([a-z]*)$/;

function parse(text: string): Wanted | undefined {
  const metric = METRIC_PATTERN.exec(text);
  if (metric)
    return {
      series: [metric[3] ? 'M pre-ISO' : 'M'],
      size: Number(metric[1]),
      numbered: false,
      pitch: metric[2] ? Number(metric[2]) : undefined,
      label: text,
    };
  const inch = INCH_PATTERN.exec(text);
  if (!inch) return undefined;
  const [, no, size = '', pitch, word = ''] = inch;
  const series = word === '' ? (['UNC', 'UNF'] as const) : SERIES_WORDS[word];
  if (!series || (word === '' && pitch === undefined)) return undefined;
  const numbered =
    series.includes('BA') || no !== undefined || (word.startsWith('un') && !size.includes('/') && Number(size) !== 1);
  return {
    series,
    size: inches(size),
    numbered,
    decimal: size.includes('.'),
    pitch: pitch === undefined ? undefined : Number(pitch),
    label: text,
  };
}

const isMetric = ({ series }: ThreadRow) => series === 'M' || series === 'M pre-ISO';
const rowSize = (row: ThreadRow): number => (isMetric(row) ? row.major_mm : inches(row.nominal.replace('No. ', '')));
const rowNumbered = (row: ThreadRow) => row.series === 'BA' || row.nominal.startsWith('No.');
const rowPitch = (row: ThreadRow) => (isMetric(row) ? row.pitch_mm : INCH_MM / row.pitch_mm);

/** `.312` for 5/16. */
const DECIMAL_ROUNDING_IN = 0.00051;

const fits = (row: ThreadRow, wanted: Wanted): boolean =>
  wanted.series.includes(row.series) &&
  rowNumbered(row) === wanted.numbered &&
  Math.abs(rowSize(row) - wanted.size) < (wanted.decimal ? DECIMAL_ROUNDING_IN : 1e-9) &&
  (wanted.pitch === undefined ? row.usual : Math.abs(rowPitch(row) - wanted.pitch) < 1e-6);

/** The row nearest to what was asked for, by size first and pitch second, within the series asked for if it exists. */
function nearest(wanted: Wanted | undefined, text: string): ThreadRow {
  const pool = wanted
    ? NAMED_ROWS.filter((row) => wanted.series.includes(row.series) && rowNumbered(row) === wanted.numbered)
    : [];
  const rows = pool.length > 0 ? pool : THREAD_ROWS;
  const printed = /\d+(?:\/\d+|\.\d+)?/.exec(tidyText(text))?.[0];
  const printed_mm = printed?.includes('/') ? inches(printed) * INCH_MM : Number(printed ?? 10);
  const away = (row: ThreadRow) =>
    (wanted ? rowSize(row) / Math.max(wanted.size, 1e-6) : row.major_mm / Math.max(printed_mm, 1e-6)) - 1;
  const distance = (row: ThreadRow) =>
    Math.abs(away(row)) * 100 + (wanted?.pitch ? Math.abs(rowPitch(row) / wanted.pitch - 1) : row.usual ? 0 : 0.5);
  return rows.reduce((best, row) => (distance(row) < distance(best) ? row : best));
}

/** A bare `1/4-26` belongs to two British series and to no unified one: say which. */
function otherSeries(wanted: Wanted): readonly ThreadRow[] {
  const open: Wanted = { ...wanted, series: ['BSW', 'BSF', 'CEI'] };
  return THREAD_ROWS.filter((row) => fits(row, open));
}

const BARE_SIZE = /^(?:\d+ )?\d+\/\d+$|^\d+$/;

/**
 * The threads of a size in inches that was named without its kind, one of each series: `7/16` is a thread of five.
 * Empty where something else was asked for. A whole number may be metric: it is a size in inches up to 2.
 */
export function threadsOfSize(designation: string): readonly Thread[] {
  const text = tidyText(designation).trim();
  if (!BARE_SIZE.test(text)) return [];
  const size = inches(text);
  if (!(size > 0 && size <= 2)) return [];
  const rows = THREAD_ROWS.filter(
    (row) =>
      !isMetric(row) && !rowNumbered(row) && row.series !== 'BSP' && row.usual && Math.abs(rowSize(row) - size) < 1e-9,
  );
  return rows.flatMap((row) => THREADS.get(row) ?? []);
}

function unknown(text: string, wanted: Wanted | undefined): DomainError {
  const kinds = threadsOfSize(text).map(({ designation }) => designation);
  if (kinds.length > 1)
    return new DomainError(
      'unknown-thread',
      `“${text}” is a size, not yet a thread: ${kinds.join(', ')}. Its pitch tells which; the finder under Threads measures it.`,
      'thread',
    );
  const others = wanted ? otherSeries(wanted) : [];
  const near =
    others.length > 0 ? others.map((row) => row.designation).join(' or ') : nearest(wanted, text).designation;
  return new DomainError('unknown-thread', `“${text}” is not a thread known here. The nearest is ${near}.`, 'thread');
}

/** Names that meant more than one thing. */
const doubleMeaning = (row: ThreadRow, text: string): readonly Note[] =>
  row.series === 'BSP' && /gas|pipe/.test(text)
    ? [
        {
          code: 'gas-or-brass',
          message:
            'Taken as the parallel pipe thread, named by the bore of its pipe. Some pages call the brass thread of 26 to the inch “gas”: measure it.',
        },
      ]
    : [];

const secondPitch = (row: ThreadRow, wanted: Wanted): readonly Note[] =>
  row.series === 'CEI' && wanted.pitch === undefined && rowSize(row) >= 7 / 16 - 1e-9
    ? [
        {
          code: 'second-pitch',
          message: `${row.nominal} CEI was also cut with 20 threads to the inch; 26 is taken here.`,
        },
      ]
    : [];

const cache = new Map<string, { readonly thread: Thread; readonly notes: readonly Note[] }>();
const MAX_CACHED = 500;
/** Longer than any thread is stamped, printed or called. */
const MAX_DESIGNATION = 60;

/**
 * Reads the name of a thread as it is printed or stamped, with the notes that go with it.
 * @throws DomainError unknown-thread, naming the nearest that is known
 */
export function readThread(designation: string): { readonly thread: Thread; readonly notes: readonly Note[] } {
  const known = cache.get(designation);
  if (known) return known;
  if (designation.length > MAX_DESIGNATION)
    throw new DomainError('unknown-thread', `A thread’s name has at most ${MAX_DESIGNATION} characters.`);
  const tidied = tidyText(designation);
  const byFigures = rowByFigures(tidied);
  if (byFigures) return { thread: threadOfRow(byFigures), notes: [] };
  const wanted = parse(tidied);
  const row = wanted && NAMED_ROWS.find((candidate) => fits(candidate, wanted));
  const thread = row && THREADS.get(row);
  if (!thread || !wanted) throw unknown(designation, wanted);
  const found = { thread, notes: [...secondPitch(row, wanted), ...doubleMeaning(row, tidied)] };
  if (cache.size < MAX_CACHED) cache.set(designation, found);
  return found;
}

/**
 * Looks a thread up by its name: `M10`, `M10x1.25`, `3/8-24 UNF`, `7/16 BSF`, `1/2 W`, `5/16 CEI`, `2 BA`.
 * @throws DomainError unknown-thread
 * @example threadNamed('M10').stressArea_mm2 // 57.99
 */
export const threadNamed = (designation: string): Thread => readThread(designation).thread;
