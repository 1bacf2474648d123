import { describe, expect, test } from '@jest/globals';
import type { SummarizedEngine } from '@/db/reads/engine-summaries';
import { STANDS_A_PAGE, standsPage } from '@/features/engine/stands-page';
import { hungTags } from '@/interface/shell/rail-tags';
import { UNREADABLE } from '@/model/engine/engine-summary';

const engine = (name: string, index: number, more: Partial<SummarizedEngine> = {}): SummarizedEngine => ({
  engineId: `engine-${index}`,
  name,
  preferredUnit: 'N·m',
  stamp: index,
  createdAt: '2026-05-16T12:00:00.000Z',
  summary: UNREADABLE,
  ...more,
});
const shop = Array.from({ length: 95 }, (_, i) => engine(i === 50 ? 'Norrhém Six' : `Engine ${i + 1}`, i));
const names = (asked: Parameters<typeof standsPage>[1], of = shop) =>
  standsPage(of, asked, 0).tags.map(({ name }) => name);

describe('the stands of a shop of many engines', () => {
  test('come a page at a time, and no engine twice or never', () => {
    const { pages, found, engines } = standsPage(shop, {}, 0);
    expect({ pages, found, engines }).toEqual({ pages: 3, found: 95, engines: 95 });
    const walked = [1, 2, 3].flatMap((page) => names({ page }));
    expect(walked).toEqual(shop.map(({ name }) => name));
    expect(names({ page: 1 })).toHaveLength(STANDS_A_PAGE);
  });

  test.each([
    [0, 1],
    [-3, 1],
    [NaN, 1],
    [99, 3],
    [2.7, 2],
    [Infinity, 3],
  ])('a page %s that is none is the nearest there is', (page, shown) => {
    expect(standsPage(shop, { page }, 0).page).toBe(shown);
  });

  test('are found by words of the name, whatever their case, marks and order', () => {
    expect(names({ find: ' norrhem ' })).toEqual(['Norrhém Six']);
    expect(names({ find: 'SIX norr' })).toEqual(['Norrhém Six']);
    expect(names({ find: 'engine 9' })).toHaveLength(15);
    expect(names({ find: 'six seven' })).toEqual([]);
  });

  test('an engine that lies aside is neither counted nor found', () => {
    const some = [...shop.slice(0, 3), engine('Sold one', 200, { aside: { reason: 'sold', at: '2026-01-01' } })];
    expect(names({}, some)).toHaveLength(3);
    expect(names({ find: 'sold' }, some)).toEqual([]);
  });

  test('on the rail hang the six worked on last and the one looked at, in their own order', () => {
    expect(hungTags(shop, 'engine-7').map(({ stamp }) => stamp)).toEqual([7, 89, 90, 91, 92, 93, 94]);
    expect(hungTags(shop.slice(0, 6), undefined)).toHaveLength(6);
  });
});
