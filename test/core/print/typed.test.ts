import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { isBare, typedNumber } from '@/core/print/bare';
import { typedLength, typedTorque } from '@/core/print/typed';
import { codeOf, fieldOf } from '../code-of';

describe('a length as typed', () => {
  test.each([
    ['14.3', 14.3],
    ['14,3', 14.3],
    ['9/16 in', 14.2875],
    ['4.5 thou', 0.1143],
    ['0.120 mm', 0.12],
    ['2.3614 in', 59.979_56],
    ['.5', 0.5],
    ['12 µm', 0.012],
  ] as const)('%s is %d mm', (text, mm) => expect(typedLength(text, 'x')).toBeCloseTo(mm, 9));
  test('a bare figure is in the field’s unit', () =>
    expect(typedLength('2.3614', 'x', 'in')).toBeCloseTo(59.979_56, 6));
  test.each(['', 'tight', '3 lb ft', '1 to 2 mm', '-4 mm'])('%j is refused, naming its field', (text) => {
    expect(fieldOf(() => typedLength(text, 'shank'))).toBe('shank');
  });
});

describe('a torque as typed', () => {
  test.each([
    ['34', 34],
    ['34 Nm', 34],
    ['25 lb ft', 33.895_449],
    ['3,5 mkp', 34.323_275],
    ['12 in lb', 1.355_818],
  ] as const)('%s is %d N·m', (text, nm) => {
    expect(typedTorque(text, 'x')).toBeCloseTo(nm, 5);
  });
  test.each(['30 lb', '30-40 Nm', '¼ turn', 'x', ''])('%j is refused', (text) =>
    expect(['bad-field', 'no-number', 'unreadable']).toContain(codeOf(() => typedTorque(text, 'x'))),
  );
});

test('any bare figure is read the same with a point and with a comma', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 99_999 }), fc.integer({ min: 0, max: 999 }), (whole, part) => {
      const [point, comma] = [`${whole}.${part}`, `${whole},${part}`];
      expect([isBare(point), isBare(comma)]).toEqual([true, true]);
      expect(typedNumber(point, 'x')).toBe(typedNumber(comma, 'x'));
      expect(typedLength(point, 'x')).toBe(typedTorque(comma, 'x'));
    }),
  );
  expect(codeOf(() => typedNumber('4 mm', 'x'))).toBe('bad-field');
});
