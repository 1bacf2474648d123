import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { torqueToSi } from '@/core/units';
import { chooseWrench, wrenchSetting, type ShelfWrench, type WrenchScale } from '@/core/wrench';
import { codeOf } from '../code-of';

const plain: WrenchScale = { unit: 'N·m', min: 10, max: 100, graduation: 1 };
const checked: WrenchScale = {
  ...plain,
  calibration: [
    { set: 20, true: 18 },
    { set: 60, true: 60 },
    { set: 100, true: 104 },
  ],
};

describe('the figure on the wrench', () => {
  test('a crowfoot in line makes it read less, across it changes nothing', () => {
    expect(wrenchSetting(90, plain, 'whole', { wrenchLength_mm: 400, extension_mm: 50, angle_deg: 0 })).toMatchObject({
      setting: 80,
      rounded: 80,
    });
    expect(
      wrenchSetting(90, plain, 'whole', { wrenchLength_mm: 400, extension_mm: 50, angle_deg: 90 }).setting,
    ).toBeCloseTo(90, 9);
    expect(
      wrenchSetting(90, plain, 'whole', { wrenchLength_mm: 400, extension_mm: 80, angle_deg: 180 }).setting,
    ).toBeCloseTo(112.5, 9);
  });
  test('a check is read backwards, with straight lines between its points', () => {
    expect(wrenchSetting(39, checked).setting).toBeCloseTo(40, 9);
    expect(wrenchSetting(60, checked)).toMatchObject({ setting: 60, achieved_Nm: 60, roundingError_pct: 0, notes: [] });
    expect(wrenchSetting(82, checked).setting).toBeCloseTo(80, 9);
  });
  test('outside the points the end’s ratio is taken, and said', () => {
    const low = wrenchSetting(9, checked);
    expect(low.setting).toBeCloseTo(10, 9);
    expect(low.notes.map((note) => note.code)).toEqual(['calibration-extrapolated']);
  });
  test.each([
    ['upper-two-thirds', 39.9, false],
    ['upper-two-thirds', 40, true],
    ['iso-20-100', 19.9, false],
    ['iso-20-100', 20, true],
    ['whole', 10, true],
    ['whole', 101, false],
  ] as const)('%s at %d is trusted: %s', (window, target, trusted) =>
    expect(wrenchSetting(target, plain, window).inWindow).toBe(trusted),
  );

  test('what is achieved lies within half a mark of what was wanted, through adaptor and check', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 22, max: 95, noNaN: true }),
        fc.double({ min: 0, max: 120, noNaN: true }),
        fc.double({ min: -90, max: 90, noNaN: true }),
        (target, extension_mm, angle_deg) => {
          const adaptor = { wrenchLength_mm: 450, extension_mm, angle_deg };
          const { achieved_Nm, roundingError_pct } = wrenchSetting(target, checked, 'whole', adaptor);
          expect(Math.abs(achieved_Nm - target)).toBeLessThanOrEqual(0.5 * 1.2 * (1 + extension_mm / 450));
          expect(achieved_Nm).toBeCloseTo(target * (1 + roundingError_pct / 100), 9);
        },
      ),
    );
  });
  test.each([
    ['no torque', () => wrenchSetting(0, plain)],
    ['a scale upside down', () => wrenchSetting(50, { ...plain, min: 200 })],
    [
      'a check that falls',
      () =>
        wrenchSetting(50, {
          ...plain,
          calibration: [
            { set: 20, true: 30 },
            { set: 60, true: 25 },
          ],
        }),
    ],
    ['an unknown window', () => wrenchSetting(50, plain, 'anywhere' as 'whole')],
    [
      'an adaptor past the hand',
      () => wrenchSetting(50, plain, 'whole', { wrenchLength_mm: 100, extension_mm: 150, angle_deg: 180 }),
    ],
  ])('%s is refused', (_, work) => expect(codeOf(work)).toBe('bad-field'));
});

describe('which wrench', () => {
  const shelf: readonly ShelfWrench[] = [
    { id: 'ft', name: 'Half-inch', unit: 'lbf·ft', min: 10, max: 100, graduation: 1, accuracy_pct: 4, overdue: false },
    {
      id: 'in',
      name: 'Quarter-inch',
      unit: 'lbf·in',
      min: 20,
      max: 200,
      graduation: 1,
      accuracy_pct: 6,
      overdue: false,
    },
    { id: 'old', name: 'Old beam', unit: 'kgf·m', min: 1, max: 12, graduation: 0.25, accuracy_pct: 10, overdue: true },
  ];
  const choose = (lbfFt: number, window: 'upper-two-thirds' | 'iso-20-100' | 'whole' = 'iso-20-100') =>
    chooseWrench(torqueToSi(lbfFt, 'lbf·ft'), shelf, window);
  test('the one with the least doubt, with the reason against the others', () => {
    const { chosen, passedOver } = choose(38);
    expect(chosen?.id).toBe('ft');
    expect(passedOver.map((one) => [one.id, /off its scale|overdue/.test(one.reason)])).toEqual([
      ['in', true],
      ['old', true],
    ]);
  });
  test('a small figure goes to inch-pounds on the small one', () => {
    const { chosen, passedOver } = choose(12);
    expect(chosen).toMatchObject({ id: 'in', setting: { rounded: 144 } });
    expect(chosen?.reason).toMatch(/inch-pounds on the small one/);
    expect(passedOver.find((one) => one.id === 'ft')?.reason).toMatch(/lies below 20/);
  });
  test('an overdue one only where no other fits, and none where none does', () => {
    expect(
      chooseWrench(torqueToSi(6, 'kgf·m'), [shelf[1] as ShelfWrench, shelf[2] as ShelfWrench], 'whole').chosen,
    ).toMatchObject({ id: 'old' });
    expect(choose(150).chosen).toBeUndefined();
    expect(choose(12, 'upper-two-thirds').chosen).toMatchObject({ id: 'in' });
    expect(choose(3, 'upper-two-thirds').chosen?.reason).toMatch(
      /Low on its scale; none on the shelf is trusted there/,
    );
  });
});
