import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { retorqueState, type CycleFact, type HeadReadingFact, type MeterFact, type RetorqueStage } from '@/core/heat';
import { answersStage, reachedAt } from '@/core/heat/stages';

const MIN = 60_000;
const HOUR = 60 * MIN;
const DAY = 24 * HOUR;

/** A drive on a day, of half an hour. */
const drive = (id: string, day: number, part: Partial<CycleFact> = {}): CycleFact => ({
  id,
  ranFrom: day * DAY + 10 * HOUR,
  ranTo: day * DAY + 10.5 * HOUR,
  highest_C: 85,
  ambient_C: 12,
  ...part,
});
const coldAt = (cycleId: string, day: number): HeadReadingFact => ({
  cycleId,
  at: day * DAY + 22 * HOUR,
  head_C: 14,
  ambient_C: 12,
});
const odo = (day: number, reads: number, part: Partial<MeterFact> = {}): MeterFact => ({
  at: day * DAY + 11 * HOUR,
  reads,
  unit: 'mi',
  ...part,
});
const gone = (cycleId: string, day: number) => ({ cycleId, at: day * DAY + 23 * HOUR });

const RULE: readonly RetorqueStage[] = [
  { cycles: 1 },
  { distance: { value: 300, unit: 'mi' }, days: 60 },
  { distance: { value: 1000, unit: 'mi' } },
];

const base = {
  kind: 'car',
  headMetal: 'iron',
  school: 'straight',
  least: { highest_C: 60, minutes: 10, cooledTo_C: 40 },
  tightenedAt: 0,
  stages: RULE,
  cycles: [drive('a', 1)],
  readings: [coldAt('a', 1)],
  meters: [{ at: 0, reads: 45_000, unit: 'mi' }],
  answered: [],
} as const;
type Input = Parameters<typeof retorqueState>[0];
const of = (part: Partial<Input>) => retorqueState({ ...base, ...part });

/** What a case comes to, in a few words. */
function told(part: Partial<Input>): string {
  const state = of(part);
  if (state.state === 'waits-for-heat' || state.state === 'done') {
    const { next } = state;
    if (!next) return state.state;
    const asks = next.asks.map(({ what, of: asked, done }) =>
      what === 'days'
        ? `day ${Math.round((next.dayAt ?? 0) / DAY)}`
        : `${what} ${done === undefined ? '?' : Math.round(done)}/${asked}`,
    );
    return `${state.state}, stage ${next.stage + 1} of ${next.of}${next.isReached ? ' reached' : ''}: ${asks.join(', ')}`;
  }
  return state.state;
}

const DRIVEN = [drive('a', 1), drive('b', 20)];
const DONE_ONCE = [gone('a', 1)];

describe('when a joint is gone over again by its rule', () => {
  test.each<[string, Partial<Input>, string]>([
    ['nothing ran yet', { cycles: [], readings: [] }, 'waits-for-heat, stage 1 of 3: cycles 0/1'],
    ['the first heat, cold', {}, 'open'],
    ['the first heat, not read', { readings: [] }, 'cooling'],
    ['gone over once, 88 miles', { answered: DONE_ONCE, meters: [odo(0, 45_000), odo(5, 45_088)] }, 'done, stage 2 of 3: distance 88/300, day 60'],
    ['300 miles come to, and not cold', { cycles: DRIVEN, answered: DONE_ONCE, meters: [odo(0, 45_000), odo(20, 45_312)] }, 'cooling'],
    ['300 miles come to, cold', { cycles: DRIVEN, readings: [coldAt('a', 1), coldAt('b', 20)], answered: DONE_ONCE, meters: [odo(0, 45_000), odo(20, 45_312)] }, 'open'],
    ['300 miles come to, but no run is logged', { answered: DONE_ONCE, meters: [odo(0, 45_000), odo(20, 45_312)] }, 'done, stage 2 of 3 reached: distance 312/300, day 60'],
    ['the head was read before the odometer', { cycles: DRIVEN, readings: [coldAt('b', 20)], answered: DONE_ONCE, meters: [odo(0, 45_000), odo(20, 45_312, { at: 20 * DAY + 22.5 * HOUR })] }, 'cooling'],
    ['in kilometres', { cycles: DRIVEN, readings: [coldAt('b', 20)], answered: DONE_ONCE, meters: [odo(0, 72_000, { unit: 'km' }), odo(20, 72_483, { unit: 'km' })] }, 'open'],
    ['a kilometre short of it', { cycles: DRIVEN, readings: [coldAt('b', 20)], answered: DONE_ONCE, meters: [odo(0, 72_000, { unit: 'km' }), odo(20, 72_482, { unit: 'km' })] }, 'done, stage 2 of 3: distance 300/300, day 60'],
    ['by its days first, read cold after them', { cycles: DRIVEN, readings: [coldAt('b', 61)], answered: DONE_ONCE }, 'open'],
    ['cold, and a day too early', { cycles: DRIVEN, readings: [coldAt('b', 59)], answered: DONE_ONCE }, 'done, stage 2 of 3: distance 0/300, day 60'],
    ['idle for two years since it was gone over', { answered: DONE_ONCE, readings: [coldAt('a', 730)] }, 'done, stage 2 of 3 reached: distance 0/300, day 60'],
    ['idle for two years, then run', { cycles: [drive('a', 1), drive('b', 730)], answered: DONE_ONCE, readings: [coldAt('b', 730)] }, 'open'],
    ['gone over for the second', { cycles: DRIVEN, answered: [...DONE_ONCE, gone('b', 20)], meters: [odo(0, 45_000), odo(20, 45_312)] }, 'done, stage 3 of 3: distance 312/1000'],
    ['a little early, in its last tenth', { cycles: DRIVEN, answered: [...DONE_ONCE, gone('b', 20)], meters: [odo(0, 45_000), odo(20, 45_272)] }, 'done, stage 3 of 3: distance 272/1000'],
    ['too early to be the second', { cycles: DRIVEN, answered: [...DONE_ONCE, gone('b', 20)], meters: [odo(0, 45_000), odo(20, 45_260)] }, 'done, stage 2 of 3: distance 260/300, day 60'],
    ['all three', { cycles: [...DRIVEN, drive('c', 50)], answered: [...DONE_ONCE, gone('b', 20), gone('c', 50)], meters: [odo(0, 45_000), odo(20, 45_312), odo(50, 46_020)] }, 'done'],
    ['one late round for two of them', { cycles: [drive('a', 1), drive('c', 50)], answered: [...DONE_ONCE, gone('c', 50)], meters: [odo(0, 45_000), odo(50, 46_020)] }, 'done'],
    ['an odometer exchanged', { cycles: DRIVEN, readings: [coldAt('b', 20)], answered: DONE_ONCE, meters: [odo(0, 45_000), odo(19, 50, { jump: { from: 45_200, to: 0 } }), odo(20, 110)] }, 'open'],
    ['an odometer turned over', { cycles: DRIVEN, readings: [coldAt('b', 20)], answered: DONE_ONCE, meters: [odo(0, 99_900), odo(20, 205, { jump: { from: 100_000, to: 0 } })] }, 'open'],
    ['never read before it was tightened', { meters: [odo(20, 45_312)], cycles: DRIVEN, answered: DONE_ONCE }, 'done, stage 2 of 3: distance ?/300, day 60'],
    ['no odometer, and the runs say how far', { meters: [], cycles: [drive('a', 1, { went_km: 100 }), drive('b', 20, { went_km: 390 })], readings: [coldAt('b', 20)], answered: DONE_ONCE }, 'open'],
    ['the rule changed half way: fewer miles', { stages: [{ cycles: 1 }, { distance: { value: 50, unit: 'mi' } }], cycles: DRIVEN, readings: [coldAt('b', 20)], answered: DONE_ONCE, meters: [odo(0, 45_000), odo(20, 45_088)] }, 'open'],
    ['the rule changed half way: what was done counts', { stages: [{ cycles: 1 }], answered: DONE_ONCE }, 'done'],
    ['the first of them struck off the rule', { stages: [{ distance: { value: 500, unit: 'mi' } }], answered: DONE_ONCE }, 'done, stage 1 of 1: distance 0/500'],
    ['a gasket that says no, after one was done', { school: 'none', answered: DONE_ONCE }, 'not-asked'],
    ['its run struck off after it was gone over', { cycles: [], readings: [], answered: DONE_ONCE }, 'waits-for-heat, stage 1 of 3: cycles 0/1'],
    ['by hours of the runs', { stages: [{ cycles: 1 }, { hours: 0.9 }], cycles: DRIVEN, readings: [coldAt('b', 20)], answered: DONE_ONCE, meters: [] }, 'open'],
    ['by the hour meter', { stages: [{ cycles: 1 }, { hours: 10 }], cycles: DRIVEN, answered: DONE_ONCE, meters: [odo(0, 500, { unit: 'h' }), odo(20, 506.5, { unit: 'h' })] }, 'done, stage 2 of 2: hours 7/10'],
    ['by heats', { stages: [{ cycles: 1 }, { cycles: 3 }], cycles: DRIVEN, answered: DONE_ONCE }, 'done, stage 2 of 2: cycles 2/3'],
  ])('%s', (_, part, expected) => {
    expect(told(part)).toBe(expected);
  }); // prettier-ignore

  test('a round whose clock lay behind its run was made after it all the same', () => {
    expect(of({ stages: [{ cycles: 1 }], answered: [{ cycleId: 'a', at: 0 }] }).state).toBe('done');
  });

  test('it is hot once a run that counts follows the last round', () => {
    const hot = (part: Partial<Input>) => {
      const state = of(part);
      return (state.state === 'done' || state.state === 'waits-for-heat') && state.next?.isHot;
    };
    expect(hot({ answered: DONE_ONCE })).toBe(false);
    expect(hot({ cycles: DRIVEN, answered: DONE_ONCE })).toBe(true);
    expect(hot({ cycles: [drive('a', 1), drive('b', 20, { highest_C: 40 })], answered: DONE_ONCE })).toBe(false);
  });

  test('days are counted by the clock on the wall, where it is given', () => {
    const state = of({ answered: DONE_ONCE, daysAfter: (at, days) => at + days * DAY - HOUR });
    expect(state).toMatchObject({ state: 'done', next: { dayAt: 60 * DAY - HOUR } });
  });

  const run = fc.record({
    day: fc.integer({ min: 1, max: 400 }),
    km: fc.option(fc.integer({ min: 0, max: 300 }), { nil: undefined }),
  });
  const log = fc
    .tuple(
      fc.uniqueArray(run, { selector: ({ day }) => day, maxLength: 12 }),
      fc.array(fc.integer({ min: 1, max: 400 }), { maxLength: 5 }),
    )
    .map(([runs, reads]) => ({
      runs: runs.map(({ day, km }) => drive(`r${day}`, day, km === undefined ? {} : { went_km: km })),
      meters: [0, ...new Set(reads)].map((day) => odo(day, 1000 + 10 * day)),
    }));
  const stage = fc
    .record(
      {
        cycles: fc.integer({ min: 1, max: 5 }),
        distance: fc.integer({ min: 1, max: 4000 }).map((value) => ({ value, unit: 'mi' as const })),
        hours: fc.integer({ min: 1, max: 8 }),
        days: fc.integer({ min: 1, max: 500 }),
      },
      { requiredKeys: [] },
    )
    .filter((one) => Object.keys(one).length > 0) as fc.Arbitrary<RetorqueStage>;

  test('whichever comes first: a stage is come to when the first of its parts is', () =>
    fc.assert(
      fc.property(log, stage, ({ runs, meters }, asked) => {
        const of = { runs, counting: runs, meters, since: 0 };
        const alone = Object.entries(asked).map(([key, value]) => reachedAt({ [key]: value }, of) ?? Infinity);
        expect(reachedAt(asked, of) ?? Infinity).toBe(Math.min(...alone));
      }),
    ));

  test('a round that was made once it was due answers it, and none made before anything ran', () =>
    fc.assert(
      fc.property(log, stage, ({ runs, meters }, asked) => {
        const of = { runs, counting: runs, meters, since: 0 };
        const at = reachedAt(asked, of);
        if (at !== undefined) expect(answersStage(asked, of, at)).toBe(true);
        expect(answersStage(asked, of, 0)).toBe(false);
      }),
    ));
});
