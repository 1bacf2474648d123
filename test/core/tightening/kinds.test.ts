import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { kindsPlan, tighteningPlan, type KindOfPlan, type PlannedStage, type Position } from '@/core/tightening';
import { codeOf, fieldOf } from '../code-of';

const figures = (...settings: readonly number[]): readonly PlannedStage[] =>
  settings.map((setting) => ({ setting, torque_Nm: setting }));
const QUARTER: PlannedStage = { setting: 20, torque_Nm: 20, turn: { min_deg: 90, max_deg: 90 } };

const LINE: readonly Position[] = [0, 100, 200, 300].map((x) => [x, 0] as const);
const WORK = {
  positions: LINE,
  school: 'as-printed',
  turn: [1, 2, 0, 3],
  unitOfWork: 'row',
  turnShaft: false,
  together: 'by-stage',
} as const;
const LARGE: KindOfPlan = { places: [1, 2], stages: figures(20, 40) };
const SMALL: KindOfPlan = { places: [0, 3], stages: figures(5, 8) };

/** `number of the place @ setting`, a turn as its angle, the crank as ~. */
const told = (plan: ReturnType<typeof kindsPlan>): string =>
  plan.steps
    .map((step) =>
      step.kind === 'shaft'
        ? '~'
        : `${step.position}@${step.turn ? `${step.turn.min_deg}°` : step.setting}${step.final ? '!' : ''}`,
    )
    .join(' ');

describe('fasteners of several kinds in one joint', () => {
  const kinds = [LARGE, SMALL];
  test('come up together stage by stage, the wrench changed once a stage', () =>
    expect(told(kindsPlan({ ...WORK, kinds }))).toBe('1@20 2@20 0@5 3@5 1@40! 2@40! 0@8! 3@8!'));
  test('in one turn, the wrench changed as it comes', () =>
    expect(told(kindsPlan({ ...WORK, kinds, turn: [0, 1, 3, 2], together: 'one-turn' }))).toBe(
      '0@5 1@20 3@5 2@20 0@8! 1@40! 3@8! 2@40!',
    ));
  test('one after another, as typed', () =>
    expect(told(kindsPlan({ ...WORK, kinds, together: 'as-typed', sequence: [0, 0, 1, 1] }))).toBe(
      '1@20 2@20 1@40! 2@40! 0@5 3@5 0@8! 3@8!',
    ));
  test('what has fewer stages waits until it is as far along', () =>
    expect(told(kindsPlan({ ...WORK, kinds: [{ ...LARGE, stages: figures(10, 20, 40) }, SMALL] }))).toBe(
      '1@10 2@10 0@5 3@5 1@20 2@20 1@40! 2@40! 0@8! 3@8!',
    ));
  test('a turn of one kind follows when all are at their last torque', () =>
    expect(
      told(kindsPlan({ ...WORK, kinds: [{ ...LARGE, stages: [...figures(20), QUARTER] }, SMALL], turnShaft: true })),
    ).toBe('0@5 3@5 ~ 1@20 2@20 0@8! 3@8! ~ 1@90°! 2@90°!'));
  test('the crank is turned before the first of them comes to its last torque', () =>
    expect(told(kindsPlan({ ...WORK, kinds, turnShaft: 'before-last' }))).toBe(
      '1@20 2@20 0@5 3@5 ~ 1@40! 2@40! 0@8! 3@8!',
    ));
  test('each cap to its figures, large and small on it brought up together', () => {
    const caps = {
      ...WORK,
      positions: [...LINE.map(([x]) => [x, 0] as const), ...LINE.map(([x]) => [x, 100] as const)],
      school: 'centre-out',
      turn: [],
      perGroup: 4,
      unitOfWork: 'each',
      turnShaft: true,
    } as const;
    const both = [
      { places: [0, 1, 4, 5], stages: figures(20, 40) },
      { places: [2, 3, 6, 7], stages: figures(8) },
    ];
    expect(told(kindsPlan({ ...caps, kinds: both }))).toBe(
      '0@20 1@20 0@40! 1@40! 2@8! 3@8! ~ 4@20 5@20 4@40! 5@40! 6@8! 7@8!',
    );
  });
  test.each([
    ['a place in none', [LARGE, { ...SMALL, places: [0] }], {}, 'bad-field', 'kinds'],
    ['a place in two', [LARGE, { ...SMALL, places: [0, 1] }], {}, 'bad-field', 'kinds'],
    ['a place that is not there', [LARGE, { ...SMALL, places: [0, 4] }], {}, 'bad-field', 'kinds'],
    ['a kind of nothing', [LARGE, { ...SMALL, places: [0, 3] }, { ...SMALL, places: [] }], {}, 'bad-field', 'kinds'],
    ['a kind without a figure', [LARGE, { ...SMALL, stages: [] }], {}, 'bad-field', 'stages'],
    ['a kind that begins with a turn', [LARGE, { ...SMALL, stages: [QUARTER] }], {}, 'bad-field', 'stages'],
    ['a stage left out', kinds, { together: 'as-typed', sequence: [0, 1, 1] }, 'bad-sequence', 'sequence'],
    ['a stage too many', kinds, { together: 'as-typed', sequence: [0, 0, 0, 1, 1] }, 'bad-sequence', 'sequence'],
    ['a kind that is not there', kinds, { together: 'as-typed', sequence: [0, 0, 1, 2] }, 'bad-sequence', 'sequence'],
  ] as const)('%s is refused', (_, these, part, code, field) => {
    const plan = () => kindsPlan({ ...WORK, ...part, kinds: these });
    expect([codeOf(plan), fieldOf(plan)]).toEqual([code, field]);
  });

  const scattered = fc
    .record({
      kindOf: fc.array(fc.integer({ min: 0, max: 2 }), { minLength: 3, maxLength: 30 }),
      counts: fc.array(fc.integer({ min: 1, max: 4 }), { minLength: 3, maxLength: 3 }),
      together: fc.constantFrom('by-stage' as const, 'one-turn' as const),
      unitOfWork: fc.constantFrom('row' as const, 'each' as const),
    })
    .map(({ kindOf, counts, ...rest }) => {
      const kindOfPlace = [0, 1, 2, ...kindOf.slice(3)];
      return {
        ...rest,
        positions: kindOfPlace.map((_, i): Position => [(i % 6) * 100, Math.floor(i / 6) * 100]),
        kinds: counts.map((count, kind) => ({
          places: kindOfPlace.flatMap((of, place) => (of === kind ? [place] : [])),
          stages: figures(...Array.from({ length: count }, (_, i) => (kind + 1) * 100 + i)),
        })),
      };
    });

  test('every fastener goes through the stages of its own kind, each once and in order', () =>
    fc.assert(
      fc.property(scattered, (input) => {
        const { steps } = kindsPlan({ ...input, school: 'centre-out', turnShaft: false });
        for (const { places, stages } of input.kinds)
          for (const place of places) {
            const own = steps.flatMap((step) => (step.kind === 'pull' && step.position === place ? [step] : []));
            expect(own.map(({ setting }) => setting)).toEqual(stages.map(({ setting }) => setting));
            expect(own.map((step) => step.final)).toEqual(stages.map((_, i) => i === stages.length - 1));
          }
        expect(steps).toHaveLength(
          input.kinds.reduce((sum, { places, stages }) => sum + places.length * stages.length, 0),
        );
      }),
    ));

  test('stage by stage no kind is a whole stage ahead of what another has still to come to', () =>
    fc.assert(
      fc.property(scattered, ({ kinds: three, ...input }) => {
        const { steps } = kindsPlan({ ...input, kinds: three, unitOfWork: 'row', school: 'star', turnShaft: false });
        const countOf = (place: number) => three.find(({ places }) => places.includes(place))?.stages.length ?? 0;
        let reach = 0;
        for (const step of steps) {
          if (step.kind === 'shaft') continue;
          const now = (step.stage + 1) / countOf(step.position);
          expect(now).toBeGreaterThanOrEqual(reach - 1e-9);
          reach = Math.max(reach, now);
        }
      }),
    ));

  test('of one kind, it is the plan that it always was', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 24 }),
        fc.integer({ min: 1, max: 4 }),
        fc.constantFrom('centre-out' as const, 'spiral' as const, 'star' as const),
        (count, stageCount, school) => {
          const positions = Array.from({ length: count }, (_, i): Position => [(i % 4) * 50, Math.floor(i / 4) * 70]);
          const stages = figures(...Array.from({ length: stageCount }, (_, i) => i + 1));
          const plan = tighteningPlan({ positions, school, stages, unitOfWork: 'row', turnShaft: true });
          const pulls = plan.steps.flatMap((step) => (step.kind === 'pull' ? [step.position] : []));
          expect(pulls).toEqual(stages.flatMap(() => plan.order));
          expect(plan.steps.filter(({ kind }) => kind === 'shaft')).toHaveLength(stageCount - 1);
        },
      ),
    ));
});
