import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { SHELF_GRADES, SHELF_METALS } from '@/core/fastener';
import { SHELF_FILMS } from '@/core/film';
import { USUAL_PRACTICE } from '@/model/practice/house-practice';
import { PRACTICE_QUESTIONS } from '@/model/practice/practice-questions';
import {
  CARE_CHOICES,
  CLASSES,
  LOCKING_CHOICES,
  SCHEMES,
  PATTERNS,
  RANGES,
  RETORQUES,
  SOCKETS,
  TURNS,
  WORK_UNITS,
  schemeOfFigures,
} from '@/features/joint/joint-words';
import { originalFilmFor, originalFilmReason, todayFilmFor } from '@/features/joint/film-reason';
import { SHELF_SHAPES } from '@/features/shelves/shelf-kinds';
import { keepRowSchema, practiceSchema } from '@/features/shelves/shelf-schema';
import { boltReadingSchema, boltSetSchema } from '@/features/stretch/schema';
import { STRETCH_WORDS } from '@/features/stretch/stretch-words';

describe('figures as a page lists them', () => {
  test.each([
    ['10 20 30', [1 / 3, 2 / 3, 1]],
    ['2,5; 5', [0.5, 1]],
    ['20/40', [0.5, 1]],
    ['30', [1]],
  ])('%j', (text, shares) => expect(schemeOfFigures(text)).toEqual(shares));
  test.each(['', '30 20', '20 20', '0 10', 'ten twenty', '-5 10', '1 2 3 4 5 6 7 8 9'])('%j is no scheme', (text) =>
    expect(schemeOfFigures(text)).toBeUndefined(),
  );
  test('the last is always the whole, and the unit does not matter', () =>
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 1, max: 200 }), { minLength: 1, maxLength: 8 }), (figures) => {
        const rising = [...figures].sort((a, b) => a - b);
        const [plain, tenfold] = [rising, rising.map((one) => one * 10)].map(
          (list) => schemeOfFigures(list.join(' ')) as readonly number[],
        );
        expect(plain?.at(-1)).toBe(1);
        plain?.forEach((share, i) => expect(share).toBeCloseTo(tenfold?.[i] ?? NaN, 12));
      }),
    ));
});

test.each(
  Object.entries({
    PATTERNS,
    RANGES,
    TURNS,
    WORK_UNITS,
    RETORQUES,
    LOCKING_CHOICES,
    SOCKETS,
    CLASSES,
    CARE_CHOICES,
    SCHEMES,
  }),
)('%s: no choice twice, none without a name', (_, choices) => {
  expect(new Set(choices.map(({ value }) => value)).size).toBe(choices.length);
  expect(new Set(choices.map(({ label }) => label)).size).toBe(choices.length);
});

describe('which lubricant the book meant', () => {
  const films = new Set(SHELF_FILMS.map(({ id }) => id));
  test.each(['dry', 'threads oiled', 'geölt', null])('%j names a lubricant of the shelf, with the reason', (words) => {
    const film = originalFilmFor(words, USUAL_PRACTICE);
    expect(films).toContain(film);
    expect(originalFilmReason(words, film, USUAL_PRACTICE)).toMatch(/\S/);
  });
  test('a shop that always uses one lubricant uses it today, whatever the book says', () => {
    const [film] = SHELF_FILMS;
    if (!film) throw new Error('no lubricants');
    expect(todayFilmFor('dry-steel', { ...USUAL_PRACTICE, film: 'as-book' })).toBe('dry-steel');
    expect(todayFilmFor('dry-steel', { ...USUAL_PRACTICE, film: film.id as never })).toBe(film.id);
  });
});

describe('rows of a shelf, as typed', () => {
  test('every shipped row comes back from its own fields', () => {
    const { film, grade, metal } = SHELF_SHAPES;
    for (const row of SHELF_FILMS)
      expect(film.rowOf(film.valuesOf(row))).toEqual({ thread: row.thread, head: row.head });
    for (const row of SHELF_GRADES)
      expect(row).toMatchObject(JSON.parse(JSON.stringify(grade.rowOf(grade.valuesOf(row)))) as object);
    for (const row of SHELF_METALS) expect(row).toMatchObject(metal.rowOf(metal.valuesOf(row)));
  });
  test('as many headings as cells and decimals; a decimal comma is read', () => {
    for (const { columns, decimals } of Object.values(SHELF_SHAPES)) expect(columns.length).toBe(decimals.length);
    expect(SHELF_SHAPES.film.cells(SHELF_FILMS[0] as never)).toHaveLength(SHELF_SHAPES.film.columns.length);
    expect(SHELF_SHAPES.thread.rowOf({ major: '9,5', pitch: '1,27', angle: '55' })).toEqual({
      major_mm: 9.5,
      pitch_mm: 1.27,
      angle_deg: 55,
    });
  });
  test('a lubricant of one pair of figures has them under the head too', () =>
    expect(SHELF_SHAPES.film.rowOf({ tl: '0.1', tm: '', th: '0.2', hl: '', hm: '', hh: '' })).toMatchObject({
      head: { low: 0.1, high: 0.2 },
    }));
  test('a shelf that there is not, and a row without a name, are refused', () => {
    expect(keepRowSchema.validate({ kind: 'film', version: 0, row: { id: 'x' } }).error).toBeUndefined();
    expect(keepRowSchema.validate({ kind: 'paint', version: 0, row: { id: 'x' } }).error).toBeDefined();
    expect(keepRowSchema.validate({ kind: 'film', version: 0 }).error).toBeDefined();
    expect(keepRowSchema.validate({ kind: 'film', row: { id: 'x' } }).error?.message).toMatch(/version/);
  });
});

describe('house practice', () => {
  test('every question is answered by the usual practice, with one of its schools', () => {
    for (const { row, schools } of PRACTICE_QUESTIONS) {
      const answer = (USUAL_PRACTICE as unknown as Record<string, unknown>)[row];
      expect(schools.map(({ value }) => value as unknown)).toContain(answer);
      expect(new Set(schools.map(({ value }) => value)).size).toBe(schools.length);
      for (const { reason } of schools) expect(reason.length).toBeGreaterThan(10);
    }
  });
  test('an answer that is no school of its question is refused', () => {
    expect(practiceSchema.validate({ version: 0, change: { range: 'middle' } }).error).toBeUndefined();
    expect(practiceSchema.validate({ version: 0, change: { range: 'as it comes' } }).error).toBeDefined();
    expect(practiceSchema.validate({ version: 0, change: { colour: 'red' } }).error).toBeDefined();
  });
});

describe('bolts by stretch, as typed', () => {
  const set = {
    jointId: 'j',
    name: 'Rod bolts',
    bolts: 8,
    thread: '10 mm',
    shank: '30 mm',
    shankDiameter: '8 mm',
    freeThread: '6 mm',
    E_GPa: 205,
    minStretch: '0.13 mm',
    maxStretch: '0.15 mm',
    ceiling: '50 N·m',
    maxSet: '0.01 mm',
    bothEnds: true,
  };
  test.each([
    [{}, undefined],
    [{ name: ' ' }, 'Give the set a name.'],
    [{ bolts: 'some' }, 'Say how many bolts there are.'],
    [{ shank: '' }, 'Give the length of the shank.'],
    [{ E_GPa: 20 }, '"the modulus" must be greater than 50'],
  ])('%j', (part, message) => expect(boltSetSchema.validate({ ...set, ...part }).error?.message).toBe(message));
  test('a reading is of a kind that is known', () => {
    const reading = { setId: 's', bolt: 1, kind: 'free', typed: '48.012 mm', torque: '' };
    expect(boltReadingSchema.validate(reading).error).toBeUndefined();
    expect(boltReadingSchema.validate({ ...reading, kind: 'warm' }).error).toBeDefined();
  });
  test('what stops the work looks like nothing else', () => {
    const stops = Object.values(STRETCH_WORDS).filter(({ kind }) => kind === 'stop');
    const others = Object.values(STRETCH_WORDS).filter(({ kind }) => kind !== 'stop');
    for (const { sign } of stops) expect(others.map((one) => one.sign)).not.toContain(sign);
    expect(new Set(Object.values(STRETCH_WORDS).map(({ words }) => words)).size).toBe(
      Object.keys(STRETCH_WORDS).length,
    );
  });
});
