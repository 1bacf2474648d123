import { expect, test } from '@jest/globals';
import { boreOf } from '@/model/fit/fit-reading';
import { assertNotesPlaced } from '@/model/joint/place-note';
import { codeOf } from '../core/code-of';

test('the bore of a place is what stands before its comma, however it is written', () => {
  expect(['Bore 1, ring 2', ' BORE 1 ', 'bore 1'].map(boreOf)).toEqual(['bore 1', 'bore 1', 'bore 1']);
  expect(boreOf('Bore 2, ring 1')).not.toBe(boreOf('Bore 1, ring 1'));
});

test('nothing is noted of a place that is not there; the last place is one', () => {
  const noted = (place: number) =>
    assertNotesPlaced({ fasteners: 4, detail: { placeNotes: [{ place, note: 'stud', words: '' }] as never } });
  expect(() => noted(3)).not.toThrow();
  expect(codeOf(() => noted(4))).toBe('bad-field');
  expect(() => noted(4)).toThrow(/place 5, and there would be 4/);
});
