import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { isBare, typedLength, typedNumber as figureTyped, typedTorque } from '@/core/print';
import { plainFigure } from '@/core/units';
import { readReading } from '@/core/fits';
import { schemeOfFigures } from '@/features/joint/joint-words';
import { lengthWithUnit } from '@/features/fits/fit-of-fields';
import { pointsOf, wrenchSchema } from '@/features/shelves/schema';
import { cycleSchema } from '@/features/run-in/schema';
import { SHELF_SHAPES } from '@/features/shelves/shelf-kinds';
import { typedNumber } from '@/model/typed-number';
import { codeOf } from '../core/code-of';

const NONSENSE = ['1.2.3', '1,2,3', '1e3', '0x10', '0b1', 'Infinity', 'NaN', '1 000', '--1', '.', ','];

describe('one parser of a typed figure', () => {
  test.each([
    ['12', 12],
    ['0,5', 0.5],
    ['.5', 0.5],
    ['5.', 5],
    [' 7 ', 7],
    ['+0.012', 0.012],
    ['−0,012', -0.012],
    ['-3', -3],
  ])('%j is %d', (text, figure) => expect(plainFigure(text)).toBe(figure));
  test.each([...NONSENSE, '', '5 mm'])('%j is none', (text) => expect(plainFigure(text)).toBeUndefined());
  test('whatever is printed with a point or a comma comes back', () =>
    fc.assert(
      fc.property(fc.integer({ min: -1e6, max: 1e6 }), fc.integer({ min: 0, max: 9999 }), (whole, part) => {
        const text = `${whole}.${part}`;
        expect(plainFigure(text)).toBeCloseTo(Number(text), 9);
        expect(plainFigure(text.replace('.', ','))).toBe(plainFigure(text));
      }),
    ));
});

describe.each(NONSENSE)('%j is taken for a figure nowhere', (text) => {
  test('fields of lengths, torques and numbers', () => {
    expect(isBare(text)).toBe(false);
    for (const typed of [figureTyped, typedLength, typedTorque])
      expect(typeof codeOf(() => typed(text, 'x'))).toBe('string');
    expect(typeof codeOf(() => lengthWithUnit(text, 'x'))).toBe('string');
  });
  test('readings, stages, check points, rows of shelves', () => {
    expect(typeof codeOf(() => readReading({ typed: text, unit: 'mm' }))).toBe('string');
    if (!/[\s,]/.test(text)) expect(schemeOfFigures(`1 ${text} 900`)).toBeUndefined();
    if (!/[\s,]/.test(text)) expect(pointsOf(`20 ${text}`)).toBeUndefined();
    expect(SHELF_SHAPES.grade.rowOf({ tensile: text })).toMatchObject({ tensile_MPa: undefined });
  });
  test('forms', () => {
    expect(typedNumber().required().validate(text).error).toBeDefined();
    expect(wrenchSchema.validate({ min: text }, { abortEarly: false }).error?.message).toMatch(/lowest mark/);
    expect(cycleSchema.validate({ highest_C: text }, { abortEarly: false }).error?.message).toMatch(/in °C/);
  });
});

test('a form reads a decimal comma, leaves empty text to be judged as empty, and takes a number as it is', () => {
  expect(typedNumber().validate('86,5').value).toBe(86.5);
  expect(typedNumber().validate(86.5).value).toBe(86.5);
  expect(typedNumber().empty('').allow(null).default(null).validate('').value).toBeNull();
  expect(typedNumber().integer().validate('1,5').error).toBeDefined();
});
