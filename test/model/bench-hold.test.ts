import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { assertHolds, HOLD_ACTS, holdAfter, holdView, type BenchHold, type HoldMove } from '@/model/joint/bench-hold';
import { codeOf } from '../core/code-of';

const at = (minute: number) => new Date(Date.UTC(2026, 4, 16, 8, minute)).toISOString();
const [IH, MK] = [
  { bench: 'bench-one', who: 'IH' },
  { bench: 'bench-two', who: 'MK' },
];
const after = (...moves: readonly (HoldMove & { readonly minute: number; readonly lastDone?: string })[]) =>
  moves.reduce<BenchHold | undefined>(
    (hold, { minute, lastDone, ...move }) => holdAfter(hold, move, lastDone, at(minute)),
    undefined,
  );
const DAY = 24 * 60;

describe('who has the wrench', () => {
  test('whoever comes first; another does not take it, and may ask; handed over, the other has it', () => {
    const taken = after({ act: 'take', ...IH, minute: 0 });
    expect(holdView(taken, IH, undefined, at(1))).toMatchObject({ state: 'mine', since: at(0) });
    expect(holdView(taken, MK, undefined, at(1))).toMatchObject({ state: 'elsewhere', who: 'IH', mayTake: false });
    expect(codeOf(() => holdAfter(taken, { act: 'take', ...MK }, undefined, at(1)))).toBe('held-elsewhere');
    expect(codeOf(() => holdAfter(taken, { act: 'hand-over', ...IH }, undefined, at(1)))).toBe('nobody-asked');
    const asked = holdAfter(taken, { act: 'ask', ...MK }, undefined, at(2));
    expect(holdView(asked, IH, undefined, at(2))).toMatchObject({ state: 'mine', askedBy: 'MK' });
    expect(holdView(asked, MK, undefined, at(2))).toMatchObject({ state: 'elsewhere', asked: true });
    const handed = holdAfter(asked, { act: 'hand-over', ...IH }, undefined, at(3));
    expect(holdView(handed, MK, undefined, at(3))).toMatchObject({ state: 'mine', since: at(3), asked: false });
    expect(holdView(handed, IH, undefined, at(3)).state).toBe('elsewhere');
  });
  test('opened to look at, it is taken where nobody has it, and left where anybody has, the same person too', () => {
    const opened = after({ act: 'open', ...IH, minute: 0 });
    expect(opened).toEqual({ ...IH, since: at(0) });
    expect(holdAfter(opened, { act: 'open', bench: 'tablet-2', who: 'IH' }, undefined, at(1))).toBe(opened);
    expect(holdAfter(opened, { act: 'open', ...MK }, undefined, at(2 * DAY))).toBe(opened);
    expect(holdAfter(opened, { act: 'open', ...IH }, undefined, at(1))).toEqual(opened);
    const down = holdAfter(opened, { act: 'lay-down', ...IH }, undefined, at(2));
    expect(holdAfter(down, { act: 'open', ...MK }, undefined, at(3)).bench).toBe('bench-two');
  });
  test('asked for where it lies there, it is had at once', () => {
    expect(after({ act: 'ask', ...MK, minute: 4 })).toEqual({ ...MK, since: at(4) });
    const down = after({ act: 'take', ...IH, minute: 0 }, { act: 'lay-down', ...IH, minute: 5 });
    expect(holdView(down, MK, undefined, at(6))).toMatchObject({ who: 'IH', since: at(5), asked: false });
    expect(holdAfter(down, { act: 'ask', ...MK }, undefined, at(6))).toEqual({
      ...MK,
      since: at(6),
      before: { bench: IH.bench, until: at(5) },
    });
    const own = after({ act: 'take', ...IH, minute: 0 });
    expect(holdAfter(own, { act: 'ask', ...IH }, undefined, at(1)).asked).toBeUndefined();
    expect(holdView(undefined, MK, undefined, at(6))).toMatchObject({ who: '', since: at(6), mayTake: true });
  });
  test('whoever gave no initials is another screen, and is said so', () => {
    const nameless = after({ act: 'take', bench: 'bench-one', who: '', minute: 0 });
    const said = (hold: BenchHold | undefined) => {
      try {
        holdAfter(hold, { act: 'take', ...MK }, undefined, at(1));
      } catch (error) {
        return (error as Error).message;
      }
      return '';
    };
    expect(said(nameless)).toMatch(/^Another screen has the wrench/);
    expect(said(after({ act: 'take', ...IH, minute: 0 }))).toMatch(/^IH, at another screen, has the wrench/);
  });
  test('nobody gives away what another has', () => {
    const taken = after({ act: 'take', ...IH, minute: 0 }, { act: 'ask', ...MK, minute: 1 });
    for (const act of ['hand-over', 'lay-down'] as const)
      expect(codeOf(() => holdAfter(taken, { act, ...MK }, undefined, at(2)))).toBe('held-elsewhere');
    expect(codeOf(() => holdAfter(undefined, { act: 'lay-down', ...MK }, undefined, at(2)))).toBe('nobody-has');
  });
  test('a person’s own, on another screen, is taken with one press; a stranger’s with a word, which is said', () => {
    const taken = after({ act: 'take', ...IH, minute: 0 });
    const own = { bench: 'tablet-2', who: 'IH' };
    expect(holdView(taken, own, undefined, at(1)).mayTake).toBe(true);
    expect(holdAfter(taken, { act: 'take', ...own }, undefined, at(1)).bench).toBe('tablet-2');
    const over = holdAfter(taken, { act: 'take', ...MK, words: 'his tablet is flat' }, undefined, at(1));
    expect(holdView(over, IH, undefined, at(1))).toMatchObject({ state: 'elsewhere', words: 'his tablet is flat' });
  });
  test('left for a day it is taken with one press; the day counts from what was last done', () => {
    const taken = after({ act: 'take', ...IH, minute: 0 });
    expect(holdView(taken, MK, undefined, at(DAY)).mayTake).toBe(false);
    expect(holdView(taken, MK, undefined, at(DAY + 1)).mayTake).toBe(true);
    expect(holdView(taken, MK, at(30), at(DAY + 1)).mayTake).toBe(false);
    expect(holdAfter(taken, { act: 'take', ...MK }, at(30), at(DAY + 31)).bench).toBe('bench-two');
  });
  test('laid down, anybody takes it; taken up again by the same screen it is as it was', () => {
    const down = after({ act: 'take', ...IH, minute: 0 }, { act: 'lay-down', ...IH, minute: 5 });
    expect(holdView(down, MK, undefined, at(6))).toMatchObject({ state: 'free', mayTake: true });
    expect(holdAfter(down, { act: 'take', ...MK }, undefined, at(6)).bench).toBe('bench-two');
    expect(after({ act: 'take', ...IH, minute: 0 }, { act: 'take', ...IH, minute: 9 })?.since).toBe(at(0));
  });
});

describe('whose lines are taken', () => {
  test('those of whoever has it; of the one before, what was done until then; of no screen only where nobody has it', () => {
    const handed = after(
      { act: 'take', ...IH, minute: 0 },
      { act: 'ask', ...MK, minute: 1 },
      { act: 'hand-over', ...IH, minute: 10 },
    );
    const take = (bench: string | undefined, minute: number) => () => assertHolds(handed, bench, at(minute));
    expect(take('bench-two', 12)).not.toThrow();
    expect(take('bench-one', 10)).not.toThrow();
    expect(codeOf(take('bench-one', 11))).toBe('held-elsewhere');
    expect(codeOf(take('bench-three', 9))).toBe('held-elsewhere');
    expect(codeOf(take(undefined, 9))).toBe('held-elsewhere');
    expect(() => assertHolds(undefined, undefined, at(0))).not.toThrow();
    expect(() =>
      assertHolds(after({ act: 'take', ...IH, minute: 0 }, { act: 'lay-down', ...IH, minute: 1 }), undefined, at(2)),
    ).not.toThrow();
  });
  test('whatever is done by whom, one screen at most has it, and only its lines of now are taken', () => {
    const screens = ['bench-one', 'bench-two', 'bench-three'];
    const moves = fc.array(
      fc.record({
        act: fc.constantFrom(...HOLD_ACTS),
        screen: fc.nat({ max: 2 }),
        words: fc.boolean(),
        wait: fc.constantFrom(1, 10, DAY + 1),
      }),
      { minLength: 1, maxLength: 20 },
    );
    let handedOver = 0;
    fc.assert(
      fc.property(moves, (all) => {
        let hold: BenchHold | undefined;
        let minute = 0;
        for (const { act, screen, words, wait } of all) {
          minute += wait;
          const bench = screens[screen] ?? '';
          const before = hold;
          try {
            hold = holdAfter(hold, { act, bench, who: bench, ...(words && { words: 'why' }) }, undefined, at(minute));
          } catch {
            expect(hold).toBe(before);
          }
          if (act === 'hand-over' && hold !== before) handedOver += 1;
          const mine = screens.filter(
            (one) => holdView(hold, { bench: one, who: one }, undefined, at(minute)).state === 'mine',
          );
          expect(mine.length).toBeLessThanOrEqual(1);
          const taken = screens.filter((one) => {
            try {
              assertHolds(hold, one, at(minute + 1));
              return true;
            } catch {
              return false;
            }
          });
          expect(taken).toEqual(hold?.bench ? mine : screens);
        }
      }),
      { numRuns: 400, seed: 20_261_128 },
    );
    expect(handedOver).toBeGreaterThan(5);
  });
});
