import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { appliesTo, compareNumbers, rankOf, sameSubject, rankedLeaves } from '@/model/book/source-precedence';
import type { Leaf } from '@/model/book/leaf';
import { PLAIN_SOURCE, type Source } from '@/model/book/source';

const source = (id: string, part: Partial<Source> = {}): Source => ({
  ...PLAIN_SOURCE,
  id,
  title: id,
  edition: '',
  year: null,
  version: 1,
  createdAt: '2026-01-01',
  ...part,
});
const leaf = (id: string, sourceId: string, nm: number): Leaf => ({
  id,
  engineId: 'e',
  sourceId,
  page: '1',
  subject: 'Head',
  printedText: `${nm} Nm`,
  conditionText: null,
  kind: 'torque',
  figure: { unit: 'N·m', printedMin: nm, printedMax: nm },
  min_Nm: nm,
  max_Nm: nm,
  min_deg: null,
  max_deg: null,
  min_mm: null,
  max_mm: null,
  agreedNotes: [],
  replacesId: null,
  createdAt: '2026-01-01',
});

describe('engine numbers', () => {
  test.each([
    ['B 99', 'B 117', -1],
    ['TW 14/2217', 'TW 14/1800', 1],
    ['a 5', 'A5', 0],
    ['7', '12', -1],
  ])('%s against %s is %d', (a, b, sign) => {
    expect(compareNumbers(a, b)).toBe(sign);
  });
  test('the order is one', () => {
    const number = fc.stringMatching(/^[A-C] ?\d{1,4}$/);
    fc.assert(fc.property(number, number, (a, b) => expect(compareNumbers(a, b) + compareNumbers(b, a)).toBe(0)));
  });
  test('what is not known of the engine does not exclude it', () => {
    const restricted = source('s', { fromYear: 1938, fromNumber: 'B 100' });
    expect(appliesTo(restricted, { year: null, engineNumber: '' }).applies).toBe(true);
    expect(appliesTo(restricted, { year: 1936, engineNumber: '' }).applies).toBe(false);
    expect(appliesTo(restricted, { year: 1939, engineNumber: 'B 99' }).applies).toBe(false);
  });
});

describe('which entry governs', () => {
  const manual = source('manual', { year: 1936 });
  const bulletin = source('bulletin', { kind: 'bulletin', year: 1938, fromNumber: 'B 100', supersedesId: 'manual' });
  const told = source('told', { kind: 'hearsay' });
  const packet = source('packet', { kind: 'part-print' });
  const leaves = [leaf('m', 'manual', 40), leaf('b', 'bulletin', 50), leaf('t', 'told', 60)];
  const order = (engineNumber: string, sources: readonly Source[], all = leaves) =>
    rankedLeaves(all, sources, { year: 1937, engineNumber }).map(
      (one) => [one.leaf.id, one.governs, one.reason] as const,
    );

  test('a bulletin supersedes from its engine number on, with its reason', () => {
    const [first, second, third] = order('B 117', [manual, bulletin, told]);
    expect([first?.[0], first?.[1]]).toEqual(['b', true]);
    expect(second?.[2]).toMatch(/hearsay, until a page is shown/);
    expect(third?.[2]).toBe('Superseded by bulletin.');
  });
  test('before that number the manual governs, and the bulletin says why not', () => {
    const [first, ...rest] = order('B 99', [manual, bulletin, told]);
    expect([first?.[0], first?.[1]]).toEqual(['m', true]);
    expect(rest.find(([id]) => id === 'b')?.[2]).toMatch(/from number B 100; this one is B 99/);
  });
  test('the print on the packet governs that part; a rank of one’s own goes before kinds', () => {
    expect(order('B 117', [manual, bulletin, told, packet], [...leaves, leaf('p', 'packet', 45)])[0]?.[0]).toBe('p');
    expect(order('B 117', [manual, bulletin, { ...told, rank: 1 }])[0]?.[0]).toBe('t');
  });
  test('by how much two disagree, middle to middle', () => {
    const found = rankedLeaves(leaves, [manual, bulletin, told], { year: null, engineNumber: 'B 117' });
    expect(found.map((one) => one.offBy_pct && Math.round(one.offBy_pct))).toEqual([undefined, 20, -20]);
  });
  test('by a stretch and by a turn they are set beside each other as well, and never one beside the other', () => {
    const bare = { min_Nm: null, max_Nm: null };
    const stretch = (id: string, of: string, min_mm: number | null, max_mm: number | null) =>
      ({ ...leaf(id, of, 1), ...bare, min_mm, max_mm }) as Leaf;
    const turn = (id: string, of: string, min_deg: number | null, max_deg: number | null) =>
      ({ ...leaf(id, of, 1), ...bare, min_deg, max_deg }) as Leaf;
    // The manual governs: what the other says against it.
    const against = (governing: Leaf, other: Leaf) =>
      rankedLeaves([governing, other], [manual, told], { year: null, engineNumber: '' })[1]?.offBy_pct;
    expect(against(stretch('a', 'manual', 0.1, 0.12), stretch('b', 'told', 0.13, 0.145))).toBeCloseTo(25, 9);
    expect(against(turn('a', 'manual', 80, 100), turn('b', 'told', 60, 66))).toBeCloseTo(-30, 9);
    expect(against(stretch('a', 'manual', 0.1, 0.12), turn('b', 'told', 60, 66))).toBeUndefined();
    expect(against(leaf('a', 'manual', 40), stretch('b', 'told', 0.13, 0.145))).toBeUndefined();
    // What says only how little, or how much, has no middle.
    expect(against(stretch('a', 'manual', 0.1, 0.12), stretch('b', 'told', 0.13, null))).toBeUndefined();
    expect(against(stretch('a', 'manual', 0.1, 0.12), stretch('b', 'told', null, 0.13))).toBeUndefined();
    expect(against(turn('a', 'manual', 80, null), turn('b', 'told', 60, 66))).toBeUndefined();
    expect(against(turn('a', 'manual', null, 80), turn('b', 'told', 60, 66))).toBeUndefined();
  });
  test('nothing speaks, nothing governs', () => expect(order('B 1', [], leaves)).toEqual([]));
});

test('subjects are matched as a person would', () => {
  expect(sameSubject(' Cylinder  Head nuts', 'cylinder head NUTS ')).toBe(true);
  expect(sameSubject('Head nuts', 'Cylinder head nuts')).toBe(false);
});

describe('a page gives way to a later one that is in force, and to no other', () => {
  const early = source('early');
  const outOf = (late: Partial<Source>) => {
    const sources = [early, source('late', { supersedesId: 'early', ...late })];
    const ranked = rankedLeaves([leaf('e', 'early', 40), leaf('l', 'late', 50)], sources, {
      year: 1936,
      engineNumber: '',
    });
    return Object.fromEntries(ranked.map((one) => [one.leaf.id, one.out ? one.reason : undefined]));
  };
  test('to one that supersedes it', () => expect(outOf({})).toEqual({ e: 'Superseded by late.', l: undefined }));
  test('to none that was set aside', () =>
    expect(outOf({ aside: 'misprinted' })).toEqual({ e: undefined, l: 'Its source was set aside: misprinted.' }));
  test('to none that does not apply to this engine', () =>
    expect(outOf({ fromYear: 1950 })).toEqual({ e: undefined, l: expect.stringMatching(/^Does not apply/) }));
  test('an entry whose source is missing is none', () => {
    const ranked = rankedLeaves([leaf('lost', 'nowhere', 1), leaf('e', 'early', 40)], [early], {
      year: null,
      engineNumber: '',
    });
    expect(ranked.map((one) => one.leaf.id)).toEqual(['e']);
  });
});

describe('the numbers of the ranking', () => {
  test.each([
    ['part-print', 1],
    ['bulletin', 2],
    ['manual', 3],
    ['supplier', 4],
    ['own', 5],
    ['shop-report', 6],
    ['hearsay', 7],
  ] as const)('%s ranks %d, and a rank of its own instead', (kind, rank) => {
    expect(rankOf(source('s', { kind }))).toBe(rank);
    expect(rankOf(source('s', { kind, rank: 9 }))).toBe(9);
  });
  const first = (leaves: readonly Leaf[], sources: readonly Source[]) =>
    rankedLeaves(leaves, sources, { year: 1937, engineNumber: '' })[0]?.leaf.id;
  test('of equal rank the later year governs, of equal years the entry written down last', () => {
    const [old, late] = [source('old', { year: 1934 }), source('late', { year: 1936 })];
    const leaves = [leaf('o', 'old', 40), leaf('l', 'late', 50)];
    expect(first(leaves, [old, late])).toBe('l');
    expect(first([...leaves].reverse(), [late, old])).toBe('l');
    expect(first(leaves, [old, { ...late, year: null }])).toBe('o');
    const newer = { ...leaf('n', 'old', 41), createdAt: '2026-01-02' };
    expect(first([leaves[0] as Leaf, newer], [old])).toBe('n');
  });
  test('what does not apply comes after all that does, whatever its rank', () => {
    const packet = source('packet', { kind: 'part-print', fromYear: 1950 });
    const told = source('told', { kind: 'hearsay' });
    const ranked = rankedLeaves([leaf('p', 'packet', 1), leaf('t', 'told', 2)], [packet, told], {
      year: 1937,
      engineNumber: '',
    });
    expect(ranked.map(({ leaf: one, governs }) => [one.id, governs])).toEqual([
      ['t', true],
      ['p', false],
    ]);
  });
  test('the years that a source speaks of are in it', () => {
    const within = source('s', { fromYear: 1936, toYear: 1938 });
    const speaks = (year: number) => appliesTo(within, { year, engineNumber: '' }).applies;
    expect([1935, 1936, 1938, 1939].map(speaks)).toEqual([false, true, true, false]);
  });
});
