import { describe, expect, test } from '@jest/globals';
import { USUAL_PRACTICE } from '@/model/practice/house-practice';
import { sequence } from '@/core/sequence';
import { storedStepSchema } from '@/model/order/order-schemas';
import { START_IDS, STARTS, type StartStep } from '@/model/order/starts';
import { hangingSteps } from '@/model/order/edit-steps';
import { does, isGated } from '@/model/order/step';
import { proposedMeeting, stepsOfStart } from '@/model/order/steps-of-start';

const made = (start: (typeof START_IDS)[number]) => {
  let n = 0;
  return stepsOfStart(
    start,
    'engine',
    {},
    { freshId: () => `s${(n += 1)}`, nowIso: '2026-05-16T14:20:00.000Z', practice: USUAL_PRACTICE },
  );
};

describe.each(START_IDS)('the line to start from of a %s', (start) => {
  const drafts: readonly StartStep[] = STARTS[start].steps;
  const steps = made(start);
  test('has 25 to 45 steps, each key once, each link known', () => {
    expect(steps.length).toBeGreaterThanOrEqual(25);
    expect(steps.length).toBeLessThanOrEqual(45);
    const keys = new Set(drafts.map(({ key }) => key));
    expect(keys.size).toBe(drafts.length);
    expect(drafts.flatMap(({ after, notUntil }) => [...after, ...notUntil]).filter((key) => !keys.has(key))).toEqual(
      [],
    );
  });
  test('goes through without a ring, and nothing hangs beside it', () => {
    expect(sequence({ steps }).order).toHaveLength(steps.length);
    expect(hangingSteps(steps)).toEqual([]);
  });
  test('closes once and starts last, after everything', () => {
    expect(steps.filter((step) => does(step, 'closes'))).toHaveLength(1);
    const [started] = steps.filter((step) => does(step, 'starts'));
    expect(sequence({ steps }).order.at(-1)).toBe(started?.id);
    expect(steps.filter(isGated)).toHaveLength(2);
  });
  test('takes every aid out that it puts in, after it went in', () => {
    const order = sequence({ steps: drafts.map(({ key, ...links }) => ({ id: key, ...links })) }).order;
    for (const { key, putsIn } of drafts)
      for (const { name } of putsIn) {
        const out = drafts.find(({ takesOut }) => takesOut.includes(name));
        expect(out && order.indexOf(out.key)).toBeGreaterThan(order.indexOf(key));
      }
  });
  test('is what a file of it would be taken as', () => {
    for (const step of steps) expect(storedStepSchema.validate(step, { convert: false }).error).toBeUndefined();
  });
});

test('joints and fits take their places by their names, each one place', () => {
  const joints = ['Cylinder head', 'Main bearing caps', 'Rod bolts', 'Dynamo strap'].map((name) => ({
    id: name,
    name,
  }));
  const fits = ['Main bearings, oil clearance', 'Crankshaft end float'].map((name) => ({ id: name, name }));
  expect(proposedMeeting('side-valve-four', { joints, fits })).toEqual({
    'head-tight': 'Cylinder head',
    mains: 'Main bearing caps',
    rods: 'Rod bolts',
    'mains-play': 'Main bearings, oil clearance',
    'end-float': 'Crankshaft end float',
  });
});
