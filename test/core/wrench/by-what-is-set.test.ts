import { describe, expect, test } from '@jest/globals';
import { hexagonFaces, stiffness, stretchShareOfYield, usualBearingFace } from '@/core/fastener';
import { fitKind } from '@/core/fits';
import { threadNamed } from '@/core/thread';
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

describe('the face by the standard of the hexagon', () => {
  test('each hexagon that a thread was sold with has its own, in the order of the table', () => {
    const faces = hexagonFaces(threadNamed('M10'));
    expect(faces.map(({ flats_mm, standard }) => [flats_mm, standard])).toEqual([
      [16, 'ISO 272'],
      [17, 'old DIN'],
    ]);
    for (const { flats_mm, face } of faces) {
      expect(face.outer_mm).toBeCloseTo(0.95 * flats_mm, 2);
      expect(face.inner_mm).toBe(11);
    }
    expect(usualBearingFace(threadNamed('M10'))).toEqual(faces.at(-1)?.face);
  });
  test('a thread that no spanner is known for has none', () =>
    expect(hexagonFaces({ ...threadNamed('M10'), acrossFlats_mm: undefined })).toEqual([]));
});
