import { describe, expect, test } from '@jest/globals';
import { leafOfFields } from '@/features/book/leaf-of-fields';
import { originalFilmFor, originalFilmReason } from '@/features/joint/film-reason';
import { schemeOfFigures } from '@/features/joint/joint-words';
import { USUAL_PRACTICE } from '@/model/practice/house-practice';
import { codeOf } from '../core/code-of';

const fields = (printedText: string, part: object = {}) => ({
  engineId: 'e',
  sourceId: 's',
  page: '1',
  subject: 'nuts',
  printedText,
  conditionText: '',
  readingIndex: -1,
  agreedNotes: [],
  replacesId: null,
  kind: 'torque' as const,
  ...part,
});
const leaf = (printedText: string, part: object = {}) =>
  leafOfFields(fields(printedText, part), 'id', '2026-01-01T00:00:00.000Z');

describe('an entry', () => {
  test('keeps the text as printed and stores what the core read', () => {
    expect(leaf('  5½ mkg, threads oiled ')).toMatchObject({
      printedText: '  5½ mkg, threads oiled ',
      min_Nm: 53.936575,
      conditionText: 'oiled',
      kind: 'torque',
    });
    expect(leaf('¼ turn')).toMatchObject({ kind: 'turn', min_deg: 90, min_Nm: null });
  });
  test('asks where the page is ambiguous', () => {
    expect(codeOf(() => leaf('30 lb'))).toBe('not-chosen');
    expect(leaf('30 lb', { readingIndex: 1 }).min_Nm).toBeCloseTo(3.39, 2);
    expect(codeOf(() => leaf('30 lb', { readingIndex: 7 }))).toBe('bad-field');
  });
  test.each([
    ['max. 38 lb ft', 'upper-limit'],
    ['40-36 lb ft', 'range-reversed'],
    ['5-50 lb ft', 'suspect-magnitude'],
    ['6 mkg (34 lb ft)', 'printed-units-disagree'],
  ])('%j must be agreed to', (text, code) => {
    expect(codeOf(() => leaf(text))).toBe('not-agreed');
    expect(leaf(text, { agreedNotes: [code] }).agreedNotes).toEqual([code]);
  });
  test('refuses what cannot be read', () => expect(codeOf(() => leaf('tight'))).toBe('no-number'));
});

describe('the lubricant in the book', () => {
  test.each([
    ['oiled', 'engine-oil'],
    ['threads dry', 'dry-bare'],
    ['geölt', 'engine-oil'],
    ['trocken', 'dry-bare'],
    ['oliati', 'engine-oil'],
    ['tallow', 'tallow-graphite'],
    [null, 'engine-oil'],
  ])('%j is %s', (words, film) => {
    expect(originalFilmFor(words, USUAL_PRACTICE)).toBe(film);
  });
  test('says why', () => {
    expect(originalFilmReason(null, 'engine-oil', USUAL_PRACTICE)).toMatch(/does not say/);
    expect(originalFilmReason('dry', 'dry-bare', USUAL_PRACTICE)).toBe('the page says “dry”');
    expect(originalFilmReason('dry', 'engine-oil', USUAL_PRACTICE)).toMatch(/another lubricant/);
  });
});

test('stages typed as printed become shares of the last', () => {
  expect(schemeOfFigures('12 24 36')).toEqual([1 / 3, 2 / 3, 1]);
  expect(schemeOfFigures('1,2; 2,4')).toEqual([0.5, 1]);
  for (const text of ['', '24 12', '0 5', 'x']) expect(schemeOfFigures(text)).toBeUndefined();
});
