import { INCH_MM } from '@/core/units';
import type { AcrossFlats, ThreadRow, ThreadSeries } from '../thread';

/** `3/8` → 0.375 */
export const inches = (nominal: string): number => {
  const [top, bottom] = nominal.split('/').map(Number) as [number, number?];
  return bottom === undefined ? top : top / bottom;
};

/** A row of a table that is printed in inches and threads to the inch. */
export const inchRow = (
  series: ThreadSeries,
  nominal: string,
  tpi: number,
  options: { readonly major_in?: number; readonly usual?: boolean; readonly flats?: readonly AcrossFlats[] } = {},
): ThreadRow => ({
  designation: options.usual === false ? `${nominal}-${tpi} ${series}` : `${nominal} ${series}`,
  nominal,
  series,
  major_mm: (options.major_in ?? inches(nominal)) * INCH_MM,
  pitch_mm: INCH_MM / tpi,
  usual: options.usual ?? true,
  acrossFlats_mm: options.flats,
});

export const flatsInInches = (...pairs: readonly (readonly [number, string])[]): readonly AcrossFlats[] =>
  pairs.map(([inch, standard]) => ({ mm: Number((inch * INCH_MM).toFixed(3)), standard }));
