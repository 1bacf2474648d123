import { describe, expect, test } from '@jest/globals';
import { formatFixed, formatPieces, formatPlain, formatSignificant } from '@/interface/figures/format';
import { nearTime } from '@/interface/figures/times';

describe('figures', () => {
  test.each([
    [29394.6, 3, '29\u202f395'],
    [0.09851, 3, '0.0985'],
    [1.355817948, 4, '1.356'],
    [0, 3, '0'],
    [-12.34, 3, '−12.3'],
    [1234.5, 2, '1235'],
    [123456789, 3, '123\u202f456\u202f789'],
  ] as const)('%d to %d digits is %s', (value, digits, text) => {
    expect(formatSignificant(value, digits)).toBe(text);
  });
  test('the decimal sign is the user’s', () => {
    expect([formatSignificant(1.5, 2, ','), formatFixed(2, 2, ','), formatPlain(0.1 + 0.2, ',')]).toEqual([
      '1,5',
      '2,00',
      '0,3',
    ]);
    expect(formatPieces(['F = ', { value: 31168.2, digits: 5 }, ' N'], ',')).toBe('F = 31\u202f168 N');
  });
});

test('a time is said as near as it is', () => {
  const now = new Date(2026, 4, 16, 14, 20).getTime();
  expect(nearTime(new Date(2026, 4, 16, 9, 5).getTime(), now)).toBe('09:05');
  expect(nearTime(new Date(2026, 4, 14, 9, 5).getTime(), now)).toBe('Thu 09:05');
  expect(nearTime(new Date(2025, 4, 14, 9, 5).getTime(), now)).toBe('14 May 2025, 09:05');
});
