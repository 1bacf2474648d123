import { storedJson } from '@/model/stored-json';
import type { Grade, ParentMetal } from '@/core/fastener';
import type { Film } from '@/core/film';
import type { OwnThread } from '@/core/thread';

export interface ShelfRows {
  readonly film: Film;
  readonly grade: Grade;
  readonly metal: ParentMetal;
  readonly thread: OwnThread;
}

export const SHELF_KINDS = ['film', 'grade', 'metal', 'thread'] as const satisfies readonly (keyof ShelfRows)[];
export type ShelfKind = (typeof SHELF_KINDS)[number];

/** A row of the shop's own, with the version that a writer must name. */
export interface OwnRow<K extends ShelfKind = ShelfKind> {
  readonly row: ShelfRows[K];
  readonly version: number;
}

/** Rows of the first version called it their standing. */
const withProvenance = ({ standing, ...held }: Readonly<Record<string, unknown>>) => ({
  ...held,
  provenance: standing,
});

export const SHELF_JSON = storedJson<ShelfRows[ShelfKind]>('row of a shelf', [withProvenance]);
