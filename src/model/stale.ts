import { DomainError } from '@/core/units';
import type { Difference, Stale } from './result';

/** A refusal to write over what somebody else wrote meanwhile; both values come with it. */
export class StaleWrite extends DomainError {
  constructor(
    message: string,
    readonly stale: Stale,
  ) {
    super('stale', message);
  }
}

export const isStaleWrite = (thrown: unknown): thrown is StaleWrite =>
  thrown instanceof Error && thrown.name === 'DomainError' && 'stale' in thrown;

/** How a value is told to a person who has to choose between two. */
export type Say = (field: string, value: unknown) => { readonly field: string; readonly value: string };

const plainly = (value: unknown): string => {
  if (value === null || value === undefined || value === '') return 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  return typeof value === 'string' || typeof value === 'number' ? `${value}` : JSON.stringify(value);
};

/** Names of fields in words; what is not named goes by its own name. */
export const sayBy =
  (names: Readonly<Record<string, string>>): Say =>
  (field, value) => ({ field: names[field] ?? field, value: plainly(value) });

const isSame = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/** Where what was sent is another than what is on disk, field by field. */
export const differencesOf = (current: object, sent: object, say: Say): readonly Difference[] =>
  Object.entries(sent).flatMap(([field, value]): readonly Difference[] => {
    const onDisk = (current as Readonly<Record<string, unknown>>)[field];
    if (field === 'version' || isSame(onDisk, value)) return [];
    const [disk, here] = [say(field, onDisk), say(field, value)];
    return [{ field: disk.field, onDisk: disk.value, sent: here.value }];
  });

const MOST_TOLD = 60;
const isPlain = (value: string) => value.length <= MOST_TOLD && !/^[[{]/.test(value);

/**
 * What was changed of something, in a few words: `“Cylinder head”: Lubricant today, Engine oil → Moly paste`; undefined
 * where nothing was.
 */
export function changedWords(what: string, before: object, sent: object, say: Say): string | undefined {
  const differences = differencesOf(before, sent, say);
  const [only] = differences;
  if (!only) return undefined;
  if (differences.length === 1 && isPlain(only.onDisk) && isPlain(only.sent))
    return `“${what}”: ${only.field}, ${only.onDisk} → ${only.sent}`;
  return `“${what}” was changed: ${[...new Set(differences.map(({ field }) => field))].join(', ')}`;
}

interface Versioned {
  readonly version: number;
}

/**
 * Refuses a writer that read another version than the one on disk, with both values of every field that differs.
 * @throws StaleWrite
 */
export function assertFresh<Row extends Versioned, Sent extends Versioned>(
  what: string,
  current: Row,
  sent: Sent,
  say: Say = sayBy({}),
): void {
  if (current.version === sent.version) return;
  const differences = differencesOf(current, sent, say);
  const words = differences.map(({ field, onDisk, sent: here }) => `${field}: on disk “${onDisk}”, here “${here}”`);
  throw new StaleWrite(
    [
      `${what} was changed in another window or on another device since it was opened here. Nothing was written.`,
      ...words,
    ].join(' ') + (words.length > 0 ? '.' : ''),
    { version: current.version, differences, current },
  );
}

/** Refuses where a row was written between its reading and its writing. @throws StaleWrite */
export function assertWritten(what: string, written: boolean, current: Versioned): void {
  if (!written)
    throw new StaleWrite(`${what} was changed at the same moment elsewhere. Nothing was written; try again.`, {
      version: current.version,
      differences: [],
      current,
    });
}
