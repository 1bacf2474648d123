import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { roundState, tighteningPlan, type BenchEvent } from '@/core/tightening';
import { linesOfPaper, type PaperBox } from '@/model/joint/from-paper';
import { codeOf } from '../core/code-of';

const stage = (torque_Nm: number) => ({ setting: torque_Nm, torque_Nm });
const planOf = (turnShaft = false) => {
  const positions = Array.from({ length: 6 }, (_, i) => [i, i % 2] as const);
  return {
    positions,
    ...tighteningPlan({
      positions,
      stages: [stage(10), stage(20), stage(30)],
      school: 'centre-out',
      unitOfWork: 'row',
      turnShaft,
      turn: [],
      perGroup: 1,
    }),
  };
};
const at = '2026-05-16T08:00:00.000Z';
const withIds = (drafts: readonly object[]) =>
  drafts.map((draft, i) => ({ ...draft, id: `line-${i}`, at }) as BenchEvent);
const all = ({ steps }: ReturnType<typeof planOf>, upTo = Infinity): readonly PaperBox[] =>
  steps.flatMap(({ kind }, step) =>
    step < upTo ? [{ step, outcome: kind === 'shaft' ? 'turned' : 'pulled' } as const] : [],
  );

describe('a paper card', () => {
  test('all of it ticked is all of it pulled, in the turn, said to be copied', () => {
    const plan = planOf(true);
    const lines = linesOfPaper(plan, [], all(plan), 'Saturday, IH');
    expect(lines.map(({ kind }) => kind)).toEqual(plan.steps.map(({ kind }) => kind));
    for (const line of lines) if (line.kind === 'pull') expect(line.words).toBe('copied from paper: Saturday, IH');
    expect(roundState(plan.steps, withIds(lines), 6).complete).toBe(true);
  });
  test('an empty box before a ticked one is passed over and owed; after the last ticked one nothing is said', () => {
    const plan = planOf();
    const boxes = all(plan, 10).filter(({ step }) => step !== 3);
    const lines = linesOfPaper(plan, [], boxes, '');
    expect(lines).toHaveLength(10);
    expect(lines[3]).toEqual({ kind: 'skip', step: 3, words: 'not ticked on the paper card' });
    const state = roundState(plan.steps, withIds(lines), 6);
    expect([state.next, state.stepsDone]).toEqual([10, 9]);
  });
  test('goes on behind what was pulled at the bench, how each went as it is marked', () => {
    const plan = planOf();
    const begun = withIds(linesOfPaper(plan, [], all(plan, 4), ''));
    const [line, ...rest] = linesOfPaper(plan, begun, [{ step: 4, outcome: 'did-not-move' }], '');
    expect([line, rest]).toEqual([{ kind: 'pull', step: 4, outcome: 'did-not-move', words: 'copied from paper' }, []]);
    expect(codeOf(() => linesOfPaper(plan, begun, [{ step: 2, outcome: 'pulled' }], ''))).toBe('ticked-already');
    expect(codeOf(() => linesOfPaper(plan, begun, [{ step: 99, outcome: 'pulled' }], ''))).toBe('ticked-already');
    expect(codeOf(() => linesOfPaper(plan, begun, [], ''))).toBe('nothing-ticked');
  });
  test('what was passed over at the bench and is ticked on paper is done with it, once its turn comes again', () => {
    const plan = planOf();
    const skipped = withIds([{ kind: 'skip', step: 0, words: 'not reached' }]);
    const boxes = all(plan).filter(({ step }) => step > 0);
    const lines = linesOfPaper(plan, skipped, boxes, '');
    const state = roundState(
      plan.steps,
      [...skipped, ...withIds(lines).map((line) => ({ ...line, id: `p${line.id}` }))],
      6,
    );
    expect(state.complete).toBe(true);
  });
  test('the crank’s box empty under later ticks is asked about: nobody says it was turned', () => {
    const plan = planOf(true);
    const boxes = all(plan).filter(({ outcome }) => outcome !== 'turned');
    expect(codeOf(() => linesOfPaper(plan, [], boxes, ''))).toBe('crank-not-ticked');
  });
  test('whatever is ticked, the lines follow one another, and each tick is in them once', () => {
    const plan = planOf();
    let holes = 0;
    fc.assert(
      fc.property(fc.subarray([...all(plan)], { minLength: 1 }), (boxes) => {
        const lines = withIds(linesOfPaper(plan, [], boxes, ''));
        const state = roundState(plan.steps, lines, 6);
        expect(
          lines
            .filter(({ kind }) => kind === 'pull')
            .map((line) => ('step' in line ? line.step : -1))
            .sort((a, b) => a - b),
        ).toEqual(boxes.map(({ step }) => step).sort((a, b) => a - b));
        expect(state.complete).toBe(
          boxes.some(({ step }) => step >= 12) && state.owed.length === 0 && state.next >= plan.steps.length,
        );
        holes += lines.length - boxes.length;
      }),
      { seed: 1936, numRuns: 300 },
    );
    expect(holes).toBeGreaterThan(100);
  });
});
