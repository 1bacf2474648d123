import type { Database } from 'better-sqlite3';

/** Tables whose rows can be brought back to what they were. */
const KEPT_TABLES = [
  'engine',
  'engine_aside',
  'source',
  'engine_source',
  'leaf',
  'photo',
  'joint',
  'tightening',
  'bolt_set',
  'fit',
  'fit_hold',
  'wrench',
  'shelf_row',
  'setting',
  'shim',
  'film_trial',
  'note',
  'note_photo',
  'set_aside',
  'step',
  'part',
] as const;

/** Tables that are only added to: a line is answered by another line. */
const LINE_TABLES = [
  'heat_event',
  'trial_pull',
  'hand_pull',
  'bolt_reading',
  'fit_line',
  'engine_sheet',
  'build_line',
] as const;
export type LineTable = (typeof LINE_TABLES)[number];
export type LoggedTable = (typeof KEPT_TABLES)[number] | LineTable;

export const isLineTable = (table: LoggedTable): table is LineTable =>
  (LINE_TABLES as readonly LoggedTable[]).includes(table);

/** A row by column, as it is kept in the log. */
export type LoggedRow = Readonly<Record<string, string | number | null>>;

export interface LoggedColumn {
  readonly name: string;
  readonly isKey: boolean;
  readonly isBlob: boolean;
}

/** The columns of a table, as the file has them. */
export const columnsOf = (db: Database, table: LoggedTable): readonly LoggedColumn[] =>
  (db.pragma(`table_info(${table})`) as readonly { name: string; pk: number; type: string }[]).map(
    ({ name, pk, type }) => ({ name, isKey: pk > 0, isBlob: type === 'BLOB' }),
  );

/** How a picture stands in the log: whole, where it has to come back from there, else by its length. */
type BlobAs = 'hex' | 'length';

/** A row as one JSON text. */
export const rowAsJson = (
  columns: readonly LoggedColumn[],
  row: 'OLD' | 'NEW' | LoggedTable,
  blobAs: BlobAs = 'length',
): string =>
  `json_object(${columns.map(({ name, isBlob }) => `'${name}', ${isBlob ? `${blobAs}(${row}.${name})` : `${row}.${name}`}`).join(', ')})`;

const OPERATIONS = { INSERT: ['NEW'], UPDATE: ['OLD', 'NEW'], DELETE: ['OLD'] } as const;

/**
 * Makes this connection write down what an act changes, while one is under way: rows as the file itself has them, so
 * that no column can be forgotten. The triggers are this connection's own and not in the file.
 */
export function logActs(db: Database): void {
  // Nothing of it goes to a disk: a full one must not keep a shop from being opened.
  db.pragma('temp_store = MEMORY');
  db.exec('CREATE TEMP TABLE act_now (id TEXT NOT NULL)');
  for (const table of [...KEPT_TABLES, ...LINE_TABLES]) {
    const columns = columnsOf(db, table);
    for (const [operation, rows] of Object.entries(OPERATIONS)) {
      if (isLineTable(table) && operation !== 'INSERT') continue;
      // A picture is put in and taken away, and never another under the same id.
      if (operation === 'UPDATE' && columns.some(({ isBlob }) => isBlob)) continue;
      const json = (row: 'OLD' | 'NEW') =>
        (rows as readonly string[]).includes(row) ? rowAsJson(columns, row, row === 'OLD' ? 'hex' : 'length') : 'NULL';
      db.exec(
        `CREATE TEMP TRIGGER act_${table}_${operation.toLowerCase()} AFTER ${operation} ON main.${table}
         WHEN EXISTS (SELECT 1 FROM act_now) BEGIN
           INSERT INTO act_change (act_id, tbl, before, after)
           VALUES ((SELECT id FROM act_now), '${table}', ${json('OLD')}, ${json('NEW')});
         END`,
      );
    }
  }
}
