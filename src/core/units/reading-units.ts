import { INCH_MM, THOU_MM } from './factors';

/** The units in which an instrument is read, in mm. Exact. */
export const READING_UNITS_MM = {
  mm: 1,
  µm: 0.001,
  in: INCH_MM,
  thou: THOU_MM,
  '0.0001 in': THOU_MM / 10,
} as const;
export type ReadingUnit = keyof typeof READING_UNITS_MM;
