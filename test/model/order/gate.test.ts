import { PLAIN_DETAIL } from '@/model/joint/joint-detail';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { barsOfDoing } from '@/model/order/assert-line';
import { barsOfGate, barsOfJoint, barsOfRetorque, barsOfStart, guardsOfBars } from '@/model/order/gate';
import type { Step } from '@/model/order/step';
import { gateOfRound } from '@/model/order/gate-of-round';
import type { BuildLine } from '@/model/order/build-line';
import { lockKey } from '@/model/order/loose';
import type { OrderRows } from '@/model/order/order-state';
import { bench, fit, joint, part, refusal, step } from './bench-of-order';

const YESTERDAY = '2026-05-15T08:00:00.000Z';
const done = (stepId: string, body = {}) => ({ kind: 'done' as const, stepId, body });

const STEPS = [
  step('shaft'),
  step('mains', { kind: 'joint', jointId: 'j', purpose: 'final', after: ['shaft'] }),
  step('free', { kind: 'freedom', after: ['mains'] }),
  step('close', { after: ['free'], detail: { makes: ['closes'] } }),
  step('start', { after: ['close'], detail: { makes: ['starts'] } }),
];

/** A joint that is pulled for good, and how its sheet says that it and its kinds are locked. */
function lockedBy(locking: string, kinds: readonly { readonly name: string; readonly locking: string }[] = []) {
  const state = joint('j', YESTERDAY);
  const facts = (one: string) => ({ today: null, original: { locking: one } });
  const detail = { ...facts(locking), kinds: kinds.map((kind) => ({ name: kind.name, detail: facts(kind.locking) })) };
  return { ...state, joint: { ...state.joint, detail } } as unknown as ReturnType<typeof joint>;
}

/** An engine of which only closing is left. */
function ready(given: Partial<OrderRows> = {}) {
  const one = bench(STEPS, { joints: [joint('j', YESTERDAY)], fits: [fit('f', 'inside', { holds: ['j'] })], ...given });
  one.write(done('shaft'));
  // The joint was pulled before the shaft was written down as in: looked at.
  if (one.stands('mains') === 'stale') one.write({ kind: 'looked', stepId: 'mains', body: { words: 'as pulled' } });
  one.write(done('free', { felt: 'free' }));
  return one;
}

const close = (one: ReturnType<typeof ready>, reason = '') => refusal(() => one.write({ ...done('close'), reason }));

describe('an engine is closed', () => {
  test('when all is well, without a reason', () => {
    const one = ready();
    expect(one.bars('close')).toEqual([]);
    expect(close(one)).toBe('none');
  });
  test.each([
    ['a fit out', 'fit-out', { fits: [fit('f', 'loose', { holds: ['j'] })] }],
    ['a fit stale', 'fit-stale', { fits: [fit('f', 'stale', { holds: ['j'] })] }],
    ['a fit not read', 'fit-not-proven', { fits: [fit('f', 'unread', { holds: ['j'] })] }],
    ['a fit that stands nowhere in the order', 'fit-not-proven', { fits: [fit('elsewhere', 'unread')] }],
    [
      'a joint that stands nowhere in the order',
      'joint-not-final',
      { joints: [joint('j', YESTERDAY), joint('other')] },
    ],
    ['a joint of which it is not said how it is locked', 'lock-unsaid', { joints: [lockedBy('unsaid')] }],
    ['a part over', 'surplus', { parts: [part('nut', { stepId: 'shaft', need: 2, here: 3 })] }],
    ['a part that goes nowhere', 'surplus', { parts: [part('nut')] }],
    ['a part whose step is gone', 'surplus', { parts: [part('nut', { stepId: 'gone' })] }],
  ] as const)('not with %s, but for a written reason', (_, code, given) => {
    const one = ready(given);
    expect(one.bars('close')).toContain(code);
    expect(close(one)).toBe('needs-reason');
    expect(close(one, 'tried by the maker')).toBe('none');
    expect(one.lines.at(-1)?.body).toMatchObject({ passed: { reason: 'tried by the maker' } });
  });
  test.each([
    ['by a step of its own', step('dial', { kind: 'fit', fitId: 'later', after: ['close'] }), fit('later', 'unread')],
    [
      'by the joint that it holds',
      step('dial', { kind: 'joint', jointId: 'k', purpose: 'final', after: ['close'] }),
      fit('later', 'unread', { holds: ['k'] }),
    ],
  ])('a fit of what is built later, %s, does not bar the closing; the start asks it', (_, dial, later) => {
    const steps = [...STEPS.slice(0, 4), dial, step('start', { after: ['dial'], detail: { makes: ['starts'] } })];
    const one = bench(steps, {
      joints: [joint('j', YESTERDAY), joint('k')],
      fits: [fit('f', 'inside', { holds: ['j'] }), later],
    });
    expect(one.bars('close')).not.toContain('fit-not-proven');
    expect(one.bars('start')).toContain('fit-not-proven');
  });
  test('not with a strip in a bearing, whatever is written', () => {
    const one = ready({ fits: [fit('f', 'inside', { stripIn: true })] });
    expect(close(one, 'never mind')).toBe('strip-in');
  });
  test('not with an aid on it, but for a reason; not with one inside, whatever is written', () => {
    const one = ready();
    const boot = one.write({ kind: 'aid-in', body: { name: 'boot', count: 1, inside: false } });
    expect(close(one)).toBe('needs-reason');
    one.write({ kind: 'aid-out', body: { of: boot, count: 1 } });
    const rags = one.write({ kind: 'aid-in', body: { name: 'rag', count: 2, inside: true } });
    one.write({ kind: 'aid-out', body: { of: rags, count: 1 } });
    expect(close(one, 'it is small')).toBe('aid-in');
    expect(refusal(() => one.write({ kind: 'aid-out', body: { of: rags, count: 2 } }))).toBe('too-many');
    one.write({ kind: 'aid-out', body: { of: rags, count: 1 } });
    expect(close(one)).toBe('none');
  });
  test('not with anything loose; said to be done it is', () => {
    const one = ready();
    const tab = one.write({ kind: 'loose', body: { words: 'tab not bent' } });
    expect(one.bars('close')).toEqual(['loose']);
    expect(close(one)).toBe('needs-reason');
    one.write({ kind: 'tight', body: { of: tab } });
    expect(close(one)).toBe('none');
    expect(refusal(() => one.write({ kind: 'tight', body: { of: tab } }))).toBe('not-loose');
  });
  test('not while something beneath is to be looked at', () => {
    const one = ready();
    one.write({ kind: 'exchanged', stepId: 'shaft', body: { words: 'another' } });
    expect(one.stands('close')).toBe('waiting');
    expect(close(one, 'in haste')).toBe('waits');
    expect(one.bars('start')).toContain('freedom-not-tried');
  });
  test('not while a trial build is not clean', () => {
    const one = bench([step('a'), step('close', { after: ['a'], detail: { makes: ['closes'] } }), step('x')]);
    one.write({ kind: 'trial', body: { upTo: 'x' } });
    one.write(done('x'));
    one.write(done('a'));
    expect(one.bars('close')).toContain('trial');
    one.write({ kind: 'stripped', body: {} });
    expect(one.bars('close')).toContain('trial');
    one.write({ kind: 'cleaned', body: {} });
    expect(one.bars('close')).toEqual([]);
  });
  test('and started only when everything is done, closing with it', () => {
    const one = ready({ parts: [part('plug', { stepId: 'start', here: 2 })] });
    expect(close(one)).toBe('none');
    expect(one.bars('start')).toEqual(['surplus']);
    expect(refusal(() => one.write(done('start')))).toBe('needs-reason');
  });
  test('and not while what was timed holds the crank, whether or not its order has a step that starts it', () => {
    const timed = (steps: readonly Step[]) => {
      const one = bench([step('time', { kind: 'timing' }), ...steps]);
      one.write(done('time', { set: 'by the marks' }));
      return one;
    };
    const message = 'The crank is locked by “time”, and nothing frees it.';
    expect(barsOfStart(timed([]).state())).toMatchObject([{ code: 'crank', message, absolute: false }]);
    const start = step('start', { after: ['time'], detail: { makes: ['starts', 'turns-crank'] } });
    const own = timed([step('fix', { after: ['time'], detail: { makes: ['crank-free'] } }), start]);
    const barsOf = () => barsOfDoing(own.state(), 'start', own.now()).filter(({ code }) => code === 'crank');
    expect(barsOf()).toMatchObject([{ message }]);
    own.write(done('fix'));
    expect(barsOf()).toEqual([]);
    expect(barsOfStart(bench([step('a')]).state()).map(({ code }) => code)).not.toContain('crank');
  });
});

test('how a joint is locked is asked of it and of each of its kinds, once it is pulled for good', () => {
  const said = (...given: Parameters<typeof lockedBy>) =>
    barsOfGate(
      ready({ joints: [lockedBy(...given)] }).state(),
      STEPS.find(({ id }) => id === 'close'),
    )
      .filter(({ code }) => code === 'lock-unsaid')
      .map(({ message, to }) => [message, to]);
  const at = { at: 'joint', id: 'j' };
  expect(said('unsaid')).toEqual([['j: how it is locked is not said.', at]]);
  const kinds = [
    { name: 'long', locking: 'unsaid' },
    { name: 'short', locking: 'none' },
  ];
  expect(said('none', kinds)).toEqual([['j (long): how it is locked is not said.', at]]);
  expect(said('none')).toEqual([]);
  // What is not pulled is said to be so, and no more of it.
  const open = { ...joint('k'), joint: { ...lockedBy('unsaid').joint, id: 'k' } } as ReturnType<typeof joint>;
  const codes = barsOfGate(ready({ joints: [joint('j', YESTERDAY), open] }).state()).map(({ code }) => code);
  expect([codes.includes('joint-not-final'), codes.includes('lock-unsaid')]).toEqual([true, false]);
});

test('bolts that are not inside their stretch are on the list of a joint that is tight, and closing asks', () => {
  const open = [{ bolt: 2, words: 'stretch short', stops: false }];
  const stretched = (more: readonly object[]) => {
    const set = { name: 'j', bolts: 4 };
    const state = { ...joint('j', YESTERDAY), stretch: [{ set, bolts: [], open: more }] };
    return ready({ joints: [state as unknown as ReturnType<typeof joint>] });
  };
  const loose = (one: ReturnType<typeof ready>) => one.state().order.loose.map(({ words }) => words);
  expect(loose(stretched(open))).toEqual(['j: 2 stretch short']);
  expect(stretched(open).bars('close')).toEqual(['loose']);
  expect(close(stretched(open))).toBe('needs-reason');
  expect([loose(stretched([])), close(stretched([]))]).toEqual([[], 'none']);
});

describe('a lock that is made after the last pull', () => {
  const tabbed = () => {
    const state = joint('j', YESTERDAY);
    return {
      ...state,
      joint: {
        ...state.joint,
        detail: { ...PLAIN_DETAIL, original: { ...PLAIN_DETAIL.original, locking: 'tab' as const } },
      },
    };
  };
  test('it is that which it was pulled with, and that of its sheet, each said once', () => {
    const pulledWith = (locking: string | undefined, kinds: readonly object[] = []) => {
      const state = tabbed();
      const { tightening, ...round } = state.final as NonNullable<typeof state.final>;
      const plan = { ...tightening.plan, ...(locking && { locking }), kinds };
      const final = { ...round, tightening: { ...tightening, plan } };
      const one = bench([], { joints: [{ ...state, final } as typeof state] });
      return one.state().order.loose.map(({ words }) => words);
    };
    expect(pulledWith(undefined)).toEqual(['j: tabs not said to be bent over']);
    expect(pulledWith('tab')).toEqual(['j: tabs not said to be bent over']);
    expect(pulledWith('wire')).toEqual(['j: wire not said to be in, tabs not said to be bent over']);
    expect(pulledWith('none', [{ name: 'long', locking: 'pin' }])).toEqual([
      'j: pins not said to be in (long), tabs not said to be bent over',
    ]);
  });
  test('is loose until it is said, and again after a later pull', () => {
    const one = bench(STEPS, { joints: [tabbed()] });
    expect(one.state().order.loose.map(({ words }) => words)).toEqual(['j: tabs not said to be bent over']);
    one.write({ kind: 'tight', body: { of: lockKey('j') } });
    expect(one.state().order.loose).toEqual([]);
    const again = bench(STEPS, { joints: [tabbed()] });
    again.lines.push({
      id: 'x',
      kind: 'tight',
      body: { of: lockKey('j') },
      at: YESTERDAY,
      recordedAt: '2026-05-14T08:00:00.000Z',
    });
    expect(again.state().order.loose).toHaveLength(1);
  });
});

describe('the bench asks the order too', () => {
  test('a joint whose step waits asks for a reason before it is pulled for good', () => {
    const one = bench(STEPS, { joints: [joint('j')] });
    const bars = barsOfJoint(one.state(), 'j');
    expect(bars.map(({ code }) => code)).toEqual(['order-waits']);
    expect(bars[0]?.message).toMatch(/“shaft”/);
    one.write(done('shaft'));
    expect(barsOfJoint(one.state(), 'j')).toEqual([]);
  });
  test('a round that turns the crank asks where timing holds it', () => {
    const turning = joint('j');
    const steps = [
      step('timed', { kind: 'timing' }),
      step('fixed', { after: ['timed'], detail: { makes: ['crank-free'] } }),
    ];
    const asked = (turnShaft: boolean, done: readonly string[], rangeSchool = 'middle') => {
      const own = { ...turning.joint, turnShaft, rangeSchool } as typeof turning.joint;
      const one = bench(steps, { joints: [{ ...turning, joint: own }] });
      for (const id of done) one.write({ kind: 'done', stepId: id, body: { set: 'by the marks' } });
      const held = gateOfRound(one.state(), 'j', 'trial').held;
      expect(held?.why).toBe(done.length === 1 ? 'It is locked by “timed”' : undefined);
      expect(gateOfRound(one.state(), 'j', 'final').held).toEqual(held);
      return barsOfJoint(one.state(), 'j').map(({ code }) => code);
    };
    expect(asked(true, ['timed'])).toEqual(['crank']);
    expect(asked(false, ['timed'])).toEqual([]);
    expect(asked(false, ['timed'], 'bottom-then-middle')).toEqual(['crank']);
    expect(asked(true, ['timed', 'fixed'])).toEqual([]);
  });
  test('a joint that closes the engine asks what closing asks', () => {
    const steps = [step('lid', { kind: 'joint', jointId: 'j', purpose: 'final', detail: { makes: ['closes'] } })];
    const one = bench(steps, { joints: [joint('j')] });
    one.write({ kind: 'aid-in', body: { name: 'rag', count: 1, inside: true } });
    expect(guardsOfBars(barsOfJoint(one.state(), 'j'))).toEqual([
      { code: 'aid-in', severity: 'stop', message: 'Inside the engine: rag.', absolute: true },
    ]);
  });
  test('one gate says what fits and order have against a round; a test round closes nothing', () => {
    const given = { joints: [joint('j')], fits: [fit('f', 'loose', { holds: ['j'] })] };
    const { state } = bench(STEPS, given);
    const codes = (purpose: 'final' | 'retorque' | 'trial') =>
      gateOfRound(state(), 'j', purpose).guards.map(({ code }) => code);
    expect([codes('final'), codes('retorque'), codes('trial')]).toEqual([['fit-out', 'order-waits'], ['fit-out'], []]);
    expect(gateOfRound(state(), 'j', 'trial').gate.held).toHaveLength(1);
  });
  test('a retorque asks what is in and what else is loose, where there is an order', () => {
    const one = ready();
    one.write({ kind: 'loose', body: { words: 'manifold nut' } });
    expect(barsOfRetorque(one.state(), 'j').map(({ code }) => code)).toEqual(['loose']);
    const none = bench([], { joints: [joint('j', YESTERDAY)] });
    none.write({ kind: 'loose', body: { words: 'manifold nut' } });
    expect(barsOfRetorque(none.state(), 'j')).toEqual([]);
  });
});

// A history is any commands in any order; most are refused. What was accepted is held against a count made here.
const PARTS = [
  part('nut', { stepId: 'a', need: 2, here: 2 }),
  part('pin', { stepId: 'b', need: 1, here: 0 }),
  part('spare', { stepId: null, here: 1 }),
];
const LINE = [
  step('a', { detail: { putsIn: [{ name: 'clip', inside: true }] } }),
  step('wash', { kind: 'clean', after: ['a'] }),
  step('b', { after: ['wash'], detail: { takesOut: ['clip'] } }),
  step('spin', { kind: 'freedom', after: ['b'] }),
  step('close', { after: ['spin'], detail: { makes: ['closes'] } }),
];
const ids = LINE.map(({ id }) => id);

type Bench = ReturnType<typeof bench>;
type Command = (on: Bench) => unknown;

/** Puts one kind of thing right, as far as it can be: without it hardly any history would get as far as closing. */
const putRight =
  (what: 'tray' | 'in' | 'loose' | 'stale'): Command =>
  (on) => {
    const { tray, aids, loose, steps } = on.state().order;
    if (what === 'tray')
      for (const {
        part: { id },
        surplus,
        short,
      } of tray) {
        if (surplus > 0) on.write({ kind: 'part-off', partId: id, body: { count: surplus, reason: 'x' } });
        if (short > 0) on.write({ kind: 'part-in', partId: id, body: { count: short, checked: ['thread'] } });
      }
    if (what === 'in') for (const { key, count } of aids) on.write({ kind: 'aid-out', body: { of: key, count } });
    if (what === 'loose') for (const { key } of loose) if (key) on.write({ kind: 'tight', body: { of: key } });
    if (what === 'stale') {
      const first = steps.find(({ state, through }) => state === 'stale' && through === undefined);
      if (first) on.write({ kind: 'looked', stepId: first.step.id, body: { words: 'x' } });
    }
  };

const anyStep = fc.constantFrom(...ids);
const command: fc.Arbitrary<Command> = fc.oneof(
  { weight: 5, arbitrary: fc.constantFrom('tray', 'in', 'loose', 'stale').map(putRight) },
  { weight: 8, arbitrary: anyStep.map((id): Command => (on) => on.write(done(id, { felt: 'free' }))) },
  { weight: 3, arbitrary: fc.constant<Command>((on) => ids.forEach((id) => refusal(() => on.write(done(id, { felt: 'free' }))))) },
  { weight: 1, arbitrary: anyStep.map((id): Command => (on) => on.write({ kind: 'undone', stepId: id, body: { reason: 'x' } })) },
  { weight: 2, arbitrary: anyStep.map((id): Command => (on) => on.write({ kind: 'looked', stepId: id, body: { words: 'x' } })) },
  { weight: 1, arbitrary: anyStep.map((id): Command => (on) => on.write({ kind: 'exchanged', stepId: id, body: { words: 'x' } })) },
  { weight: 1, arbitrary: fc.boolean().map((inside): Command => (on) => on.write({ kind: 'aid-in', body: { name: 'rag', count: 2, inside } })) },
  { weight: 3, arbitrary: fc.nat(1).map((n): Command => (on) => {
    const aid = on.state().order.aids.at(0);
    return aid && on.write({ kind: 'aid-out', body: { of: aid.key, count: n + 1 } });
  }) },
  { weight: 1, arbitrary: fc.constant<Command>((on) => on.write({ kind: 'loose', body: { words: 'tab' } })) },
  { weight: 2, arbitrary: fc.constant<Command>((on) => {
    const one = on.state().order.loose.find(({ key }) => key !== undefined);
    return one?.key && on.write({ kind: 'tight', body: { of: one.key } });
  }) },
  { weight: 1, arbitrary: fc.constant<Command>((on) => on.write({ kind: 'swarf', body: { words: 'x' } })) },
  { weight: 2, arbitrary: fc.constant<Command>((on) => on.write({ kind: 'part-in', partId: 'pin', body: { count: 1, checked: ['thread'] } })) },
  { weight: 2, arbitrary: fc.constantFrom('nut', 'pin', 'spare').map((id): Command => (on) => on.write({ kind: 'part-off', partId: id, body: { count: 1, reason: 'x' } })) },
  { weight: 1, arbitrary: anyStep.map((id): Command => (on) => on.write({ kind: 'trial', body: { upTo: id } })) },
  { weight: 2, arbitrary: fc.constantFrom('stripped' as const, 'cleaned' as const).map((kind): Command => (on) => on.write({ kind, body: {} })) },
  { weight: 1, arbitrary: fc.nat().map((n): Command => (on) => {
    const line = on.lines[n % Math.max(1, on.lines.length)];
    return line && line.kind !== 'strike' && on.write({ kind: 'strike', strikes: line.id, body: {} });
  }) },
); // prettier-ignore

/** What stands open in the lines themselves, counted without the program's own states. */
function openIn(all: readonly BuildLine[]): readonly string[] {
  const struck = new Set(all.flatMap((line) => (line.kind === 'strike' ? [line.strikes] : [])));
  const lines = all.filter((line) => line.kind !== 'strike' && !struck.has(line.id));
  const at = (test: (line: BuildLine) => boolean) => lines.map(test).lastIndexOf(true);
  const isDone = (id: string) => {
    const last = lines.findLast((line) => (line.kind === 'done' || line.kind === 'undone') && line.stepId === id);
    if (last?.kind !== 'done') return false;
    if (last.body.trial) return false;
    return id !== 'wash' || at((line) => line === last) > at(({ kind }) => kind === 'swarf');
  };
  const put = lines.flatMap((line) => (line.kind === 'aid-in' ? [line] : []));
  const out = (of: string) =>
    lines
      .flatMap((line) => (line.kind === 'aid-out' && line.body.of === of ? [line.body.count] : []))
      .reduce((a, b) => a + b, 0);
  const tight = new Set(lines.flatMap((line) => (line.kind === 'tight' ? [line.body.of] : [])));
  const parts = PARTS.flatMap(({ id, here, need, stepId }) => {
    const moved = lines.reduce((sum, line) => {
      if (line.kind === 'part-in' && line.partId === id) return sum + line.body.count;
      return line.kind === 'part-off' && line.partId === id ? sum - line.body.count : sum;
    }, here);
    const used = stepId !== null && isDone(stepId) ? Math.min(need, moved) : 0;
    return moved - used > 0 ? [`over: ${id}`] : [];
  });
  const stripped = at(({ kind }) => kind === 'stripped');
  const clean = at(
    (line) => line.kind === 'cleaned' || (line.kind === 'done' && line.stepId === 'wash' && !line.body.trial),
  );
  const trial = at(({ kind }) => kind === 'trial');
  return [
    ...['a', 'wash', 'b', 'spin'].filter((id) => !isDone(id)).map((id) => `not done: ${id}`),
    ...put.filter((line) => line.body.count > out(line.id)).map(() => 'an aid is in'),
    ...lines.filter((line) => line.kind === 'loose' && !tight.has(line.id)).map(() => 'loose'),
    ...parts,
    ...(trial >= 0 && (stripped < trial || clean < stripped) ? ['a trial'] : []),
  ];
}

test('no history of 10,000 closes an engine while something that closing guards is open', () => {
  let [closed, refused] = [0, 0];
  fc.assert(
    fc.property(fc.array(command, { minLength: 4, maxLength: 24 }), (commands) => {
      const on = bench(LINE, { parts: PARTS });
      for (const run of commands) {
        const before = on.lines.length;
        const said = refusal(() => run(on));
        if (said !== 'none') refused += 1;
        const added = on.lines
          .slice(before)
          .filter((line) => line.kind === 'done' && line.stepId === 'close' && !line.body.trial);
        for (const line of added) {
          closed += 1;
          expect(openIn(on.lines.slice(0, on.lines.indexOf(line)))).toEqual([]);
        }
      }
    }),
    { numRuns: 10_000, seed: 12, endOnFailure: true },
  );
  // Neither side of the gate went untried.
  expect(closed).toBeGreaterThan(200);
  expect(refused).toBeGreaterThan(10_000);
}, 120_000);

test('cancelling the last lines one by one comes back to every state that was', () => {
  fc.assert(
    fc.property(fc.array(command, { minLength: 1, maxLength: 14 }), (commands) => {
      const on = bench(LINE, { parts: PARTS });
      const seen: string[] = [];
      const stateOf = () => {
        const { steps, aids, loose, tray, crank } = on.state().order;
        return JSON.stringify([
          steps.map(({ step: { id }, state, why }) => [id, state, why]),
          aids,
          loose,
          tray,
          crank,
        ]);
      };
      const plain = commands.filter((run) => {
        const [before, stood] = [on.lines.length, stateOf()];
        if (refusal(() => run(on)) !== 'none' || on.lines.length !== before + 1) return false;
        seen.push(stood);
        return true;
      });
      const written = on.lines.slice(-plain.length);
      fc.pre(plain.length > 0 && written.length === plain.length && on.lines.every(({ kind }) => kind !== 'strike'));
      fc.pre(on.lines.length === plain.length);
      for (const line of [...written].reverse()) {
        on.write({ kind: 'strike', strikes: line.id, body: {} });
        expect(stateOf()).toBe(seen.pop());
      }
    }),
    { numRuns: 400, seed: 5 },
  );
}, 60_000);

test.each([
  ['2026-05', 'none'],
  ['2026-05-16', 'none'],
  ['2026-04', 'needs-reason'],
  ['2026-05-15', 'needs-reason'],
  [undefined, 'none'],
])('a compound with the date %s, on 16 May 2026: %s', (useBy, said) => {
  const surfaces = [{ what: 'sealant', on: 'one face', much: '', sets: '', ...(useBy !== undefined && { useBy }) }];
  const one = bench([step('coat', { detail: { surfaces } })]);
  expect(refusal(() => one.write(done('coat')))).toBe(said);
  if (said === 'needs-reason')
    expect(refusal(() => one.write({ ...done('coat'), reason: 'tried on a tile' }))).toBe('none');
});

describe('a step that turns the crank', () => {
  const turning = [
    step('lock', { detail: { makes: ['crank-locked'] } }),
    step('turn', { after: ['lock'], detail: { makes: ['turns-crank'] } }),
    step('free', { after: ['lock'], detail: { makes: ['crank-free'] } }),
  ];
  const turn = (one: ReturnType<typeof bench>, reason = '') => refusal(() => one.write({ ...done('turn'), reason }));
  test('is asked about while the shaft is locked, by the step that locked it, and not once it is free', () => {
    const one = bench(turning);
    one.write(done('lock'));
    const [bar] = barsOfDoing(one.state(), 'turn', '2026-05-16');
    expect(bar).toMatchObject({ code: 'crank', absolute: false, to: { at: 'step', id: 'lock' } });
    expect(bar?.message).toBe('The crank is locked by “lock”; this turns it.');
    expect(turn(one)).toBe('needs-reason');
    one.write(done('free'));
    expect(barsOfDoing(one.state(), 'turn', '2026-05-16')).toEqual([]);
    expect(turn(one)).toBe('none');
  });
  test('is not done at all while a strip lies in a bearing, whatever is written', () => {
    const one = bench([step('turn', { detail: { makes: ['turns-crank'] } })], {
      fits: [fit('mains', 'inside', { stripIn: true })],
    });
    expect(barsOfDoing(one.state(), 'turn', '2026-05-16')).toMatchObject([
      { code: 'strip-in', absolute: true, to: { at: 'in' } },
    ]);
    expect(turn(one, 'carefully')).toBe('strip-in');
    expect(refusal(() => bench([step('other')]).write(done('other')))).toBe('none');
  });
});
