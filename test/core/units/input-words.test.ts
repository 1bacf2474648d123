import { describe, expect, test } from '@jest/globals';
import { DomainError, wrongInput } from '@/core/units';

describe('a refusal of one input', () => {
  test.each([
    ['bore_mm', 'The bore must be above 0.'],
    ['wrenchLength_mm', 'The wrench length must be above 0.'],
    ['bearing.outer_mm', 'The face’s outside must be above 0.'],
    ['from.bearing.inner_mm', 'The hole that it turns on must be above 0.'],
    ['steps_mm[0]', 'The steps, number 1, must be above 0.'],
    ['journal[1][2]', 'The journal, number 2, 3, must be above 0.'],
    ['segments[2].length_mm', 'The length of number 3 must be above 0.'],
    ['to.slippery.muHead', 'The friction under the head must be above 0.'],
    ['readings[3].C', 'The temperature of number 4 must be above 0.'],
    ['expansion_um_per_mK', 'The expansion must be above 0.'],
  ])('%s is said in words, and named for a program', (field, message) =>
    expect(wrongInput(field, 'must be above 0.')).toMatchObject({ code: 'bad-field', field, message }),
  );
  test('figures come without what conversion left in their last digits, and lose nothing that was typed', () => {
    const says = (figure: number) => wrongInput('bore_mm', `must be above 0, got ${figure}.`).message;
    expect(says(0.27 * 25.4)).toBe('The bore must be above 0, got 6.858.');
    expect(says(0.1 + 0.2)).toBe('The bore must be above 0, got 0.3.');
    expect(says(-12.345678)).toBe('The bore must be above 0, got -12.345678.');
    expect(says(-1.2345678912e-7)).toBe('The bore must be above 0, got -1.23456789e-7.');
    expect(says(-1.2345678912e-12)).toBe('The bore must be above 0, got -1.23456789e-12.');
    expect(new DomainError('between-sizes', `the nearest is ${0.03 * 25.4} mm under`).message).toBe(
      'the nearest is 0.762 mm under',
    );
    expect(says(1e21)).toBe('The bore must be above 0, got 1e+21.');
  });
});
