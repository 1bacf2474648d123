import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { givingOf, pulled, slackened, turnedOn, unpulled, type Standing } from '@/core/interaction';
import { joints } from './joints';

const gone = (giving: readonly (readonly number[])[], turns: readonly { nut: number; target: number }[]): Standing =>
  turns.reduce((standing, { nut, target }) => pulled(giving, standing, nut, target), unpulled(giving.length));

describe('a nut that is turned on or slackened', () => {
  test('on its own on a stiff part it takes its stiffness for each millimetre', () => {
    const giving = givingOf({ compliance: [[1e-12]], boltStiffness_N_per_mm: 1e5 });
    const snug = pulled(giving, unpulled(1), 0, 8000);
    // A pitch of 1.25 mm by a quarter of a turn.
    const { forces_N } = turnedOn(giving, snug, 0, 1.25 / 4);
    expect(forces_N[0]).toBeCloseTo(8000 + 1e5 * 0.3125, 0);
  });
  test('by as much as a pull would turn it, it and all the others hold what the pull leaves', () => {
    fc.assert(
      fc.property(
        joints,
        fc.nat(),
        fc.double({ min: 0.5, max: 3, noNaN: true }),
        ({ compliance, stiffness, turns }, pick, factor) => {
          const giving = givingOf({ compliance, boltStiffness_N_per_mm: stiffness });
          const standing = gone(giving, turns);
          const nut = pick % giving.length;
          const after = pulled(giving, standing, nut, (Math.max(...standing.forces_N) + 1000) * factor);
          const advance = (after.advances_mm[nut] ?? 0) - (standing.advances_mm[nut] ?? 0);
          if (advance === 0) return;
          const turned = turnedOn(giving, standing, nut, advance);
          const most = Math.max(...after.forces_N);
          turned.forces_N.forEach((force, i) => {
            expect(Math.abs(force - (after.forces_N[i] ?? 0))).toBeLessThan(1e-6 * most);
            expect(force).toBeGreaterThanOrEqual(0);
          });
          expect(turned.advances_mm.filter((_, i) => i !== nut)).toEqual(
            standing.advances_mm.filter((_, i) => i !== nut),
          );
        },
      ),
    );
  });
  test('slackened it holds nothing, no other nut was turned, and pulled again it holds what it is pulled to', () => {
    fc.assert(
      fc.property(joints, fc.nat(), ({ compliance, stiffness, turns }, pick) => {
        const giving = givingOf({ compliance, boltStiffness_N_per_mm: stiffness });
        const standing = gone(giving, turns);
        const nut = pick % giving.length;
        const loose = slackened(giving, standing, nut);
        expect(loose.forces_N[nut]).toBe(0);
        expect(loose.advances_mm).toEqual(standing.advances_mm.map((one, i) => (i === nut ? undefined : one)));
        expect(pulled(giving, loose, nut, 12_000).forces_N[nut]).toBe(12_000);
      }),
    );
  });
});
