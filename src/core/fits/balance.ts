import { INCH_MM, assertNotNegative } from '@/core/units';

/** Residual imbalance at one plane of a balancing report, g·mm. */
export interface PlaneImbalance {
  readonly name: string;
  readonly before_gmm: number;
  readonly after_gmm: number;
  readonly allowed_gmm?: number;
}

export interface BalancedPlane extends PlaneImbalance {
  /** Share of the imbalance that was taken out, 0 to 1; below 0 where it grew. */
  readonly removed: number;
  readonly verdict?: 'inside' | 'out';
}

const GMM_PER = { 'g·mm': 1, 'g·cm': 10, 'oz·in': 28.349523125 * INCH_MM } as const;
export type ImbalanceUnit = keyof typeof GMM_PER;
export const IMBALANCE_UNITS = Object.keys(GMM_PER) as readonly ImbalanceUnit[];

/** An imbalance as printed in a report, g·mm. */
export const imbalance_gmm = (value: number, unit: ImbalanceUnit): number => value * GMM_PER[unit];

/** What a balancing report comes to, plane by plane. @throws DomainError bad-field */
export function balanced(planes: readonly PlaneImbalance[]): readonly BalancedPlane[] {
  return planes.map((plane, i) => {
    assertNotNegative(plane.before_gmm, `planes[${i}].before_gmm`);
    assertNotNegative(plane.after_gmm, `planes[${i}].after_gmm`);
    const removed = plane.before_gmm === 0 ? 0 : 1 - plane.after_gmm / plane.before_gmm;
    if (plane.allowed_gmm === undefined) return { ...plane, removed };
    return { ...plane, removed, verdict: plane.after_gmm <= plane.allowed_gmm ? 'inside' : 'out' };
  });
}
