import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { PATTERN_KINDS, patternPositions, readTurn, tighteningPlan, turnText, type Position } from '@/core/tightening';
import { codeOf, fieldOf } from '../code-of';

const STAGES = [
  { setting: 10, torque_Nm: 10 },
  { setting: 20, torque_Nm: 20 },
];

describe('a turn as a book prints it', () => {
  test.each([
    ['1-3-5, 2-4-6', 6, [0, 2, 4, 1, 3, 5]],
    ['5, 7, 3, 1, 9, 6, 8, 4, 2, 10', 10, [4, 6, 2, 0, 8, 5, 7, 3, 1, 9]],
    ['3 → 1 → 2', 3, [2, 0, 1]],
    ['(2) (1)', 2, [1, 0]],
    ['1', 1, [0]],
  ])('%s', (text, count, turn) => expect(readTurn(text, count)).toEqual(turn));
  test.each([
    ['1-3-5', 6, 'bad-turn', /Place 2, 4, 6 is missing/],
    ['1 2 2 3', 3, 'bad-turn', /Place 2 comes more than once/],
    ['1 2 4', 3, 'bad-turn', /no place 4: they count from 1 to 3/],
    ['0 1 2', 3, 'bad-turn', /no place 0/],
    ['', 3, 'bad-turn', /Place 1, 2, 3 is missing/],
    ['first the middle', 3, 'unreadable', /“first” is no place/],
  ])('%s of %i is refused', (text, count, code, words) => {
    expect([codeOf(() => readTurn(text, count)), fieldOf(() => readTurn(text, count))]).toEqual([code, 'turn']);
    expect(() => readTurn(text, count)).toThrow(words);
  });
  test('is read back as it is written', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 40 }),
        fc.infiniteStream(fc.double({ min: 0, max: 1, noNaN: true })),
        (count, chance) => {
          const turn = Array.from({ length: count }, (_, i) => i)
            .map((place) => ({ place, at: chance.next().value as number }))
            .sort((a, b) => a.at - b.at || a.place - b.place)
            .map(({ place }) => place);
          expect(readTurn(turnText(turn), count)).toEqual(turn);
          const plan = tighteningPlan({
            positions: patternPositions('line', count),
            school: 'as-printed',
            turn,
            stages: STAGES,
            unitOfWork: 'row',
            turnShaft: false,
          });
          // Each place once a stage, in that order and no other.
          expect(plan.order).toEqual(turn);
          expect(plan.steps.flatMap((step) => (step.kind === 'pull' ? [step.position] : []))).toEqual([
            ...turn,
            ...turn,
          ]);
        },
      ),
    ));
  test('cap by cap, the caps come as it comes upon them, each with its own two as it has them', () =>
    expect(
      tighteningPlan({
        positions: patternPositions('caps', 6),
        school: 'as-printed',
        turn: [3, 0, 2, 5, 1, 4],
        stages: STAGES,
        unitOfWork: 'each',
        perGroup: 2,
        turnShaft: false,
      }).order,
    ).toEqual([3, 2, 0, 1, 5, 4]));
  test('that is not whole is refused when a plan is made of it', () => {
    const plan = (turn?: readonly number[]) => () =>
      tighteningPlan({
        positions: patternPositions('line', 3),
        school: 'as-printed',
        ...(turn && { turn }),
        stages: STAGES,
        unitOfWork: 'row',
        turnShaft: false,
      });
    for (const turn of [undefined, [0, 1], [0, 1, 1], [0, 1, 3]]) expect(codeOf(plan(turn))).toBe('bad-turn');
  });
});

const apart = (positions: readonly Position[]) =>
  positions.flatMap(([x, y], i) => positions.slice(0, i).map(([a, b]) => Math.hypot(x - a, y - b)));

describe('patterns', () => {
  test('have every place, none upon another', () => {
    for (const kind of PATTERN_KINDS.filter((one) => one !== 'free'))
      for (const count of [2, 4, 10, 26]) {
        const positions = patternPositions(kind, count);
        expect(positions).toHaveLength(count);
        expect(Math.min(...apart(positions))).toBeGreaterThan(50);
      }
  });
  test('staggered, the lower row stands between', () => {
    expect(patternPositions('staggered', 4)).toEqual([
      [0, 0],
      [100, 0],
      [50, 115],
      [150, 115],
    ]);
    expect(patternPositions('line', 3).map(([, y]) => y)).toEqual([0, 0, 0]);
  });
  test('a joint in no pattern is drawn as it was measured, the nearest two a pitch apart', () =>
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.tuple(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 0, max: 40 })), {
          minLength: 2,
          maxLength: 20,
          selector: ([x, y]) => `${x} ${y}`,
        }),
        (grid) => {
          const places = grid.map(([x, y]): Position => [x * 7, y * 7]);
          const drawn = patternPositions('free', places.length, places);
          expect(Math.min(...apart(drawn))).toBeCloseTo(100, 3);
          const [measured, shown] = [apart(places), apart(drawn)];
          const scale = 100 / Math.min(...measured);
          measured.forEach((one, i) => expect(shown[i]).toBeCloseTo(one * scale, 2));
        },
      ),
    ));
  test.each([
    [[[0, 0]], /2 fasteners and 1 places/],
    [
      [
        [0, 0],
        [1, 1],
      ],
      /Places 1 and 2 lie 1\.4 mm apart: they are one/,
    ],
    [
      [
        [0, 0],
        [9000, 0],
      ],
      /none further out than 5000 mm/,
    ],
  ])('%j is refused', (places, words) => {
    const work = () => patternPositions('free', 2, places as unknown as Position[]);
    expect(work).toThrow(words);
    expect(fieldOf(work)).toBe('places');
  });
});
