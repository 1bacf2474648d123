import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  evenness,
  givingAlike,
  givingOf,
  goRound,
  interaction,
  isFromMiddle,
  largestStep,
  MOST_ROUNDS,
  plateCompliance,
  pulled,
  pullsOf,
  risingOf,
  roundOf,
  roundsOf,
  searchedWays,
  unpulled,
  type Giving,
  type JudgedWay,
  type SearchInput,
  type SearchResult,
} from '@/core/interaction';
import { joints } from './joints';

/** The ten studs of the worked example: two rows of five, spaced 95 by 110 on a plate of 440 by 160. */
const TEN = Array.from({ length: 10 }, (_, i): readonly [number, number] => [
  30 + 95 * Math.floor(i / 2),
  25 + 110 * (i % 2),
]);
const RINGS = TEN.map(([x]) => Math.abs(x - 220) / 95);
const headOf = (foundation_N_per_mm3: number, terms: readonly [number, number] = [24, 14]) =>
  givingOf({
    compliance: plateCompliance({
      length_mm: 440,
      width_mm: 160,
      positions: TEN,
      D_Nmm: (0.35 * 105_000 * 80 ** 3) / (12 * (1 - 0.26 ** 2)),
      foundation_N_per_mm3,
      poisson: 0.26,
      terms,
    }).compliance,
    boltStiffness_N_per_mm: 1.2e5,
  });
/** How far two standings are apart at the place where they are furthest, NaN where one has no such place. */
const furthest_N = (left: ArrayLike<number>, right: ArrayLike<number>): number =>
  Math.max(...Array.from(right, (force, i) => Math.abs((left[i] ?? NaN) - force)));
const CENTRE_OUT = [4, 5, 2, 7, 6, 3, 0, 9, 8, 1];

describe('a round made ready', () => {
  test('leaves what pull by pull by complementarity leaves, also where a nut is let go of and where pulls vary', () => {
    let letGo = 0;
    fc.assert(
      fc.property(joints, fc.double({ min: -0.3, max: 0.3, noNaN: true }), ({ compliance, stiffness, turns }, by) => {
        const giving = givingOf({ compliance, boltStiffness_N_per_mm: stiffness });
        const pulls = turns.map(({ nut, target }) => ({ place: nut, target_N: target }));
        const factors = Float64Array.from(pulls, (_, k) => 1 + by * Math.cos(k));
        let standing = unpulled(giving.length);
        pulls.forEach(({ place, target_N }, k) => {
          standing = pulled(giving, standing, place, target_N * (factors[k] ?? 1));
          if (standing.forces_N.some((force, i) => force === 0 && standing.advances_mm[i] !== undefined)) letGo += 1;
        });
        const left = goRound(roundOf(givingAlike(giving), pulls), factors);
        expect(furthest_N(left, standing.forces_N)).toBeLessThan(1e-4);
      }),
      { numRuns: 400 },
    );
    expect(letGo).toBeGreaterThan(20);
  });
  test('says what the passes of the contract say', () => {
    const giving = headOf(60);
    const targets = [10_000, 20_000, 30_000];
    const pulls = targets.flatMap((target_N) => CENTRE_OUT.map((place) => ({ place, target_N })));
    const compliance = giving.map((row, i) => row.map((value, j) => (i === j ? value - 1 / 1.2e5 : value)));
    const { forces_N } = interaction({
      compliance,
      boltStiffness_N_per_mm: 1.2e5,
      passes: targets.map((target_N) => ({ order: CENTRE_OUT, target_N })),
    });
    const left = goRound(roundOf(givingAlike(giving), pulls));
    forces_N.forEach((force, i) => expect(left[i]).toBeCloseTo(force, 6));
  });
});

/** A head on a gasket that is so many times as stiff going back. */
const springing = (bedding: number, times: number): Giving => ({
  loading: headOf(bedding),
  unloading: headOf(bedding * times),
});

describe('a gasket that springs back stiffer than it was pressed', () => {
  const rounds = (giving: Giving, targets: readonly number[]) => {
    const forces = goRound(roundOf(giving, pullsOf(CENTRE_OUT, targets)));
    return evenness(forces);
  };
  test('presses along the loading line while each pull is above all before, and along the other from then on', () => {
    const pulls = pullsOf([0, 1], [1, 2, 2, 1.5, 3]);
    expect(risingOf(pulls)).toEqual([true, true, true, true, false, false, false, false, true, true]);
  });
  test('a first pass is as on a soft gasket alone; gone over again, less is lost than by the soft one again', () => {
    const [soft, both] = [givingAlike(headOf(60)), springing(60, 4)];
    expect(rounds(both, [30_000])).toEqual(rounds(soft, [30_000]));
    expect(rounds(both, [10_000, 20_000, 30_000])).toEqual(rounds(soft, [10_000, 20_000, 30_000]));
    const again = [30_000, 30_000];
    expect(rounds(both, again).variation_pct).not.toBeCloseTo(rounds(soft, again).variation_pct, 4);
    expect(rounds(both, again).least_N).toBeGreaterThan(rounds(soft, again).least_N);
  });
  test('a pull moves its own nut to its figure and no advance of another, whichever line it goes along', () =>
    fc.assert(
      fc.property(joints, fc.double({ min: 0.1, max: 1, noNaN: true }), ({ compliance, stiffness, turns }, less) => {
        const stiffer = compliance.map((row) => row.map((value) => value * less));
        const of = (given: readonly (readonly number[])[]) =>
          givingOf({ compliance: given, boltStiffness_N_per_mm: stiffness });
        const giving: Giving = { loading: of(compliance), unloading: of(stiffer) };
        const pulls = turns.map(({ nut, target }) => ({ place: nut, target_N: target }));
        const rising = risingOf(pulls);
        let standing = unpulled(compliance.length);
        pulls.forEach(({ place, target_N }, k) => {
          const gives = rising[k] ? giving.loading : giving.unloading;
          const before = standing;
          standing = pulled(gives, before, place, target_N);
          expect(Math.min(...standing.forces_N)).toBeGreaterThanOrEqual(0);
          if (standing === before) return;
          expect(standing.forces_N[place]).toBeCloseTo(target_N, 6);
          // Told by the same line, every other nut stands where it stood, tight or loose.
          const told = (forces: readonly number[], i: number) =>
            (gives[i] ?? []).reduce((sum, value, j) => sum + value * (forces[j] ?? NaN), 0);
          const missing = (one: typeof standing, i: number) => {
            const by = one.by ?? gives;
            const own = (by[i] ?? []).reduce((sum, value, j) => sum + value * (one.forces_N[j] ?? NaN), 0);
            return (one.advances_mm[i] ?? NaN) - own;
          };
          const moved_mm = before.advances_mm.map((advance, i) =>
            advance === undefined || i === place
              ? 0
              : Math.abs((standing.advances_mm[i] ?? NaN) - (told(before.forces_N, i) + missing(before, i))),
          );
          expect(Math.max(...moved_mm)).toBeLessThan(1e-9);
        });
        const left = goRound(roundOf(giving, pulls));
        expect(furthest_N(left, standing.forces_N)).toBeLessThan(1e-4);
      }),
      { numRuns: 300 },
    ));
  test('as stiff either way it is the plain one', () => {
    const targets = [15_000, 30_000, 30_000];
    expect(rounds(springing(60, 1), targets).least_N).toBeCloseTo(rounds(givingAlike(headOf(60)), targets).least_N, 6);
  });
});

const ended = (input: SearchInput): { readonly found: SearchResult; readonly steps: number } => {
  const run = searchedWays(input);
  for (let steps = 0; ; steps++) {
    const { done, value } = run.next();
    if (done) return { found: value, steps };
    expect(value.tried).toBeLessThanOrEqual(value.of);
  }
};

/** The same picks in the same order. */
const picks = () => {
  let word = 12_345;
  return (below: number) => {
    word = (Math.imul(word, 1_103_515_245) + 12_345) >>> 0;
    return (word >>> 8) % below;
  };
};

describe('a search for what is more even', () => {
  const asked = (given: Partial<SearchInput> = {}): SearchInput => ({
    giving: givingAlike(headOf(60)),
    target_N: 30_000,
    order: CENTRE_OUT,
    shares: [1 / 3, 2 / 3, 1],
    confirming: false,
    rings: RINGS,
    turns: 150,
    pick: picks(),
    ...given,
  });
  const judged = ({ order, shares, confirming }: JudgedWay, giving = givingAlike(headOf(60))) =>
    evenness(
      goRound(
        roundOf(
          giving,
          [...shares, ...(confirming ? [1] : [])].flatMap((share) =>
            order.map((place) => ({ place, target_N: share * 30_000 })),
          ),
        ),
      ),
    );

  test('never says a way is more even than it is, and is never worse than what it began with', () => {
    const { found } = ended(asked());
    for (const way of [found.own, found.turn, ...found.ways])
      expect(way.variation_pct).toBeCloseTo(judged(way).variation_pct, 9);
    const same = found.ways.find((way) => roundsOf(way) === 3);
    expect(same?.variation_pct).toBeLessThanOrEqual(found.own.variation_pct);
    expect(found.turn.variation_pct).toBeLessThanOrEqual(found.own.variation_pct);
  });
  test('has a way for each number of times round, its shares rising to 1; more times round are more even', () => {
    const { ways } = ended(asked()).found;
    expect(ways.map(roundsOf)).toEqual([3, 4, 5, MOST_ROUNDS]);
    for (const { shares } of ways) {
      expect(shares.at(-1)).toBe(1);
      expect(largestStep(shares)).toBeLessThan(1 / 3 + 1e-6);
      shares.reduce((before, share) => {
        expect(share).toBeGreaterThan(before);
        return share;
      }, 0);
    }
    ways.reduce((before, { variation_pct }) => {
      expect(variation_pct).toBeLessThan(before);
      return variation_pct;
    }, Infinity);
  });
  test('brings on no more at once than the plan, however much more even that were', () => {
    const { own, ways } = ended(asked()).found;
    expect(ways[0]).toEqual(own);
    // What it finds is going over all once more, at the figure or close under it.
    for (const { confirming, shares } of ways.slice(1)) expect(confirming || (shares.at(-2) ?? 0) >= 0.9).toBe(true);
    const halves = ended(asked({ shares: [0.5, 1] })).found.ways;
    expect(halves.map(roundsOf)).toEqual([2, 3, 4, 5, MOST_ROUNDS]);
    expect(halves[1]?.variation_pct).toBeLessThan(own.variation_pct);
    for (const { shares } of halves) expect(largestStep(shares)).toBeLessThan(0.5 + 1e-6);
  });
  test('leaves a turn of the book alone, and one that does not go from the middle out', () => {
    const turnless = ended(asked({ rings: undefined }));
    expect(turnless.found.turn).toEqual(turnless.found.own);
    const inwards = [...CENTRE_OUT].reverse();
    expect(isFromMiddle(inwards, RINGS)).toBe(false);
    const edge = ended(asked({ order: inwards }));
    expect(edge.found.turn.order).toEqual(inwards);
    for (const { order } of edge.found.ways) expect(order).toEqual(inwards);
  });
  test('every turn it takes is of the family and has each fastener once', () => {
    const { turn } = ended(asked({ turns: 400 })).found;
    expect(isFromMiddle(turn.order, RINGS)).toBe(true);
    expect([...turn.order].sort((a, b) => a - b)).toEqual(TEN.map((_, i) => i));
  });
  test('goes on from a plan of more rounds than it looks for', () => {
    const shares = [0.2, 0.3, 0.4, 0.5, 0.6, 0.8, 1];
    const { found } = ended(asked({ shares, turns: 0 }));
    expect(found.own.variation_pct).toBeCloseTo(judged(found.own).variation_pct, 9);
    expect(found.ways.map(roundsOf)).toContain(7);
  });
  test('on a soft gasket, where nuts let each other go far, it holds as well', () => {
    const giving = givingAlike(headOf(8));
    const { found } = ended(asked({ giving, turns: 30 }));
    for (const way of [found.own, ...found.ways])
      expect(way.variation_pct).toBeCloseTo(judged(way, giving).variation_pct, 9);
  });
});

describe('from the middle out', () => {
  test('is one ring ahead at most of what still waits further in', () => {
    const rings = [0, 0, 1, 1, 2, 2];
    expect(isFromMiddle([0, 1, 2, 3, 4, 5], rings)).toBe(true);
    expect(isFromMiddle([0, 2, 1, 3, 4, 5], rings)).toBe(true);
    expect(isFromMiddle([0, 4, 1, 2, 3, 5], rings)).toBe(false);
    expect(isFromMiddle([5, 4, 3, 2, 1, 0], rings)).toBe(false);
  });
});
