import { factor, part, solve, type Matrix } from './positive-definite';
import { pulled, unpulled } from './interaction';

/** One pull of a round: which fastener, counted from 0, and to what clamp load. */
export interface RoundPull {
  readonly place: number;
  readonly target_N: number;
}

/** All of them in one turn, once to each target. */
export const pullsOf = (order: readonly number[], targets_N: readonly number[]): readonly RoundPull[] =>
  targets_N.flatMap((target_N) => order.map((place) => ({ place, target_N })));

/** A round made ready to be gone through many times. */
export interface Round {
  readonly giving: Matrix;
  readonly pulls: readonly RoundPull[];
  /** For each pull, and maybe more, how the load of every fastener moves for a newton more in the one that is pulled. */
  readonly shifts: readonly Float64Array[];
}

/**
 * How all move for a newton more in `place` while the nuts of `taking` hold: a column of the inverse of what gives,
 * over its own member. What every nut but the pulled one was turned down by stays.
 */
function shiftOf(giving: Matrix, taking: readonly number[], place: number): Float64Array {
  const at = taking.indexOf(place);
  const column = solve(
    factor(part(giving, taking)),
    taking.map((_, i) => (i === at ? 1 : 0)),
  );
  const shift = new Float64Array(giving.length);
  taking.forEach((one, i) => {
    shift[one] = (column[i] as number) / (column[at] as number);
  });
  return shift;
}

/**
 * Makes a round ready: which nuts take part at each pull is the same however hard each is pulled, so that what it does
 * to the others is worked out once.
 * @param giving as of `givingOf`
 * @throws DomainError not-positive-definite
 */
export function roundOf(giving: Matrix, pulls: readonly RoundPull[]): Round {
  const taking: number[] = [];
  const known = new Map<number, Float64Array>();
  const shifts = pulls.map(({ place }) => {
    if (!taking.includes(place)) {
      taking.push(place);
      known.clear();
    }
    const shift = known.get(place) ?? shiftOf(giving, taking, place);
    known.set(place, shift);
    return shift;
  });
  return { giving, pulls, shifts };
}

/** The same by complementarity, for a round in which a nut is let go of altogether. */
function byComplementarity({ giving, pulls }: Round, factors: Float64Array | undefined): Float64Array {
  let standing = unpulled(giving.length);
  pulls.forEach(({ place, target_N }, k) => {
    standing = pulled(giving, standing, place, target_N * (factors?.[k] ?? 1));
  });
  return Float64Array.from(standing.forces_N);
}

/**
 * What a round leaves in each fastener, N: as `interaction` says, without solving anew at every pull.
 * @param factors by which each pull comes out, where it does not come out as meant
 */
export function goRound(round: Round, factors?: Float64Array): Float64Array {
  const { giving, pulls, shifts } = round;
  const n = giving.length;
  const forces = new Float64Array(n);
  for (let k = 0; k < pulls.length; k++) {
    const { place, target_N } = pulls[k] as RoundPull;
    const more = target_N * (factors ? (factors[k] as number) : 1) - (forces[place] as number);
    // A nut that holds as much already does not move.
    if (more <= 0) continue;
    const shift = shifts[k] as Float64Array;
    for (let i = 0; i < n; i++) {
      const force = (forces[i] as number) + more * (shift[i] as number);
      if (force < 0) return byComplementarity(round, factors);
      forces[i] = force;
    }
  }
  return forces;
}
