import { describe, expect, test } from '@jest/globals';
import { USUAL_PRACTICE } from '@/model/practice/house-practice';
import { lineLayout } from '@/features/order/line-layout';
import { STATION } from '@/features/order/station-size';
import { fieldsOf, newStepFields, sentOf } from '@/features/order/step-fields';
import { pastedSteps } from '@/model/order/pasted-steps';
import { likeliestFirst, whyNotYet } from '@/model/order/likeliest';
import { START_IDS } from '@/model/order/starts';
import { stepsOfStart } from '@/model/order/steps-of-start';
import { stepSchema } from '@/features/order/schema';
import { bench, step } from '../model/order/bench-of-order';

describe.each(START_IDS)('the drawing of a %s', (start) => {
  let n = 0;
  const steps = stepsOfStart(
    start,
    'e',
    {},
    { freshId: () => `s${(n += 1)}`, nowIso: '2026-05-16T14:20:00.000Z', practice: USUAL_PRACTICE },
  );
  const { places, tracks, width, height } = lineLayout(steps);
  const boxes = Object.values(places);
  test('has every step once, in the picture, none over another', () => {
    expect(Object.keys(places).sort()).toEqual(steps.map(({ id }) => id).sort());
    for (const { x, y } of boxes) {
      expect(x).toBeGreaterThanOrEqual(0);
      expect(x + STATION.width).toBeLessThanOrEqual(width);
      expect(y + STATION.height).toBeLessThanOrEqual(height);
    }
    const over = boxes.filter((a, i) =>
      boxes.some((b, j) => i < j && Math.abs(a.x - b.x) < STATION.width && Math.abs(a.y - b.y) < STATION.height),
    );
    expect(over).toEqual([]);
  });
  test('leads down from each step to what rests on it, with a point where it bends and nowhere else', () => {
    for (const { from, to, points } of tracks) {
      points.slice(1, -1).forEach(([x, y], i) => {
        const [before, after] = [points[i], points[i + 2]];
        expect([x === before?.[0] && x === after?.[0], y === before?.[1] && y === after?.[1]]).toEqual([false, false]);
      });
      points.slice(1).forEach(([x, y], i) => expect(x === points[i]?.[0] || y === points[i]?.[1]).toBe(true));
      expect(places[from]?.y).toBeLessThan(places[to]?.y ?? 0);
      expect(points[0]?.[1]).toBeLessThan(points.at(-1)?.[1] ?? 0);
      expect(points.at(-1)).toEqual([(places[to]?.x ?? 0) + 16, (places[to]?.y ?? 0) + STATION.height / 2]);
    }
    expect(tracks.length).toBeGreaterThanOrEqual(
      steps.length - 1 - steps.filter(({ after }) => after.length === 0).length,
    );
  });
});

test('the same steps, tied alike, are laid out once; tied otherwise anew', () => {
  const steps = [step('a'), step('b', { after: ['a'] })];
  expect(lineLayout(steps)).toBe(lineLayout([...steps].map((one) => ({ ...one, name: 'other' }))));
  expect(lineLayout([step('a'), step('b')])).not.toBe(lineLayout(steps));
});

describe('steps out of a page’s numbered lines', () => {
  const names = (text: string) => pastedSteps(text).map(({ number, name }) => [number, name]);
  test.each([
    [
      '1. Fit it.\n2. Turn it.',
      [
        ['1', 'Fit it'],
        ['2', 'Turn it'],
      ],
    ],
    [
      '(3) Fit it\n   with care\n4a) Turn it',
      [
        ['3', 'Fit it with care'],
        ['4a', 'Turn it'],
      ],
    ],
    [
      'Step 5: Fit it\nstep 6. Turn it',
      [
        ['5', 'Fit it'],
        ['6', 'Turn it'],
      ],
    ],
    [
      '- Fit it\n– Turn it',
      [
        ['', 'Fit it'],
        ['', 'Turn it'],
      ],
    ],
    [
      'Fit it\n\nTurn it',
      [
        ['', 'Fit it'],
        ['', 'Turn it'],
      ],
    ],
    ['12 studs are put in', [['', '12 studs are put in']]],
    ['', []],
  ] as const)('%j', (text, steps) => expect(names(text)).toEqual(steps));
  test('a first sentence names it, the rest are its words; a long one is cut at a word and kept whole', () => {
    expect(pastedSteps('1. Fit the pump. Fill it first.')[0]).toEqual({
      number: '1',
      name: 'Fit the pump',
      words: 'Fill it first.',
    });
    const long = `1. ${'word '.repeat(60)}`;
    const [cut] = pastedSteps(long);
    expect(cut?.name.length).toBeLessThanOrEqual(120);
    expect(cut?.name).toMatch(/word…$/);
    expect(cut?.words).toBe('word '.repeat(60).trim());
  });
});

describe('what is likeliest now', () => {
  const steps = [
    step('a'),
    step('b', { after: ['a'] }),
    step('c', { after: ['a'], kind: 'fit' }),
    step('sub', { branch: 'sub' }),
    step('end', { after: ['b', 'c', 'sub'] }),
  ];
  const on = bench(steps);
  const now = () => likeliestFirst(on.state().order.steps).map((one) => one.step.id);
  test('follows on what was done last; what proves comes before what is built on', () => {
    expect(now()).toEqual(['a', 'sub']);
    on.write({ kind: 'done', stepId: 'a', body: {} });
    expect(now()).toEqual(['c', 'b', 'sub']);
    expect(likeliestFirst(on.state().order.steps, new Set(['sub']))[0]?.step.id).toBe('sub');
  });
  test('why not yet names the whole chain, each once, and how deep it lies', () => {
    const { byId } = on.state().order;
    expect(whyNotYet(byId, 'end')).toEqual([
      { stepId: 'b', depth: 0 },
      { stepId: 'c', depth: 0 },
      { stepId: 'sub', depth: 0 },
    ]);
    expect(
      whyNotYet(bench(steps).state().order.byId, 'end').map(({ stepId, depth }) => [stepId, depth]),
    ).toContainEqual(['a', 1]);
  });
});

test('a step goes through its cells and comes out as it was', () => {
  const whole = step('x', {
    kind: 'joint',
    jointId: 'j',
    purpose: 'trial',
    detail: {
      words: 'How',
      lies: 'arrow up',
      caution: 'hot',
      makes: ['closes'],
      putsIn: [
        { name: 'rag', inside: true },
        { name: 'boot', inside: false },
      ],
      takesOut: ['clip'],
      surfaces: [{ what: 'sealant', on: 'one face', much: 'thin', sets: 'fit within 10 min', useBy: '2027-03' }],
      kit: ['lamp', 'mirror'],
      people: 2,
    },
  });
  const sent = sentOf(fieldsOf(whole), whole, undefined);
  const { value, error } = stepSchema.validate(sent, { stripUnknown: true });
  expect(error).toBeUndefined();
  expect(value).toMatchObject({
    id: 'x',
    kind: 'joint',
    jointId: 'j',
    purpose: 'trial',
    fitId: null,
    detail: whole.detail,
  });
  const dated = (useBy: string) =>
    stepSchema.validate({ ...sent, detail: { ...whole.detail, surfaces: [{ ...whole.detail.surfaces[0], useBy }] } });
  expect(dated('spring').error?.message).toMatch(/year-month/);
  const fresh = sentOf({ ...newStepFields('e', whole), name: 'Next' }, undefined, whole);
  expect(stepSchema.validate(fresh).value).toMatchObject({ id: null, behind: 'x', jointId: null, purpose: null });
  expect(stepSchema.validate({ ...fresh, detail: { ...fresh.detail, people: NaN } }).error).toBeDefined();
});
