import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { mergedOnto } from '@/features/joint/merged-onto';

describe('what somebody made of a value, on top of what it has become', () => {
  test('two cells of one part, typed before the first was drawn, both stand', () => {
    const before = { grip: null, metal: 'iron', own: { least: null, most: null } };
    const first = { ...before, own: { ...before.own, least: 2 } };
    const second = { ...before, own: { ...before.own, most: 4 } };
    expect(mergedOnto(before, second, first)).toEqual({ ...before, own: { least: 2, most: 4 } });
    // Of the same cell the later one stands.
    expect(mergedOnto(before, { ...before, grip: 9 }, { ...before, grip: 8 })).toEqual({ ...before, grip: 9 });
  });

  test.each([
    [null, { a: 1 }, { b: 2 }, { a: 1 }],
    [{ a: 1 }, null, { a: 1, b: 2 }, null],
    [{ a: 1, b: 1 }, { b: 1 }, { a: 1, b: 2 }, { b: 2 }],
    [{ a: 1, b: 1 }, { a: 1, b: 2 }, { b: 1 }, { b: 2 }],
    [{ a: 1 }, { a: 1, c: 3 }, { a: 2 }, { a: 2, c: 3 }],
    [
      [1, 2],
      [1, 3],
      [4, 2],
      [4, 3],
    ],
    [[1], [1, 2], [5], [1, 2]],
    ['x', 'x', 'y', 'y'],
  ])('%j became %j here and %j there: %j', (before, mine, now, merged) =>
    expect(mergedOnto(before, mine, now)).toEqual(merged),
  );

  test('where nothing has become otherwise it is what was made; where nothing was made it is what it became', () =>
    fc.assert(
      fc.property(fc.object({ maxDepth: 2 }), fc.object({ maxDepth: 2 }), (a, b) => {
        expect(mergedOnto(a, b, a)).toBe(b);
        expect(mergedOnto(a, a, b)).toBe(b);
      }),
    ));
});
