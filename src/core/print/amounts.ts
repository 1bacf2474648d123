import { tidy } from '@/core/units';
import type { Group } from './groups';
import type { Numeral } from './tokens';

/** A group's figures in its printed unit: least and greatest, with how finely each is printed. */
export interface Amount {
  readonly min: number;
  readonly max: number;
  readonly minHalf: number;
  readonly maxHalf: number;
  readonly reversed: boolean;
}

/** How a comma before three digits, or `7/8`, is to be taken. */
export type CommaSense = 'decimal' | 'thousand' | 'stop-thousand';

/** A comma is a thousand in either sense of it; a stop only where it is taken for one. */
const isThousand = (n: Numeral, sense: CommaSense) =>
  sense === 'stop-thousand' || (sense === 'thousand' && !n.stopThousand);
const valueOf = (n: Numeral, sense: CommaSense) => (isThousand(n, sense) ? (n.thousand ?? n.value) : n.value);
const halfOf = (n: Numeral, sense: CommaSense) => (isThousand(n, sense) ? (n.thousandHalf ?? n.half) : n.half);

/** Works out the ends of a group: one figure, two, or one with a tolerance. */
export function amountOf(group: Pick<Group<unknown>, 'numbers' | 'tolerance'>, sense: CommaSense): Amount {
  const [first, second] = group.numbers as [Numeral, Numeral | undefined];
  const value = valueOf(first, sense);
  const half = halfOf(first, sense);
  if (group.tolerance) {
    const { plus, minus, percent } = group.tolerance;
    const scale = percent ? value / 100 : 1;
    return {
      min: tidy(value - minus * scale),
      max: tidy(value + plus * scale),
      minHalf: half,
      maxHalf: half,
      reversed: false,
    };
  }
  if (!second) return { min: value, max: value, minHalf: half, maxHalf: half, reversed: false };
  const [other, otherHalf] = [valueOf(second, sense), halfOf(second, sense)];
  return value <= other
    ? { min: value, max: other, minHalf: half, maxHalf: otherHalf, reversed: false }
    : { min: other, max: value, minHalf: otherHalf, maxHalf: half, reversed: true };
}

/** The readings of `7/8` as seven to eight, where the page allows both. */
export const rangeOfFraction = (group: Pick<Group<unknown>, 'numbers' | 'tolerance'>): Amount | undefined => {
  const only = group.numbers.length === 1 && !group.tolerance ? group.numbers[0]?.alsoRange : undefined;
  return only && { min: only[0], max: only[1], minHalf: 0.5, maxHalf: 0.5, reversed: false };
};

export const hasThousandChoice = (group: Pick<Group<unknown>, 'numbers'>) =>
  group.numbers.some((n) => n.thousand !== undefined && !n.stopThousand);
