import { INCH_MM } from '@/core/units';
import { THREAD_FORMS } from './forms';
import type { Thread, ThreadRow } from './thread';

/**
 * Tensile stress area: the circle on the mean of effective and minor diameter.
 * As = π/4 · ((d2 + d3)/2)², diameters in mm, As in mm²
 * @source ISO 898-1
 */
const stressArea = (pitchDiameter_mm: number, minorDiameter_mm: number): number =>
  (Math.PI / 4) * ((pitchDiameter_mm + minorDiameter_mm) / 2) ** 2;

/** Works a table row out into a thread. Diameters are basic (no allowance), in mm. */
export function threadOfRow(row: ThreadRow): Thread {
  const form = THREAD_FORMS[row.series];
  const pitchDiameter_mm = row.major_mm - form.pitchDiameterFactor * row.pitch_mm;
  const minorDiameter_mm = row.major_mm - form.minorDiameterFactor * row.pitch_mm;
  return {
    designation: row.designation,
    series: row.series,
    major_mm: row.major_mm,
    pitch_mm: row.pitch_mm,
    tpi: INCH_MM / row.pitch_mm,
    includedAngle_deg: form.includedAngle_deg,
    pitchDiameter_mm,
    minorDiameter_mm,
    stressArea_mm2: stressArea(pitchDiameter_mm, minorDiameter_mm),
    ...(row.acrossFlats_mm && { acrossFlats_mm: row.acrossFlats_mm }),
  };
}
