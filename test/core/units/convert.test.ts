import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { convert } from '@/core/units';
import { codeOf } from '../code-of';

describe('convert', () => {
  // NIST SP 811, appendix B, and the definitions of the imperial units.
  test.each([
    [1, 'lbf·ft', 'N·m', 1.3558179483314004],
    [1, 'lbf·in', 'N·m', 0.1129848290276167],
    [1, 'kgf·m', 'N·m', 9.80665],
    [1, 'kgf·m', 'lbf·ft', 7.233013851209894],
    [1, 'ozf·in', 'N·m', 0.00706155181422604],
    [1, 'in', 'mm', 25.4],
    [1, 'thou', 'µm', 25.4],
    [1, 'mile', 'km', 1.609344],
    [1, 'lbf', 'N', 4.4482216152605],
    [1, 'tonf', 'kN', 9.964016418183517],
    [1, 'lb', 'kg', 0.45359237],
    [1, 'psi', 'kPa', 6.894757293168361],
    [1, 'tonf/in²', 'MPa', 15.444256336697128],
    [1, 'kgf/cm²', 'bar', 0.980665],
    [212, '°F', '°C', 100],
    [-40, '°C', '°F', -40],
    [1, 'gallon', 'L', 4.54609],
    [1, 'US gal', 'L', 3.785411784],
    [1, 'cu in', 'cc', 16.387064],
    [1, 'pint', 'cc', 568.26125],
    [60, 'mph', 'km/h', 96.56064],
    [1, 'inHg', 'kPa', 3.386388157894737],
  ])('%d %s is in %s %d', (value, from, to, expected) => expect(convert(value, from, to)).toBeCloseTo(expected, 9));

  test.each([
    ['lb ft', 'Nm'],
    ['mkg', 'N·m'],
    ['ft-lb', 'N m'],
    ['MM', 'Inch'],
  ])('%s and %s are understood', (from, to) => expect(convert(1, from, to)).toBeGreaterThan(0));

  test.each([
    ['lb', 'N', 'unit-mismatch'],
    ['N·m', 'N', 'unit-mismatch'],
    ['kg', 'lbf', 'unit-mismatch'],
    ['furlong', 'm', 'unknown-unit'],
    ['m', 'constructor', 'unknown-unit'],
  ])('%s to %s is refused as %s', (from, to, code) => expect(codeOf(() => convert(1, from, to))).toBe(code));

  test('nothing below absolute zero, nothing too large', () => {
    expect(codeOf(() => convert(-300, '°C', 'K'))).toBe('bad-field');
    expect(codeOf(() => convert(1e308, 'km', 'µm'))).toBe('bad-field');
    expect(codeOf(() => convert(Number.NaN, 'm', 'mm'))).toBe('bad-field');
  });

  test('there and back again returns the start', () => {
    const pair = fc.constantFrom(
      ['lbf·ft', 'kgf·m'],
      ['in', 'mm'],
      ['°F', '°C'],
      ['psi', 'bar'],
      ['mph', 'km/h'],
      ['cu in', 'cc'],
      ['tonf', 'kN'],
    );
    fc.assert(
      fc.property(fc.double({ min: -200, max: 1e6, noNaN: true }), pair, (value, [a, b]) => {
        expect(convert(convert(value, a as string, b as string), b as string, a as string)).toBeCloseTo(value, 6);
      }),
    );
  });
});
