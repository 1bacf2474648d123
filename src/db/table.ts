/** How a field is kept: its column, and what it is on disk. */
export interface Codec<Value> {
  readonly column: string;
  readonly read: (held: unknown) => Value;
  readonly write: (value: Value) => unknown;
  /** What is written where it is not the value alone. */
  readonly sql?: string;
}

/** Initials of whoever wrote a line: its own where it comes from elsewhere, else of whoever writes now. */
export const initials: Codec<string | undefined> = {
  column: 'who',
  read: (held) => (typeof held === 'string' && held !== '' ? held : undefined),
  write: (who) => who ?? null,
  sql: 'coalesce(@who, who())',
};

/** A truth, kept as 0 or 1. */
export const flag = (column: string): Codec<boolean> => ({ column, read: (held) => held === 1, write: Number });

/** Why a row is set aside; empty on disk of one that is worked with. */
export const asideReason: Codec<string | undefined> = {
  column: 'aside',
  read: (held) => (typeof held === 'string' && held !== '' ? held : undefined),
  write: (reason) => reason ?? '',
};

interface JsonKind<Value> {
  readonly read: (text: never) => Value;
  readonly write: (value: Value) => string | null;
}

/** Lists of names and the like, that need no version. */
const AS_IT_IS = {
  read: (text: string): unknown => JSON.parse(text),
  write: (value: unknown): string => JSON.stringify(value),
};

/** Plain data kept as JSON text, read and written by the reader of its kind. */
export const json = <Value>(column: string, kind: JsonKind<Value> = AS_IT_IS as JsonKind<Value>): Codec<Value> => ({
  column,
  read: (held) => kind.read(held as never),
  write: kind.write,
});

/** One column map: from it come the row, the INSERT, the UPDATE and the mapping both ways. */
export type Columns<Entity> = { readonly [Field in keyof Entity]-?: string | Codec<Entity[Field]> };

export type Row = Readonly<Record<string, unknown>>;

/**
 * The map of one table.
 * @example const wrench = table<Wrench>('wrench', { id: 'id', min: 'scale_min', … }); db.prepare(wrench.insert)
 */
export function table<Entity extends object>(name: string, columns: Columns<Entity>) {
  const fields = Object.entries(columns as Readonly<Record<string, string | Codec<unknown>>>).map(([field, held]) => ({
    field,
    column: typeof held === 'string' ? held : held.column,
    codec: typeof held === 'string' ? undefined : held,
  }));
  const altered = fields.filter(({ field }) => !['id', 'version', 'createdAt', 'engineId'].includes(field));
  return {
    /** The columns by name, so that a file with more of them reads the same. */
    columns: fields.map(({ column }) => `${name}.${column}`).join(', '),
    /** A row as one JSON text, its columns by name. */
    asJson: `json_object(${fields.map(({ column }) => `'${column}', ${name}.${column}`).join(', ')})`,
    /** A row as a JSON list of its cells: many of them as one text are read in a fifth of the time of as many rows. */
    asCells: `json_array(${fields.map(({ column }) => `${name}.${column}`).join(', ')})`,
    insert: `INSERT INTO ${name} (${fields.map(({ column }) => column).join(', ')}) VALUES (${fields.map(({ field, codec }) => codec?.sql ?? `@${field}`).join(', ')})`,
    /**
     * Alters a row that is still of the version that was read, and raises it; no row is changed where it is another.
     */
    update: `UPDATE ${name} SET ${altered.map(({ column, field }) => `${column} = @${field}`).join(', ')}, version = version + 1 WHERE id = @id AND version = @version`,
    toRow: (entity: Entity): Record<string, unknown> =>
      Object.fromEntries(
        fields.map(({ field, codec }) => {
          const value = (entity as Readonly<Record<string, unknown>>)[field];
          return [field, codec ? codec.write(value) : value];
        }),
      ),
    fromRow: (row: Row): Entity => {
      // Field after field: a list of pairs made for each row takes four times as long, and an engine has hundreds.
      const entity: Record<string, unknown> = {};
      for (const { field, column, codec } of fields) entity[field] = codec ? codec.read(row[column]) : row[column];
      return entity as Entity;
    },
    fromCells: (cells: readonly unknown[]): Entity => {
      const entity: Record<string, unknown> = {};
      for (const [i, { field, codec }] of fields.entries()) entity[field] = codec ? codec.read(cells[i]) : cells[i];
      return entity as Entity;
    },
  };
}

/** The cells of a row in the order of its fields: so a query gives many rows as one text, which is read much sooner. */
export type Cells<Of, Fields extends readonly (keyof Of)[]> = {
  readonly [I in keyof Fields]: Of[Fields[I] & keyof Of];
};

/** A row out of its cells, which lie as its fields do. Told name by name it is had in a tenth of the time. */
export function rowOfCells<Of>(fields: readonly (keyof Of & string)[], cells: readonly unknown[]): Of {
  const row: Record<string, unknown> = {};
  for (const [i, field] of fields.entries()) row[field] = cells[i];
  return row as Of;
}
