import { DomainError, assertPositive } from '@/core/units';

/** A point of a wrench's check: what it was set to, and what it delivered, both in the wrench's unit. */
export interface CalibrationPoint {
  readonly set: number;
  readonly true: number;
}

/** Points in rising order. @throws DomainError bad-field where two points contradict each other */
export function sortedCalibration(
  points: readonly CalibrationPoint[],
  field = 'wrench.calibration',
): readonly CalibrationPoint[] {
  points.forEach((point, i) => {
    assertPositive(point.set, `${field}[${i}].set`);
    assertPositive(point.true, `${field}[${i}].true`);
  });
  const sorted = [...points].sort((a, b) => a.set - b.set);
  const bad = sorted.findIndex(
    (point, i) => i > 0 && !(point.set > (sorted[i - 1]?.set ?? 0) && point.true > (sorted[i - 1]?.true ?? 0)),
  );
  if (bad >= 0)
    throw new DomainError(
      'bad-field',
      `A higher setting delivers more, and no setting two torques. Check the point at ${sorted[bad]?.set}.`,
      field,
    );
  return sorted;
}

const between = (
  x: number,
  from: 'set' | 'true',
  points: readonly CalibrationPoint[],
): { readonly value: number; readonly outside: boolean } => {
  const to = from === 'set' ? 'true' : 'set';
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last) return { value: x, outside: false };
  const end = x < first[from] ? first : x > last[from] ? last : undefined;
  if (end) return { value: (x * end[to]) / end[from], outside: true };
  const upper = Math.max(
    1,
    points.findIndex((point) => point[from] >= x),
  );
  const [a, b] = [points[upper - 1], points[upper]];
  if (!a || !b) return { value: first[to], outside: false };
  return { value: a[to] + ((b[to] - a[to]) * (x - a[from])) / (b[from] - a[from]), outside: false };
};

/** What to set for a wanted delivery: straight lines between points, the end point's ratio outside them. */
export const settingFor = (wanted: number, points: readonly CalibrationPoint[]) => between(wanted, 'true', points);

/** What a setting delivers. */
export const deliveredAt = (set: number, points: readonly CalibrationPoint[]): number =>
  between(set, 'set', points).value;
