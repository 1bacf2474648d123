import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { numberedBy, originsIn, placesIn, retyped, textOfPlaces, typedOf } from '@/features/joint/places-of-text';
import { newKind } from '@/model/joint/fastener-kind';
import { PLAIN_DETAIL } from '@/model/joint/joint-detail';
import { kindAmong, renamedKinds } from '@/model/joint/kind-places';
import { followPlaces, goesWithPlaces, originsOfTyped, sameOrigins } from '@/model/joint/places-followed';
import { kindChanges } from '@/model/joint/sheet-changes';
import { jointNamed, yardShop } from '../db/temporary-shop';

const DISK = ['0 0', '10 0', '20 0', '30 0'].join('\n');
const typed = (...texts: readonly string[]) =>
  texts.reduce((before, text) => retyped(DISK, before, text), typedOf(DISK)).origins;

describe('which place a line is', () => {
  test.each([
    ['nothing typed', [DISK], [0, 1, 2, 3]],
    ['one put right', ['0 0\n10 5\n20 0\n30 0'], [0, 1, 2, 3]],
    ['one emptied and typed anew', ['0 0\n\n20 0\n30 0', '0 0\n7\n20 0\n30 0', '0 0\n7 7\n20 0\n30 0'], [0, 1, 2, 3]],
    ['one taken out', ['0 0\n20 0\n30 0'], [0, 2, 3]],
    ['one put in between', ['0 0\n10 0\n15 5\n20 0\n30 0'], [0, 1, null, 2, 3]],
    ['one cut and put in elsewhere', ['0 0\n20 0\n30 0', '0 0\n20 0\n30 0\n10 0'], [0, 2, 3, 1]],
    ['two exchanged at once', ['0 0\n20 0\n10 0\n30 0'], [0, 2, 1, 3]],
    ['all of them others, and as many', ['1 1\n2 2\n3 3\n4 4'], [0, 1, 2, 3]],
    ['all of them others, and fewer', ['1 1\n2 2'], [null, null]],
    ['a line at the end that is none yet', [`${DISK}\n`], [0, 1, 2, 3, null]],
  ])('%s', (_, texts, origins) => {
    expect(typed(...texts)).toEqual(origins);
  });
  test('each is one of those on disk, and none is two, whatever is typed', () => {
    const line = fc.constantFrom('0 0', '10 0', '20 0', '30 0', '5 5', '', '7');
    fc.assert(
      fc.property(fc.array(fc.array(line, { maxLength: 6 }), { minLength: 1, maxLength: 5 }), (texts) => {
        let before = { lines: DISK.split('\n'), origins: sameOrigins(4) };
        for (const lines of texts)
          before = { lines: [...lines], origins: originsOfTyped(DISK.split('\n'), before, lines) };
        const known = before.origins.filter((origin) => origin !== null);
        expect(before.origins).toHaveLength(before.lines.length);
        expect(new Set(known).size).toBe(known.length);
        expect(known.every((origin) => origin >= 0 && origin < 4)).toBe(true);
      }),
    );
  });
});

describe('numbered as the book numbers them', () => {
  test('those that were pressed first, the rest as they follow, each with its own place', () => {
    const now = numberedBy(typedOf(DISK), [2, 0]);
    expect(now).toEqual({ text: '20 0\n0 0\n10 0\n30 0', origins: [2, 0, 1, 3] });
    // Numbered a second time, they are still held against those on disk.
    expect(numberedBy(now, [3]).origins).toEqual([3, 2, 0, 1]);
  });
  test('a line that is no place is left out, and takes no number of another', () => {
    const now = numberedBy({ text: '0 0\nnothing\n20 0', origins: [0, 1, 2] }, [1]);
    expect(now).toEqual({ text: '20 0\n0 0', origins: [2, 0] });
  });
  test('any order is a turn of the same places', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray([0, 1, 2, 3]), (pressed) => {
        const now = numberedBy(typedOf(DISK), pressed);
        const was = placesIn(DISK);
        expect(textOfPlaces(originsIn(now).map((origin) => was[origin ?? -1] ?? [NaN, NaN]))).toBe(now.text);
        expect(originsIn(now).slice(0, pressed.length)).toEqual(pressed);
      }),
    );
  });
});

const joint = jointNamed(yardShop(), 'demo-n-joint-housing');
const kind = (name: string, places: readonly number[]) => newKind(joint, name, places);
const DETAIL = {
  ...PLAIN_DETAIL,
  placeNotes: [{ place: 1, kind: 'wet', words: 'sealant' }] as const,
  holes: [{ place: 2, end: 'blind', meets: 'dry', depth_mm: 20, thread: 'good', isClear: true }] as const,
  kinds: [kind('Long', [0, 3]), kind('Wet', [1])],
  kindTurn: 'as-typed' as const,
  kindSequence: [0, 1, 2],
  turn: [3, 2, 1, 0],
};

describe('what was said of places', () => {
  test('goes with them where they are numbered otherwise', () => {
    const now = followPlaces(DETAIL, [2, 0, 3, 1]);
    expect(now.placeNotes).toEqual([{ place: 3, kind: 'wet', words: 'sealant' }]);
    expect(now.holes[0]?.place).toBe(0);
    expect(now.kinds.map(({ name, places }) => [name, places])).toEqual([
      ['Long', [1, 2]],
      ['Wet', [3]],
    ]);
    expect(now).toMatchObject({ kindTurn: 'as-typed', kindSequence: [0, 1, 2], turn: [2, 0, 3, 1] });
    expect(goesWithPlaces(DETAIL, [2, 0, 3, 1])).toEqual({ notes: 0, holes: 0, kinds: 0 });
  });
  test('is gone with a place that is taken away, said before, and what follows moves up with its own', () => {
    const origins = [0, 2, 3];
    expect(goesWithPlaces(DETAIL, origins)).toEqual({ notes: 1, holes: 0, kinds: 1 });
    const now = followPlaces(DETAIL, origins);
    expect(now.placeNotes).toEqual([]);
    expect(now.holes[0]?.place).toBe(1);
    expect(now.kinds.map(({ places }) => places)).toEqual([[0, 2]]);
    // The book's order was of four, and the order of the kinds of three.
    expect(now).toMatchObject({ kindTurn: 'by-stage', kindSequence: [], turn: null });
  });
  test('a new place has nothing said of it', () => {
    const now = followPlaces(DETAIL, [0, null, 1, 2, 3]);
    expect(now.placeNotes[0]?.place).toBe(2);
    expect(now.kinds.map(({ places }) => places)).toEqual([[0, 4], [2]]);
    expect(now.turn).toBeNull();
  });
  test('numbered there and back it is what it was', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray([0, 1, 2, 3], { minLength: 4 }), (origins) => {
        const back = sameOrigins(4).map((place) => origins.indexOf(place ?? -1));
        const again = followPlaces({ ...DETAIL, ...followPlaces(DETAIL, origins) }, back);
        const { placeNotes, holes, kinds, turn } = DETAIL;
        expect(again).toMatchObject({ placeNotes, holes, kinds, turn });
      }),
    );
  });
});

describe('a kind that is called otherwise', () => {
  const [long, wet] = [kind('Long', [0, 3]), kind('Wet', [1])];
  const renamed = { ...long, name: 'Tall' };
  test('is known by its places', () => {
    expect(renamedKinds([long, wet], [renamed, wet])).toEqual([{ from: 'Long', to: 'Tall' }]);
    expect(renamedKinds([long, wet], [wet, renamed])).toEqual([{ from: 'Long', to: 'Tall' }]);
    expect(renamedKinds([long, wet], [{ ...renamed, places: [3, 0] }, wet])).toHaveLength(1);
    expect(kindAmong([long, wet], renamed)).toBe(long);
    expect(kindAmong([long, wet], { name: 'Wet', places: [1, 2] })).toBe(wet);
    expect(kindAmong([long, wet], { name: 'Other', places: [2] })).toBeUndefined();
    expect(kindAmong(undefined, long)).toBeUndefined();
  });
  test('two that exchange their places keep their names, and are asked about', () => {
    const [one, other] = [kind('One', [0, 1]), kind('Other', [2, 3])];
    const exchanged = [
      { ...one, places: [2, 3] },
      { ...other, places: [0, 1] },
    ];
    expect(renamedKinds([one, other], exchanged)).toEqual([]);
    expect(kindAmong([one, other], exchanged[0] ?? other)).toBe(one);
    expect(kindChanges([one, other], { kinds: exchanged })).toHaveLength(1);
  });
  test('one with other places is another, and a name alone asks nothing of what was pulled', () => {
    expect(renamedKinds([long, wet], [{ ...renamed, places: [0, 2] }, wet])).toEqual([]);
    expect(kindChanges([long, wet], { kinds: [wet, renamed] })).toEqual([]);
    expect(kindChanges([long, wet], { kinds: [wet, { ...long, places: [0, 2] }] })).toHaveLength(1);
  });
});
