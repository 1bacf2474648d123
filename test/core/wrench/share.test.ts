import { describe, expect, test } from '@jest/globals';
import { stiffness, stretchShareOfYield } from '@/core/fastener';
import { fitKind } from '@/core/fits';
import { chooseWrench, type ShelfWrench } from '@/core/wrench';

const wrench = (part: Partial<ShelfWrench>): ShelfWrench => ({
  id: 'a',
  name: 'A',
  unit: 'N·m',
  min: 20,
  max: 200,
  graduation: 1,
  accuracy_pct: 4,
  overdue: false,
  ...part,
});

describe('the choice of a wrench', () => {
  test('says the share of its scale that it is set to, not that which the fastener gets', () => {
    const extension = { wrenchLength_mm: 400, extension_mm: 400, angle_deg: 0 };
    expect(chooseWrench(100, [wrench({})], 'whole').chosen?.reason).toMatch(/^At 50 % of its scale/);
    expect(chooseWrench(100, [wrench({})], 'whole', extension).chosen?.reason).toMatch(/^At 25 % of its scale/);
  });
  test('low on every scale, one that is overdue stands behind one that was checked', () => {
    const shelf = [wrench({ id: 'late', max: 100, overdue: true }), wrench({ id: 'checked', max: 150 })];
    expect(chooseWrench(25, shelf, 'upper-two-thirds').chosen?.id).toBe('checked');
    const [late] = shelf;
    if (!late) throw new Error('no wrench');
    expect(chooseWrench(25, [late], 'upper-two-thirds').chosen?.id).toBe('late');
  });
});

describe('a stretch that is wanted', () => {
  test('against the yield of the bolt: E·A·δ/L over A·σ', () => {
    const bolt = {
      stiffness_N_per_mm: stiffness([{ length_mm: 100, diameter_mm: 8 }], 205),
      least_mm2: Math.PI * 16,
      yield_MPa: 820,
    };
    // 205 GPa · 0.4 / 100 = 820 MPa.
    expect(stretchShareOfYield(bolt, 0.4)).toBeCloseTo(1, 9);
    expect(stretchShareOfYield(bolt, 0.2)).toBeCloseTo(0.5, 9);
  });
});

describe('a ring gap', () => {
  test('has no rule before somebody says how the engine is cooled, and one for each way', () => {
    expect(fitKind('ring-gap')?.rule).toBeUndefined();
    expect(fitKind('ring-gap')?.rules?.map(({ perDiameter }) => perDiameter)).toEqual([
      [0.0035, 0.004],
      [0.004, 0.005],
    ]);
  });
});
