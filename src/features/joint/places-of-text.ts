import { patternPositions, type PatternKind, type Position } from '@/core/tightening';
import { plainFigure } from '@/core/units';
import { originsOfTyped, sameOrigins, type Origins } from '@/model/joint/places-followed';

const tidy = (value: number) => Number(value.toFixed(2));

export const linesOf = (text: string): readonly string[] => text.split(/\r?\n/).map((line) => line.trim());

/** The place that a line is; none where it is none yet. */
function placeIn(line: string): readonly Position[] {
  const cells = line.split(/[\s;]+/);
  const [x, y] = cells.map((cell) => plainFigure(cell));
  return cells.length === 2 && x !== undefined && y !== undefined ? [[x, y]] : [];
}

/** Places as they are typed, a line each; lines that are no place yet are left out. */
export const placesIn = (text: string): readonly Position[] => linesOf(text).flatMap(placeIn);

/** Places as they are typed, and which of those on disk each of their lines is. */
export interface TypedPlaces {
  readonly text: string;
  readonly origins: Origins;
}

/** Which of those on disk each place is; lines that are no place yet are left out. */
export const originsIn = ({ text, origins }: TypedPlaces): Origins =>
  linesOf(text).flatMap((line, i) => (placeIn(line).length === 0 ? [] : [origins[i] ?? null]));

/** The places on disk, before anything is typed. */
export const typedOf = (text: string): TypedPlaces => ({ text, origins: sameOrigins(linesOf(text).length) });

/** What was typed over places, held against those on disk. */
export const retyped = (onDisk: string, before: TypedPlaces, text: string): TypedPlaces => ({
  text,
  origins: originsOfTyped(linesOf(onDisk), { lines: linesOf(before.text), origins: before.origins }, linesOf(text)),
});

/** Those that were pressed come first, in the order in which they were; the others follow in their own. */
export function numberedBy(typed: TypedPlaces, pressed: readonly number[]): TypedPlaces {
  const [places, origins] = [placesIn(typed.text), originsIn(typed)];
  const order = [...pressed, ...[...places.keys()].filter((place) => !pressed.includes(place))];
  return {
    text: textOfPlaces(order.flatMap((place) => places.slice(place, place + 1))),
    origins: order.map((place) => origins[place] ?? null),
  };
}

/** The number of the first line that has something in it and is no place; undefined where each is. */
export function unreadLine(text: string): number | undefined {
  const at = linesOf(text).findIndex((line) => line !== '' && placeIn(line).length === 0);
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
