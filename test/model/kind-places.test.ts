import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { newKind } from '@/model/joint/fastener-kind';
import { areSameKinds, assertKindsPlaced, kindAmong, ownPlaces, renamedKinds } from '@/model/joint/kind-places';
import { jointNamed, yardShop } from '../db/temporary-shop';
import { codeOf, fieldOf } from '../core/code-of';

const cover = jointNamed(yardShop(), 'demo-m-joint-cover');
const kind = (name: string, places: readonly number[]) => newKind(cover, name, places);
const joint = (kinds: readonly ReturnType<typeof kind>[], kindSequence: readonly number[] = []) => ({
  fasteners: 7,
  detail: { ...cover.detail, kinds, kindSequence },
});
const refusal = (kinds: readonly ReturnType<typeof kind>[], kindSequence?: readonly number[]) => {
  const work = () => assertKindsPlaced(joint(kinds, kindSequence));
  let message = '';
  try {
    work();
  } catch (error) {
    message = (error as Error).message;
    expect([codeOf(work), fieldOf(work)]).toEqual(['bad-field', 'kinds']);
  }
  return message;
};

describe('kinds of fastener and their places', () => {
  test('of none nothing is asked, and of some nothing where each has its own and leaves some', () => {
    expect(refusal([], [9])).toBe('');
    expect(refusal([kind('long', [0]), kind('short', [1, 6])], [0, 1, 2])).toBe('');
  });
  test.each<[string, readonly ReturnType<typeof kind>[], readonly number[] | undefined, RegExp]>([
    ['one name twice, however it is written', [kind('Long', [0]), kind(' long ', [1])], undefined, /one name/],
    ['a place that is not there', [kind('long', [7])], undefined, /^Place 8 is of a kind, and there would be 7/],
    ['one place in two', [kind('long', [0, 1]), kind('short', [1])], undefined, /two kinds/],
    ['no places', [kind('long', [0]), kind('short', [])], undefined, /^“short” has no places/],
    ['every place', [kind('long', [0, 1, 2, 3]), kind('short', [4, 5, 6])], undefined, /leave some/],
    ['an order that names one more', [kind('long', [0])], [0, 2], /not there/],
  ])('%s is refused', (_, kinds, sequence, message) => expect(refusal(kinds, sequence)).toMatch(message));
  test('what is of no kind is the joint’s own', () =>
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 0, max: 6 }), { maxLength: 6 }), (places) => {
        const own = ownPlaces(joint([kind('long', places)]));
        expect([...own, ...places].sort((a, b) => a - b)).toEqual([0, 1, 2, 3, 4, 5, 6]);
        expect([...own]).toEqual([...own].sort((a, b) => a - b));
      }),
    ));
});

describe('a kind among others', () => {
  const [long, short] = [kind('long', [0, 1]), kind('short', [2])];
  test('is the one of its name, before one that has its places', () => {
    expect(kindAmong([kind('other', [0, 1]), kind('long', [5])], long)?.places).toEqual([5]);
    expect(kindAmong([kind('short', [9]), kind('other', [1, 0])], long)?.name).toBe('other');
    expect(kindAmong([short], long)).toBeUndefined();
    expect(kindAmong([kind('other', [0])], long)).toBeUndefined();
    expect(kindAmong([kind('other', [0, 1, 2])], long)).toBeUndefined();
    expect(kindAmong(undefined, long)).toBeUndefined();
  });
  test('is the same whatever it is called, and in whatever order its places stand', () => {
    expect(areSameKinds([long, short], [kind('thin', [2]), kind('long', [1, 0])])).toBe(true);
    expect(areSameKinds([], [])).toBe(true);
    for (const after of [
      [long],
      [long, short, kind('more', [3])],
      [long, kind('short', [3])],
      [long, kind('thin', [3])],
    ])
      expect(areSameKinds([long, short], after)).toBe(false);
  });
  test('is renamed where its name is gone and a new one has its places; two that exchange theirs are not', () => {
    expect(renamedKinds([long, short], [kind('thick', [1, 0]), short])).toEqual([{ from: 'long', to: 'thick' }]);
    expect(renamedKinds([long, short], [kind('long', [2]), kind('short', [0, 1])])).toEqual([]);
    expect(renamedKinds([long], [kind('thick', [0])])).toEqual([]);
    expect(renamedKinds([long, short], [short])).toEqual([]);
  });
});
