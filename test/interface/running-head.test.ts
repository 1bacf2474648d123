import { describe, expect, test } from '@jest/globals';
import { cssString } from '@/interface/parts/running-head';
import { signedPercent } from '@/core/units';

describe('a text in a style sheet', () => {
  test.each([
    ['Norrhem N3, 20417', '"Norrhem N3, 20417"'],
    ['5½ "mkg"', '"5½ \\22 mkg\\22 "'],
    ['</style><script>', '"\\3c \\2f style\\3e \\3c script\\3e "'],
    ['a\\b\nc;}', '"a\\5c b\\a c\\3b \\7d "'],
  ])('%j', (text, written) => expect(cssString(text)).toBe(written));
});

describe('a share with its sign', () => {
  test.each([
    [-15.83, '−15.8 %'],
    [0.04, '0.0 %'],
    [-0.04, '0.0 %'],
    [5.26, '5.3 %'],
  ])('%d', (value, told) => expect(signedPercent(value)).toBe(told));
});
