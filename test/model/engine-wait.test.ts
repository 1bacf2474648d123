import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { EngineState } from '@/model/engine/engine-state';
import { waitsOf, type Wait } from '@/model/engine/engine-wait';

const HOUR_MS = 3_600_000;
const FROM = Date.parse('2026-05-16T20:00:00.000Z');

interface Given {
  readonly fits?: readonly object[];
  readonly joints?: readonly object[];
  readonly order?: object;
}

const NOTHING_IN_ORDER = { steps: [], aids: [], loose: [], tray: [], trial: undefined, paused: false };
const engine = ({ fits = [], joints = [], order = {} }: Given): EngineState =>
  ({ leaves: 1, fits, joints, order: { ...NOTHING_IN_ORDER, ...order } }) as never;

const pull = (position: number, stage = 0) => ({ kind: 'pull', position, stage });
const ROUND = { order: [2, 0, 1], steps: [pull(2), pull(0), pull(1, 1), { kind: 'shaft' }] };
const round = (id: string, state: object) => ({
  tightening: { id, plan: ROUND },
  state: { complete: false, binds: false, over: [], next: 0, ...state },
});
const joint = (id: string, given: object = {}) => ({
  joint: { id, name: id },
  page: [],
  isChanged: false,
  stretch: [],
  retorque: { state: 'not-asked' },
  ...given,
});
const held = round('held', { complete: true });
const bolts = (id: string, ...open: readonly object[]) => ({ stretch: [{ set: { name: id, bolts: 4 }, open }] });
const grown = { bolt: 3, words: 'has grown', stops: true };
const short = { bolt: 2, words: 'stretch short', stops: false };
const place = (given: object) => ({ name: '2', state: 'inside', stripIn: false, ...given });
const fit = (id: string, ...places: readonly object[]) => ({ fit: { id, name: id }, places });
const step = (name: string, state: string, through?: string) => ({
  step: { name },
  state,
  ...(through && { through }),
});
const next = (given: object) => ({ stage: 1, of: 2, asks: [], isReached: false, isHot: true, ...given });
const window = { from: FROM, by: FROM + 2 * HOUR_MS };

/** One of each that an engine can wait for, the one to be said first standing first. */
const JOINTS = [
  joint('A', { openRetorque: round('again', {}) }),
  joint('B', { page: [{ severity: 'stop' }] }),
  joint('C', { isChanged: true }),
  joint('D', { final: round('stuck', { binds: true }) }),
  joint('E', { final: held, retorque: { state: 'open' } }),
  joint('F', { final: round('over', { over: [1], last: {} }) }),
  joint('G', { final: round('half', { next: 2, last: {} }) }),
  joint('H', { final: held, retorque: { state: 'cooling', window } }),
  joint('I', { final: held, retorque: { state: 'done', next: next({ isReached: true }) } }),
  joint('J', {
    final: held,
    retorque: { state: 'done', next: next({ asks: [{ what: 'distance', of: 300, unit: 'mi' }] }) },
  }),
  joint('K'),
  joint('L', { final: held, retorque: { state: 'waits-for-heat' } }),
  joint('M', { final: held, ...bolts('M', short, grown) }),
  joint('N', { final: held, ...bolts('N', short) }),
];
const FITS = [
  fit('play', place({ stripIn: true, state: 'loose' })),
  fit('float', place({ state: 'tight' })),
  fit('gap', place({ state: 'open', remedy: 'file it' })),
  fit('ring', place({ state: 'stale' })),
  fit('shell', place({ state: 'loose', order: 'next shell' })),
];
const ORDER = {
  steps: [step('sump', 'stale'), step('timing', 'stale', 'sump'), step('shaft', 'done')],
  tray: [
    { part: { name: 'gasket' }, order: {} },
    { part: { name: 'spring' }, order: undefined },
  ],
  loose: [{ key: 'tab', words: 'tab not bent' }, { words: 'said by its joint' }],
  aids: [{ name: 'rag' }],
  trial: { isGoing: true },
};
const IN_TURN = [
  'A: retorque under way',
  'play: strip in, crank held',
  'float: out of limits',
  'B: which page governs',
  'C: its sheet was changed since',
  'D: the crank does not turn freely',
  'E: go over again now',
  'F: number 2 went over',
  'G: number 3, stage 2',
  'M: 3 has grown',
  'N: 2 stretch short',
  'gap: to read again',
  'ring: stale',
  'sump: to be looked at',
  'next shell on order',
  'gasket on order',
  'loose: tab not bent',
  'in: rag',
  'H cold',
  'I: due again by its rule; it waits for a heat cycle, as none was logged since it was last gone over',
  'J: again at 300 miles; how far it is, is not known: read the odometer and say what it was when this was tightened',
  'a trial build',
  'K: to tighten',
  'L: first heat cycle',
];

const words = (state: EngineState) => waitsOf(state).map(({ waitsFor }) => waitsFor);
const only = (given: Given): Wait => {
  const [one, ...more] = waitsOf(engine(given));
  expect(more).toEqual([]);
  return one;
};

test('what can hurt, then what is under way, then what is owed, then what rests: however the rows lie', () =>
  fc.assert(
    fc.property(
      fc.shuffledSubarray(JOINTS, { minLength: JOINTS.length }),
      fc.shuffledSubarray(FITS, { minLength: FITS.length }),
      (joints, fits) => expect(words(engine({ fits, joints, order: ORDER }))).toEqual(IN_TURN),
    ),
    { numRuns: 50 },
  ));

test('of a round that is half done a bolt that stops is said behind it, and those to be read not yet', () => {
  const half = (...open: readonly object[]) =>
    words(engine({ joints: [joint('G', { final: round('half', { next: 2, last: {} }), ...bolts('G', ...open) })] }));
  expect(half(short)).toEqual(['G: number 3, stage 2']);
  expect(half(short, grown)).toEqual(['G: number 3, stage 2', 'G: 3 has grown']);
});

describe('where it is done, and how its tag is marked', () => {
  test.each([
    ['A', 'ready', { at: 'round', id: 'again' }],
    ['B', 'stop', { at: 'joint', id: 'B' }],
    ['C', 'stop', { at: 'joint', id: 'C' }],
    ['D', 'stop', { at: 'round', id: 'stuck' }],
    ['E', 'ready', { at: 'run-in' }],
    ['F', 'ready', { at: 'round', id: 'over' }],
    ['G', 'ready', { at: 'round', id: 'half' }],
    ['H', 'waiting', { at: 'run-in' }],
    ['I', 'waiting', { at: 'run-in' }],
    ['J', 'waiting', { at: 'run-in' }],
    ['K', 'rest', { at: 'joint', id: 'K' }],
    ['L', 'rest', { at: 'run-in' }],
    ['M', 'stop', { at: 'stretch', id: 'M' }],
    ['N', 'ready', { at: 'stretch', id: 'N' }],
  ])('joint %s', (name, state, to) =>
    expect(only({ joints: JOINTS.filter(({ joint: { id } }) => id === name) })).toMatchObject({ state, to }),
  );
  test.each([
    ['play', 'ready'],
    ['float', 'stop'],
    ['gap', 'waiting'],
    ['ring', 'waiting'],
    ['shell', 'waiting'],
  ])('fit %s', (name, state) =>
    expect(
      waitsOf(engine({ joints: [joint('x', { final: held })], fits: FITS.filter(({ fit: { id } }) => id === name) })),
    ).toEqual([expect.objectContaining({ state, to: { at: 'fit', id: name } })]),
  );
  test('the order’s own, and what is on order at the tray', () => {
    const found = waitsOf(engine({ joints: [joint('x', { final: held })], order: ORDER }));
    expect(found.map(({ state, to }) => [state, to.at])).toEqual([
      ['waiting', 'order'],
      ['waiting', 'tray'],
      ['waiting', 'order'],
      ['waiting', 'order'],
      ['rest', 'order'],
    ]);
  });
});

describe('what a tag says', () => {
  test('work laid down is taken up before anything else of the order is said', () =>
    expect(words(engine({ joints: [joint('x', { final: held })], order: { ...ORDER, paused: true } }))).toEqual([
      'the work to be taken up again',
    ]));
  test('and there its link leads', () =>
    expect(waitsOf(engine({ joints: [joint('x', { final: held })], order: { ...ORDER, paused: true } }))).toMatchObject(
      [{ to: { at: 'order' } }],
    ));
  test('a place is named where its fit has more than one', () => {
    const tight = place({ state: 'tight' });
    const of = (...places: readonly object[]) =>
      words(engine({ joints: [joint('x', { final: held })], fits: [fit('mains', ...places)] }));
    expect(of(tight)).toEqual(['mains: out of limits']);
    expect(of(place({ name: '1' }), tight)).toEqual(['mains, 2: out of limits']);
  });
  test('the crank is turned where the plan says so', () =>
    expect(only({ joints: [joint('G', { final: round('half', { next: 3, last: {} }) })] }).waitsFor).toBe(
      'G: turn the crank',
    ));
  test('a page that is doubted is asked before the first final pull, and no more once it holds', () => {
    const page = [{ severity: 'stop' }];
    expect(words(engine({ joints: [joint('B', { page, final: held })] }))).toEqual(['nothing']);
    expect(words(engine({ joints: [joint('B', { page: [{ severity: 'warn' }] })] }))).toEqual(['B: to tighten']);
  });
  test('a round that was begun and not pulled is still to tighten', () =>
    expect(only({ joints: [joint('G', { final: round('begun', {}) })] }).waitsFor).toBe('G: to tighten'));
  test('no more are kept than are read on one page', () =>
    expect(waitsOf(engine({ joints: Array.from({ length: 90 }, (_, i) => joint(`j${i}`)) }))).toHaveLength(60));
});

describe('the hour', () => {
  test('a head that cools: from when, and by when', () =>
    expect(only({ joints: [joint('H', { final: held, retorque: { state: 'cooling', window } })] })).toMatchObject({
      about: FROM,
      by: FROM + 2 * HOUR_MS,
      key: 'H',
    }));
  test('one that is cold by its hours stays so: not overdue for four more', () => {
    const byHours = { ...window, byHours: 6 };
    const wait = only({ joints: [joint('H', { final: held, retorque: { state: 'cooling', window: byHours } })] });
    expect(wait.by).toBe(FROM + 6 * HOUR_MS);
  });
  const DAYS = next({ dayAt: FROM, asks: [{ what: 'days', of: 30 }] });
  test.each([
    ['its days, once it was hot', DAYS, 'waiting', FROM],
    ['none before it was hot', { ...DAYS, isHot: false }, 'rest', undefined],
    ['none once it was come to', { ...DAYS, isReached: true }, 'waiting', undefined],
    [
      'none by the odometer alone',
      next({ asks: [{ what: 'distance', of: 300, done: 212, unit: 'mi' }] }),
      'rest',
      undefined,
    ],
  ])('by the rule: %s', (_, of, state, about) => {
    const wait = only({ joints: [joint('I', { final: held, retorque: { state: 'waits-for-heat', next: of } })] });
    expect(wait.state).toBe(state);
    expect([wait.about, wait.by, wait.key]).toEqual(
      about === undefined ? [undefined, undefined, undefined] : [about, about + 24 * HOUR_MS, 'I-1'],
    );
  });
});
