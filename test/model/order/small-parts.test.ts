import { describe, expect, test } from '@jest/globals';
import { aidsIn } from '@/model/order/aids';
import type { BuildLine } from '@/model/order/build-line';
import { crankOf } from '@/model/order/crank';
import { pairsOffTray } from '@/model/order/pairs-off-tray';
import type { DoneFact } from '@/model/order/step-facts';
import { trayOf } from '@/model/order/tray';
import { trialOf } from '@/model/order/trial';
import type { EngineMeasure } from '@/model/engine/engine-measure';
import { part, step } from './bench-of-order';

const hour = (n: number) => `2026-05-16T${String(n).padStart(2, '0')}:00:00.000Z`;
const line = (kind: string, n: number, rest: object = {}) =>
  ({ id: `${kind}-${n}`, kind, at: hour(n), recordedAt: hour(n), body: {}, ...rest }) as unknown as BuildLine;
const facts = (given: Readonly<Record<string, Partial<DoneFact>>>): ReadonlyMap<string, DoneFact> =>
  new Map(Object.entries(given).map(([id, fact]) => [id, { isTrial: false, ...fact }]));

describe('what holds the crank', () => {
  const steps = [
    step('in', { detail: { makes: ['crank-free'] } }),
    step('pin', { detail: { makes: ['crank-locked'] } }),
    step('hold', { detail: { makes: ['crank-held'] } }),
    step('time', { kind: 'timing' }),
    step('out', { detail: { makes: ['turns-crank', 'crank-free'] } }),
  ];
  const at = (given: Readonly<Record<string, number>>) =>
    crankOf(steps, facts(Object.fromEntries(Object.entries(given).map(([id, n]) => [id, { movedAt: hour(n) }]))));
  test('nothing, where no step says so or none of them is done', () => {
    expect(at({})).toEqual({ state: 'free' });
    expect(crankOf([step('plain')], facts({ plain: { movedAt: hour(9) } }))).toEqual({ state: 'free' });
  });
  test('the step done last, wherever it stands; a timing that was set locks it', () => {
    expect(at({ pin: 9 })).toEqual({ state: 'locked', stepId: 'pin', since: hour(9) });
    expect(at({ pin: 9, hold: 8 }).stepId).toBe('pin');
    expect(at({ hold: 10, pin: 9 })).toEqual({ state: 'held', stepId: 'hold', since: hour(10) });
    expect(at({ time: 11, hold: 10 })).toEqual({ state: 'locked', stepId: 'time', since: hour(11) });
    expect(at({ time: 11, out: 12 })).toEqual({ state: 'free', stepId: 'out', since: hour(12) });
    expect(at({ pin: 9, hold: 9 }).stepId).toBe('hold');
  });
});

describe('aids that are in', () => {
  const put = (n: number, count = 1) => line('aid-in', n, { body: { name: 'Rag', count, inside: true } });
  const out = (n: number, of: string, count = 1) => line('aid-out', n, { body: { of, count } });
  const counts = (lines: readonly BuildLine[]) => aidsIn([], lines, facts({})).map(({ name, count }) => [name, count]);
  test('are as many as were signed in less those signed out', () => {
    expect(counts([put(8, 3)])).toEqual([['Rag', 3]]);
    expect(counts([put(8, 3), out(9, 'aid-in-8'), out(10, 'aid-in-8')])).toEqual([['Rag', 1]]);
    expect(counts([put(8), out(9, 'aid-in-8')])).toEqual([]);
    expect(counts([put(8), out(9, 'another')])).toEqual([['Rag', 1]]);
  });
  test('a step puts them in once it is done, and another takes them out by their name, but only afterwards', () => {
    const steps = [
      step('stuff', { detail: { putsIn: [{ name: 'Rag', inside: true }] } }),
      step('clear', { detail: { takesOut: [' rag '] } }),
    ];
    const inAt = (given: Readonly<Record<string, Partial<DoneFact>>>) => aidsIn(steps, [], facts(given));
    expect(inAt({})).toEqual([]);
    expect(inAt({ stuff: { movedAt: hour(8) } })).toEqual([
      { key: 'stuff:0', name: 'Rag', count: 1, inside: true, stepId: 'stuff' },
    ]);
    expect(inAt({ stuff: { movedAt: hour(8) }, clear: { movedAt: hour(9) } })).toEqual([]);
    expect(inAt({ stuff: { movedAt: hour(9) }, clear: { movedAt: hour(8) } })).toHaveLength(1);
    // Something else that is taken out is something else.
    const other = [...steps.slice(0, 1), step('clear', { detail: { takesOut: ['tape'] } })];
    expect(aidsIn(other, [], facts({ stuff: { movedAt: hour(8) }, clear: { movedAt: hour(9) } }))).toHaveLength(1);
    // Ticked in one go, they have one time: it is out.
    expect(inAt({ stuff: { movedAt: hour(9) }, clear: { movedAt: hour(9) } })).toEqual([]);
    expect(inAt({ clear: { movedAt: hour(8) } })).toEqual([]);
  });
});

describe('a trial build', () => {
  const steps = [step('a'), step('b', { after: ['a'] }), step('c', { after: ['b'] }), step('wash', { kind: 'clean' })];
  const trial = line('trial', 8, { body: { upTo: 'b' } });
  test('goes over what the chosen step rests on and was not done for good, until it is taken apart', () => {
    expect(trialOf(steps, [], facts({}))).toBeUndefined();
    const going = trialOf(steps, [trial], facts({}));
    expect([going?.isGoing, [...(going?.stretch ?? [])].sort(), going?.isTried]).toEqual([true, ['a', 'b'], false]);
    expect([...(trialOf(steps, [trial], facts({ a: {} }))?.stretch ?? [])]).toEqual(['b']);
    const tried = trialOf(steps, [trial], facts({ a: { isTrial: true }, b: { isTrial: true } }));
    expect(tried).toMatchObject({ isTried: true, asksClean: false, upTo: 'b' });
  });
  test('asks to be cleaned once it was taken apart, and is over by a line or by a cleaning step done since', () => {
    const apart = [trial, line('stripped', 9)];
    expect(trialOf(steps, apart, facts({}))).toMatchObject({ isGoing: false, asksClean: true, isTried: false });
    expect(trialOf(steps, [...apart, line('cleaned', 10)], facts({}))).toBeUndefined();
    expect(trialOf(steps, apart, facts({ wash: { movedAt: hour(10) } }))).toBeUndefined();
    expect(trialOf(steps, apart, facts({ wash: { movedAt: hour(8) } }))?.asksClean).toBe(true);
    expect(trialOf(steps, apart, facts({ c: { movedAt: hour(10) } }))?.asksClean).toBe(true);
    // The last one that was begun counts.
    const again = [...apart, line('cleaned', 10), line('trial', 11, { body: { upTo: 'a' } })];
    expect(trialOf(steps, again, facts({}))).toMatchObject({ isGoing: true, upTo: 'a' });
  });
});

describe('the tray', () => {
  const came = (n: number, count: number, checked: readonly string[] = []) =>
    line('part-in', n, { partId: 'p', body: { count, checked } });
  const off = (n: number, count: number) => line('part-off', n, { partId: 'p', body: { count, reason: 'bent' } });
  const one = (given: Parameters<typeof part>[1], lines: readonly BuildLine[] = [], done = facts({})) => {
    const [own] = trayOf([part('p', { stepId: 's', need: 2, here: 2, ...given })], lines, done, new Set(['s']));
    if (!own) throw new Error('no part');
    return own;
  };
  test('has what was here and came, less what was struck off', () => {
    expect(one({}, [came(8, 3), off(9, 1)])).toMatchObject({ has: 4, left: 4, used: 0, short: 0, surplus: 2 });
    expect(one({ here: 0 })).toMatchObject({ has: 0, short: 2, asks: 'p: 2 short' });
    expect(one({ here: 1 }, [off(9, 3)])).toMatchObject({ has: 0, short: 2 });
    const ordered = line('part-order', 9, { partId: 'p', body: { words: 'two from the mill' } });
    expect(one({ here: 1 }, [ordered])).toMatchObject({
      order: 'two from the mill',
      asks: 'p: 1 short, on order: two from the mill',
    });
    expect(one({}, [ordered])).not.toHaveProperty('order');
  });
  test('its step done for good has used them, and asks for nothing any more; done on trial it has not', () => {
    expect(one({ here: 3 }, [], facts({ s: {} }))).toMatchObject({ used: 2, left: 1, surplus: 1 });
    expect(one({ here: 3 }, [], facts({ s: { isTrial: true } }))).toMatchObject({ used: 0, left: 3, surplus: 1 });
    expect(one({ here: 1 }, [], facts({ s: {} }))).not.toHaveProperty('asks');
  });
  test('what goes to no step is over, and is not missed once it is struck off', () => {
    expect(one({ stepId: 'gone' })).toMatchObject({ surplus: 2, short: 0 });
    expect(one({ stepId: null }, [off(9, 2)])).toMatchObject({ has: 0, surplus: 0, short: 0 });
  });
  test('a part that is to be replaced, or came and was not looked at, holds its step up', () => {
    expect(one({ condition: 'to-replace' }).asks).toBe('p: to be replaced');
    expect(one({ origin: 'bought' }).asks).toContain('not checked since it came');
    expect(one({ origin: 'bought', here: 0 }, [came(8, 2, ['length'])]).asks).toBeUndefined();
  });
  test('a part used once is spent each time its step is opened up again, and by no trial', () => {
    const did = (n: number, trial?: true) => line('done', n, { stepId: 's', body: { ...(trial && { trial }) } });
    const undid = (n: number, body: object = {}) => line('undone', n, { stepId: 's', body });
    const once = { condition: 'once-only', here: 6 } as const;
    expect(one(once, [did(8), undid(9)])).toMatchObject({ spent: 2, has: 4 });
    expect(one(once, [did(8), undid(9), did(10), undid(11)])).toMatchObject({ spent: 4, has: 2 });
    expect(one(once, [did(8, true), undid(9)])).toMatchObject({ spent: 0, has: 6 });
    expect(one(once, [undid(9)])).toMatchObject({ spent: 0 });
    expect(one(once, [undid(9, { jointId: 'j' })])).toMatchObject({ spent: 2 });
    expect(one({ ...once, condition: 'good' }, [did(8), undid(9)])).toMatchObject({ spent: 0, has: 6 });
  });
});

test('pairs of the last sheet of marks that no part of the tray is', () => {
  const sheet = (pairs: readonly object[]) => ({ kind: 'marks', body: { pairs } }) as unknown as EngineMeasure;
  const pair = (place: string, one: string) => ({ place, one, other: one });
  const measures = [sheet([pair('Old', '9')]), sheet([pair('Rod 1', 'A'), pair('Rod 2', 'B')])];
  expect(pairsOffTray([], [])).toEqual([]);
  expect(pairsOffTray(measures, [part('rod', { name: 'Rod 1', mark: 'A' })])).toEqual([pair('Rod 2', 'B')]);
  expect(pairsOffTray(measures, [part('rod', { name: 'Rod 1', mark: 'B' })])).toHaveLength(2);
  // One that is there is enough, whatever else lies on the tray.
  const two = [part('rod', { name: 'Rod 1', mark: 'A' }), part('cap', { name: 'Cap', mark: '7' })];
  expect(pairsOffTray(measures, two)).toEqual([pair('Rod 2', 'B')]);
});
