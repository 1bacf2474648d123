import { describe, expect, test } from '@jest/globals';
import { barsOfDoing } from '@/model/order/assert-line';
import { barsOfStart } from '@/model/order/gate';
import { START_CHECKS, type StartCheck } from '@/model/order/start-checks';
import { startSheetOf } from '@/model/order/start-sheet';
import type { BuildLine } from '@/model/order/build-line';
import { bench, refusal, step } from './bench-of-order';

const DAY_MS = 86_400_000;
const AT = Date.parse('2026-05-16T08:00:00.000Z');
const iso = (days: number) => new Date(AT + days * DAY_MS).toISOString();
let n = 0;
const look = (check: StartCheck, days: number, is: 'done' | 'none' | 'left-out' = 'done'): BuildLine => ({
  id: `look-${(n += 1)}`,
  kind: 'start-look',
  at: iso(days),
  recordedAt: iso(days),
  body: { check, is, words: is === 'left-out' ? 'why' : '' },
});
const wrong = (days: number): BuildLine => ({
  id: `wrong-${(n += 1)}`,
  kind: 'start-wrong',
  at: iso(days),
  recordedAt: iso(days + 1),
  body: { on: iso(days), seen: [{ sign: 'pressure', words: '' }] },
});
const openAt = (lines: readonly BuildLine[], days: number) => startSheetOf(lines, AT + days * DAY_MS).open;
const all = (days: number) => START_CHECKS.map((check) => look(check, days));

describe('the first start’s sheet', () => {
  test('nothing is taken for done: what nobody looked at is open', () => {
    expect(openAt([], 0)).toEqual(START_CHECKS);
    expect(openAt([look('oil', 0)], 0)).not.toContain('oil');
    expect(openAt([look('oil', 0)], 0)).toHaveLength(START_CHECKS.length - 1);
    expect(openAt(all(0), 0)).toEqual([]);
  });

  test.each([
    ['the next day', 1.5, ['extinguisher', 'doors', 'watch']],
    ['after months', 90, ['primed', 'fuel', 'turned', 'extinguisher', 'doors', 'watch']],
  ] as const)('%s what does not keep is open again', (_, days, again) => {
    expect(openAt(all(0), days)).toEqual(START_CHECKS.filter((check) => (again as readonly string[]).includes(check)));
  });

  test('it is not said to have been turned by hand while something holds the crank', () => {
    const one = bench([
      step('time', { kind: 'timing' }),
      step('fix', { after: ['time'], detail: { makes: ['crank-free'] } }),
    ]);
    const turned = (is: 'done' | 'left-out') => {
      const { kind, body } = look('turned', 0, is);
      return refusal(() => one.write({ kind, body } as Parameters<typeof one.write>[0]));
    };
    expect(turned('done')).toBe('none');
    one.write({ kind: 'done', stepId: 'time', body: { set: 'by the marks' } });
    expect([turned('done'), turned('left-out')]).toEqual(['crank-held', 'none']);
    one.write({ kind: 'done', stepId: 'fix', body: {} });
    expect(turned('done')).toBe('none');
  });

  test('what is left out with a reason stays left out', () => {
    expect(openAt([...all(0).slice(1), look('extinguisher', 0, 'left-out')], 90)).not.toContain('extinguisher');
  });

  test('a start that went wrong puts in doubt what was looked at before it, not what was looked at after', () => {
    const lines = [...all(-0.2), wrong(-0.1)];
    expect(openAt(lines, 0)).toEqual(['oil', 'primed', 'fuel', 'turned', 'extinguisher', 'doors', 'watch']);
    // Told a day later than it was: what was looked at since it was tried stands.
    expect(openAt([...lines, look('oil', 0)], 0)).not.toContain('oil');
    expect(startSheetOf(lines, AT).wrong).toHaveLength(1);
  });

  test('within the minute that it is told to, what is written later is later', () => {
    const minute = 1 / 1440;
    const tried = { ...wrong(0), recordedAt: iso(0.5 * minute) } as BuildLine;
    expect(openAt([...all(0.2 * minute), tried], 0.001)).toContain('oil');
    expect(openAt([tried, ...all(0.7 * minute)], 0.001)).toEqual([]);
    // A whole minute later is after it, whenever it was told; written at the same instant, the answer stands.
    expect(openAt([...all(minute), { ...wrong(0), recordedAt: iso(9 * minute) }], 0.01)).toEqual([]);
    expect(openAt([...all(0.5 * minute), tried], 0.001)).toEqual([]);
    expect(openAt([...all(0), { ...wrong(0), recordedAt: iso(0) }], 0)).toEqual([]);
    // Told much later than it was.
    expect(openAt([...all(2 * minute), { ...wrong(0), recordedAt: iso(9 * minute) }], 0.01)).toEqual([]);
  });
});

describe('at the step that starts the engine', () => {
  const starts = () => bench([step('lid'), step('start', { after: ['lid'], detail: { makes: ['starts'] } })]);
  const answerAll = (one: ReturnType<typeof starts>, but?: StartCheck) => {
    for (const check of START_CHECKS)
      if (check !== but) one.write({ kind: 'start-look', body: { check, is: 'done', words: '' } });
  };

  test('an open sheet asks for a reason; one that was looked at does not', () => {
    const one = starts();
    one.write({ kind: 'done', stepId: 'lid', body: {} });
    expect(refusal(() => one.write({ kind: 'done', stepId: 'start', body: {} }))).toBe('needs-reason');
    answerAll(one, 'primed');
    expect(barsOfDoing(one.state(), 'start', one.now())).toMatchObject([
      {
        code: 'start-sheet',
        message: 'The first start’s sheet: 1 of 10 not looked at.',
        absolute: false,
        to: { at: 'start' },
      },
    ]);
    one.write({ kind: 'start-look', body: { check: 'primed', is: 'done', words: '' } });
    one.write({ kind: 'done', stepId: 'start', body: {} });
    expect(one.stands('start')).toBe('done');
  });

  test('a line that was taken back is open again', () => {
    const one = starts();
    answerAll(one, 'oil');
    const id = one.write({ kind: 'start-look', body: { check: 'oil', is: 'done', words: '' } });
    one.write({ kind: 'strike', strikes: id, body: {} });
    expect(startSheetOf(one.state().order.lines, Date.parse(one.now())).open).toEqual(['oil']);
  });

  test('only water may be none; a start that went wrong and one made all the same are the run-in’s to write', () => {
    const one = starts();
    one.write({ kind: 'start-look', body: { check: 'water', is: 'none', words: '' } });
    expect(refusal(() => one.write({ kind: 'start-look', body: { check: 'oil', is: 'none', words: '' } }))).toBe(
      'not-none',
    );
    expect(refusal(() => one.write({ kind: 'start-wrong', body: { on: one.now(), seen: [] } }))).toBe('by-run-in');
    expect(refusal(() => one.write({ kind: 'start-passed', body: { bars: [], reason: 'x' } }))).toBe('by-run-in');
  });

  test('what stands against a start is said where the order has no step for it, too', () => {
    const one = bench([step('lid')]);
    expect(barsOfStart(one.state()).map(({ code }) => code)).toEqual(['step-open']);
    one.write({ kind: 'aid-in', body: { name: 'a rag', count: 1, inside: true } });
    expect(barsOfStart(one.state()).map(({ code }) => code)).toEqual(['aid-in', 'step-open']);
    const done = starts();
    done.write({ kind: 'done', stepId: 'lid', body: {} });
    done.write({ kind: 'done', stepId: 'start', reason: 'tried', body: {} });
    done.write({ kind: 'loose', body: { words: 'a hose' } });
    expect(barsOfStart(done.state())).toEqual([]);
  });
});
