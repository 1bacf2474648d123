import { PRACTICE_JSON, USUAL_PRACTICE, type HousePractice } from '@/model/practice/house-practice';
import type { ShelfKind, ShelfRows } from '@/model/shelf/shelf-rows';
import { overlaid } from '@/model/shelf/overlaid';
import { BUILT_IN, type Shelves } from '@/model/shelf/shelves';
import type { Shop } from '../shop';

export const PRACTICE_KEY = 'house-practice';

/**
 * What was kept of the shop's practice, over the usual one, with the version that a writer must name; 0: nothing yet.
 */
export function shopPractice(shop: Shop): { readonly practice: HousePractice; readonly version: number } {
  const kept = shop.settings.get(PRACTICE_KEY);
  return {
    practice: { ...USUAL_PRACTICE, ...(kept && PRACTICE_JSON.read(kept.value)) },
    version: kept?.version ?? 0,
  };
}

/** Everything on the shelves with the shop's practice, in one query. */
export function shelvesOf(shop: Shop): Shelves {
  const { own, wrenches, practice } = shop.shelf.everything(PRACTICE_KEY);
  const rows = <K extends ShelfKind>(kind: K): readonly ShelfRows[K][] => own(kind).map(({ row }) => row);
  return {
    films: overlaid(BUILT_IN.film, rows('film')),
    grades: overlaid(BUILT_IN.grade, rows('grade')),
    metals: overlaid(BUILT_IN.metal, rows('metal')),
    threads: rows('thread'),
    wrenches,
    practice: { ...USUAL_PRACTICE, ...(practice !== undefined && PRACTICE_JSON.read(practice)) },
  };
}

/** The films alone, in one query of the shop's own rows. */
export const filmsOf = (shop: Shop): Shelves['films'] =>
  overlaid(
    BUILT_IN.film,
    shop.shelf.own('film').map(({ row }) => row),
  );
