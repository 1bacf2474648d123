import { describe, expect, test } from '@jest/globals';
import { headDoubts, retorqueState, type CycleFact, type HeadReadingFact } from '@/core/heat';

const MIN = 60_000;
const cycle = (id: string, from: number, to: number): CycleFact => ({
  id,
  ranFrom: from * MIN,
  ranTo: to * MIN,
  highest_C: 88,
  ambient_C: 12,
});
const reading = (cycleId: string, at: number, head_C: number): HeadReadingFact => ({
  cycleId,
  at: at * MIN,
  head_C,
  ambient_C: 12,
});

/** Retorques that were finished long after every run. */
const answers = (...ids: readonly string[]) => ids.map((cycleId) => ({ cycleId, at: 50_000 * MIN }));

const base = {
  kind: 'car',
  headMetal: 'aluminium',
  school: 'slacken',
  least: { highest_C: 60, minutes: 10, cooledTo_C: 40 },
  tightenedAt: 0,
  cycles: [cycle('a', 100, 130)],
  readings: [],
  answered: [],
} as const;

describe('where a retorque stands', () => {
  test('not asked, waits for tightening, waits for heat', () => {
    expect(retorqueState({ ...base, school: 'none' }).state).toBe('not-asked');
    expect(retorqueState({ ...base, tightenedAt: undefined }).state).toBe('waits-for-tightening');
    expect(retorqueState({ ...base, cycles: [] }).state).toBe('waits-for-heat');
    expect(retorqueState({ ...base, tightenedAt: 200 * MIN }).state).toBe('waits-for-heat');
  });

  test('a run without a reading gives a rough window from the usual rate', () => {
    const now = retorqueState(base);
    expect(now).toMatchObject({
      state: 'cooling',
      window: { basis: 'highest-at-stop', tauFrom: 'usual', tau_min: 180, target_C: 17 },
    });
  });

  test('two readings give the engine its own rate; a later run borrows it', () => {
    const readings = [reading('a', 190, 67), reading('a', 250, 46)];
    const own = retorqueState({ ...base, readings });
    if (own.state !== 'cooling') throw new Error(own.state);
    expect(own.window).toMatchObject({ basis: 'readings', tauFrom: 'this-run' });
    expect(own.window.from).toBeLessThan(own.window.by);
    const later = retorqueState({ ...base, readings, cycles: [...base.cycles, cycle('b', 2000, 2030)] });
    expect(later).toMatchObject({
      state: 'cooling',
      cycleId: 'b',
      window: { tauFrom: 'own-earlier-run', tau_min: own.window.tau_min },
    });
  });

  test('the clock alone opens nothing; a cold reading does', () => {
    expect(retorqueState({ ...base, readings: [reading('a', 9000, 17.1)] }).state).toBe('cooling');
    expect(retorqueState({ ...base, readings: [reading('a', 600, 17)] })).toMatchObject({
      state: 'open',
      steady: false,
    });
    expect(retorqueState({ ...base, readings: [reading('a', 600, 16.4), reading('a', 640, 15.9)] })).toMatchObject({
      state: 'open',
      steady: true,
    });
  });

  test('an iron head may be a little warmer', () => {
    expect(retorqueState({ ...base, headMetal: 'iron', readings: [reading('a', 600, 22)] }).state).toBe('open');
  });

  test('done once answered; a later heat cycle gives it a further place, open when it is cold', () => {
    const cycles = [...base.cycles, cycle('b', 3000, 3040)];
    expect(retorqueState({ ...base, answered: answers('a') })).toEqual({ state: 'done', cycleId: 'a' });
    const further = (readings: readonly HeadReadingFact[], ids = ['a']) =>
      retorqueState({ ...base, cycles, readings, answered: answers(...ids) });
    expect(further([])).toEqual({ state: 'done', cycleId: 'a', further: { cycleId: 'b', open: false } });
    expect(further([reading('b', 3600, 15)])).toEqual({
      state: 'done',
      cycleId: 'a',
      further: { cycleId: 'b', open: true },
    });
    expect(further([reading('b', 3600, 15)], ['a', 'b'])).toEqual({ state: 'done', cycleId: 'b' });
    // A start that was none changes nothing.
    const start = { ...cycle('b', 3000, 3001), highest_C: 16 };
    expect(retorqueState({ ...base, cycles: [...base.cycles, start], answered: answers('a') })).toEqual({
      state: 'done',
      cycleId: 'a',
    });
  });

  test('a run counts from a temperature and a time; a shorter or cooler one is said and does not', () => {
    const cold = [reading('a', 900, 12)];
    const of = (part: Partial<CycleFact>) =>
      retorqueState({ ...base, cycles: [{ ...cycle('a', 100, 130), ...part }], readings: cold });
    expect(of({}).state).toBe('open');
    expect(of({ highest_C: 60 }).state).toBe('open');
    expect(of({ highest_C: 59.9 })).toMatchObject({ state: 'waits-for-heat', short: { highest_C: 59.9 } });
    expect(of({ ranTo: 110 * MIN }).state).toBe('open');
    expect(of({ ranTo: 100.5 * MIN, highest_C: 88 })).toMatchObject({ state: 'waits-for-heat', short: { id: 'a' } });
  });

  test('a short run after it warms the head again: it is cold only when read after that one', () => {
    const cycles = [cycle('a', 100, 130), { ...cycle('b', 200, 203), highest_C: 45 }];
    expect(retorqueState({ ...base, cycles, readings: [reading('a', 190, 14)] })).toMatchObject({
      state: 'cooling',
      cycleId: 'a',
    });
    expect(retorqueState({ ...base, cycles, readings: [reading('b', 600, 14)] })).toMatchObject({
      state: 'open',
      cycleId: 'a',
    });
  });

  test('a run that began before it was tight does not count for it', () => {
    const readings = [reading('a', 900, 12)];
    expect(retorqueState({ ...base, readings, tightenedAt: 100 * MIN }).state).toBe('open');
    expect(retorqueState({ ...base, readings, tightenedAt: 100 * MIN + 1 }).state).toBe('waits-for-heat');
  });

  test('warm rests on a page, and on a reading within ten kelvin of it', () => {
    const warm = (readings: readonly HeadReadingFact[], warm_C?: number) =>
      retorqueState({ ...base, school: 'warm', readings, warm_C }).state;
    expect(warm([reading('a', 131, 80)])).toBe('waits-for-page');
    expect(warm([], 80)).toBe('cooling');
    expect(warm([reading('a', 131, 90)], 80)).toBe('open');
    expect(warm([reading('a', 131, 90.1)], 80)).toBe('cooling');
    expect(warm([reading('a', 600, 69.9)], 80)).toBe('cooling');
  });

  test('readings that rise, and one at or below the air, fall back on what is known', () => {
    expect(retorqueState({ ...base, readings: [reading('a', 190, 50), reading('a', 220, 60)] })).toMatchObject({
      state: 'cooling',
      window: { basis: 'one-reading', tauFrom: 'usual' },
    });
    expect(retorqueState({ ...base, readings: [reading('a', 900, 11)] }).state).toBe('open');
  });
});

describe('readings of another run', () => {
  const [a, b] = [cycle('a', 100, 130), cycle('b', 5000, 5030)];
  test('open nothing, however cold, and do not tell how this one cools', () => {
    const cold = [reading('a', 6000, 12)];
    expect(retorqueState({ ...base, cycles: [a, b], readings: cold }).state).toBe('cooling');
    const own = [reading('b', 5090, 67), reading('b', 5150, 46)];
    const alone = retorqueState({ ...base, cycles: [b], readings: own });
    const beside = retorqueState({ ...base, cycles: [b], readings: [...own, reading('x', 5100, 20)] });
    expect(beside).toEqual(alone);
    expect(alone).toMatchObject({ state: 'cooling', cycleId: 'b', window: { tauFrom: 'this-run' } });
  });
  test('do not make this one steady', () => {
    const steady = (readings: readonly HeadReadingFact[]) => {
      const now = retorqueState({ ...base, readings });
      return now.state === 'open' && now.steady;
    };
    expect(steady([reading('a', 8000, 14), reading('a', 8030, 14.5)])).toBe(true);
    expect(steady([reading('x', 8000, 14), reading('a', 8030, 14.5)])).toBe(false);
    expect(steady([reading('a', 8000, 15.5), reading('a', 8030, 14.5)])).toBe(false);
    expect(steady([reading('a', 8001, 14), reading('a', 8030, 14.5)])).toBe(false);
  });
  test('give their air to their own run only', () => {
    const other = { ...reading('x', 200, 70), ambient_C: 30 };
    expect(retorqueState({ ...base, readings: [other] })).toEqual(retorqueState(base));
  });
});

describe('a reading that is asked about', () => {
  const run = cycle('a', 100, 130);
  const codes = (read: HeadReadingFact, before: readonly HeadReadingFact[] = []) =>
    headDoubts(read, run, before, 'car').map(({ code }) => code);
  test.each<[string, HeadReadingFact, readonly HeadReadingFact[], readonly string[]]>([
    ['colder than the air', reading('a', 600, 5), [], ['below-air']],
    ['far above the highest', reading('a', 132, 120), [], ['above-highest']],
    ['rising while it stands', reading('a', 260, 60), [reading('a', 200, 50)], ['rising']],
    ['cold half an hour after it was hot', reading('a', 160, 16), [], ['too-fast']],
    ['soaking a little above the highest', reading('a', 135, 95), [], []],
    ['rising in the first half hour', reading('a', 150, 90), [reading('a', 140, 80)], []],
    ['as a head cools', reading('a', 250, 46), [reading('a', 190, 67)], []],
    ['cold the next day', reading('a', 1500, 12), [], []],
  ])('%s', (_, read, before, expected) => expect(codes(read, before)).toEqual(expected));
  test('readings of another run say nothing of it', () => {
    expect(codes(reading('a', 250, 60), [reading('b', 200, 20)])).toEqual([]);
  });
});
test('of two readings in one minute the one that was written is the one before', () => {
  const run = cycle('a', 100, 130);
  const first = reading('a', 700, 17.5);
  const second = { ...reading('a', 700, 16), at: first.at - 3 };
  expect(headDoubts(second, run, [first], 'car')).toEqual([]);
  expect(headDoubts({ ...second, head_C: 25 }, run, [first], 'car').map(({ code }) => code)).toEqual(['rising']);
});
