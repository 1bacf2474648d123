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

/**
 * The ends of the tick for pass `pass`, outside a head of radius `radius`, from the left over the top, clear of the
 * witness mark.
 */
export function tickEnds(pass: number, radius: number): readonly [x1: number, y1: number, x2: number, y2: number] {
  const angle = ((-160 + pass * 30) * Math.PI) / 180;
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  return [c * (radius + 4), s * (radius + 4), c * (radius + 15), s * (radius + 15)];
}

/** A pointed triangle about the middle. */
export const trianglePoints = (radius: number): string =>
  [-90, 30, 150]
    .map(
      (deg) =>
        `${(radius * Math.cos((deg * Math.PI) / 180)).toFixed(1)},${(radius * Math.sin((deg * Math.PI) / 180)).toFixed(1)}`,
    )
    .join(' ');
