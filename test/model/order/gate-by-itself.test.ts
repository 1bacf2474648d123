import { describe, expect, test } from '@jest/globals';
import { barsOfGate, type GateState } from '@/model/order/gate';
import type { Loose } from '@/model/order/loose';
import { insertedBehind, placeAfter } from '@/model/order/edit-steps';
import { pastedSteps } from '@/model/order/pasted-steps';
import { bench, fit, step } from './bench-of-order';

// Each line of the gate by itself: what it says is told apart from what the others say.

const STEPS = [
  step('shaft'),
  step('mains', { kind: 'joint', jointId: 'j', after: ['shaft'] }),
  step('other', { place: 2 }),
  step('close', { place: 3, kind: 'joint', jointId: 'lid', after: ['mains'], detail: { makes: ['closes'] } }),
];
const stood = (given: Partial<GateState['order']> = {}, fits: GateState['fits'] = []): GateState => {
  const { order } = bench(STEPS).state();
  return { order: { ...order, ...given }, joints: [], fits };
};
const gate = (state: GateState, id = 'close') => {
  const closing = state.order.byId.get(id);
  if (!closing) throw new Error(`no step ${id}`);
  return barsOfGate(state, closing.step).map(({ code, message }) => `${code}: ${message}`);
};
const said = (code: string, state: GateState) => gate(state).filter((one) => one.startsWith(code));
const trial = (isGoing: boolean) => ({
  isGoing,
  stretch: new Set(['shaft']),
  upTo: 'mains',
  isTried: false,
  asksClean: !isGoing,
});

describe('what is loose', () => {
  const [ofStep, ofLid, ofOther, byHand]: readonly Loose[] = [
    { words: 'shaft: tried', stepId: 'shaft' },
    { words: 'lid: half pulled', jointId: 'lid' },
    { words: 'j: half pulled', jointId: 'j' },
    { words: 'by hand', key: 'k' },
  ];
  const loose = [ofStep, ofLid, ofOther, byHand].filter((one) => one !== undefined);
  test('bars closing, each by its words, but for the joint that is what closes', () => {
    expect(said('loose', stood({ loose }))).toEqual([
      'loose: shaft: tried.',
      'loose: j: half pulled.',
      'loose: by hand.',
    ]);
  });
  test('of a step is said by the trial that is going, and by nothing else; tried and not cleaned, by itself again', () => {
    expect(said('loose', stood({ loose, trial: trial(true) }))).toEqual(['loose: j: half pulled.', 'loose: by hand.']);
    expect(said('loose', stood({ loose, trial: trial(false) }))).toContain('loose: shaft: tried.');
    expect(said('trial', stood({ trial: trial(true) }))).toEqual(['trial: A trial build is going.']);
    expect(said('trial', stood({ trial: trial(false) }))).toEqual(['trial: What was tried is not cleaned.']);
    expect(said('trial', stood())).toEqual([]);
  });
});

describe('fits', () => {
  const half = (id: string, holds: readonly string[]) => {
    const judged = fit(id, 'unread', { holds: [...holds] });
    const places = [...judged.places, { ...judged.places[0], place: 1, name: '2', state: 'inside' }];
    return { ...judged, places } as unknown as GateState['fits'][number];
  };
  test('of which one place is proven and another is not, are not proven', () => {
    expect(said('fit', stood({}, [half('f', ['j'])]))).toEqual(['fit-not-proven: f: not proven.']);
  });
  test('that guard a joint beneath are asked about, also where they hold another that is not', () => {
    const steps = [...STEPS, step('late', { place: 9, kind: 'joint', jointId: 'later', after: ['close'] })];
    const { order } = bench(steps).state();
    const asked = (holds: readonly string[]) => said('fit', { order, joints: [], fits: [half('f', holds)] });
    expect(asked(['later', 'j'])).toHaveLength(1);
    expect(asked(['later'])).toEqual([]);
    expect(asked([])).toHaveLength(1);
  });
  test('a fit of its own step is asked about where that step is beneath', () => {
    const steps = [...STEPS, step('read', { place: 9, kind: 'fit', fitId: 'g', after: ['close'] })];
    const { order } = bench(steps).state();
    expect(said('fit', { order, joints: [], fits: [half('g', [])] })).toEqual([]);
    expect(
      said('fit', {
        order: bench([
          ...STEPS.slice(0, 1),
          step('read', { kind: 'fit', fitId: 'g' }),
          step('mains', { after: ['read'] }),
          step('close', { after: ['mains'], detail: { makes: ['closes'] } }),
        ]).state().order,
        joints: [],
        fits: [half('g', [])],
      }),
    ).toHaveLength(1);
  });
});

describe('a chain of steps put in', () => {
  const line = [step('a'), step('b', { after: ['a'], place: 2 }), step('c', { after: ['b'], place: 3 })];
  test('of none changes nothing', () => expect(insertedBehind(line, [], 'a')).toEqual([]));
  test('lies between the step it is behind and the next, in its order, however often', () => {
    let steps = line;
    for (let i = 0; i < 5; i++) {
      const chain = [step(`x${i}`), step(`y${i}`), step(`z${i}`)];
      const put = insertedBehind(steps, chain, 'a');
      const places = chain.map(({ id }) => put.find((one) => one.id === id)?.place ?? NaN);
      const next = Math.min(...steps.filter(({ id }) => id !== 'a').map(({ place }) => place));
      expect(placeAfter(steps, 'a')).toBeGreaterThan(1);
      [1, ...places, next].reduce((before, place) => {
        expect(place).toBeGreaterThan(before);
        return place;
      });
      steps = [
        ...steps.map((one) => put.find(({ id }) => id === one.id) ?? one),
        ...put.filter(({ id }) => !steps.some((one) => one.id === id)),
      ];
    }
  });
});

describe('lines that are pasted', () => {
  test('empty ones between numbered ones are no step and add nothing', () => {
    expect(pastedSteps('\n  \n1. Fit it.\n\n   \nwith care\n2. Turn it.\n')).toEqual([
      { number: '1', name: 'Fit it. with care', words: '' },
      { number: '2', name: 'Turn it', words: '' },
    ]);
    expect(pastedSteps('Fit it\n \t \nTurn it').map(({ name }) => name)).toEqual(['Fit it', 'Turn it']);
    expect(pastedSteps('')).toEqual([]);
  });
});
