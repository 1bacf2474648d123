import type { Note } from '@/core/units';

export const GAP_MARKS = ['gap', 'expander'] as const;

/** A ring’s gap, or an end of an expander, degrees clockwise from the front as seen from above. */
export interface GapMark {
  readonly name: string;
  readonly at_deg: number;
  readonly kind: (typeof GAP_MARKS)[number];
}

export interface ClockingInput {
  readonly marks: readonly GapMark[];
  /** Where the piston pin lies, degrees from the front: gaps keep off it. */
  readonly pin_deg?: number;
  /** The side that the piston is pressed against on the power stroke. */
  readonly thrust_deg?: number;
}

const APART_DEG = 60;
const EXPANDER_APART_DEG = 20;
const OFF_DEG = 15;

/** The angle between two directions, 0 to 180°. */
export function angleBetween(a_deg: number, b_deg: number): number {
  const turn = (((a_deg - b_deg) % 360) + 360) % 360;
  return Math.min(turn, 360 - turn);
}

const deg = (value: number) => `${Number(value.toFixed(1))}°`;

/**
 * What stands against a clocking: gaps one over the other, a gap at the expander’s ends, on the pin or on the thrust
 * side.
 */
export function clockingDoubts({ marks, pin_deg, thrust_deg }: ClockingInput): readonly Note[] {
  const doubts: Note[] = [];
  marks.forEach((mark, i) =>
    marks.slice(i + 1).forEach((other) => {
      const apart = angleBetween(mark.at_deg, other.at_deg);
      const least = mark.kind === 'gap' && other.kind === 'gap' ? APART_DEG : EXPANDER_APART_DEG;
      if (mark.kind !== other.kind || mark.kind === 'gap') {
        if (apart < least)
          doubts.push({
            code: 'gaps-together',
            message: `${mark.name} and ${other.name} lie ${deg(apart)} apart: gas finds a straight way.`,
          });
      } else if (apart < 1)
        doubts.push({
          code: 'expander-overlaps',
          message: `${mark.name} and ${other.name} lie one over the other: the expander’s ends must butt, not overlap.`,
        });
    }),
  );
  for (const { name, at_deg, kind } of marks) {
    if (kind !== 'gap') continue;
    if (pin_deg !== undefined && Math.min(angleBetween(at_deg, pin_deg), angleBetween(at_deg, pin_deg + 180)) < OFF_DEG)
      doubts.push({ code: 'gap-on-pin', message: `${name} lies over the piston pin.` });
    if (thrust_deg !== undefined && angleBetween(at_deg, thrust_deg) < OFF_DEG)
      doubts.push({ code: 'gap-on-thrust', message: `${name} lies on the thrust side.` });
  }
  return doubts;
}

/** Gaps spread evenly from a first direction: 120° apart for three rings. */
export const evenClocking = (names: readonly string[], first_deg: number): readonly GapMark[] =>
  names.map((name, i) => ({ name, at_deg: (first_deg + (360 / names.length) * i) % 360, kind: 'gap' }));
