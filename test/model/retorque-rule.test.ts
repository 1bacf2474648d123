import { execFileSync } from 'node:child_process';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { NextRetorque, RetorqueStage } from '@/core/heat';
import { nextWords } from '@/model/heat/next-words';
import { meterDoubt, meterGoesBack, ownUnit } from '@/model/heat/meter';
import { stagesText, stagesTyped } from '@/model/heat/retorque-rule';

describe('a rule as it is typed', () => {
  test.each<[string, readonly RetorqueStage[]]>([
    ['', []],
    ['first heat', [{ cycles: 1 }]],
    ['First heat; 300 miles or 30 days; 1,000 miles', [{ cycles: 1 }, { distance: { value: 300, unit: 'mi' }, days: 30 }, { distance: { value: 1000, unit: 'mi' } }]],
    ['10,5 km', [{ distance: { value: 10.5, unit: 'km' } }]],
    ['500km', [{ distance: { value: 500, unit: 'km' } }]],
    ['first heat, then 10 hours', [{ cycles: 1 }, { hours: 10 }]],
    ['first heat then 10 hours', [{ cycles: 1 }, { hours: 10 }]],
    ['first heat,  then 10 hours', [{ cycles: 1 }, { hours: 10 }]],
    ['first heat\n10 hours', [{ cycles: 1 }, { hours: 10 }]],
    ['3 heats or 2 weeks', [{ cycles: 3, days: 14 }]],
  ])('“%s”', (text, stages) => {
    expect(stagesTyped(text)).toEqual(stages);
  }); // prettier-ignore

  test.each([
    'soon',
    '300',
    '300 furlongs',
    '0 miles',
    '-3 days',
    '1.5 heats',
    '1e3 km',
    '1.2.3 km',
    '300 miles or 500 km',
    'first',
    ';',
  ])('“%s” is refused, or is no rule', (text) => {
    if (text === ';') expect(stagesTyped(text)).toEqual([]);
    else expect(() => stagesTyped(text)).toThrow();
  });

  test('no more than six are planned', () => {
    expect(() => stagesTyped(Array.from({ length: 7 }, (_, i) => `${i + 1} days`).join(';'))).toThrow('6');
  });

  const stage = fc.record(
    {
      cycles: fc.integer({ min: 1, max: 100 }),
      distance: fc.record({
        value: fc.integer({ min: 1, max: 999_999 }),
        unit: fc.constantFrom('km' as const, 'mi' as const),
      }),
      hours: fc.integer({ min: 1, max: 9999 }),
      days: fc.integer({ min: 1, max: 9999 }),
    },
    { requiredKeys: [] },
  );
  test('as it is written it is read again', () =>
    fc.assert(
      fc.property(
        fc.array(
          stage.filter((one) => Object.keys(one).length > 0),
          { maxLength: 6 },
        ),
        (stages) => {
          expect(stagesTyped(stagesText(stages as readonly RetorqueStage[]))).toEqual(stages);
        },
      ),
    ));
});

describe('what comes next, in words', () => {
  const next = (part: Partial<NextRetorque>): NextRetorque => ({
    stage: 1,
    of: 2,
    asks: [],
    isReached: false,
    isHot: true,
    ...part,
  });
  test('how far it is', () => {
    expect(nextWords(next({ asks: [{ what: 'distance', of: 300, unit: 'mi', done: 299.97, unsaidRuns: 0 }] }))).toBe(
      'again at 300 miles, 299 so far',
    );
  });
  test('what is not known is asked for', () => {
    expect(nextWords(next({ asks: [{ what: 'distance', of: 300, unit: 'mi' }] }))).toContain(
      'not known: read the odometer',
    );
    expect(nextWords(next({ asks: [{ what: 'distance', of: 300, unit: 'mi', done: 20, unsaidRuns: 2 }] }))).toContain(
      '2 runs of unknown length',
    );
  });
  test('its days are told as such until it has been hot, and then by their date', () => {
    const asks = [{ what: 'days' as const, of: 60 }];
    expect(nextWords(next({ asks, isHot: false }))).toBe('again 60 days after it was tightened, once it has been hot');
    expect(nextWords(next({ asks }))).toBe('again');
  });
  test('come to, and not hot since', () => {
    expect(nextWords(next({ isReached: true }))).toContain(
      'waits for a heat cycle, as none was logged since it was last gone over',
    );
    expect(nextWords(next({ isReached: true, stage: 0 }))).toContain('since it was tightened');
  });
});

describe('a meter does not go back', () => {
  const at = (day: number) => new Date(day * 86_400_000).toISOString();
  const known = [
    { at: at(1), reads: 45_000, unit: 'mi' as const },
    { at: at(9), reads: 45_100, unit: 'mi' as const },
  ];
  test('less than before, and more than what was read after', () => {
    expect(meterDoubt(known, { at: at(10), reads: 45_050, unit: 'mi' })).toContain('does not go back');
    expect(meterDoubt(known, { at: at(5), reads: 45_150, unit: 'mi' })).toContain('does not go back');
    expect(meterDoubt(known, { at: at(5), reads: 45_050, unit: 'mi' })).toBeUndefined();
  });
  test('another unit is compared in it, and an hour meter counts by itself', () => {
    expect(meterDoubt(known, { at: at(10), reads: 72_500, unit: 'km' })).toContain('does not go back');
    expect(meterDoubt(known, { at: at(10), reads: 72_700, unit: 'km' })).toBeUndefined();
    expect(meterDoubt(known, { at: at(10), reads: 12, unit: 'h' })).toBeUndefined();
  });
  test('exchanged: what the old one had come to is beside what it read', () => {
    expect(meterDoubt(known, { at: at(10), reads: 12, unit: 'mi', jump: { from: 45_120, to: 0 } })).toBeUndefined();
    expect(meterDoubt(known, { at: at(10), reads: 12, unit: 'mi', jump: { from: 44_000, to: 0 } })).toContain(
      'does not go back',
    );
    expect(meterDoubt(known, { at: at(10), reads: 12, unit: 'mi', jump: { from: 45_120, to: 20 } })).toContain(
      'read more than now',
    );
    expect(meterDoubt([], { at: at(10), reads: 12, unit: 'mi', jump: { from: 45_120, to: 0 } })).toContain(
      'nothing was read',
    );
  });
  test('of a whole list, and the unit it is read in', () => {
    expect(meterGoesBack(known)).toBeUndefined();
    expect(meterGoesBack([...known, { at: at(10), reads: 3, unit: 'mi' as const }])).toContain('does not go back');
    const exchanged = { at: at(10), reads: 12, unit: 'mi' as const, jump: { from: 45_120, to: 0 } };
    // It is no reading before itself, and a list is taken by its days however it lies.
    expect(meterGoesBack([exchanged])).toContain('nothing was read before');
    expect(meterGoesBack([exchanged, ...known])).toBeUndefined();
    expect(ownUnit(known)).toBe('mi');
    expect(ownUnit([{ at: at(1), reads: 3, unit: 'h' as const }])).toBeUndefined();
  });
});

test('days later it is the same hour on the wall, whatever the clocks did', () => {
  // In a process of its own, whose clocks go back on 25 October.
  const said = execFileSync(
    process.execPath,
    [
      '--import',
      'tsx',
      '-e',
      `const { daysAfter } = require('./src/model/engine/engine-state.ts');
      const start = new Date(2026, 9, 20, 14, 20).getTime();
      console.log(JSON.stringify([1, 30].map((days) => [new Date(daysAfter(start, days)).getHours(), (daysAfter(start, days) - start) / 3600000])));`,
    ],
    { env: { ...process.env, TZ: 'Europe/London' }, encoding: 'utf8' },
  );
  expect(JSON.parse(said)).toEqual([
    [14, 24],
    [14, 30 * 24 + 1],
  ]);
});
