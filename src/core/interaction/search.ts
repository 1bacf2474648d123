import type { Giving } from './interaction';
import { evenness } from './evenness';
import { goRound, pullsOf, roundOf, withPulls, type Round } from './go-round';

/** A way of going round: in what turn, to what shares of the final figure, and whether all is gone over once more. */
export interface RoundWay {
  readonly order: readonly number[];
  /** Shares of the final figure that rise to 1. */
  readonly shares: readonly number[];
  readonly confirming: boolean;
}

export interface JudgedWay extends RoundWay {
  readonly least_N: number;
  readonly variation_pct: number;
}

export interface SearchInput extends RoundWay {
  readonly giving: Giving;
  readonly target_N: number;
  /** Which ring each fastener lies in, 0 the innermost; none where the turn is not to be looked at. */
  readonly rings?: readonly number[];
  /** How many other turns are tried. */
  readonly turns: number;
  /** Picks a whole number under `below`: given from outside, so that the same search finds the same. */
  readonly pick: (below: number) => number;
}

export interface SearchResult {
  /** The way that was given. */
  readonly own: JudgedWay;
  /**
   * The most even way found for each number of times round, the fewest first, in the turn that was given. None brings
   * on more at once than the way that was given: for a gasket that comes down level the model has no sense.
   */
  readonly ways: readonly JudgedWay[];
  /** The most even turn of those tried, with the stages that were given; the one given where none was better. */
  readonly turn: JudgedWay;
}

export interface SearchProgress {
  readonly tried: number;
  readonly of: number;
}

/** Times round that a person may be asked for. */
export const MOST_ROUNDS = 6;
// Shares of the final figure that are tried.
const GRID = Array.from({ length: 16 }, (_, i) => Math.round(20 + 5 * i) / 100);
// A third more is a third more, however it was divided.
const ROUNDING = 1e-6;

/** How often all are gone round. */
export const roundsOf = ({ shares, confirming }: Pick<RoundWay, 'shares' | 'confirming'>): number =>
  shares.length + (confirming ? 1 : 0);

/** The largest part of the final figure that comes on at once. */
export const largestStep = (shares: readonly number[]): number =>
  Math.max(...shares.map((share, i) => share - (shares[i - 1] ?? 0)));

/** Every way to rise to 1 in so many stages, none of which brings on more than `step` at once. */
function rises(stages: number, step: number, from = 0): readonly (readonly number[])[] {
  if (stages === 1) return 1 - from <= step + ROUNDING ? [[1]] : [];
  return GRID.filter((share) => share > from && share - from <= step + ROUNDING).flatMap((share) =>
    rises(stages - 1, step, share).map((rest) => [share, ...rest]),
  );
}

/**
 * Whether a turn goes from the middle out: none is pulled while any lies more than one ring further in and waits.
 */
export function isFromMiddle(order: readonly number[], rings: readonly number[]): boolean {
  const waiting = new Set(order);
  return order.every((place) => {
    const inmost = Math.min(...[...waiting].map((one) => rings[one] as number));
    waiting.delete(place);
    return (rings[place] as number) <= inmost + 1;
  });
}

/**
 * Looks for what is more even, by stages, a confirming round and, inside the family that goes from the middle out, by
 * the turn. A step of the generator tries one way, so that it can be driven in pieces and stopped.
 * @throws DomainError not-positive-definite
 */
export function* searchedWays(input: SearchInput): Generator<SearchProgress, SearchResult> {
  const { giving, target_N, order, turns, rings, pick } = input;
  const targetsOf = ({ shares, confirming }: Pick<RoundWay, 'shares' | 'confirming'>) =>
    [...shares, ...(confirming ? [1] : [])].map((share) => share * target_N);
  // What a pull does to the others hangs on the turn alone: it is worked out once a turn, for the most rounds.
  const longest = Array.from({ length: Math.max(MOST_ROUNDS, roundsOf(input)) }, () => target_N);
  let ready: { readonly turn: readonly number[]; readonly round: Round } | undefined;
  const judge = ({ order: turn, shares, confirming }: RoundWay): JudgedWay => {
    if (ready?.turn !== turn) ready = { turn, round: roundOf(giving, pullsOf(turn, longest)) };
    const forces = goRound(withPulls(ready.round, pullsOf(turn, targetsOf({ shares, confirming }))));
    const { least_N, variation_pct } = evenness(forces);
    return { order: turn, shares, confirming, least_N, variation_pct };
  };
  const own = judge(input);
  const rising = Array.from({ length: MOST_ROUNDS }, (_, i) => rises(i + 1, largestStep(input.shares))).flat();
  const first = rising
    .flatMap((shares) => [false, true].map((confirming) => ({ order, shares, confirming })))
    .filter((way) => roundsOf(way) <= MOST_ROUNDS);
  const mayTurn = rings !== undefined && isFromMiddle(order, rings);
  let tried = 0;
  const of = first.length + (mayTurn ? turns : 0);
  const best = new Map<number, JudgedWay>();
  const keep = (way: JudgedWay) => {
    const known = best.get(roundsOf(way));
    if (!known || way.variation_pct < known.variation_pct) best.set(roundsOf(way), way);
  };
  keep(own);
  for (const way of first) {
    keep(judge(way));
    yield { tried: (tried += 1), of };
  }
  let turn = own;
  for (let i = 0; mayTurn && i < turns; i++) {
    const [one, other] = [pick(order.length), pick(order.length)];
    const swapped = turn.order.map((place, at) =>
      at === one ? (turn.order[other] as number) : at === other ? (turn.order[one] as number) : place,
    );
    if (one !== other && isFromMiddle(swapped, rings)) {
      const judged = judge({ ...turn, order: swapped });
      if (judged.variation_pct < turn.variation_pct) turn = judged;
    }
    yield { tried: (tried += 1), of };
  }
  return { own, ways: [...best].sort(([a], [b]) => a - b).map(([, way]) => way), turn };
}
