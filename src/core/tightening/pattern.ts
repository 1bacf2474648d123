import { DomainError } from '@/core/units';
import type { Position } from './order';

/**
 * Two rows of head studs, a ring (flange, flywheel, single cylinder), or a line of bearing caps with two fasteners
 * each.
 */
export const PATTERN_KINDS = ['rows', 'ring', 'caps'] as const;
export type PatternKind = (typeof PATTERN_KINDS)[number];

export const MAX_FASTENERS = 60;

const PITCH = 100;
const ROW_GAP = 115;
const CAP_WIDTH = 80;

function rows(count: number): readonly Position[] {
  const upper = Math.ceil(count / 2);
  const lower = count - upper;
  const lowerShift = (upper - lower) / 2;
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

const caps = (count: number): readonly Position[] =>
  Array.from({ length: count }, (_, i): Position => [Math.floor(i / 2) * PITCH, i % 2 === 0 ? 0 : CAP_WIDTH]);

/**
 * Where the fasteners of a joint lie, for drawing and for the turn; units are arbitrary, y points down.
 * @throws DomainError bad-field
 */
export function patternPositions(kind: PatternKind, count: number): readonly Position[] {
  if (!Number.isInteger(count) || count < 1 || count > MAX_FASTENERS)
    throw new DomainError(
      'bad-field',
      `positions must be a whole number from 1 to ${MAX_FASTENERS}, got ${count}.`,
      'positions',
    );
  if (kind === 'caps' && count % 2 === 1)
    throw new DomainError(
      'bad-field',
      `A line of caps has two fasteners a cap, so an even number; got ${count}.`,
      'positions',
    );
  if (kind === 'rows') return rows(count);
  return kind === 'ring' ? ring(count) : caps(count);
}
