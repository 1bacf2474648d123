import { roundState } from '@/core/tightening';
import { describe, expect, test } from '@jest/globals';
import { bench, fit, joint, part, refusal, step } from './bench-of-order';

const chain = [
  step('clean', { kind: 'clean' }),
  step('shaft', { after: ['clean'] }),
  step('cover', { after: ['shaft'] }),
  step('beside', { kind: 'other' }),
];

const done = (stepId: string, body = {}) => ({ kind: 'done' as const, stepId, body });

describe('what may be done now', () => {
  test('is what everything before is done of; the rest says what it waits for', () => {
    const { stands, state, write } = bench(chain);
    expect(['clean', 'shaft', 'cover', 'beside'].map(stands)).toEqual(['open', 'waiting', 'waiting', 'open']);
    expect(state().order.byId.get('cover')?.waits).toEqual([{ kind: 'step', stepId: 'shaft' }]);
    write(done('clean'));
    expect(['clean', 'shaft', 'cover'].map(stands)).toEqual(['done', 'open', 'waiting']);
  });
  test('a step out of its turn is refused, and one that is done already', () => {
    const { write } = bench(chain);
    expect(refusal(() => write(done('cover')))).toBe('waits');
    write(done('clean'));
    expect(refusal(() => write(done('clean')))).toBe('done-already');
    expect(refusal(() => write(done('nowhere')))).toBe('not-found');
  });
  test('what would be hidden waits for what hides it to come off again', () => {
    const steps = [step('lid'), step('inner', { notUntil: ['lid'] })];
    const { stands, state } = bench(steps);
    expect([stands('inner'), stands('lid')]).toEqual(['open', 'waiting']);
    expect(state().order.steps.map((one) => one.step.id)).toEqual(['inner', 'lid']);
  });
  test('steps in a ring, as a file may have them, are said and take nothing down', () => {
    const { state, stands } = bench([step('a', { after: ['b'] }), step('b', { after: ['a'] })]);
    expect(state().order.trouble).toMatch(/ring/);
    expect(stands('a')).toBe('waiting');
  });
  test('a prerequisite that is gone holds nothing up', () => {
    expect(bench([step('a', { after: ['gone'] })]).stands('a')).toBe('open');
  });
});

describe('a joint and a fit say by themselves when they are done', () => {
  const steps = [
    step('mains', { kind: 'joint', jointId: 'j', purpose: 'final' }),
    step('play', { kind: 'fit', fitId: 'f', after: ['mains'] }),
    step('free', { kind: 'freedom', after: ['mains'] }),
  ];
  test('and are never ticked', () => {
    const { write } = bench(steps, { joints: [joint('j')], fits: [fit('f', 'unread')] });
    expect(refusal(() => write(done('mains')))).toBe('by-joint');
    expect(refusal(() => write(done('play')))).toBe('by-fit');
  });
  test('one that is called so and has none of its own is ticked, and so is another that speaks of one', () => {
    const { write } = bench(
      [
        step('a', { kind: 'joint' }),
        step('b', { kind: 'fit' }),
        step('c', { jointId: 'j' }),
        step('d', { fitId: 'f' }),
      ],
      { joints: [joint('j')], fits: [fit('f', 'unread')] },
    );
    for (const id of ['a', 'b', 'c', 'd']) expect(refusal(() => write(done(id)))).toBe('none');
  });
  test('what was done for trial is done, and so is what is to be looked at', () => {
    const chained = [step('one'), step('two', { after: ['one'] }), step('three', { after: ['two'] })];
    const tried = bench(chained);
    tried.write({ kind: 'trial', body: { upTo: 'two' } });
    tried.write(done('one'));
    expect([tried.stands('one'), refusal(() => tried.write(done('one')))]).toEqual(['trial', 'done-already']);
    const opened = bench(chained);
    for (const id of ['one', 'two']) opened.write(done(id));
    opened.write({ kind: 'undone', stepId: 'one', body: { reason: 'looked again' } });
    expect([opened.stands('two'), refusal(() => opened.write(done('two')))]).toEqual(['stale', 'done-already']);
  });
  test('a joint is done by its final round, not by a trial one', () => {
    const at = '2026-05-15T08:00:00.000Z';
    expect(bench(steps, { joints: [joint('j', at, 'trial')] }).stands('mains')).toBe('open');
    expect(bench(steps, { joints: [joint('j', at)] }).stands('mains')).toBe('done');
    // One of two pulled.
    expect(bench(steps, { joints: [joint('j', at, 'final', 2)] }).stands('mains')).toBe('open');
  });
  test('a joint of another purpose is done by a round of that kind', () => {
    const sizing = [step('sizing', { kind: 'joint', jointId: 'j', purpose: 'sizing' })];
    expect(bench(sizing, { joints: [joint('j', '2026-05-15T08:00:00.000Z')] }).stands('sizing')).toBe('open');
    expect(bench(sizing, { joints: [joint('j', '2026-05-15T08:00:00.000Z', 'trial')] }).stands('sizing')).toBe('done');
  });
  test('freedom is written down as felt, and tried again after a later pass', () => {
    const { write, stands, why } = bench(steps, { joints: [joint('j', '2026-05-15T08:00:00.000Z')] });
    expect(refusal(() => write(done('free')))).toBe('not-felt');
    expect(refusal(() => write(done('free', { felt: ' ' })))).toBe('not-felt');
    write(done('free', { felt: 'free all round' }));
    expect(stands('free')).toBe('done');
    const later = bench(steps, { joints: [joint('j', '2026-05-17T08:00:00.000Z')] });
    later.write(done('free', { felt: 'free' }));
    expect(later.stands('free')).toBe('stale');
    expect(later.why('free')).toMatch(/was pulled since/);
    expect(stands('free')).toBe('done');
    expect(why('free')).toBeUndefined();
  });
});

describe('what is to be looked at again', () => {
  const built = () => {
    const one = bench(chain);
    for (const id of ['clean', 'shaft', 'cover', 'beside']) one.write(done(id));
    return one;
  };
  test('opening a step up makes what rests on it stale, and no other', () => {
    const { write, stands, why } = built();
    write({ kind: 'undone', stepId: 'shaft', body: { reason: 'a shell was dirty' } });
    expect(['clean', 'shaft', 'cover', 'beside'].map(stands)).toEqual(['done', 'open', 'stale', 'done']);
    expect(why('cover')).toMatch(/“shaft” is open again: a shell was dirty/);
  });
  test('done anew it is stale still, until it was looked at', () => {
    const { write, stands } = built();
    write({ kind: 'undone', stepId: 'shaft', body: { reason: 'dirty' } });
    write(done('shaft'));
    expect(stands('cover')).toBe('stale');
    write({ kind: 'looked', stepId: 'cover', body: { words: 'sits as before' } });
    expect(stands('cover')).toBe('done');
    expect(refusal(() => write({ kind: 'looked', stepId: 'cover', body: { words: 'again' } }))).toBe('not-stale');
  });
  test('through others only the first has to be looked at', () => {
    const four = bench([...chain, step('top', { after: ['cover'] })]);
    for (const id of ['clean', 'shaft', 'cover', 'beside', 'top']) four.write(done(id));
    four.write({ kind: 'exchanged', stepId: 'shaft', body: { words: 'another shaft' } });
    expect(['shaft', 'cover', 'top'].map(four.stands)).toEqual(['stale', 'stale', 'stale']);
    expect(four.state().order.byId.get('top')?.through).toBe('shaft');
    four.write({ kind: 'looked', stepId: 'shaft', body: { words: 'same size' } });
    expect(['shaft', 'cover', 'top'].map(four.stands)).toEqual(['done', 'done', 'done']);
  });
  test('undone by cancelling the line it is as it was', () => {
    const { write, stands, state } = built();
    const before = JSON.stringify(state().order.steps);
    const id = write({ kind: 'undone', stepId: 'shaft', body: { reason: 'x' } });
    write({ kind: 'strike', strikes: id, body: {} });
    expect(JSON.stringify(state().order.steps)).toBe(before);
    expect(stands('cover')).toBe('done');
  });
  test('swarf opens the cleaning again, and what was built since is to be looked at', () => {
    const { write, stands, why } = built();
    write({ kind: 'swarf', body: { words: 'a bore was honed' } });
    expect(['clean', 'shaft'].map(stands)).toEqual(['open', 'stale']);
    expect(why('clean')).toMatch(/cut, honed or filed/);
  });
  test('a fit that was cut does the same; a step with its own cleaning behind it does not', () => {
    const cut = bench(chain, { cutAt: ['2026-05-17T08:00:00.000Z'] });
    cut.write(done('clean'));
    expect(cut.stands('clean')).toBe('open');
    const lapped = bench([
      step('first', { kind: 'clean' }),
      step('lap', { after: ['first'], detail: { makes: ['swarf'] } }),
      step('wash', { kind: 'clean', after: ['lap'] }),
    ]);
    lapped.write(done('first'));
    lapped.write(done('lap'));
    expect(['first', 'lap', 'wash'].map(lapped.stands)).toEqual(['done', 'done', 'open']);
  });
  test('what was timed is looked at once the crank was turned, unless it was fixed before', () => {
    const timed = (fixed: boolean) => {
      const one = bench([
        step('time', { kind: 'timing' }),
        step('fix', { after: ['time'], detail: { makes: ['crank-free'] } }),
      ]);
      expect(refusal(() => one.write(done('time')))).toBe('not-set');
      expect(refusal(() => one.write(done('time', { set: '  ' })))).toBe('not-set');
      one.write(done('time', { set: 'by the marks' }));
      expect(one.state().order.crank).toEqual({ state: 'locked', stepId: 'time', since: one.now() });
      if (fixed) one.write(done('fix'));
      one.write({ kind: 'turned', body: { words: '' } });
      return one.stands('time');
    };
    expect([timed(false), timed(true)]).toEqual(['stale', 'done']);
  });
  test('a step that times it and leaves it free to turn is not', () => {
    const one = bench([step('time', { kind: 'timing', detail: { makes: ['crank-free'] } })]);
    one.write(done('time', { set: 'by the marks' }));
    one.write({ kind: 'turned', body: { words: '' } });
    expect(one.stands('time')).toBe('done');
  });
  test.each([
    ['after it was timed', '2026-05-16T09:00:00.000Z', 'stale'],
    ['before that', '2026-05-16T07:00:00.000Z', 'done'],
  ])('so is one that a round turned between its stages %s', (_, recordedAt, stands) => {
    const caps = joint('caps');
    const turn = { id: 'turn', kind: 'shaft', step: 1, at: recordedAt, recordedAt } as const;
    const strike = { id: 'back', kind: 'strike', strikes: 'turn', at: recordedAt, recordedAt } as const;
    const standing = (events: readonly (typeof turn | typeof strike)[]) => {
      const state = roundState([], events, 0);
      const round = { tightening: { purpose: 'final', startedAt: recordedAt }, events, state };
      const one = bench([step('time', { kind: 'timing' })], { joints: [{ ...caps, tightenings: [round] } as never] });
      one.write(done('time', { set: 'by the marks' }));
      return one.stands('time');
    };
    expect([standing([turn]), standing([turn, strike])]).toEqual([stands, 'done']);
  });
});

describe('what no later change may take off a list', () => {
  const steps = [
    step('pistons', { detail: { putsIn: [{ name: 'covers', inside: true }] } }),
    step('off', { after: ['pistons'], detail: { takesOut: ['covers'] } }),
  ];
  test('a step that put an aid in is not opened up before it is signed out', () => {
    const { write, state } = bench(steps);
    write(done('pistons'));
    const open = () => write({ kind: 'undone', stepId: 'pistons', body: { reason: 'a ring broke' } });
    expect(refusal(open)).toBe('aid-in');
    write({ kind: 'aid-out', body: { of: state().order.aids[0]?.key ?? '', count: 1 } });
    expect(refusal(open)).toBe('none');
  });
  test('nor is a trial taken apart while something that it put in is in', () => {
    const { write, state } = bench(steps);
    write({ kind: 'trial', body: { upTo: 'pistons' } });
    write(done('pistons'));
    expect(refusal(() => write({ kind: 'stripped', body: {} }))).toBe('aid-in');
    write({ kind: 'aid-out', body: { of: state().order.aids[0]?.key ?? '', count: 1 } });
    expect(refusal(() => write({ kind: 'stripped', body: {} }))).toBe('none');
  });
  test('what a step says of aids after it was done moves none', () => {
    const { write, lines } = bench(steps);
    write(done('pistons'));
    const changed = [step('pistons', { detail: { putsIn: [] } }), step('beside', { detail: { takesOut: ['covers'] } })];
    const after = bench(changed);
    after.lines.push(...lines);
    expect(after.state().order.aids.map(({ name }) => name)).toEqual(['covers']);
  });
  test('looking at a step does not help while what it rests on is open', () => {
    const { write, why } = bench(chain);
    for (const id of ['clean', 'shaft', 'cover']) write(done(id));
    write({ kind: 'undone', stepId: 'shaft', body: { reason: 'dirty' } });
    const look = () => write({ kind: 'looked', stepId: 'cover', body: { words: 'fine' } });
    expect(refusal(look)).toBe('not-yet');
    expect(why('cover')).toMatch(/open again/);
    write(done('shaft'));
    expect(refusal(look)).toBe('none');
  });
  test('a once-only part that was built in and opened up is used up; one that was only tried is not', () => {
    const gasket = [part('gasket', { stepId: 'a', condition: 'once-only' })];
    const on = bench([step('a')], { parts: gasket });
    on.write(done('a'));
    on.write({ kind: 'undone', stepId: 'a', body: { reason: 'leaks' } });
    expect(on.stands('a')).toBe('barred');
    expect(on.state().order.tray[0]).toMatchObject({ spent: 1, short: 1 });
    on.write({ kind: 'part-in', partId: 'gasket', body: { count: 1, checked: [] } });
    expect(on.stands('a')).toBe('open');
    const tried = bench([step('a')], { parts: gasket });
    tried.write({ kind: 'trial', body: { upTo: 'a' } });
    tried.write(done('a'));
    tried.write({ kind: 'undone', stepId: 'a', body: { reason: 'crooked' } });
    expect(tried.state().order.tray[0]).toMatchObject({ spent: 0, short: 0 });
  });
  test('a part that is missing from a step that is done is missing still', () => {
    const on = bench([step('a')], { parts: [part('pin', { stepId: 'a', here: 0 })] });
    const came = on.write({ kind: 'part-in', partId: 'pin', body: { count: 1, checked: [] } });
    on.write(done('a'));
    on.write({ kind: 'strike', strikes: came, body: {} });
    expect(on.state().order.tray[0]).toMatchObject({ short: 1 });
  });
});

describe('a trial build', () => {
  const steps = [
    step('crank', {}),
    step('case', { after: ['crank'], detail: { makes: ['sealant'] } }),
    step('seal', { after: ['case'] }),
  ];
  test('is tried, taken apart, cleaned, and does not count', () => {
    const { write, stands, state } = bench(steps);
    write({ kind: 'trial', body: { upTo: 'case' } });
    write(done('crank'));
    expect(stands('crank')).toBe('trial');
    // A sealant sets: asked before.
    expect(refusal(() => write(done('case')))).toBe('needs-reason');
    write({ ...done('case'), reason: 'dry, without it' });
    expect(state().order.trial?.isTried).toBe(true);
    // What is not of the stretch waits for what was done for good.
    expect(refusal(() => write({ kind: 'trial', body: { upTo: 'seal' } }))).toBe('trial-going');
    write({ kind: 'stripped', body: {} });
    expect(['crank', 'case', 'seal'].map(stands)).toEqual(['barred', 'waiting', 'waiting']);
    expect(refusal(() => write(done('crank')))).toBe('waits');
    write({ kind: 'cleaned', body: {} });
    expect(stands('crank')).toBe('open');
    write(done('crank'));
    expect(stands('crank')).toBe('done');
  });
  test('tells of what is tried whether or not its sender says so', () => {
    const { write, lines } = bench(steps);
    write(done('crank', { trial: true }));
    expect(lines.at(-1)?.body).toEqual({ putsIn: [], takesOut: [] });
  });
  test('passes over a fit that is not proven, which proves nothing', () => {
    const fitted = [step('play', { kind: 'fit', fitId: 'f' }), step('lid', { after: ['play'] })];
    const on = bench(fitted, { fits: [fit('f', 'loose')] });
    on.write({ kind: 'trial', body: { upTo: 'lid' } });
    on.write(done('play'));
    on.write(done('lid'));
    on.write({ kind: 'stripped', body: {} });
    on.write({ kind: 'cleaned', body: {} });
    expect([on.stands('play'), on.stands('lid')]).toEqual(['open', 'waiting']);
  });
  test('stands on the list of what is loose, its beginning cancelled too', () => {
    const { write, state, bars } = bench([...steps, step('shut', { detail: { makes: ['closes'] } })]);
    const begun = write({ kind: 'trial', body: { upTo: 'crank' } });
    write(done('crank'));
    expect(state().order.loose.map(({ words }) => words)).toEqual(['crank: fitted for trial']);
    write({ kind: 'strike', strikes: begun, body: {} });
    expect(state().order.loose.map(({ words }) => words)).toEqual(['crank: fitted for trial']);
    expect(bars('shut')).toContain('loose');
  });
});

describe('parts of a step', () => {
  const steps = [step('pump')];
  test('short, unchecked or to be replaced, they hold it up', () => {
    const asks = (given: object) =>
      bench(steps, { parts: [part('gear', { stepId: 'pump', ...given })] }).stands('pump');
    expect(asks({})).toBe('open');
    expect(asks({ here: 0 })).toBe('barred');
    expect(asks({ origin: 'bought' })).toBe('barred');
    expect(asks({ condition: 'to-replace' })).toBe('barred');
  });
  test('what comes is counted and checked in, and then it is open', () => {
    const { write, stands, state } = bench(steps, {
      parts: [part('gear', { stepId: 'pump', here: 0, origin: 'bought' })],
    });
    write({ kind: 'part-order', partId: 'gear', body: { words: 'from the maker' } });
    expect(state().order.tray[0]?.asks).toMatch(/1 short, on order: from the maker/);
    write({ kind: 'part-in', partId: 'gear', body: { count: 1, checked: [] } });
    expect(stands('pump')).toBe('barred');
    write({ kind: 'part-checked', partId: 'gear', body: { checked: ['moves'] } });
    expect(stands('pump')).toBe('open');
    write(done('pump'));
    expect(state().order.tray[0]).toMatchObject({ used: 1, left: 0, surplus: 0 });
  });
  test('marks that differ, or were not read, are asked about as it is fitted', () => {
    const marked = part('cap', { stepId: 'pump', mark: '2', detail: { mates: 'saddle 2', hides: '', words: '' } });
    const fitted = (body: object) => refusal(() => bench(steps, { parts: [marked] }).write(done('pump', body)));
    expect(fitted({})).toBe('needs-reason');
    expect(fitted({ marks: ['3', '3'] })).toBe('needs-reason');
    expect(fitted({ marks: ['2', '3'] })).toBe('needs-reason');
    expect(fitted({ marks: ['2', ' 2 '] })).toBe('none');
    const told = (body: object) => () => bench(steps, { parts: [marked] }).write(done('pump', body));
    expect(told({})).toThrow(/is marked 2 \(saddle 2\): its marks were not read/);
    expect(told({ marks: ['3', '3'] })).toThrow(/is written down with the mark 2; read is 3/);
    expect(told({ marks: ['2', '3'] })).toThrow(/2 on the part, 3 where it goes/);
  });
  test('what no step waits for is not missed once it is struck off; what one waits for is', () => {
    const { write, state } = bench(steps, { parts: [part('spare'), part('gear', { stepId: 'pump' })] });
    for (const partId of ['spare', 'gear']) write({ kind: 'part-off', partId, body: { count: 1, reason: 'lost' } });
    expect(state().order.tray.map(({ short, surplus }) => [short, surplus])).toEqual([
      [0, 0],
      [1, 0],
    ]);
  });
  test('no more is struck off than lies there, and an order is for what is short', () => {
    const { write } = bench(steps, { parts: [part('gear', { here: 2 })] });
    expect(refusal(() => write({ kind: 'part-off', partId: 'gear', body: { count: 3, reason: 'spare' } }))).toBe(
      'too-many',
    );
    expect(refusal(() => write({ kind: 'part-order', partId: 'gear', body: { words: 'x' } }))).toBe('not-short');
  });
});
