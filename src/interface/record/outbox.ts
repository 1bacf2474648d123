import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** Lines that the server has not acknowledged yet, in the order in which they were written. */
interface Outbox extends DBSchema {
  lines: {
    key: number;
    value: { readonly record: string; readonly id: string; readonly line: unknown };
    indexes: { record: string; line: [string, string] };
  };
}

/** A line as far as it is kept here: it is told by its id. */
interface Told {
  readonly id: string;
}

const NAME = 'spanner-outbox';
/** A browser that does not answer must not keep the bench shut. */
const PATIENCE_MS = 3000;

let opened: Promise<IDBPDatabase<Outbox>> | undefined;

async function patiently<T>(wanted: Promise<T>): Promise<T> {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<never>((_, refuse) => {
    timer = setTimeout(() => refuse(new Error('The browser’s store does not answer.')), PATIENCE_MS);
  });
  return Promise.race([wanted, late]).finally(() => clearTimeout(timer));
}

/** A browser that keeps nothing says so each time, and is asked anew: it may be allowed to in between. */
async function open(): Promise<IDBPDatabase<Outbox>> {
  opened ??= patiently(
    openDB<Outbox>(NAME, 1, {
      upgrade: (db) => {
        const lines = db.createObjectStore('lines', { autoIncrement: true });
        lines.createIndex('record', 'record');
        lines.createIndex('line', ['record', 'id'], { unique: true });
      },
      terminated: () => {
        opened = undefined;
      },
    }),
  );
  try {
    return await opened;
  } catch (error) {
    opened = undefined;
    throw error;
  }
}

/** Each tab writes its own lines, and none of another's. */
export async function keepLine(record: string, line: Told): Promise<void> {
  await (await open()).add('lines', { record, id: line.id, line });
}

export async function forgetLines(record: string, ids: readonly string[]): Promise<void> {
  if (ids.length === 0) return;
  const { store, done } = (await open()).transaction('lines', 'readwrite');
  const keys = await Promise.all(ids.map((id) => store.index('line').getKey([record, id])));
  await Promise.all([...keys.map((key) => key !== undefined && store.delete(key)), done]);
}

const olderKey = (record: string) => `spanner-outbox-${record}`;

/** Before, the lines of a record were one text in the browser's plain store; what still waits there comes along. */
async function liftOlder(record: string): Promise<void> {
  const text = localStorage.getItem(olderKey(record));
  if (text === null) return;
  const lines = JSON.parse(text) as readonly Told[];
  const known = new Set((await linesOf<Told>(record)).map(({ id }) => id));
  for (const line of lines) if (!known.has(line.id)) await keepLine(record, line);
  localStorage.removeItem(olderKey(record));
}

const linesOf = async <Line>(record: string): Promise<readonly Line[]> =>
  (await (await open()).getAllFromIndex('lines', 'record', record)).map(({ line }) => line as Line);

/** What was left over from a page that was closed. */
export async function keptLines<Line extends Told>(record: string): Promise<readonly Line[]> {
  // What cannot be read is nobody's line; it must not keep those that can.
  await liftOlder(record).catch(() => undefined);
  return linesOf<Line>(record);
}
