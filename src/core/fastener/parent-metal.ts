import type { Provenance } from '@/core/film';

/** What a thread is tapped in, or a head sits on: low and high of the usual range, MPa. */
export interface ParentMetal {
  readonly id: string;
  readonly name: string;
  /** Shear strength of the tapped thread. */
  readonly shearLow_MPa: number;
  readonly shearHigh_MPa: number;
  /** Surface pressure allowed under a head. */
  readonly pressureLow_MPa: number;
  readonly pressureHigh_MPa: number;
  /** Least full engagement, as a multiple of the diameter. */
  readonly engagement_d: number;
  readonly provenance: Provenance;
  readonly source: string;
}

const SOURCE = 'Commonly quoted ranges; check the casting. Not checked against a second print.';

const ROWS: readonly (readonly [
  id: string,
  name: string,
  shearLow: number,
  shearHigh: number,
  pressureLow: number,
  pressureHigh: number,
  d: number,
])[] = [
  ['grey-iron', 'Grey iron', 180, 230, 600, 800, 1.5],
  ['aluminium-cast', 'Period aluminium, as cast', 80, 105, 140, 220, 2],
  ['aluminium-treated', 'Aluminium, heat-treated', 130, 180, 200, 300, 2],
  ['magnesium', 'Old magnesium alloy', 90, 120, 140, 200, 2],
  ['mild-steel', 'Mild steel', 230, 280, 400, 490, 1],
];

export const SHELF_METALS: readonly ParentMetal[] = ROWS.map(
  ([id, name, shearLow, shearHigh, pressureLow, pressureHigh, engagement_d]) => ({
    id,
    name,
    shearLow_MPa: shearLow,
    shearHigh_MPa: shearHigh,
    pressureLow_MPa: pressureLow,
    pressureHigh_MPa: pressureHigh,
    engagement_d,
    provenance: 'typical',
    source: SOURCE,
  }),
);
