import { SHELF_GRADES, SHELF_METALS, type Grade, type ParentMetal } from '@/core/fastener';
import { SHELF_FILMS, type Film } from '@/core/film';
import type { HousePractice } from '@/model/practice/house-practice';
import { ownDesignation, type OwnThread } from '@/core/thread';
import { DomainError } from '@/core/units';
import type { Wrench } from './wrench';

/** Everything a figure may draw on. Plain data: it goes to the screen whole, so that a ladder moves without asking. */
export interface Shelves {
  readonly films: readonly Film[];
  readonly grades: readonly Grade[];
  readonly metals: readonly ParentMetal[];
  /** Threads that are in no table. */
  readonly threads: readonly OwnThread[];
  readonly wrenches: readonly Wrench[];
  readonly practice: HousePractice;
}

export const BUILT_IN = {
  film: SHELF_FILMS,
  grade: SHELF_GRADES,
  metal: SHELF_METALS,
  thread: [] as readonly OwnThread[],
} as const;

/** The films that the shop wrote itself: what is shipped is in the program already, and goes to no page. */
export const ownFilms = ({ films }: Pick<Shelves, 'films'>): readonly Film[] =>
  films.filter((film) => !SHELF_FILMS.includes(film));

const found = <T extends { readonly id: string }>(rows: readonly T[], id: string, what: string, field: string): T => {
  const row = rows.find((one) => one.id === id);
  if (!row) throw new DomainError('bad-field', `There is no ${what} “${id}” on the shelf.`, field);
  return row;
};

/** @throws DomainError bad-field */
export const filmOn = (shelves: Pick<Shelves, 'films'>, id: string): Film =>
  found(shelves.films, id, 'film', 'todayFilm');

export const gradeOn = (shelves: Pick<Shelves, 'grades'>, id: string): Grade =>
  found(shelves.grades, id, 'grade', 'grade');

export const metalOn = (shelves: Pick<Shelves, 'metals'>, id: string): ParentMetal =>
  found(shelves.metals, id, 'metal', 'metal');

/** What a thread is called in the tables: one of the shop's own goes by its figures, whatever the shop calls it. */
export function designationOn({ threads }: Pick<Shelves, 'threads'>, text: string): string {
  const own = threads.find(({ name }) => name.trim().toLowerCase() === text.trim().toLowerCase());
  return own ? ownDesignation(own) : text;
}

/** What hangs in the shop, for every engine. */
export const hangsHere = ({ cameWith }: Pick<Wrench, 'cameWith'>): boolean => cameWith === null;

/** What a new figure may be set on: it hangs here and is not set aside. */
export const isOffered = (wrench: Pick<Wrench, 'cameWith' | 'aside'>): boolean =>
  hangsHere(wrench) && wrench.aside === undefined;

/** The shelves as one engine draws on them: with its own practice, and with wrenches that came with its build. */
export const shelvesFor = (
  shelves: Shelves,
  { id, practice }: { readonly id: string; readonly practice: Partial<HousePractice> },
): Shelves => ({
  ...shelves,
  wrenches: [...shelves.wrenches.filter(hangsHere), ...shelves.wrenches.filter((wrench) => wrench.cameWith === id)],
  practice: { ...shelves.practice, ...practice },
});
