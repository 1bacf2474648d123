import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { clamp, turnFurther, type TurnFurtherInput } from '@/core/joint';
import { nextSlot } from '@/core/tightening';
import { threadNamed } from '@/core/thread';
import { codeOf, fieldOf } from '../code-of';

const NUT: TurnFurtherInput = {
  thread: threadNamed('3/8 BSF'),
  preload_N: 25_000,
  stiffness_N_per_mm: 1.1e5,
  angle_deg: 1,
  muThread: 0.13,
  muHead: 0.13,
  bearing: { outer_mm: 14.2, inner_mm: 9.9 },
};

describe('a nut turned further', () => {
  test('of 3/8 BSF gains 0.39 kN a degree at 1.1e5 N/mm, as was computed beside the printed figures', () =>
    expect(turnFurther(NUT).gain_N / 1000).toBeCloseTo(0.39, 2));
  test('costs the torque that gives the new clamp load, and the stress that goes with it', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 60, noNaN: true }),
        fc.double({ min: 5000, max: 40_000, noNaN: true }),
        fc.double({ min: 0, max: 8, noNaN: true }),
        (angle_deg, preload_N, prevailing_Nm) => {
          const further = turnFurther({ ...NUT, angle_deg, preload_N, prevailing_Nm });
          expect(further.preload_N).toBeCloseTo(preload_N + further.gain_N, 6);
          const back = clamp({ ...NUT, prevailing_Nm }, further.torque_Nm);
          expect(back.preload_N).toBeCloseTo(further.preload_N, 4);
          expect(back.equivalent_MPa).toBeCloseTo(further.equivalent_MPa, 6);
        },
      ),
    ));
  test.each([
    [2, []],
    [12, []],
    [14, ['over-limit']],
    [60, ['over-yield']],
  ])('by %d° says %j of its yield', (angle_deg, codes) => {
    const { utilisation = 0, notes, equivalent_MPa } = turnFurther({ ...NUT, angle_deg, yield_MPa: 700 });
    expect(notes.map(({ code }) => code)).toEqual(codes);
    expect(utilisation).toBeCloseTo(equivalent_MPa / 700, 12);
  });
  test('never says anything of a yield that nobody knows', () => {
    const further = turnFurther({ ...NUT, angle_deg: 360 });
    expect(further.notes).toEqual([]);
    expect(further).not.toHaveProperty('utilisation');
  });
  test.each([
    [{ angle_deg: -1 }, 'angle_deg'],
    [{ angle_deg: NaN }, 'angle_deg'],
    [{ stiffness_N_per_mm: 0 }, 'stiffness_N_per_mm'],
    [{ preload_N: 0 }, 'preload_N'],
    [{ yield_MPa: 0 }, 'yield_MPa'],
    [{ muHead: 0 }, 'muHead'],
  ])('%j is refused', (given, field) => expect(fieldOf(() => turnFurther({ ...NUT, ...given }))).toBe(field));
  test('back is refused in the words of the bench', () =>
    expect(() => turnFurther({ ...NUT, angle_deg: -5 })).toThrow(/never turned back to a hole/));
});

describe('the next slot', () => {
  test.each([
    ['six slots, one drilling, one slot in the hole', 6, 1, 0, 0],
    ['six slots, one drilling, a slot 20° past', 6, 1, 20, 40],
    ['six slots, two drillings: the others stand between', 6, 2, 20, 10],
    ['six slots, two drillings, between', 6, 2, 30, 0],
    ['eight slots, one drilling', 8, 1, 10, 35],
    ['five slots, one drilling: the other mouth stands between', 5, 1, 20, 16],
    ['one slot', 1, 1, 100, 80],
  ])('%s', (_, slots, holes, slot_deg, turn_deg) =>
    expect(nextSlot({ slots, holes, slot_deg }).turn_deg).toBeCloseTo(turn_deg, 9),
  );
  test('after it a slot stands in a mouth, and at no smaller turn does one', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 12 }),
        fc.integer({ min: 1, max: 3 }),
        fc.double({ min: 0, max: 0.999, noNaN: true }),
        (slots, holes, share) => {
          const period = 360 / slots;
          const slot_deg = share * period;
          const { turn_deg } = nextSlot({ slots, holes, slot_deg });
          /** How far the nearest slot stands from the nearest mouth. */
          const off = (turn: number) => {
            const stands = Array.from({ length: slots }, (_, i) => (slot_deg + turn + i * period) % 360);
            const mouths = Array.from({ length: 2 * holes }, (_, i) => (i * 180) / holes);
            return Math.min(
              ...stands.flatMap((slot) =>
                mouths.map((mouth) => Math.abs(((((slot - mouth) % 360) + 540) % 360) - 180)),
              ),
            );
          };
          expect(turn_deg).toBeGreaterThanOrEqual(0);
          expect(turn_deg).toBeLessThan(period);
          expect(off(turn_deg)).toBeLessThan(1e-6);
          for (let step = 0; step < 20; step++)
            expect(off((turn_deg * step) / 20)).toBeGreaterThan(turn_deg > 1e-6 ? 1e-9 : -1);
        },
      ),
    ));
  test.each([
    [{ slots: 0 }, 'slots'],
    [{ slots: 6.5 }, 'slots'],
    [{ holes: 0 }, 'holes'],
    [{ slot_deg: 60 }, 'slot_deg'],
    [{ slot_deg: -1 }, 'slot_deg'],
  ])('%j is refused', (given, field) => {
    const work = () => nextSlot({ slots: 6, holes: 1, slot_deg: 0, ...given });
    expect([codeOf(work), fieldOf(work)]).toEqual(['bad-field', field]);
  });
});
