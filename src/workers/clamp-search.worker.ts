import { searchedWays, type SearchInput, type SearchResult } from '@/core/interaction';
import { createRandom } from '@/core/statistics';
import { workInPieces } from './in-pieces';

/** What is asked of the search: chance comes by its seed. */
export type SeededSearch = Omit<SearchInput, 'pick'> & { readonly seed: number };

const PIECE = 40;

workInPieces<SeededSearch, SearchResult>(({ seed, ...input }) => {
  const random = createRandom(seed);
  const search = searchedWays({ ...input, pick: (below) => Math.floor(random.uniform() * below) });
  return () => {
    for (let i = 1; ; i++) {
      const { done, value } = search.next();
      if (done) return { kind: 'result', result: value };
      if (i === PIECE) return { kind: 'progress', done: value.tried, of: value.of };
    }
  };
});
