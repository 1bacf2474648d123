import { describe, expect, test } from '@jest/globals';
import { SHELF_GRADES, SHELF_METALS, proofOf } from '@/core/fastener';
import { SHELF_FILMS } from '@/core/film';
import {
  PRINTED_BRITISH,
  PRINTED_DIN_267,
  PRINTED_FRICTION,
  PRINTED_ISO_898,
  PRINTED_METALS,
  PRINTED_SAE_J429,
} from '../../reference/printed-shelves';

const KSI_MPA = 6.895;
const TONF_PER_IN2_MPA = 15.444;

const printed = (text: string, prefix: string, MPa = 1) =>
  text
    .trim()
    .split('\n')
    .map((line) => {
      const [name = '', figures = ''] = line.split(' ');
      return [`${prefix}-${name}`, figures.split('/').map((figure) => Math.round(Number(figure) * MPa))] as const;
    });

const GRADES = [
  ...printed(PRINTED_ISO_898, 'iso'),
  ...printed(PRINTED_SAE_J429, 'sae', KSI_MPA),
  ...printed(PRINTED_DIN_267, 'din'),
  ...Object.entries(PRINTED_BRITISH).map(
    ([letter, [tons, share]]) =>
      [
        `british-${letter}`,
        [Math.round(tons * TONF_PER_IN2_MPA), Math.round(tons * TONF_PER_IN2_MPA * share)],
      ] as const,
  ),
  ['unmarked', [400, 240, 225]] as const,
];

describe('what ships on the shelves stands in print', () => {
  test('no row is missing, none is over', () => {
    expect(SHELF_GRADES.map(({ id }) => id).sort()).toEqual(GRADES.map(([id]) => id).sort());
    expect(SHELF_FILMS.map(({ id }) => id).sort()).toEqual(Object.keys(PRINTED_FRICTION).sort());
    expect(SHELF_METALS.map(({ id }) => id).sort()).toEqual(Object.keys(PRINTED_METALS).sort());
  });
  test.each(GRADES)('grade %s: %j', (id, figures) => {
    const grade = SHELF_GRADES.find((one) => one.id === id);
    const [tensile, yield_MPa, proof] = figures;
    expect(grade).toMatchObject({ tensile_MPa: tensile, yield_MPa });
    expect(grade?.proof_MPa).toBe(proof);
    expect(grade && proofOf(grade)).toBeCloseTo(proof ?? 0.9 * (yield_MPa ?? NaN), 9);
  });
  test.each(Object.entries(PRINTED_FRICTION))('lubricant %s: %j, thread and face alike', (id, [low, middle, high]) => {
    const film = SHELF_FILMS.find((one) => one.id === id);
    expect([film?.thread, film?.head]).toEqual([
      { low, middle, high },
      { low, middle, high },
    ]);
    expect(film?.provenance).toBe('typical');
  });
  test.each(Object.entries(PRINTED_METALS))('metal %s: %j', (id, figures) => {
    const metal = SHELF_METALS.find((one) => one.id === id);
    expect([
      metal?.shearLow_MPa,
      metal?.shearHigh_MPa,
      metal?.pressureLow_MPa,
      metal?.pressureHigh_MPa,
      metal?.engagement_d,
    ]).toEqual(figures);
  });
});
