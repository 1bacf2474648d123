import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { typedLength, typedTorque } from '@/core/print';
import { SCALES, printOf, readMeasure } from '@/interface/parts/measure-reading';

const reader = { typedLength, typedTorque };

describe('a measured figure as it is typed', () => {
  test('a bare one needs nothing fetched, whatever the field is of', () => {
    for (const [kind, value] of [
      ['length', 12.5],
      ['torque', 12.5],
      ['number', 12.5],
      ['inch', 317.5],
    ] as const) {
      expect(readMeasure('12.5', SCALES[kind], false, undefined)).toEqual({ ok: true, value });
      expect(printOf('12.5', SCALES[kind], false)).toBeUndefined();
    }
    // Emptied, it is empty at once, out of reach as well.
    expect(readMeasure('  ', SCALES.length, true, undefined)).toEqual({ ok: true, value: null });
    expect(printOf('  ', SCALES.length, true)).toBeUndefined();
  });
  test.each([
    ['9/16 in', 'length', 14.2875],
    ['9/16 in', 'inch', 14.2875],
    ['2 thou', 'length', 0.0508],
    ['30 lb ft', 'torque', 40.6745],
    ['12 in lb', 'torque', 1.35582],
  ] as const)('“%s” in a field of %s is not taken until it can be read', (text, kind, value) => {
    expect(readMeasure(text, SCALES[kind], false, undefined)).toEqual({ ok: false });
    const read = readMeasure(text, SCALES[kind], false, reader);
    expect(read.ok && read.value).toBeCloseTo(value, 4);
  });
  test('what is no figure is refused with a sentence, where it is bare of a unit without the reader', () => {
    const words = readMeasure('twelve', SCALES.number, false, undefined);
    expect(words).toEqual({ ok: false, message: 'Give it as a figure.' });
    expect(readMeasure('twelve', SCALES.length, false, reader)).toEqual({ ok: false, message: expect.any(String) });
    expect(readMeasure('1 to 2 mm', SCALES.length, false, reader)).toEqual({
      ok: false,
      message: expect.stringContaining('not a range'),
    });
  });
  test('a sign stands only where it may: with a unit and without, of either dash', () => {
    for (const dash of ['-', '−'])
      for (const [text, value] of [
        [`${dash}0.25`, -0.25],
        [` ${dash} 2 thou`, -0.0508],
      ] as const) {
        const read = readMeasure(text, SCALES.length, true, reader);
        expect(read.ok && read.value).toBeCloseTo(value, 6);
        expect(readMeasure(text, SCALES.length, false, reader)).toMatchObject({ ok: false });
      }
    expect(readMeasure('+3', SCALES.number, true, undefined)).toEqual({ ok: true, value: 3 });
    expect(readMeasure('+3', SCALES.number, false, undefined)).toMatchObject({ ok: false });
  });
  test('of any figure: inches are told as they were typed, and both dashes come to the same', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 99_999 }), (thou) => {
        const text = String(thou / 1000);
        const read = readMeasure(text, SCALES.inch, false, undefined);
        expect(read.ok && read.value !== null && SCALES.inch.told(read.value)).toBeCloseTo(thou / 1000, 6);
        expect(readMeasure(`-${text}`, SCALES.inch, true, undefined)).toEqual(
          readMeasure(`−${text}`, SCALES.inch, true, undefined),
        );
      }),
    );
  });
});
