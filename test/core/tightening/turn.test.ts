import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  order,
  patternPositions,
  stages,
  tighteningPlan,
  type OrderSchool,
  type PatternKind,
  type Position,
} from '@/core/tightening';
import { codeOf } from '../code-of';

describe('stages', () => {
  test.each([
    [40, 'halves', 1, [20, 40]],
    [40, 'thirds', 1, [13, 27, 40]],
    [40, 'quarters', 2.5, [10, 20, 30, 40]],
    [5.3, 'thirds', 0.1, [1.8, 3.5, 5.3]],
    [60, [0.3, 0.6, 1], 5, [20, 35, 60]],
  ] as const)('%d in %j to %d', (final, scheme, graduation, expected) =>
    expect(stages(final, scheme, graduation).stages).toEqual(expected),
  );

  test('stages that fall together are left out and said', () => {
    expect(stages(3, 'quarters', 2)).toMatchObject({ stages: [2, 3], notes: [{ code: 'stages-merged' }] });
  });
  test.each([[[0.5, 0.8]], [[]], [[0.8, 0.5, 1]], [[0, 1]], ['fifths'], ['constructor']])(
    'scheme %j is refused',
    (scheme) => {
      expect(codeOf(() => stages(40, scheme as 'halves', 1))).toBe('bad-field');
    },
  );
  test('any scheme rises to exactly the final figure', () => {
    const shares = fc
      .uniqueArray(fc.integer({ min: 1, max: 99 }), { maxLength: 6 })
      .map((list) => [...list.sort((a, b) => a - b).map((n) => n / 100), 1]);
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 300, noNaN: true }),
        shares,
        fc.constantFrom(0.1, 0.5, 1, 2.5),
        (final, scheme, graduation) => {
          const figures = stages(final, scheme, graduation).stages;
          expect(figures.at(-1)).toBe(final);
          figures.forEach((one, i) => expect(one).toBeGreaterThan(figures[i - 1] ?? 0));
        },
      ),
    );
  });
});

const radii = (positions: readonly Position[]) => {
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
  const [cx, cy] = [mean(positions.map(([x]) => x)), mean(positions.map(([, y]) => y))];
  return positions.map(([x, y]) => Math.hypot(x - cx, y - cy));
};

describe('order', () => {
  const TEN: readonly Position[] = [0, 95, 190, 285, 380].flatMap((x) => [[x, 0] as const, [x, 110] as const]);

  test('ten head studs: the middle pair first, the corners last', () => {
    const turn = order(TEN, 'centre-out');
    expect(new Set(turn.slice(0, 2))).toEqual(new Set([4, 5]));
    expect(new Set(turn.slice(-4))).toEqual(new Set([0, 1, 8, 9]));
  });
  test.each([
    [4, [0, 2, 1, 3]],
    [5, [0, 2, 4, 1, 3]],
    [6, [0, 3, 1, 4, 2, 5]],
    [8, [0, 4, 2, 6, 1, 5, 3, 7]],
  ])('a ring of %d goes across and across', (count, expected) =>
    expect(order(patternPositions('ring', count), 'star')).toEqual(expected),
  );

  test('in every school each fastener comes once; from the middle out, never inwards again', () => {
    const point = fc.tuple(fc.integer({ min: -400, max: 400 }), fc.integer({ min: -200, max: 200 }));
    fc.assert(
      fc.property(
        fc.uniqueArray(point, { minLength: 1, maxLength: 24, selector: String }),
        fc.constantFrom<OrderSchool>('centre-out', 'spiral', 'star'),
        (points, school) => {
          const turn = order(points, school);
          expect([...turn].sort((a, b) => a - b)).toEqual(points.map((_, i) => i));
          if (school === 'star') return;
          const away = turn.map((i) => radii(points)[i] ?? 0);
          away.forEach((radius, i) => expect(radius).toBeGreaterThanOrEqual((away[i - 1] ?? 0) * (1 - 1e-5) - 1e-3));
        },
      ),
    );
  });
  test.each([[[]], [[[1]]], [[[1, Number.NaN]]], ['x']])('positions %j are refused', (positions) => {
    expect(codeOf(() => order(positions as never, 'star'))).toBe('bad-field');
  });
  test('an unknown school is refused', () =>
    expect(codeOf(() => order([[0, 0]], 'constructor' as OrderSchool))).toBe('bad-field'));
});

describe('pattern', () => {
  test.each([
    ['rows', 14],
    ['rows', 7],
    ['ring', 4],
    ['caps', 10],
  ] as [PatternKind, number][])('%s of %d stand apart', (kind, count) => {
    const positions = patternPositions(kind, count);
    expect(positions).toHaveLength(count);
    expect(new Set(positions.map(String)).size).toBe(count);
  });
  test('an odd line of caps, none, or a crowd is refused', () => {
    for (const [kind, count] of [
      ['caps', 5],
      ['rows', 0],
      ['ring', 61],
      ['rows', 2.5],
    ] as [PatternKind, number][])
      expect(codeOf(() => patternPositions(kind, count))).toBe('bad-field');
  });
});

describe('plan', () => {
  const two = [
    { setting: 10, torque_Nm: 10 },
    { setting: 20, torque_Nm: 20 },
  ];
  test('a whole row a stage, with the shaft turned between', () => {
    const { steps } = tighteningPlan({
      positions: patternPositions('rows', 4),
      school: 'centre-out',
      stages: two,
      unitOfWork: 'row',
      turnShaft: true,
    });
    expect(steps.map((step) => (step.kind === 'shaft' ? 'shaft' : `${step.stage}${step.final ? '!' : ''}`))).toEqual([
      '0',
      '0',
      '0',
      '0',
      'shaft',
      '1!',
      '1!',
      '1!',
      '1!',
    ]);
  });
  test('each cap to its final figure, both its fasteners brought up together, the middle cap first', () => {
    const { steps, order: turn } = tighteningPlan({
      positions: patternPositions('caps', 6),
      school: 'centre-out',
      stages: two,
      unitOfWork: 'each',
      perGroup: 2,
      turnShaft: true,
    });
    expect(turn.slice(0, 2)).toEqual([2, 3]);
    expect(steps.slice(0, 5).map((step) => (step.kind === 'pull' ? [step.position, step.stage] : 'shaft'))).toEqual([
      [2, 0],
      [3, 0],
      [2, 1],
      [3, 1],
      'shaft',
    ]);
    expect(steps.filter((step) => step.kind === 'shaft')).toHaveLength(2);
  });
});

describe('the fasteners of one cap', () => {
  const positions = patternPositions('caps', 6);
  const stages = [10, 20].map((setting) => ({ setting, torque_Nm: setting }));
  test.each(['centre-out', 'spiral', 'star'] as const)('follow one another at every stage, %s', (school) => {
    const of = { positions, school, stages, unitOfWork: 'row', perGroup: 2, turnShaft: false } as const;
    const { order: turn, steps } = tighteningPlan(of);
    const caps = steps.map((step) => (step.kind === 'pull' ? Math.floor(step.position / 2) : -1));
    for (let i = 0; i < caps.length; i += 2) expect(caps[i + 1]).toBe(caps[i]);
    expect([...turn].sort((a, b) => a - b)).toEqual([0, 1, 2, 3, 4, 5]);
    expect(caps.slice(0, 6)).toEqual(caps.slice(6));
  });
});

describe('a cap that goes first', () => {
  const caps = (first: number | undefined, unitOfWork: 'row' | 'each') =>
    tighteningPlan({
      positions: patternPositions('caps', 10),
      school: 'centre-out',
      perGroup: 2,
      ...(first !== undefined && { first }),
      unitOfWork,
      turnShaft: true,
      stages: [
        { setting: 20, torque_Nm: 20 },
        { setting: 40, torque_Nm: 40 },
      ],
    });
  const capOf = (place: number) => Math.floor(place / 2);
  test.each(['row', 'each'] as const)('%s: leads, and the rest follow in the turn they had', (unitOfWork) => {
    const plain = caps(undefined, unitOfWork).order.map(capOf);
    expect(plain[0]).toBe(2);
    for (const first of [0, 1, 2, 3, 4]) {
      const turn = caps(first, unitOfWork).order.map(capOf);
      expect(turn.slice(0, 2)).toEqual([first, first]);
      expect(turn.slice(2)).toEqual(plain.filter((cap) => cap !== first));
      const pulls = caps(first, unitOfWork).steps.flatMap((step) =>
        step.kind === 'pull' ? [capOf(step.position)] : [],
      );
      expect(pulls[0]).toBe(first);
      // Cap by cap it comes to its final figure before any other is begun.
      if (unitOfWork === 'each') expect(pulls.slice(0, 4)).toEqual([first, first, first, first]);
    }
  });
  test('one that is not there leads nothing', () => expect(caps(9, 'row').order).toEqual(caps(undefined, 'row').order));
});
