import { describe, expect, test } from '@jest/globals';
import type { Leaf } from '@/model/book/leaf';
import { PLAIN_SOURCE, type Source } from '@/model/book/source';
import { rankedLeaves } from '@/model/book/source-precedence';

const source = (id: string, more: Partial<Source> = {}): Source => ({
  ...PLAIN_SOURCE,
  id,
  title: id,
  edition: '',
  year: null,
  version: 1,
  createdAt: '2026-01-01T00:00:00.000Z',
  ...more,
});
const leaf = (id: string, sourceId: string) => ({ id, sourceId, page: '1', createdAt: '' }) as Leaf;
const engine = { year: 1936, engineNumber: 'TW 14/2217' };
const outOf = (sources: readonly Source[]) =>
  new Map(
    rankedLeaves(
      sources.map(({ id }) => leaf(`of ${id}`, id)),
      sources,
      engine,
    ).map(({ leaf: { id }, out, reason }) => [id, out ? reason : undefined]),
  );

describe('a page gives way to a later one that is in force, and to no other', () => {
  const early = source('early');
  test('to one that supersedes it', () =>
    expect(outOf([early, source('late', { supersedesId: 'early' })]).get('of early')).toMatch(/Superseded by late/));
  test('to none that was set aside', () => {
    const found = outOf([early, source('late', { supersedesId: 'early', aside: 'misprinted' })]);
    expect(found.get('of early')).toBeUndefined();
    expect(found.get('of late')).toMatch(/set aside: misprinted/);
  });
  test('to none that does not apply to this engine', () => {
    const found = outOf([early, source('late', { supersedesId: 'early', fromYear: 1950 })]);
    expect(found.get('of early')).toBeUndefined();
    expect(found.get('of late')).toMatch(/Does not apply/);
  });
  test('an entry whose source is missing is none', () =>
    expect(
      rankedLeaves([leaf('lost', 'nowhere'), leaf('kept', 'early')], [early], engine).map((one) => one.leaf.id),
    ).toEqual(['kept']));
});
