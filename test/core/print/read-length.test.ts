import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { PRINT_LENGTHS_MM, readLength, type PrintLengthUnit } from '@/core/print';
import { DomainError } from '@/core/units';
import { codeOf } from '../code-of';

describe('read-length', () => {
  test.each([
    ['0.05 mm', 0.05, 0.05, 'mm'],
    ['0,05 mm', 0.05, 0.05, 'mm'],
    ['1 1/64 in', 25.796875, 25.796875, 'in'],
    ['1-1/64"', 25.796875, 25.796875, 'in'],
    ['.002" to .003"', 0.0508, 0.0762, 'in'],
    ['2-3 thou', 0.0508, 0.0762, 'thou'],
    ['2 mils', 0.0508, 0.0508, 'thou'],
    ['5 hundredths of a mm', 0.05, 0.05, '0.01 mm'],
    ['5/100 mm', 0.05, 0.05, 'mm'],
    ['5 à 8/100 mm', 0.05, 0.08, 'mm'],
    ['50 µm', 0.05, 0.05, 'µm'],
    ['50 microns', 0.05, 0.05, 'µm'],
    ['0.002 ± 0.0005 in', 0.0381, 0.0635, 'in'],
    ['3 tenths of a thou', 0.00762, 0.00762, '0.0001 in'],
    ['2 thousandths of an inch', 0.0508, 0.0508, 'thou'],
    ['1.5 cm', 15, 15, 'cm'],
    ['0-0.05 mm', 0, 0.05, 'mm'],
    ['1,050 µm', 1.05, 1.05, 'µm'],
  ] as const)('%j', (text, min, max, unit) => {
    const read = readLength(text);
    expect(read.min_mm).toBeCloseTo(min, 9);
    expect(read.max_mm).toBeCloseTo(max, 9);
    expect(read.unit).toBe(unit);
  });

  test.each([
    ['', 'no-number'],
    ['25.4', 'no-unit'],
    ['-3 mm', 'negative'],
    ['0 mm', 'zero'],
    ['38 parsec', 'unknown-unit'],
    ['1 2 mm', 'unreadable'],
    ['1 mm 2 in 3 mm', 'unreadable'],
  ])('%j is refused as %s', (text, code) => expect(codeOf(() => readLength(text))).toBe(code));
  test('no text is longer than 400 characters, and no figure larger than a million', () => {
    expect(readLength('5 mm'.padEnd(400)).min_mm).toBe(5);
    expect(codeOf(() => readLength('5 mm'.padEnd(401)))).toBe('unreadable');
    expect(readLength('1000000 mm').max_mm).toBe(1e6);
    expect(codeOf(() => readLength('1000001 mm'))).toBe('unreadable');
  });

  test('two printed units are held against each other', () => {
    expect(readLength('0.05 mm (0.002 in)').crossCheck?.agrees).toBe(true);
    expect(readLength('0.05 mm (0.003 in)').notes.map((note) => note.code)).toContain('printed-units-disagree');
    expect(readLength('0-0.05 mm (0-0.002 in)').crossCheck?.agrees).toBe(true);
  });

  test('a comma before three digits in a large unit is said to be open', () => {
    expect(readLength('1,050 mm')).toMatchObject({ min_mm: 1.05, notes: [{ code: 'thousands-or-decimal' }] });
  });

  test('any figure in any unit is its exact multiple', () => {
    const unit = fc.constantFrom(...(['mm', 'cm', 'µm', 'in', 'thou'] as PrintLengthUnit[]));
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 99_999 }), unit, (n, name) => {
        expect(readLength(`${n / 1000} ${name}`).max_mm).toBeCloseTo((n / 1000) * PRINT_LENGTHS_MM[name], 9);
      }),
    );
  });

  test('any text is read or refused', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        try {
          return readLength(text).max_mm > 0;
        } catch (error) {
          return error instanceof DomainError;
        }
      }),
    );
  });
});
