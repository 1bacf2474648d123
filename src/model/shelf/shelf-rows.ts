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
