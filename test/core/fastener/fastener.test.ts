import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  SHELF_GRADES,
  SHELF_METALS,
  boltSegments,
  proofOf,
  reachFaults,
  strip,
  stretch,
  stretchVerdict,
} from '@/core/fastener';
import { threadNamed } from '@/core/thread';
import { codeOf } from '../code-of';

const m10 = threadNamed('M10');

describe('the parent’s thread', () => {
  // By hand: tan 30° × (10 − 9.02574)/1.5 = 0.375; π × 10 × 15 × 0.875 = 412.33 mm².
  test('M10, 15 mm in iron of 180 MPa', () => {
    const { shearArea_mm2, strip_N } = strip(m10, 15, 180);
    expect(shearArea_mm2).toBeCloseTo(412.33, 1);
    expect(strip_N).toBeCloseTo(74_220, -1);
  });
  test.each([
    [0, 180],
    [15, 0],
    [-1, 180],
    [Number.NaN, 180],
  ])('%d mm of %d MPa is refused', (engagement, shear) => {
    expect(codeOf(() => strip(m10, engagement, shear))).toBe('bad-field');
  });
});

describe('stretch', () => {
  test('one segment is F·L/(E·A)', () => {
    const { stretch_mm, stiffness_N_per_mm } = stretch([{ length_mm: 100, diameter_mm: 10 }], 200, {
      preload_N: 15_707.963,
    });
    expect(stretch_mm).toBeCloseTo(0.1, 6);
    expect(stiffness_N_per_mm).toBeCloseTo(157_079.63, 1);
  });
  const segment = fc.record({
    length_mm: fc.double({ min: 1, max: 200, noNaN: true }),
    diameter_mm: fc.double({ min: 2, max: 30, noNaN: true }),
  });
  test('preload and stretch are inverse, and a longer bolt stretches more', () => {
    fc.assert(
      fc.property(
        fc.array(segment, { minLength: 1, maxLength: 6 }),
        segment,
        fc.double({ min: 100, max: 1e5, noNaN: true }),
        (segments, more, preload_N) => {
          const once = stretch(segments, 205, { preload_N });
          expect(stretch(segments, 205, { stretch_mm: once.stretch_mm }).preload_N).toBeCloseTo(preload_N, 5);
          expect(stretch([...segments, more], 205, { preload_N }).stretch_mm).toBeGreaterThan(once.stretch_mm);
        },
      ),
    );
  });
  test.each([
    [[], { preload_N: 1 }, 'bad-field'],
    [[{ length_mm: 10 }], { preload_N: 1 }, 'missing-field'],
    [[{ length_mm: 10, diameter_mm: 8, area_mm2: 50 }], { preload_N: 1 }, 'bad-field'],
    [[{ length_mm: 10, diameter_mm: 8 }], {}, 'missing-field'],
    [[{ length_mm: 10, diameter_mm: 8 }], { preload_N: 1, stretch_mm: 1 }, 'bad-field'],
    [[{ length_mm: 0, diameter_mm: 8 }], { preload_N: 1 }, 'bad-field'],
  ])('%j with %j is %s', (segments, given, code) => expect(codeOf(() => stretch(segments, 205, given))).toBe(code));

  test('the head’s and the engaged thread’s share make a bolt softer by 7 to 19 %', () => {
    const lengths = { shank_mm: 50, shankDiameter_mm: 10, freeThread_mm: 8 };
    const whole = boltSegments(m10, lengths);
    const grip = whole.slice(1, -1);
    const share =
      stretch(whole, 205, { preload_N: 1e4 }).stretch_mm / stretch(grip, 205, { preload_N: 1e4 }).stretch_mm - 1;
    expect(share).toBeGreaterThan(0.07);
    expect(share).toBeLessThan(0.19);
  });
});

describe('one bolt by stretch', () => {
  const target = { min_mm: 0.12, max_mm: 0.14, ceiling_Nm: 36, maxSet_mm: 0.01 };
  const at = (tight: number | undefined, torque_Nm?: number, zero_mm?: number) =>
    stretchVerdict(
      { first_mm: 58, zero_mm, tight_mm: tight === undefined ? undefined : (zero_mm ?? 58) + tight, torque_Nm },
      target,
    ).state;
  test.each([
    [undefined, undefined, undefined, 'to-pull'],
    [0.1, 30, undefined, 'short'],
    [0.13, 31, undefined, 'inside'],
    [0.13, undefined, undefined, 'inside'],
    [0.13, 36, undefined, 'inside'],
    [0.13, 36.1, undefined, 'past-ceiling'],
    [0.16, 34, undefined, 'over'],
    [0.16, 40, undefined, 'over'],
    [0.1, 36, undefined, 'ceiling-without-stretch'],
    [0.13, 15, undefined, 'stretch-without-torque'],
    [0.13, 31, 58.02, 'grown'],
    [undefined, undefined, 58.02, 'grown'],
    [0.13, 31, 58.005, 'inside'],
    [undefined, undefined, 58.005, 'to-pull'],
    // Zeroed each time: of 58.005 on, and not of how it came.
    [0.117, 31, 58.005, 'short'],
  ] as const)('stretched %s at %s from %s: %s', (tight, torque, zero, state) =>
    expect(at(tight, torque, zero)).toBe(state),
  );
  test('by how much it is stretched, and longer than it came', () => {
    const found = stretchVerdict({ first_mm: 58, zero_mm: 58.004, tight_mm: 58.134, torque_Nm: 31 }, target);
    expect(found.stretch_mm).toBeCloseTo(0.13, 9);
    expect(found.set_mm).toBeCloseTo(0.004, 9);
    expect(stretchVerdict({ first_mm: 58 }, target).set_mm).toBeUndefined();
  });
  test('nothing is judged without its free length', () =>
    expect(stretchVerdict({ tight_mm: 58.1 }, target).state).toBe('free-length-wanted'));
});

describe('bottoming', () => {
  const reach = { length_mm: 60, threadLength_mm: 25, grip_mm: 40, holeDepth_mm: 22 };
  test.each([
    [{}, []],
    [{ holeDepth_mm: 18 }, ['bottoms-in-hole']],
    [{ threadLength_mm: 18 }, ['shoulder-first']],
    [{ grip_mm: 30 }, ['bottoms-in-hole', 'shoulder-first']],
    [{ grip_mm: undefined }, []],
    [{ holeDepth_mm: undefined }, []],
  ])('%j finds %j', (part, codes) =>
    expect(reachFaults({ ...reach, ...part }).map((fault) => fault.code)).toEqual(codes),
  );
});

test('shelf rows rise as they must, each with a source, under ids of their own', () => {
  for (const grade of SHELF_GRADES) {
    expect(grade.yield_MPa).toBeLessThan(grade.tensile_MPa);
    expect(proofOf(grade)).toBeLessThanOrEqual(grade.yield_MPa);
    expect(grade.source).not.toBe('');
  }
  for (const metal of SHELF_METALS)
    expect([metal.shearLow_MPa < metal.shearHigh_MPa, metal.pressureLow_MPa < metal.pressureHigh_MPa]).toEqual([
      true,
      true,
    ]);
  for (const rows of [SHELF_GRADES, SHELF_METALS]) expect(new Set(rows.map((row) => row.id)).size).toBe(rows.length);
  // An old 8G is weaker than an 8.8: the figures are kgf/mm², not a hundredth of the tensile strength.
  const yieldOf = (name: string) => SHELF_GRADES.find((grade) => grade.name === name)?.yield_MPa ?? 0;
  expect(yieldOf('8G')).toBeLessThan(yieldOf('8.8, to 16 mm'));
});
