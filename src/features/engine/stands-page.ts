import type { SummarizedEngine } from '@/db/reads/engine-summaries';
import type { EngineTag } from '@/interface/shell/rail';
import { engineTags, onStands } from './queries';
import { plainWords } from '@/model/plain-words';

/** A page of the stands, and where it lies among those that were found. */
export interface StandsPage {
  readonly tags: readonly EngineTag[];
  readonly find: string;
  readonly page: number;
  readonly pages: number;
  readonly found: number;
  readonly engines: number;
  /** How many a page holds. */
  readonly size: number;
}

/** As many as are read at a glance; of a shop of twenty years the rest are found by their name. */
export const STANDS_A_PAGE = 40;

/** The engines in whose name every word stands, a page of them; a page that is none is the nearest there is. */
export function standsPage(
  engines: readonly SummarizedEngine[],
  asked: { readonly find?: string; readonly page?: number },
  now: number,
): StandsPage {
  const standing = onStands(engines);
  const find = asked.find?.trim() ?? '';
  const words = plainWords(find).split(/\s+/);
  const found = standing.filter(({ name }) => words.every((word) => plainWords(name).includes(word)));
  const pages = Math.max(1, Math.ceil(found.length / STANDS_A_PAGE));
  const page = Math.min(pages, Math.max(1, Math.trunc(asked.page ?? 1) || 1));
  const from = (page - 1) * STANDS_A_PAGE;
  return {
    tags: engineTags(found.slice(from, from + STANDS_A_PAGE), now),
    find,
    page,
    pages,
    found: found.length,
    engines: standing.length,
    size: STANDS_A_PAGE,
  };
}
