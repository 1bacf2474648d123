import type { ThreadRow, ThreadSeries } from './thread';

/** Angles that a thread may be cut with, and whose form its depth is then taken from. */
const FORM_OF_ANGLE: Readonly<Record<string, ThreadSeries>> = { '60': 'M', '55': 'BSW', '47.5': 'BA' };

export const OWN_ANGLES = [60, 55, 47.5] as const;

/** A thread that is in no table, as a shop measured it. */
export interface OwnThread {
  readonly id: string;
  readonly name: string;
  readonly major_mm: number;
  readonly pitch_mm: number;
  readonly angle_deg: number;
  readonly provenance: 'typical' | 'own';
  readonly source: string;
}

/** Diameter, pitch and angle say the whole thread: `11.3×1.1 60°` is a name that needs no table. */
export const ownDesignation = ({
  major_mm,
  pitch_mm,
  angle_deg,
}: Pick<OwnThread, 'major_mm' | 'pitch_mm' | 'angle_deg'>): string => `${major_mm}×${pitch_mm} ${angle_deg}°`;

/** A thread by its figures as a row of a table; undefined where the figures make none. */
export function ownRow(major_mm: number, pitch_mm: number, angle_deg: number): ThreadRow | undefined {
  const series = FORM_OF_ANGLE[String(angle_deg)];
  if (!series || !(major_mm >= 1 && major_mm <= 100) || !(pitch_mm >= 0.2 && pitch_mm < major_mm / 2)) return undefined;
  const designation = ownDesignation({ major_mm, pitch_mm, angle_deg });
  return { designation, nominal: designation, series, major_mm, pitch_mm, usual: false };
}

const BY_FIGURES = /^(\d+(?:\.\d+)?) ?x ?(\d*\.?\d+) ?(?:mm ?)?(60|55|47\.5) ?(?:°|deg)$/;

/** Reads `11.3x1.1 60°` out of tidied text. */
export function rowByFigures(tidied: string): ThreadRow | undefined {
  const [, major, pitch, angle] = BY_FIGURES.exec(tidied) ?? [];
  return major && pitch && angle ? ownRow(Number(major), Number(pitch), Number(angle)) : undefined;
}
