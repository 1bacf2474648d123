import type { Position } from '@/core/tightening';

export interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

const EDGE = 58;

/** The box that holds every fastener with room for its marks. */
export function patternBox(positions: readonly Position[]): Box {
  const [xs, ys] = [positions.map(([x]) => x), positions.map(([, y]) => y)];
  const [x, y] = [Math.min(...xs) - EDGE, Math.min(...ys) - EDGE];
  return { x, y, width: Math.max(...xs) + EDGE - x, height: Math.max(...ys) + EDGE - y };
}

/** Wider or higher than this, the numbers of a whole pattern are too small to be read from two metres. */
const WHOLE = 460;

/** A part of the pattern about one fastener: it, and its neighbours each way. */
const NEAR = { width: 330, height: 235 } as const;

const clamped = (middle: number, size: number, from: number, whole: number) =>
  size >= whole ? from : Math.min(Math.max(middle - size / 2, from), from + whole - size);

/** What is drawn large: the whole pattern where it is small, otherwise the next fastener with its neighbours. */
export function boxNear(positions: readonly Position[], next: number | undefined): Box | undefined {
  const whole = patternBox(positions);
  const at = next === undefined ? undefined : positions[next];
  if (!at || Math.max(whole.width, whole.height) <= WHOLE) return undefined;
  const [width, height] = [Math.min(NEAR.width, whole.width), Math.min(NEAR.height, whole.height)];
  return {
    x: clamped(at[0], width, whole.x, whole.width),
    y: clamped(at[1], height, whole.y, whole.height),
    width,
    height,
  };
}

/** The two ends of a witness mark, on the rim of the head and the part beside it, clear of the number. */
export const WITNESS_ENDS = [-1, 1] as const;

/** Finer than a hundredth of a unit nothing is seen, and sixteen places of it are sent for each line. */
const seen = (value: number): number => Math.round(value * 100) / 100;

/**
 * The ends of the tick for pass `pass`, outside a head of radius `radius`, from the left over the top, clear of the
 * witness mark.
 */
export function tickEnds(pass: number, radius: number): readonly [x1: number, y1: number, x2: number, y2: number] {
  const angle = ((-160 + pass * 30) * Math.PI) / 180;
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  return [seen(c * (radius + 4)), seen(s * (radius + 4)), seen(c * (radius + 15)), seen(s * (radius + 15))];
}

/** A pointed triangle about the middle. */
export const trianglePoints = (radius: number): string =>
  [-90, 30, 150]
    .map(
      (deg) =>
        `${(radius * Math.cos((deg * Math.PI) / 180)).toFixed(1)},${(radius * Math.sin((deg * Math.PI) / 180)).toFixed(1)}`,
    )
    .join(' ');

/** A pennant on a short staff, below on the right of a head of radius `radius`: clear of ticks and witness mark. */
export const pennant = (radius: number): string =>
  `M ${seen(radius * 0.6)} ${seen(radius * 0.85)} v 26 m 0 -26 l 22 7 l -22 7 z`;
