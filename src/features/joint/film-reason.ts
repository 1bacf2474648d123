import { filmOfCondition } from '@/core/film';

/** Period print mostly means lightly oiled threads where it says nothing. */
export const UNSAID_FILM = 'engine-oil';

/** The film to take for the book's figure: the page's words where it has any, else the shop's school. */
export const originalFilmFor = (conditionText: string | null): string =>
  (conditionText === null ? undefined : filmOfCondition(conditionText)) ?? UNSAID_FILM;

/** Why that film was taken. */
export function originalFilmReason(conditionText: string | null, film: string): string {
  if (conditionText !== null && filmOfCondition(conditionText) === film) return `the page says “${conditionText}”`;
  if (conditionText !== null) return `the page says “${conditionText}”; another film was chosen here`;
  return film === UNSAID_FILM ? 'the page does not say; taken as light oil, usual for period print' : 'the page does not say; film chosen here';
}
