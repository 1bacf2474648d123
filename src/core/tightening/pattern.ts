import { DomainError, wrongInput } from '@/core/units';
import type { Position } from './order';

/**
 * Two rows of head studs, level or staggered; a line; a ring (flange, flywheel, single cylinder); a line of bearing
 * caps with two fasteners each; or each place by itself, in no pattern.
 */
export const PATTERN_KINDS = ['rows', 'staggered', 'line', 'ring', 'caps', 'free'] as const;
export type PatternKind = (typeof PATTERN_KINDS)[number];

export const MAX_FASTENERS = 60;

const PITCH = 100;
const ROW_GAP = 115;
const CAP_WIDTH = 80;

/** An odd one stands in the upper row, and the lower lies between; staggered, it does so of an even number too. */
function rows(count: number, isStaggered = false): readonly Position[] {
  const upper = Math.ceil(count / 2);
  const lower = count - upper;
  const lowerShift = isStaggered ? 0.5 : (upper - lower) / 2;
  return Array.from({ length: count }, (_, i): Position =>
    i < upper ? [i * PITCH, 0] : [(i - upper + lowerShift) * PITCH, ROW_GAP],
  );
}

function ring(count: number): readonly Position[] {
  const radius = Math.max(90, (count * PITCH) / (2 * Math.PI));
  // Four stand at the corners of a square, as the studs of a single cylinder do.
  const turn = count === 4 ? Math.PI / 4 : 0;
  return Array.from({ length: count }, (_, i): Position => {
    const angle = turn + (2 * Math.PI * i) / count;
    return [tidy_mm(radius * Math.sin(angle)), tidy_mm(-radius * Math.cos(angle))];
  });
}

const tidy_mm = (value: number) => Math.round(value * 1e4) / 1e4;

const line = (count: number): readonly Position[] => Array.from({ length: count }, (_, i): Position => [i * PITCH, 0]);

// Two holes nearer than this are one that was typed twice.
const NEAREST_MM = 2;
const FURTHEST_MM = 5000;

/**
 * Places as they were measured, drawn so that the two that lie nearest are a pitch apart.
 * @throws DomainError bad-field
 */
function free(count: number, places_mm: readonly Position[]): readonly Position[] {
  const refuse = (message: string): never => {
    throw new DomainError('bad-field', message, 'places');
  };
  if (places_mm.length !== count)
    refuse(`There are ${count} fasteners and ${places_mm.length} places: each has its own.`);
  if (places_mm.some((place) => place.some((value) => !Number.isFinite(value) || Math.abs(value) > FURTHEST_MM)))
    refuse(`Each place is two figures, and none further out than ${FURTHEST_MM} mm.`);
  let nearest = Infinity;
  places_mm.forEach(([x, y], i) =>
    places_mm.slice(0, i).forEach(([otherX, otherY], j) => {
      const apart = Math.hypot(x - otherX, y - otherY);
      if (apart < NEAREST_MM) refuse(`Places ${j + 1} and ${i + 1} lie ${apart.toFixed(1)} mm apart: they are one.`);
      nearest = Math.min(nearest, apart);
    }),
  );
  const scale = Number.isFinite(nearest) ? PITCH / nearest : 1;
  return places_mm.map(([x, y]): Position => [tidy_mm(x * scale), tidy_mm(y * scale)]);
}

const caps = (count: number): readonly Position[] =>
  Array.from({ length: count }, (_, i): Position => [Math.floor(i / 2) * PITCH, i % 2 === 0 ? 0 : CAP_WIDTH]);

/**
 * Where the fasteners of a joint lie, for drawing and for the turn; units are arbitrary, y points down.
 * @param places_mm of a joint in no pattern, from the left and from the top
 * @throws DomainError bad-field
 */
export function patternPositions(
  kind: PatternKind,
  count: number,
  places_mm: readonly Position[] = [],
): readonly Position[] {
  if (!Number.isInteger(count) || count < 1 || count > MAX_FASTENERS)
    throw wrongInput('positions', `must be a whole number from 1 to ${MAX_FASTENERS}, got ${count}.`);
  if (kind === 'caps' && count % 2 === 1)
    throw new DomainError(
      'bad-field',
      `A line of caps has two fasteners a cap, so an even number; got ${count}.`,
      'positions',
    );
  return POSITIONS[kind](count, places_mm);
}

const POSITIONS: Readonly<Record<PatternKind, (count: number, places_mm: readonly Position[]) => readonly Position[]>> =
  {
    rows: (count) => rows(count),
    staggered: (count) => rows(count, true),
    line,
    ring,
    caps,
    free,
  };
