export type ThreadSeries = 'M' | 'M pre-ISO' | 'UNC' | 'UNF' | 'BSW' | 'BSF' | 'CEI' | 'BA' | 'Brass' | 'BSP';

/** One hexagon that the thread was sold with. */
export interface AcrossFlats {
  readonly mm: number;
  readonly standard: string;
}

/** A screw thread of one size: what the name on the page stands for, in mm and degrees. */
export interface Thread {
  readonly designation: string;
  readonly series: ThreadSeries;
  readonly major_mm: number;
  readonly pitch_mm: number;
  /** Threads to the inch. */
  readonly tpi: number;
  readonly includedAngle_deg: number;
  /** d2 */
  readonly pitchDiameter_mm: number;
  /** d3, the one its stress area is made with. */
  readonly minorDiameter_mm: number;
  /** As = π/4 · ((d2 + d3)/2)² */
  readonly stressArea_mm2: number;
  readonly acrossFlats_mm?: readonly AcrossFlats[];
}

/** How a family of threads derives its diameters: d2 = d − a·P, d3 = d − b·P. */
export interface ThreadForm {
  readonly includedAngle_deg: number;
  readonly pitchDiameterFactor: number;
  readonly minorDiameterFactor: number;
}

/** A size of a series as it stands in a table. `nominal` is the size alone (`3/8`, `M10`, `2`). */
export interface ThreadRow {
  readonly designation: string;
  readonly nominal: string;
  readonly series: ThreadSeries;
  readonly major_mm: number;
  readonly pitch_mm: number;
  /** True where the size alone, with the series, means this pitch. */
  readonly usual: boolean;
  readonly acrossFlats_mm?: readonly AcrossFlats[];
}
