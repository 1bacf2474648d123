import { filmOfCondition } from '@/core/film';
import type { HousePractice } from '@/model/practice/house-practice';
import { schoolWords } from '@/model/practice/practice-questions';

const FILM_OF_SCHOOL: Readonly<Record<HousePractice['unsaid'], string>> = {
  'light-oil': 'engine-oil',
  dry: 'dry-bare',
  'show-both': 'engine-oil',
};

/** The film to take for the book's figure: the page's words where it has any, else the shop's school. */
export const originalFilmFor = (conditionText: string | null, practice: HousePractice): string =>
  (conditionText === null ? undefined : filmOfCondition(conditionText)) ?? FILM_OF_SCHOOL[practice.unsaid];

/** The film to start from today: the shop's, or the book's own. */
export const todayFilmFor = (bookFilm: string, practice: HousePractice): string =>
  practice.film === 'as-book' ? bookFilm : practice.film;

/** Why that film was taken for the book. */
export function originalFilmReason(conditionText: string | null, film: string, practice: HousePractice): string {
  if (conditionText !== null && filmOfCondition(conditionText) === film) return `the page says “${conditionText}”`;
  if (conditionText !== null) return `the page says “${conditionText}”; another lubricant was chosen here`;
  const { name, reason } = schoolWords(practice, 'unsaid');
  if (practice.unsaid === 'show-both') return 'the page does not say; chosen here with both extremes on view';
  return film === FILM_OF_SCHOOL[practice.unsaid]
    ? `the page does not say; taken as ${name}, ${reason}`
    : `the page does not say; lubricant chosen here, house practice is ${name}`;
}
