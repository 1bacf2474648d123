import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { countOnLine, notesToAgree, readLengthLine, readTorque, readTorqueLine, threadOnLine } from '@/core/print';
import { offeredByLine } from '@/features/joint/offered-by-line';
import { isDomainError } from '@/core/units';
import notations from '../../reference/torque-notations.json';

const figure = (text: string) => {
  const print = readTorqueLine(text);
  if (print.kind === 'turn') throw new Error('a turn');
  const [reading] = print.kind === 'stages' ? [print.final] : print.readings;
  return [reading?.printedMin, reading?.printedMax, reading?.unit];
};
const left = (text: string) => readTorqueLine(text).notTaken.map((one) => [one.kind, one.text]);

describe('a printed line is quoted as it is', () => {
  test.each([
    ['3/8 in. B.S.F. 28 lb. ft.', 28, 'lbf·ft', [['size', '3/8 in. B.S.F.']]],
    ['Head nuts (10 off) 50 lb. ft.', 50, 'lbf·ft', [['count', '(10 off)']]],
    ['10 head nuts, 50 lb. ft.', 50, 'lbf·ft', [['count', '10']]],
    ['No. 4 bolt 42 lb ft', 42, 'lbf·ft', [['position', 'No. 4']]],
    ['Nuts 1 to 10, 42 lb ft', 42, 'lbf·ft', [['position', '1 to 10']]],
    ['50 lb. ft. in place of 42', 50, 'lbf·ft', [['replaced', 'in place of 42']]],
    ['50 lb. ft. (was 42)', 50, 'lbf·ft', [['replaced', '(was 42)']]],
    ['30 lb ft instead of 28 lb ft', 30, 'lbf·ft', [['replaced', 'instead of 28 lb ft']]],
    ['Engines after No. 15000: 50 lb. ft.', 50, 'lbf·ft', [['engine-number', 'Engines after No. 15000']]],
    ['Engine No. BT 15000 onwards 50 lb ft', 50, 'lbf·ft', [['engine-number', 'Engine No. BT 15000 onwards']]],
    ['M10 x 1.25: 5 mkg', 5, 'kgf·m', [['size', 'M10 x 1.25']]],
    [
      '12 bolts M8x1.25 2,2 mkg',
      2.2,
      'kgf·m',
      [
        ['count', '12'],
        ['size', 'M8x1.25'],
      ],
    ],
    ['50 lb. ft. at 20°C', 50, 'lbf·ft', [['temperature', 'at 20°C']]],
    ['Fig. 12: 30 lb ft', 30, 'lbf·ft', [['reference', 'Fig. 12']]],
    ['1951 models 30 lb ft', 30, 'lbf·ft', [['year', '1951 models']]],
    [
      'Big end 5/16 UNF x 2 off 20 lb ft',
      20,
      'lbf·ft',
      [
        ['size', '5/16 UNF'],
        ['count', 'x 2 off'],
      ],
    ],
  ] as const)('%s', (text, printed, unit, others) => {
    expect(figure(text)).toEqual([printed, printed, unit]);
    expect(left(text)).toEqual(others);
  });
  test('a figure out of force is asked about', () => {
    expect(readTorqueLine('50 lb. ft. (was 42)').notes.map(({ code }) => code)).toContain('replaced-figure');
  });
  test.each([
    ['Engines after No. 15000: 50 lb. ft.', 'some-engines'],
    ['1951 models 30 lb ft', 'some-engines'],
    ['No. 4 bolt 42 lb ft', 'some-fasteners'],
    ['50 lb. ft. at 80°C', 'at-temperature'],
  ])('what narrows the figure is asked about: %s', (text, code) => {
    expect(notesToAgree(readTorqueLine(text).notes).map((note) => note.code)).toEqual([code]);
  });
  test('a size, a count and a reference ask nothing', () => {
    expect(notesToAgree(readTorqueLine('Fig. 3: 10 off 3/8 in. B.S.F. 28 lb. ft.').notes)).toEqual([]);
  });
  test('what is said of one of several figures is not lost', () => {
    const print = readTorqueLine('Head nuts 42 lb. ft., side nuts not more than 30 lb. ft., threads oiled');
    expect(print.notes.map(({ code }) => code)).toContain('upper-limit');
    expect(print.condition).toBeDefined();
    expect(print.kind === 'torque' && print.ambiguous).toBe(true);
  });
  test('a figure in a unit that is not looked for stays the figure', () => {
    expect(figure('50 Newtonmeter Schrauben')).toEqual([50, 50, 'N·m']);
    expect(left('50 Newtonmeter Schrauben')).toEqual([]);
  });
  test('of several figures a person chooses, and none is taken unasked', () => {
    const print = readTorqueLine('Head nuts 42 lb. ft., side nuts 30 lb. ft.');
    if (print.kind !== 'torque') throw new Error(print.kind);
    expect([print.ambiguous, print.readings.map(({ printedMin }) => printedMin)]).toEqual([true, [42, 30]]);
  });
  test('a length without a unit is read in each, and asked', () => {
    const line = readLengthLine('end float .002/.006');
    expect([line.ambiguous, line.readings.map(({ unit }) => unit)]).toEqual([true, ['in', 'mm']]);
    expect(line.readings[0]?.max_mm).toBeCloseTo(0.1524, 10);
    expect(readLengthLine('No. 3 main .001 in. to .0025 in.').readings).toHaveLength(1);
  });
  test('a thread and a count are offered to the joint', () => {
    const of = (text: string) => {
      const { notTaken } = readTorqueLine(text);
      return [threadOnLine(notTaken), countOnLine(notTaken)];
    };
    expect(of('10 off, 3/8 in. B.S.F. 28 lb. ft.')).toEqual(['3/8 BSF', 10]);
    expect(of('12 bolts M8 × 1.25 2,2 mkg')).toEqual(['M8 x 1.25', 12]);
    expect(of('28 lb. ft.')).toEqual([undefined, undefined]);
    expect(offeredByLine({ printedText: '10 off, 3/8 in. B.S.F. 28 lb. ft.' })).toEqual({
      thread: '3/8 BSF',
      fasteners: '10',
    });
    expect(offeredByLine({ printedText: 'nothing here' })).toEqual({ thread: '', fasteners: '' });
  });
});

/** What a text says, or the code that it is refused with. */
function said(read: (text: string) => unknown, text: string): unknown {
  try {
    const { notTaken: _, ...print } = read(text) as { notTaken?: unknown };
    return print;
  } catch (error) {
    if (isDomainError(error)) return error.code;
    throw error;
  }
}

describe('the true figure is never taken for something else', () => {
  const texts = notations.rows.map(({ text }) => text);
  test('every notation that was learnt reads as it did', () => {
    expect(texts.length).toBeGreaterThan(20);
    for (const text of texts) {
      const strict = said(readTorque, text);
      if (typeof strict !== 'string') expect([text, said(readTorqueLine, text)]).toEqual([text, strict]);
    }
  });
  test('a figure with its unit stays the figure, whatever stands before and behind it', () => {
    const before = ['', '10 off ', '3/8 in. B.S.F. ', 'M8: ', 'Fig. 3: ', 'No. 4 bolt ', '1938 models ', '8 nuts, '];
    const behind = ['', ' (was 17)', ' at 20°C', ', 6 off', ' instead of 11 lb ft'];
    const units = ['lb ft', 'lb. ft.', 'ft lb', 'mkg', 'N m', 'cmkg', 'lb in'];
    fc.assert(
      fc.property(
        fc.constantFrom(...before),
        fc.integer({ min: 2, max: 480 }),
        fc.constantFrom(...units),
        fc.constantFrom(...behind),
        (first, n, unit, last) => {
          const print = readTorqueLine(`${first}${n} ${unit}${last}`);
          expect(print.kind === 'torque' && print.readings.map(({ printedMin }) => printedMin)).toContain(n);
          expect(print.kind === 'torque' && print.readings).toEqual(
            (readTorque(`${n} ${unit}`) as { readings: unknown }).readings,
          );
        },
      ),
    );
  });
});
