import { DomainError, assertFinite, assertPositive, wrongInput } from '@/core/units';

const RAD = Math.PI / 180;

export interface PistonDropInput {
  readonly stroke_mm: number;
  readonly rod_mm: number;
  /** Degrees from top, 0 to 180. */
  readonly deg?: number;
  readonly drop_mm?: number;
}

export interface PistonDrop {
  readonly deg: number;
  readonly drop_mm: number;
}

/**
 * How far the piston is down at an angle from top, or the angle at which it is down so far.
 * x = r + l − (r cos θ + √(l² − r² sin² θ)), r = stroke/2
 * @throws DomainError bad-field for a rod not longer than the throw, a drop outside 0 to stroke, degrees outside 0 to 180
 */
export function pistonDrop({ stroke_mm, rod_mm, deg, drop_mm }: PistonDropInput): PistonDrop {
  assertPositive(stroke_mm, 'stroke_mm');
  assertPositive(rod_mm, 'rod_mm');
  const [r, l] = [stroke_mm / 2, rod_mm];
  if (!(l > r)) throw wrongInput('rod_mm', `must be longer than half the stroke, ${r} mm.`);
  if (deg !== undefined) {
    assertFinite(deg, 'deg');
    if (deg < 0 || deg > 180) throw wrongInput('deg', 'must lie between 0 and 180.');
    const [sine, cosine] = [Math.sin(deg * RAD), Math.cos(deg * RAD)];
    return { deg, drop_mm: Math.max(0, r + l - (r * cosine + Math.sqrt(l * l - r * r * sine * sine))) };
  }
  if (drop_mm === undefined) throw new DomainError('missing-field', 'Give the angle or the drop.', 'deg');
  assertFinite(drop_mm, 'drop_mm');
  if (drop_mm < 0 || drop_mm > stroke_mm)
    throw wrongInput('drop_mm', `must lie between 0 and the stroke, ${stroke_mm} mm.`);
  // Of the triangle of throw, rod and what is left between pin and crank all three sides are known.
  const left = r + l - drop_mm;
  const cosine = (left * left + r * r - l * l) / (2 * r * left);
  return { deg: Math.acos(Math.min(1, Math.max(-1, cosine))) / RAD, drop_mm };
}

const turned = (deg: number) => ((deg % 360) + 360) % 360;

/**
 * Top by a positive stop: the middle of the shorter arc between the two readings of the disc.
 * @throws DomainError same-reading; opposite where the arc is 180°
 */
export function stopMethod({ a_deg, b_deg }: { readonly a_deg: number; readonly b_deg: number }) {
  assertFinite(a_deg, 'a_deg');
  assertFinite(b_deg, 'b_deg');
  const arc = turned(b_deg - a_deg);
  if (arc < 1e-9 || arc > 360 - 1e-9)
    throw new DomainError(
      'same-reading',
      'Both readings are the same: the piston was not turned to the stop from the other side.',
      'b_deg',
    );
  if (Math.abs(arc - 180) < 1e-9)
    throw new DomainError(
      'opposite',
      'The readings are half a turn apart: which side top lies on cannot be told. Move the stop.',
      'b_deg',
    );
  const isShort = arc < 180;
  const [from, length] = isShort ? [a_deg, arc] : [b_deg, 360 - arc];
  return { top_deg: turned(from + length / 2), halfArc_deg: length / 2 };
}

export const DEAD_CENTRES = ['BTDC', 'ATDC', 'BBDC', 'ABDC'] as const;
export type DeadCentre = (typeof DEAD_CENTRES)[number];

export interface ValvePoint {
  readonly deg: number;
  readonly at: DeadCentre;
}

export interface ValveSpanInput {
  readonly opens: ValvePoint;
  readonly closes: ValvePoint;
  readonly valve: 'inlet' | 'exhaust';
}

/** Degrees of crank from the top between exhaust and inlet, within one turn either way. */
function fromTop({ deg, at }: ValvePoint, field: string): number {
  assertFinite(deg, `${field}.deg`);
  if (deg < 0 || deg > 180) throw wrongInput(`${field}.deg`, 'must lie between 0 and 180.');
  const signed = at.startsWith('B') ? -deg : deg;
  return at.endsWith('TDC') ? signed : 180 + signed;
}

/**
 * How long a valve is open, and where its middle lies: after top for the inlet, before top for the exhaust.
 * @throws DomainError bad-field
 */
export function valveSpan({ opens, closes, valve }: ValveSpanInput) {
  const [open, shut] = [fromTop(opens, 'opens'), fromTop(closes, 'closes')];
  const duration_deg = turned(shut - open);
  if (duration_deg === 0) throw new DomainError('bad-field', 'It opens and closes at the same place.', 'closes');
  if (valve === 'inlet') return { duration_deg, middle_deg: open + duration_deg / 2 };
  // Of the exhaust the closing is what lies near this top.
  const closing = shut > 180 ? shut - 360 : shut;
  return { duration_deg, middle_deg: duration_deg / 2 - closing };
}

export interface RimArcInput {
  readonly diameter_mm: number;
  readonly deg?: number;
  readonly arc_mm?: number;
}

/** Degrees on a rim as a length along it, or the other way. @throws DomainError bad-field */
export function rimArc({ diameter_mm, deg, arc_mm }: RimArcInput) {
  assertPositive(diameter_mm, 'diameter_mm');
  const perDeg = (Math.PI * diameter_mm) / 360;
  if (deg !== undefined) {
    assertFinite(deg, 'deg');
    return { deg, arc_mm: deg * perDeg };
  }
  if (arc_mm === undefined) throw new DomainError('missing-field', 'Give the angle or the length of arc.', 'deg');
  assertFinite(arc_mm, 'arc_mm');
  return { deg: arc_mm / perDeg, arc_mm };
}
