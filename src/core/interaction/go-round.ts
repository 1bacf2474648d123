import { factor, part, solve, type Matrix } from './positive-definite';
import { pulled, unpulled, type Giving } from './interaction';

/** One pull of a round: which fastener, counted from 0, and to what clamp load. */
export interface RoundPull {
  readonly place: number;
  readonly target_N: number;
}

/** All of them in one turn, once to each target. */
export const pullsOf = (order: readonly number[], targets_N: readonly number[]): readonly RoundPull[] =>
  targets_N.flatMap((target_N) => order.map((place) => ({ place, target_N })));

/** By fastener: how the load of every one moves for a newton more in the one that is pulled. */
interface Shifts {
  readonly loading: Float64Array;
  readonly unloading: Float64Array;
}

/** A round made ready to be gone through many times. */
export interface Round {
  readonly giving: Giving;
  readonly pulls: readonly RoundPull[];
  /** Of each pull, whether it presses the gasket further than it was. */
  readonly rising: readonly boolean[];
  /** For each pull, and maybe more. */
  readonly shifts: readonly Shifts[];
}

/**
 * Which pulls press the gasket further than it was: those above all that their own fastener was pulled to before. The
 * figure that is meant decides, however the pull comes out.
 * @source elementary: a gasket takes a set, and unloads along a steeper line than it was loaded along
 */
export function risingOf(pulls: readonly RoundPull[]): readonly boolean[] {
  const highest = new Map<number, number>();
  return pulls.map(({ place, target_N }) => {
    const before = highest.get(place) ?? 0;
    highest.set(place, Math.max(before, target_N));
    return target_N > before;
  });
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
 * @throws DomainError not-positive-definite
 */
export function roundOf(giving: Giving, pulls: readonly RoundPull[]): Round {
  const taking: number[] = [];
  const known = new Map<number, Shifts>();
  const shifts = pulls.map(({ place }) => {
    if (!taking.includes(place)) {
      taking.push(place);
      known.clear();
    }
    const found = known.get(place);
    if (found) return found;
    const loading = shiftOf(giving.loading, taking, place);
    const isAlike = giving.loading === giving.unloading;
    const made = { loading, unloading: isAlike ? loading : shiftOf(giving.unloading, taking, place) };
    known.set(place, made);
    return made;
  });
  return { giving, pulls, rising: risingOf(pulls), shifts };
}

/** The same fasteners in the same turn, pulled to other targets, and maybe not as often. */
export const withPulls = (round: Round, pulls: readonly RoundPull[]): Round => ({
  ...round,
  pulls,
  rising: risingOf(pulls),
});

/** The same by complementarity, for a round in which a nut is let go of altogether. */
function byComplementarity({ giving, pulls, rising }: Round, factors: Float64Array | undefined): Float64Array {
  let standing = unpulled(giving.loading.length);
  pulls.forEach(({ place, target_N }, k) => {
    const gives = rising[k] ? giving.loading : giving.unloading;
    standing = pulled(gives, standing, place, target_N * (factors?.[k] ?? 1));
  });
  return Float64Array.from(standing.forces_N);
}

/**
 * What a round leaves in each fastener, N: as `interaction` says, without solving anew at every pull.
 * @param factors by which each pull comes out, where it does not come out as meant
 */
export function goRound(round: Round, factors?: Float64Array): Float64Array {
  const { giving, pulls, rising, shifts } = round;
  const n = giving.loading.length;
  const forces = new Float64Array(n);
  for (let k = 0; k < pulls.length; k++) {
    const { place, target_N } = pulls[k] as RoundPull;
    const more = target_N * (factors ? (factors[k] as number) : 1) - (forces[place] as number);
    // A nut that holds as much already does not move.
    if (more <= 0) continue;
    const shift = (shifts[k] as Shifts)[rising[k] ? 'loading' : 'unloading'];
    for (let i = 0; i < n; i++) {
      const force = (forces[i] as number) + more * (shift[i] as number);
      if (force < 0) return byComplementarity(round, factors);
      forces[i] = force;
    }
  }
  return forces;
}
