import type { HousePractice } from '@/model/practice/house-practice';
import type { ShelfKind } from '@/model/shelf/shelf-rows';
import type { BuildFile } from './build-file';

/** Rows of a shelf that a joint may name. */
export const DRAWN_KINDS = ['film', 'grade', 'metal'] as const satisfies readonly ShelfKind[];
export type DrawnKind = (typeof DRAWN_KINDS)[number];

/** Something shared that the build needs, and what becomes of it here. */
export interface Coming {
  readonly what: DrawnKind | 'wrench' | 'source' | 'shims';
  readonly name: string;
  /** `new`: nothing like it is here; `beside`: another of that name or number is here and stays as it is. */
  readonly as: 'new' | 'beside';
}

/** A file as it will be written, so that nothing of this shop is touched by it. */
export interface Adoption {
  readonly file: BuildFile;
  readonly copied: boolean;
  readonly coming: readonly Coming[];
  /** Answers of house practice that differ from this shop's, kept with the engine. */
  readonly practice: Partial<HousePractice>;
}

export type NewId = () => string;

const MAX_NAME = 80;

/** A name with words behind it, no longer than a name may be. */
export const suffixed = (name: string, suffix: string) => `${name.slice(0, MAX_NAME - suffix.length)}${suffix}`;
