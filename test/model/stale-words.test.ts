import { expect, test } from '@jest/globals';
import { changedWords, type Say } from '@/model/stale';

const said = (value: unknown) => (typeof value === 'string' ? value : JSON.stringify(value));
const say: Say = (field, value) => ({ field: field.toUpperCase(), value: value === null ? 'nothing' : said(value) });
const words = (before: object, sent: object) => changedWords('Cylinder head', before, sent, say);
const long = 'x'.repeat(61);

test.each([
  ['nothing', { a: 1, version: 3 }, { a: 1, version: 4 }, undefined],
  ['one field, told with both', { a: 1, b: 2 }, { a: 1, b: 3 }, '“Cylinder head”: B, 2 → 3'],
  ['one that was nothing', { a: null }, { a: 3 }, '“Cylinder head”: A, nothing → 3'],
  ['two fields, told by their names', { a: 1, b: 2 }, { a: 2, b: 3 }, '“Cylinder head” was changed: A, B'],
  ['sixty signs are told', { a: 1 }, { a: long.slice(1) }, `“Cylinder head”: A, 1 → ${long.slice(1)}`],
  ['a long text is not', { a: 1 }, { a: long }, '“Cylinder head” was changed: A'],
  ['nor a long one that it was', { a: long }, { a: 1 }, '“Cylinder head” was changed: A'],
  ['nor a list, whichever side', { a: '[1]' }, { a: 1 }, '“Cylinder head” was changed: A'],
  ['nor a record', { a: 1 }, { a: '{"b":1}' }, '“Cylinder head” was changed: A'],
])('what was changed in a few words: %s', (_, before, sent, told) => expect(words(before, sent)).toBe(told));

test('fields that are called alike are named once', () =>
  expect(changedWords('It', { a: 1, b: 2 }, { a: 2, b: 3 }, () => ({ field: 'Face', value: '' }))).toBe(
    '“It” was changed: Face',
  ));
