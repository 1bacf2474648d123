import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { PlaceFigure } from '@/core/fits';
import { cameTo } from '@/interface/figures/came-to';
import { lengthsFor } from '@/interface/figures/figures';

const MM = lengthsFor({ decimalSign: '.', inch: false });
const INCH = lengthsFor({ decimalSign: '.', inch: true });
const figure = (given: Partial<PlaceFigure>): PlaceFigure => ({
  method: 'micrometer',
  least_mm: 0.152,
  greatest_mm: 0.158,
  mean_mm: 0.155,
  doubt_mm: 0,
  ...given,
});

describe('a figure out of readings has no digit finer than its instrument', () => {
  test.each([
    [MM, 0, '0.152 to 0.158 mm'],
    [MM, 0.002, '0.152 to 0.158 mm'],
    [MM, 0.01, '0.15 to 0.16 mm'],
    [MM, 0.1, '0.2 mm'],
    [INCH, 0, '5.98 to 6.22 thou'],
    [INCH, 0.00254, '6.0 to 6.2 thou'],
    [INCH, 0.0254, '6 thou'],
    [lengthsFor({ decimalSign: ',', inch: false }), 0.01, '0,15 to 0,16 mm'],
    [lengthsFor({ decimalSign: '.', inch: true }, true), 0.0254, '0.006 in'],
  ])('%#: read to %s mm: %s', (told, resolution, text) => {
    expect(cameTo(told, figure({ doubt_mm: resolution * Math.SQRT2 }))).toBe(text);
  });
  test('a dial tells its mean; a float under a gasket its two ends', () => {
    const dial = { method: 'dial', doubt_mm: 0.01 * Math.SQRT2 } as const;
    expect(cameTo(MM, figure(dial))).toBe('0.15 mm');
    expect(cameTo(MM, figure({ ...dial, uncrushed_mm: 0.4 }))).toBe('0.15 to 0.16 mm');
  });
  test('what is told is off by no more than half of the last digit of the instrument', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 3, noNaN: true }),
        fc.constantFrom(0.001, 0.01, 0.1),
        (value, resolution) => {
          const told = Number.parseFloat(MM.read(value, value, resolution));
          expect(Math.abs(told - value)).toBeLessThanOrEqual(resolution / 2 + 1e-9);
        },
      ),
    );
  });
});
