import { describe, expect, test } from '@jest/globals';
import { askingWords } from '@/core/print/asking-words';

const [OIL, FIRST] = [1, 2];
const asked: string[] = [];
const mayOf = askingWords([
  [OIL, (word) => (asked.push(word), word === 'oil' || word === 'öl')],
  [FIRST, (word) => word === 's1'],
]);

describe('what a text may say by its words', () => {
  test.each([
    ['38 lb ft', 0],
    ['38 lb ft, oil', OIL],
    ['38 lb ft, oiled', 0],
    ['öl', OIL],
    ['s12: 38 lb ft', FIRST],
    ['s 1', 0],
    ['oil s1', OIL + FIRST],
    ['', 0],
  ])('%s', (text, may) => {
    expect(mayOf(text)).toBe(may);
  });
  test.each(['<38 lb ft', '38 lb ft >', '~38 lb ft', 'масло 38', '38 ■ lb ft', '38 ≤ lb ft', '\u0250'])(
    'signs that are not told apart may say everything: %s',
    (text) => {
      expect(mayOf(text)).toBe(OIL + FIRST);
    },
  );
  test.each(['2⁄3 mkg', 'm8×1.25', '38÷40', '38° (2)', '-38.5, "x"', '5µ', '\u024f'])(
    'and those of figures say nothing: %s',
    (text) => {
      expect(mayOf(text)).toBe(0);
    },
  );
  test('each word is looked at once', () => {
    mayOf('graphite lb ft');
    mayOf('graphite lb ft');
    expect(asked.filter((word) => word === 'graphite')).toEqual(['graphite']);
  });
});
