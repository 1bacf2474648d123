import { patternPositions, type PatternKind, type Position } from '@/core/tightening';
import { plainFigure } from '@/core/units';

const tidy = (value: number) => Number(value.toFixed(2));

/** Places as they are typed, a line each; lines that are no place yet are left out. */
export const placesIn = (text: string): readonly Position[] =>
  text.split(/\r?\n/).flatMap((line): readonly Position[] => {
    const cells = line.trim().split(/[\s;]+/);
    const [x, y] = cells.map((cell) => plainFigure(cell));
    return cells.length === 2 && x !== undefined && y !== undefined ? [[x, y]] : [];
  });

/** The number of the first line that has something in it and is no place; undefined where each is. */
export function unreadLine(text: string): number | undefined {
  const lines = text.split(/\r?\n/);
  const at = lines.findIndex((line) => line.trim() !== '' && placesIn(line).length === 0);
  return at < 0 ? undefined : at + 1;
}

export const textOfPlaces = (places: readonly Position[]): string =>
  places.map(([x, y]) => `${tidy(x)} ${tidy(y)}`).join('\n');

export const STEP_MM = 5;
export const snapped = (mm: number): number => Math.round(mm / STEP_MM) * STEP_MM;

/** What the drawing shows, mm. */
export interface Frame {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** All of the places with room round them to drag one out; a few places have a paper of 100 by 60. */
export function frameOf(places: readonly Position[]): Frame {
  const [xs, ys] = [places.map(([x]) => x), places.map(([, y]) => y)];
  const [left, top] = [Math.min(0, ...xs), Math.min(0, ...ys)];
  const [width, height] = [Math.max(100, ...xs) - left, Math.max(60, ...ys) - top];
  const edge = 0.08 * Math.max(width, height);
  return { left: left - edge, top: top - edge, width: width + 2 * edge, height: height + 2 * edge };
}

export const moved = (places: readonly Position[], place: number, [x, y]: Position): readonly Position[] =>
  places.map((one, i) => (i === place ? [tidy(one[0] + x), tidy(one[1] + y)] : one));

/** Left for right about the middle of all; the numbers stay with their places. */
export function mirrored(places: readonly Position[]): readonly Position[] {
  const xs = places.map(([x]) => x);
  const sum = Math.min(...xs) + Math.max(...xs);
  return places.map(([x, y]) => [tidy(sum - x), y]);
}

/** What a pattern looks like as places, to begin with and be put right. */
export function placesOfPattern(pattern: PatternKind, count: number): readonly Position[] {
  const positions = patternPositions(pattern, count);
  const [left, top] = [Math.min(...positions.map(([x]) => x)), Math.min(...positions.map(([, y]) => y))];
  return positions.map(([x, y]) => [tidy(x - left), tidy(y - top)]);
}
