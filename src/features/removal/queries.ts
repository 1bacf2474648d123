import type { EngineRows } from '@/model/engine/engine-rows';
import type { AsideKind, SetAside, ShelfAsideKind } from '@/model/set-aside';

/** What of an engine was set aside, of one kind, the last first. */
export const asidesOf = ({ asides }: Pick<EngineRows, 'asides'>, kind: AsideKind): readonly SetAside[] =>
  asides.filter((one) => one.kind === kind).toReversed();

interface OnShelf {
  readonly id: string;
  readonly aside?: string;
}

/** What of the shelves, or of a book, says in its own row that it is aside. */
export const rowsAside = <T extends OnShelf>(kind: ShelfAsideKind, rows: readonly T[], nameOf: (row: T) => string) =>
  rows.flatMap((row) => (row.aside === undefined ? [] : [{ kind, id: row.id, name: nameOf(row), reason: row.aside }]));
