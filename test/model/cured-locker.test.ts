import { describe, expect, test } from '@jest/globals';
import { lockerGuards } from '@/model/joint/cured-locker';
import { PLAIN_DETAIL } from '@/model/joint/joint-detail';
import type { ChangeMeaning } from '@/model/joint/sheet-changes';
import type { PlannedFigure } from '@/model/joint/tightening-plan';

type Pulled = Pick<PlannedFigure, 'films' | 'locking'>;
type Sheet = Parameters<typeof lockerGuards>[0][number]['sheet'];

const OIL = { thread: 'engine-oil', head: 'engine-oil' };
const LOCKER = { thread: 'thread-locker', head: 'engine-oil' };

const sheetOf = (todayFilm: string, changeMeans: ChangeMeaning | null = null, locking = 'none'): Sheet =>
  ({
    joint: {
      thread: '3/8 BSF',
      todayFilm,
      detail: { ...PLAIN_DETAIL, changeMeans, original: { ...PLAIN_DETAIL.original, locking } },
    },
    leaf: { printedText: '30 lb ft' },
  }) as never;

const stops = (pulled: Pulled, sheet: Sheet) => lockerGuards([{ pulled, sheet }]).map(({ severity }) => severity);

describe('a locker that has set', () => {
  test.each<[string, Pulled, string]>([
    ['it was pulled in it, and the sheet says so', { films: LOCKER }, 'thread-locker'],
    ['it was pulled in it, and the sheet says oil for the next time', { films: LOCKER }, 'engine-oil'],
    ['an older plan does not say, and the sheet does', {}, 'thread-locker'],
    ['it was locked with it', { films: OIL, locking: 'compound' }, 'engine-oil'],
  ])('stops where %s', (_, pulled, film) => expect(stops(pulled, sheetOf(film))).toEqual(['stop']));

  test.each<[string, Pulled, string]>([
    ['it was pulled in oil, and the sheet names a locker for the next time', { films: OIL }, 'thread-locker'],
    ['it was pulled in oil with a tab', { films: OIL, locking: 'tab' }, 'engine-oil'],
    ['nothing names one', {}, 'engine-oil'],
  ])('is not there where %s', (_, pulled, film) => expect(stops(pulled, sheetOf(film))).toEqual([]));

  test('a sheet that names it as the locking stops, for nobody was asked about that change', () => {
    expect(stops({ films: OIL, locking: 'none' }, sheetOf('engine-oil', null, 'compound'))).toEqual(['stop']);
  });

  const corrected = (of?: object) => ({ means: 'correction', target_Nm: 40, ...(of && { of }) }) as ChangeMeaning;

  test('a correction of the sheet is what was in the thread, both ways', () => {
    expect(stops({ films: OIL }, sheetOf('thread-locker', corrected()))).toEqual(['stop']);
    expect(stops({ films: LOCKER }, sheetOf('engine-oil', corrected()))).toEqual([]);
  });

  test('one that was said of another state of the sheet corrects nothing', () => {
    const before = { thread: '3/8 BSF', threadFilm: 'wax-ptfe', headFilm: 'wax-ptfe', printedText: '30 lb ft' };
    expect(stops({ films: LOCKER }, sheetOf('engine-oil', corrected(before)))).toEqual(['stop']);
    expect(stops({ films: OIL }, sheetOf('thread-locker', corrected(before)))).toEqual([]);
    const now = { ...before, threadFilm: 'engine-oil', headFilm: 'engine-oil' };
    expect(stops({ films: LOCKER }, sheetOf('engine-oil', corrected(now)))).toEqual([]);
  });

  test('fasteners of a kind that the sheet no longer has go by their plan; one of several is enough', () => {
    expect(stops({ films: LOCKER }, undefined)).toEqual(['stop']);
    expect(stops({ films: OIL }, undefined)).toEqual([]);
    const several = [OIL, LOCKER].map((films) => ({ pulled: { films }, sheet: sheetOf('engine-oil') }));
    expect(lockerGuards(several)).toHaveLength(1);
  });
});
