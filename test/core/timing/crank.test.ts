import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { pistonDrop, rimArc, stopMethod, valveSpan } from '@/core/timing';
import { codeOf } from '../code-of';

describe('the piston’s drop', () => {
  test.each([
    // r = 40, l = 150: x = 190 − (40 cos θ + √(150² − 40² sin² θ)), worked by hand.
    [0, 0],
    [90, 190 - Math.sqrt(150 ** 2 - 40 ** 2)],
    [180, 80],
    [60, 190 - (20 + Math.sqrt(22500 - 1600 * 0.75))],
  ])('at %d° is %d mm', (deg, drop_mm) =>
    expect(pistonDrop({ stroke_mm: 80, rod_mm: 150, deg }).drop_mm).toBeCloseTo(drop_mm, 9),
  );
  test('there and back is the same angle', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 200, noNaN: true }),
        fc.double({ min: 1.05, max: 4, noNaN: true }),
        fc.double({ min: 0.5, max: 179.5, noNaN: true }),
        (stroke_mm, ratio, deg) => {
          const rod_mm = (stroke_mm / 2) * ratio;
          const { drop_mm } = pistonDrop({ stroke_mm, rod_mm, deg });
          expect(pistonDrop({ stroke_mm, rod_mm, drop_mm }).deg).toBeCloseTo(deg, 4);
        },
      ),
    ));
  test.each([
    [{ stroke_mm: 80, rod_mm: 40, deg: 10 }],
    [{ stroke_mm: 80, rod_mm: 150, deg: -1 }],
    [{ stroke_mm: 80, rod_mm: 150, deg: 181 }],
    [{ stroke_mm: 80, rod_mm: 150, drop_mm: -0.1 }],
    [{ stroke_mm: 80, rod_mm: 150, drop_mm: 80.1 }],
    [{ stroke_mm: 0, rod_mm: 150, deg: 1 }],
  ])('%j is refused', (input) => expect(codeOf(() => pistonDrop(input))).toBe('bad-field'));
  test('one of the two is to be given', () =>
    expect(codeOf(() => pistonDrop({ stroke_mm: 80, rod_mm: 150 }))).toBe('missing-field'));
});

describe('top by a positive stop', () => {
  test.each([
    [20, 340, 0, 20],
    [350, 30, 10, 20],
    [30, 350, 10, 20],
    [100, 200, 150, 50],
    [-20, 20, 0, 20],
    [10, 350, 0, 10],
  ])('between %d and %d is %d, half the arc %d', (a_deg, b_deg, top_deg, halfArc_deg) => {
    const found = stopMethod({ a_deg, b_deg });
    expect(found.top_deg).toBeCloseTo(top_deg, 9);
    expect(found.halfArc_deg).toBeCloseTo(halfArc_deg, 9);
  });
  test('the same reading, and half a turn apart, say nothing', () => {
    expect(codeOf(() => stopMethod({ a_deg: 10, b_deg: 370 }))).toBe('same-reading');
    expect(codeOf(() => stopMethod({ a_deg: 10, b_deg: 190 }))).toBe('opposite');
  });
  test('top lies as far from one reading as from the other, on the shorter side', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 3599 }), fc.integer({ min: 1, max: 3599 }), (a, gap) => {
        if (gap === 1800) return;
        const [a_deg, b_deg] = [a / 10, (a + gap) / 10];
        const { top_deg, halfArc_deg } = stopMethod({ a_deg, b_deg });
        const away = (x: number) => Math.abs(((((x - top_deg) % 360) + 540) % 360) - 180);
        expect(away(a_deg)).toBeCloseTo(halfArc_deg, 6);
        expect(away(b_deg)).toBeCloseTo(halfArc_deg, 6);
        expect(halfArc_deg).toBeLessThan(90);
        expect(top_deg).toBeGreaterThanOrEqual(0);
        expect(top_deg).toBeLessThan(360);
      }),
    ));
});

describe('how long a valve is open', () => {
  test.each([
    ['inlet', 10, 'BTDC', 50, 'ABDC', 240, 110],
    ['inlet', 5, 'ATDC', 40, 'ABDC', 215, 112.5],
    ['inlet', 0, 'BTDC', 0, 'ABDC', 180, 90],
    ['exhaust', 50, 'BBDC', 10, 'ATDC', 240, 110],
    ['exhaust', 45, 'BBDC', 5, 'BTDC', 220, 115],
    ['exhaust', 55, 'BBDC', 15, 'ATDC', 250, 110],
  ] as const)('%s from %d %s to %d %s: %d°, its middle %d°', (valve, open, at, shut, to, duration_deg, middle_deg) =>
    expect(valveSpan({ valve, opens: { deg: open, at }, closes: { deg: shut, at: to } })).toEqual({
      duration_deg,
      middle_deg,
    }),
  );
  test('what cannot be is refused', () => {
    const opens = { deg: 10, at: 'BTDC' } as const;
    expect(codeOf(() => valveSpan({ valve: 'inlet', opens, closes: opens }))).toBe('bad-field');
    expect(codeOf(() => valveSpan({ valve: 'inlet', opens, closes: { deg: 181, at: 'ABDC' } }))).toBe('bad-field');
    expect(codeOf(() => valveSpan({ valve: 'inlet', opens: { deg: -1, at: 'BTDC' }, closes: opens }))).toBe(
      'bad-field',
    );
  });
});

describe('degrees on a rim', () => {
  test('and its length, there and back', () => {
    expect(rimArc({ diameter_mm: 300, deg: 10 }).arc_mm).toBeCloseTo(26.1799, 4);
    expect(rimArc({ diameter_mm: 300, arc_mm: 26.1799 }).deg).toBeCloseTo(10, 4);
    expect(codeOf(() => rimArc({ diameter_mm: 0, deg: 10 }))).toBe('bad-field');
    expect(codeOf(() => rimArc({ diameter_mm: 300 }))).toBe('missing-field');
  });
});
