import { describe, expect, test } from '@jest/globals';
import { provenFits } from '@/model/fit/fit-gate';
import { fittedElsewhere } from '@/model/fit/fit-reading';
import { value20_mm } from '@/model/fit/value-at-20c';
import type { Fit, ReadingLine } from '@/model/fit/fit';

const reading = (part: 'bore' | 'journal', body: object) => ({ part, value_mm: 80, body }) as ReadingLine;
const fitOf = (expansion?: object) => ({ detail: { ...(expansion && { expansion }) } }) as Fit;
/** 80 mm as a steel gauge reads them, of a part that grows by so many parts in a million a degree: in mm at 20 °C. */
const grown = (part: number, part_C: number, gauge_C: number) =>
  (80 * (1 + 11.5e-6 * (gauge_C - 20))) / (1 + part * 1e-6 * (part_C - 20));

describe('a reading brought to 20 °C', () => {
  const ALUMINIUM = fitOf({ bore: 23.5, journal: 12 });
  test('is as it was read, where no temperature was taken', () =>
    expect(value20_mm(reading('bore', {}), ALUMINIUM)).toBe(80));
  test.each([
    ['a bore by what it is made of', 'bore', ALUMINIUM, 23.5],
    ['a journal by what it is made of', 'journal', ALUMINIUM, 12],
    ['a bore of which nothing is said as steel', 'bore', fitOf(), 11.5],
    ['a journal of which nothing is said as steel', 'journal', fitOf(), 11.5],
    ['a journal beside a bore of which something is said', 'journal', fitOf({ bore: 23.5 }), 11.5],
  ] as const)('%s', (_, part, fit, expansion) => {
    expect(value20_mm(reading(part, { part_C: 35, gauge_C: 25 }), fit)).toBeCloseTo(grown(expansion, 35, 25), 9);
    // A gauge that lay beside the part is as warm as it.
    expect(value20_mm(reading(part, { part_C: 35 }), fit)).toBeCloseTo(grown(expansion, 35, 35), 9);
  });
});

test('a fit is proven once each of its places is', () => {
  const fit = (...states: readonly string[]) => ({ places: states.map((state) => ({ state })) });
  const fits = [fit('inside', 'inside'), fit('inside', 'unread'), fit('loose')];
  expect(provenFits(fits as never)).toBe(1);
});

test('a marked part is known again in another bore, however its mark is typed, and in no place of its own bore', () => {
  const place = (name: string, piece?: string) => ({
    name,
    current: new Map([['a', { body: { piece } }]]),
    beneath: [],
  });
  const places = [
    place('Bore 1, ring 1', 'R1'),
    place('bore 1 , ring 2'),
    place('Bore 2, ring 1', 'R2'),
    place('Bore 3'),
  ];
  const where = (at: number, piece: string) => fittedElsewhere({ places: places as never }, at, piece)?.name;
  expect(where(2, ' r1 ')).toBe('Bore 1, ring 1');
  expect(where(1, 'R1')).toBeUndefined();
  expect(where(0, 'R2')).toBe('Bore 2, ring 1');
  expect(where(0, 'R3')).toBeUndefined();
  const lain = [{ ...place('Bore 1'), beneath: [{ body: { piece: ' R7' } }] }, place('Bore 2')];
  expect(fittedElsewhere({ places: lain as never }, 1, 'r7')?.name).toBe('Bore 1');
});
