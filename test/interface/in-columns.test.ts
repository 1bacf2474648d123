import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { inColumns } from '@/interface/shell/in-columns';
import { outOfColumns } from '@/interface/shell/out-of-columns';

const again = <T>(value: T): T => outOfColumns(inColumns(value));
const asJson = (value: unknown): unknown => JSON.parse(JSON.stringify(value)) as unknown;

const rows = fc.array(
  fc.record(
    {
      id: fc.uuid(),
      name: fc.constantFrom('Main bearing cap', 'Big end', '', '$1', '[1]', '12'),
      after: fc.array(fc.constantFrom('a step before', 'another one'), { maxLength: 3 }),
      at: fc.option(fc.double({ noNaN: true, noDefaultInfinity: true }), { nil: null }),
      detail: fc.record({ kit: fc.array(fc.string()), people: fc.integer() }, { requiredKeys: [] }),
      mixed: fc.oneof(fc.string(), fc.integer(), fc.boolean(), fc.constant(null), fc.constant(undefined)),
    },
    { requiredKeys: ['id', 'name'] },
  ),
  { maxLength: 12 },
);

describe('what a page is drawn from, in columns', () => {
  test('is the same again: any value of plain data', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (value) => {
        expect(asJson(again(value))).toEqual(asJson(value));
      }),
      { numRuns: 500 },
    );
  });
  test('is the same again: rows that have some of their fields, by name and in lists', () => {
    fc.assert(
      fc.property(rows, fc.dictionary(fc.uuid(), fc.record({ x: fc.integer(), y: fc.integer() })), (steps, places) => {
        const page = { engineId: 'one', steps, places, trouble: undefined, now: steps.map(({ id }) => id) };
        expect(asJson(again(page))).toEqual(asJson(page));
        // What is walked in its order keeps it.
        expect(Object.keys(again(page).places)).toEqual(Object.keys(places));
      }),
      { numRuns: 300 },
    );
  });
  test('maps, and numbers without end, come out as they went in', () => {
    const odd = { current: new Map([['a', { ends: [Infinity, -Infinity, 1] }]]), none: new Map(), least: NaN };
    expect(again(odd)).toEqual(odd);
    expect(again([new Map([[2, 'two']]), new Map()])).toEqual([new Map([[2, 'two']]), new Map()]);
  });
  test.each([
    ['a date', new Date(0)],
    ['a set', new Set([1])],
    ['what can be called', () => 1],
    ['a number of another kind', 1n],
  ])('%s does not go in, however deep it lies', (_, value) => {
    expect(() =>
      inColumns({
        rows: [
          { a: 1, at: value },
          { a: 1, at: value },
        ],
      }),
    ).toThrow('only plain data');
  });
  test('a key that an object has of itself is a name like another', () => {
    const odd = JSON.parse('[{"__proto__":{"a":1},"constructor":2,"toString":"x"}]') as unknown;
    expect(JSON.stringify(again(odd))).toBe(JSON.stringify(odd));
  });
  test('quotes, apostrophes and what has no letter come out as they went in, in names and in texts', () => {
    for (const text of [`5" and 5'`, `'`, `"`, `\\"'\\'`, '\u0001', '\\u0001"', `"\u0001'`]) {
      const odd = { [text]: text, rows: [{ [text]: [text] }, { [text]: [text, 'another'] }] };
      expect(again(odd)).toEqual(odd);
    }
    expect(inColumns({ words: 'as printed' })).not.toContain('"');
  });
  test('texts and figures that come one after another are the same again, whatever is between them', () => {
    const some = fc.array(
      fc.tuple(fc.constantFrom('in', 'mm', 'a longer one', 0.00254, 0, -0, 7, true, null), fc.nat(9)),
    );
    fc.assert(
      fc.property(some, (runs) => {
        const rows = runs.flatMap(([unit, times]) => Array.from({ length: times }, () => ({ unit, name: 'x' })));
        expect(again(rows)).toEqual(asJson(rows));
      }),
      { numRuns: 300 },
    );
    const rows = Array.from({ length: 200 }, (_, i) => ({ unit: i < 120 ? 'in' : 'mm', size: i < 7 ? 0.00254 : 0.01 }));
    expect(inColumns(rows).length).toBeLessThan(120);
  });
  test('what stands in two places is said once: sheets of one kind, and the same shelves again', () => {
    const shelves = {
      films: Array.from({ length: 12 }, (_, i) => ({ id: `film-${i}`, low: i / 7, name: `Film ${i}` })),
    };
    const sheet = {
      id: 'a',
      original: 1,
      printed: 'as printed',
      today: true,
      wrench: null,
      detail: { kit: [], people: 1 },
    };
    const page = {
      now: 1,
      here: { shelves, sheet },
      answers: { words: 'x', shelves },
      others: [{ ...sheet, id: 'b' }],
    };
    expect(again(page)).toEqual(page);
    expect(inColumns(page).length).toBeLessThan(inColumns({ now: 1, here: { shelves, sheet } }).length + 300);
  });
  test('says once what many rows say: a hundred and fifty steps in a quarter of their letters', () => {
    const steps = Array.from({ length: 150 }, (_, i) => ({
      step: { id: `3f2c-${i}`, engineId: 'an-engine', kind: 'part', detail: { words: '', kit: [], people: 1 } },
      state: i < 100 ? 'done' : 'waiting',
      after: i === 0 ? [] : [`3f2c-${i - 1}`],
    }));
    expect(inColumns(steps).length).toBeLessThan(JSON.stringify(steps).length / 4);
  });
});
