import { plainFigure } from '@/core/units';
import { stringify } from 'csv-stringify/sync';
import {
  CONDITIONS_OF_PART,
  MAX_COUNT,
  ORIGINS,
  PLAIN_PART,
  type Origin,
  type Part,
  type PartCondition,
} from '@/model/order/part';
import type { Step } from '@/model/order/step';
import { ORIGIN_WORDS, PART_CONDITION_WORDS } from '@/interface/words/order-words';
import type { TrayPart } from '@/model/order/tray';
import { cellsOf, readRecords } from '@/server/read-records';

const COLUMNS = [
  'Part',
  'Needed',
  'Here',
  'Mark',
  'Number',
  'Bag',
  'Goes to',
  'From',
  'Condition',
  'Mates',
  'Hides',
  'Words',
  'Left',
] as const;
type Column = (typeof COLUMNS)[number];

/** The tray as a table that can be read in again; what is left of it is told, and not read. */
export function partsCsv(tray: readonly TrayPart[], steps: readonly Step[]): string {
  const names = new Map(steps.map(({ id, name }) => [id, name]));
  const rows = tray.map(({ part, has, left }) => [
    part.name,
    part.need,
    has,
    part.mark,
    part.serial,
    part.bag,
    names.get(part.stepId ?? '') ?? '',
    ORIGIN_WORDS[part.origin],
    PART_CONDITION_WORDS[part.condition],
    part.detail.mates,
    part.detail.hides,
    part.detail.words,
    left,
  ]);
  return stringify(rows, { header: true, columns: [...COLUMNS], escape_formulas: true });
}

export interface PartRow {
  /** Line in the file, the heading being 1. */
  readonly line: number;
  readonly name: string;
  readonly need: string;
  readonly here: string;
  readonly goesTo: string;
  /** Why the row is kept aside. */
  readonly reason?: string;
  readonly part?: Omit<Part, 'id' | 'engineId' | 'version' | 'createdAt'>;
}

const same = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase();

/** A word of a closed list, by itself or as it is told; undefined where it is none. */
function among<Id extends string>(
  list: readonly Id[],
  words: Readonly<Record<Id, string>>,
  text: string,
): Id | undefined {
  return list.find((id) => same(id, text) || same(words[id], text));
}

function count(text: string): number | undefined {
  const figure = plainFigure(text);
  return figure !== undefined && Number.isInteger(figure) && figure >= 0 && figure <= MAX_COUNT ? figure : undefined;
}

type Read = { readonly part: NonNullable<PartRow['part']> } | { readonly reason: string };

function partOf(
  at: (column: Column) => string,
  steps: readonly Step[],
  known: readonly Part[],
  isTaken: (serial: string) => string | undefined,
): Read {
  const name = at('Part').slice(0, 120);
  if (name === '') return { reason: 'It has no name.' };
  const need = count(at('Needed'));
  if (need === undefined)
    return { reason: at('Needed') === '' ? 'It is not said how many are needed.' : `“${at('Needed')}” is no count.` };
  const here = at('Here') === '' ? 0 : count(at('Here'));
  if (here === undefined) return { reason: `“${at('Here')}” is no count.` };
  const named = at('Goes to') === '' ? [] : steps.filter((step) => same(step.name, at('Goes to')));
  if (at('Goes to') !== '' && named.length !== 1)
    return {
      reason:
        named.length === 0
          ? `No step here is called “${at('Goes to')}”.`
          : `More than one step is called “${at('Goes to')}”.`,
    };
  const origin: Origin | undefined = at('From') === '' ? 'taken-off' : among(ORIGINS, ORIGIN_WORDS, at('From'));
  if (!origin) return { reason: `“${at('From')}” is not known. Known: ${Object.values(ORIGIN_WORDS).join(', ')}.` };
  const condition: PartCondition | undefined =
    at('Condition') === '' ? 'not-said' : among(CONDITIONS_OF_PART, PART_CONDITION_WORDS, at('Condition'));
  if (!condition)
    return { reason: `“${at('Condition')}” is not known. Known: ${Object.values(PART_CONDITION_WORDS).join(', ')}.` };
  const [mark, serial] = [at('Mark').slice(0, 60), at('Number').slice(0, 60)];
  if (known.some((part) => same(part.name, name) && same(part.mark, mark) && same(part.serial, serial)))
    return { reason: 'It is on the tray already.' };
  const elsewhere = serial === '' ? undefined : isTaken(serial);
  if (elsewhere !== undefined || (serial !== '' && known.some((part) => part.serial === serial)))
    return {
      reason: `A part numbered ${serial} is on ${elsewhere === undefined ? 'this tray' : `“${elsewhere}”`} already.`,
    };
  return {
    part: {
      stepId: named[0]?.id ?? null,
      name,
      need,
      here,
      mark,
      serial,
      bag: at('Bag').slice(0, 60),
      origin,
      condition,
      detail: {
        ...PLAIN_PART,
        mates: at('Mates').slice(0, 200),
        hides: at('Hides').slice(0, 200),
        words: at('Words').slice(0, 1000),
      },
    },
  };
}

/**
 * Every row of a table as it would be put on the tray.
 * @param isTaken the engine that has a part of that number of its own
 * @throws DomainError bad-csv
 */
export function readParts(
  text: string,
  { steps, parts }: { readonly steps: readonly Step[]; readonly parts: readonly Part[] },
  isTaken: (serial: string) => string | undefined,
): readonly PartRow[] {
  const { headings, records } = readRecords(text);
  const cells = cellsOf(COLUMNS, headings);
  const seen: Part[] = [...parts];
  return records.map((record, i) => {
    const at = cells(record);
    const shown = { line: i + 2, name: at('Part'), need: at('Needed'), here: at('Here'), goesTo: at('Goes to') };
    const read = partOf(at, steps, seen, isTaken);
    if ('part' in read) seen.push(read.part as Part);
    return { ...shown, ...read };
  });
}
