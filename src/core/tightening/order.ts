import { DomainError, wrongInput } from '@/core/units';

export type Position = readonly [x: number, y: number];
export const ORDER_SCHOOLS = ['centre-out', 'spiral', 'star'] as const;
export type OrderSchool = (typeof ORDER_SCHOOLS)[number];

/** Those, and the order that the book itself has. */
export const TURN_SCHOOLS = [...ORDER_SCHOOLS, 'as-printed'] as const;
export type TurnSchool = (typeof TURN_SCHOOLS)[number];

interface Place {
  readonly index: number;
  readonly x: number;
  readonly y: number;
  /** Distance from the middle of the pattern. */
  readonly radius: number;
  /** Clockwise from the top, radians in 0…2π, y pointing down. */
  readonly angle: number;
}

const TURN = 2 * Math.PI;
const SAME = 1e-6;
// Points measured off a flange lie on one bolt circle although their radii differ a little.
const BOLT_CIRCLE_SLACK = 0.05;

const middle = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
const clockwise = (from: number, to: number) => (((to - from) % TURN) + TURN) % TURN;
const apart = (a: number, b: number) => Math.min(clockwise(a, b), clockwise(b, a));
const distance = (a: Place, b: Place) => Math.hypot(a.x - b.x, a.y - b.y);

function placesOf(positions: readonly Position[]): readonly Place[] {
  const [cx, cy] = [middle(positions.map(([x]) => x)), middle(positions.map(([, y]) => y))];
  return positions.map(([px, py], index) => {
    const [x, y] = [px - cx, py - cy];
    return { index, x, y, radius: Math.hypot(x, y), angle: clockwise(0, Math.atan2(x, -y)) };
  });
}

/** Groups places at one distance from the middle, nearest first; `slack` is a share of the pattern's extent. */
function rings(places: readonly Place[], slack = SAME): readonly (readonly Place[])[] {
  const extent = Math.max(...places.map((place) => place.radius), SAME);
  const found: Place[][] = [];
  for (const place of [...places].sort((a, b) => a.radius - b.radius || a.angle - b.angle || a.index - b.index)) {
    const last = found.at(-1);
    if (last?.[0] && place.radius - last[0].radius <= slack * extent) last.push(place);
    else found.push([place]);
  }
  return found;
}

const best = <T>(items: readonly T[], score: (item: T) => number): T =>
  items.reduce((chosen, item) => (score(item) > score(chosen) + 1e-9 ? item : chosen));

const ordered = (ring: readonly Place[]) => [...ring].sort((a, b) => a.angle - b.angle || a.index - b.index);

/** Crosses over within each ring: next is always the one farthest from the last. */
function centreOut(places: readonly Place[]): readonly Place[] {
  const done: Place[] = [];
  for (const ring of rings(places)) {
    const left = ordered(ring);
    while (left.length > 0) {
      const last = done.at(-1);
      const next = last && ring.includes(last) ? best(left, (place) => distance(place, last)) : (left[0] as Place);
      left.splice(left.indexOf(next), 1);
      done.push(next);
    }
  }
  return done;
}

/** Goes round and outwards, clockwise, without crossing. */
function spiral(places: readonly Place[]): readonly Place[] {
  const done: Place[] = [];
  for (const ring of rings(places)) {
    const start = done.at(-1)?.angle ?? 0;
    const offset = done.length === 0 ? 0 : SAME;
    done.push(...ordered(ring).sort((a, b) => clockwise(start + offset, a.angle) - clockwise(start + offset, b.angle)));
  }
  return done;
}

/**
 * Across and across: odd rings step to the far side each time; even rings finish a diameter, then take the widest
 * gap.
 */
function starRing(ring: readonly Place[]): readonly Place[] {
  const left = ordered(ring);
  const done = [left.shift() as Place];
  const even = ring.length % 2 === 0;
  while (left.length > 0) {
    const last = done.at(-1) as Place;
    const crossing = !even || done.length % 2 === 1;
    const next = crossing
      ? best(left, (place) => apart(place.angle, last.angle))
      : best(left, (place) => Math.min(...done.map((other) => apart(other.angle, place.angle))));
    left.splice(left.indexOf(next), 1);
    done.push(next);
  }
  return done;
}

const star = (places: readonly Place[]): readonly Place[] => rings(places, BOLT_CIRCLE_SLACK).flatMap(starRing);

const SCHOOLS: Readonly<Record<OrderSchool, (places: readonly Place[]) => readonly Place[]>> = {
  'centre-out': centreOut,
  spiral,
  star,
};

const isPosition = (value: unknown): value is Position =>
  Array.isArray(value) && value.length === 2 && value.every((n) => typeof n === 'number' && Number.isFinite(n));

const MAX_POSITIONS = 500;

/**
 * The turn in which fasteners are pulled, as indices into `positions` (any unit, y pointing down).
 * @throws DomainError bad-field
 */
export function order(positions: readonly Position[], school: OrderSchool): readonly number[] {
  if (!Array.isArray(positions) || positions.length === 0 || positions.length > MAX_POSITIONS)
    throw wrongInput('positions', `must be a list of 1 to ${MAX_POSITIONS} points of two numbers.`);
  const wrong = positions.findIndex((position) => !isPosition(position));
  if (wrong >= 0)
    throw new DomainError(
      'bad-field',
      `Position ${wrong + 1} must be two numbers, got ${JSON.stringify(positions[wrong])}.`,
      'positions',
    );
  const inTurn = Object.hasOwn(SCHOOLS, school) ? SCHOOLS[school] : undefined;
  if (!inTurn)
    throw wrongInput('school', `must be one of ${Object.keys(SCHOOLS).join(', ')}, got ${JSON.stringify(school)}.`);
  return inTurn(placesOf(positions)).map((place) => place.index);
}
