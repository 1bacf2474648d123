import type { Thread } from '@/core/thread';
import { assertPositive, wrongInput } from '@/core/units';

/** The ring on which a head or nut turns, in mm. */
export interface BearingFace {
  readonly outer_mm: number;
  readonly inner_mm: number;
  /** Included angle of a conical or countersunk seat, degrees; absent where it is flat. */
  readonly cone_deg?: number;
}

// Steeper than this it is a taper that locks, and no seat.
const SHARPEST_CONE_DEG = 30;

/** Refuses a ring that is none. @throws DomainError bad-field */
export function assertBearingFace(face: BearingFace, field = 'bearing'): void {
  assertPositive(face.outer_mm, `${field}.outer_mm`);
  assertPositive(face.inner_mm, `${field}.inner_mm`);
  if (!(face.outer_mm > face.inner_mm))
    throw wrongInput(
      `${field}.outer_mm`,
      `must be larger than the hole that it turns on (${face.inner_mm} mm), got ${face.outer_mm} mm.`,
    );
  const { cone_deg } = face;
  if (cone_deg !== undefined && !(cone_deg >= SHARPEST_CONE_DEG && cone_deg < 180))
    throw wrongInput(`${field}.cone_deg`, `must be from ${SHARPEST_CONE_DEG} to below 180, got ${cone_deg}.`);
}

/** ISO 273, medium clearance holes: thread and hole, mm. */
const CLEARANCE_HOLES: readonly (readonly [number, number])[] = [
  [3, 3.4],
  [4, 4.5],
  [5, 5.5],
  [6, 6.6],
  [7, 7.6],
  [8, 9],
  [10, 11],
  [12, 13.5],
  [14, 15.5],
  [16, 17.5],
  [18, 20],
  [20, 22],
  [24, 26],
];

function clearanceHole(major_mm: number): number {
  const after = CLEARANCE_HOLES.findIndex(([d]) => d >= major_mm);
  if (after <= 0) return major_mm * 1.1;
  const [[d0, h0], [d1, h1]] = [CLEARANCE_HOLES[after - 1], CLEARANCE_HOLES[after]] as [
    readonly [number, number],
    readonly [number, number],
  ];
  return h0 + ((h1 - h0) * (major_mm - d0)) / (d1 - d0);
}

const PERIOD_FACE_SHARE = 0.95;
const FACE_WITHOUT_HEXAGON = 1.5;

const faceOf = (flats_mm: number, major_mm: number): BearingFace => ({
  outer_mm: Number((flats_mm * PERIOD_FACE_SHARE).toFixed(2)),
  inner_mm: Number(clearanceHole(major_mm).toFixed(2)),
});

/**
 * The face to expect of a plain period nut when nobody has measured it: about 0.95 of the hexagon outside,
 * a medium clearance hole inside. A starting value only; a caliper on the nut replaces it.
 */
export const usualBearingFace = (thread: Pick<Thread, 'major_mm' | 'acrossFlats_mm'>): BearingFace =>
  faceOf(thread.acrossFlats_mm?.at(-1)?.mm ?? thread.major_mm * FACE_WITHOUT_HEXAGON, thread.major_mm);

/** A hexagon that a thread was sold with, and the face to expect under it. */
export interface HexagonFace {
  readonly flats_mm: number;
  readonly standard: string;
  readonly face: BearingFace;
}

/** The faces to expect by the standard of the hexagon, as the spanner tells it. */
export const hexagonFaces = ({ major_mm, acrossFlats_mm = [] }: Thread): readonly HexagonFace[] =>
  acrossFlats_mm.map(({ mm, standard }) => ({ flats_mm: mm, standard, face: faceOf(mm, major_mm) }));
