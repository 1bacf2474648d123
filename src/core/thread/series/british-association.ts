import type { ThreadRow } from '../thread';
import { flatsInInches } from './inch-row';

/** BS 93, British Association: major diameter and pitch in mm; hexagon across flats in inches. */
const SIZES: readonly (readonly [size: number, major_mm: number, pitch_mm: number, flats_in?: number])[] = [
  [0, 6.0, 1.0, 0.413], [1, 5.3, 0.9, 0.365], [2, 4.7, 0.81, 0.324], [3, 4.1, 0.73, 0.282], [4, 3.6, 0.66, 0.248],
  [5, 3.2, 0.59, 0.22], [6, 2.8, 0.53, 0.193], [7, 2.5, 0.48], [8, 2.2, 0.43], [9, 1.9, 0.39], [10, 1.7, 0.35],
]; // prettier-ignore

export const BRITISH_ASSOCIATION_ROWS: readonly ThreadRow[] = SIZES.map(([size, major_mm, pitch_mm, flats]) => ({
  designation: `${size} BA`,
  nominal: String(size),
  series: 'BA',
  major_mm,
  pitch_mm,
  usual: true,
  acrossFlats_mm: flats === undefined ? undefined : flatsInInches([flats, 'BS 93']),
}));
