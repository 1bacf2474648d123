import { beforeEach, describe, expect, test } from '@jest/globals';
import type { Shop } from '@/db/shop';
import { holdOf, moveHold } from '@/features/bench/hold';
import { recordEvent } from '@/features/bench/record-event';
import { freshTightening, yardShop } from '../db/temporary-shop';
import { codeOf } from '../core/code-of';

const NOW = new Date().toISOString();
const [ONE, TWO] = ['bench-one', 'bench-two'];
let shop: Shop;
let lines = 0;
beforeEach(() => {
  shop = yardShop();
  freshTightening(shop);
});
const move = (act: string, bench: string, who: string, words?: string, at = NOW) =>
  moveHold(shop, 'round', { act, bench, ...(words !== undefined && { words }) }, who, at);
const pull = (step: number, bench?: string, age_ms = 0) => {
  const outcome = recordEvent(shop, 'round', {
    id: `held-line-${(lines += 1)}`,
    kind: 'pull',
    step,
    outcome: 'pulled',
    age_ms,
    ...(bench && { bench }),
  });
  return outcome.ok ? 'taken' : outcome.error.code;
};

describe('only whoever has the wrench records', () => {
  test('a line of another screen, or of none, is refused, and nothing is written', () => {
    expect(move('take', ONE, 'IH').state).toBe('mine');
    expect([pull(0, TWO), pull(0)]).toEqual(['held-elsewhere', 'held-elsewhere']);
    expect(shop.tightenings.events('round')).toEqual([]);
    expect(pull(0, ONE)).toBe('taken');
    expect(holdOf(shop, 'round', { bench: TWO, who: 'MK' }, NOW)).toMatchObject({ state: 'elsewhere', lines: 1 });
  });
  test('undoing, passing over and turning the crank are asked the same', () => {
    move('take', ONE, 'IH');
    pull(0, ONE);
    const [line] = shop.tightenings.events('round');
    for (const body of [
      { kind: 'strike', strikes: line?.id },
      { kind: 'skip', step: 1, words: 'not reached' },
      { kind: 'shaft', step: 1 },
    ])
      expect(recordEvent(shop, 'round', { id: 'held-other-line', age_ms: 0, bench: TWO, ...body })).toMatchObject({
        error: { code: 'held-elsewhere' },
      });
  });
  test('where nobody ever had it a line stands by itself, as it did', () => expect(pull(0)).toBe('taken'));
  test('handed over, what was pulled before may come in late, and nothing after', () => {
    const before = new Date(Date.now() - 60_000).toISOString();
    move('take', ONE, 'IH', undefined, before);
    move('ask', TWO, 'MK', undefined, before);
    move('hand-over', ONE, 'IH', undefined, before);
    expect(pull(0, ONE)).toBe('held-elsewhere');
    expect(pull(0, ONE, 90_000)).toBe('taken');
    expect(pull(1, TWO)).toBe('taken');
  });
  test('what no screen says, and a round that is not there, are refused', () => {
    expect(codeOf(() => move('snatch', ONE, 'IH'))).toBe('bad-field');
    expect(codeOf(() => move('take', 'x', 'IH'))).toBe('bad-field');
    expect(codeOf(() => moveHold(shop, 'none', { act: 'take', bench: ONE }, 'IH', NOW))).toBe('not-found');
    expect(codeOf(() => holdOf(shop, 'none', { bench: ONE, who: '' }, NOW))).toBe('not-found');
  });
  test('a word is kept and said; of two that take it at once one has it', () => {
    move('take', ONE, 'IH');
    expect(codeOf(() => move('take', TWO, 'MK'))).toBe('held-elsewhere');
    expect(codeOf(() => move('take', TWO, 'MK', '  '))).toBe('bad-field');
    expect(move('take', TWO, 'MK', 'IH went home').state).toBe('mine');
    expect(holdOf(shop, 'round', { bench: ONE, who: 'IH' }, NOW)).toMatchObject({
      state: 'elsewhere',
      who: 'MK',
      words: 'IH went home',
    });
  });
  test('another round of the same engine has a wrench of its own', () => {
    freshTightening(shop, 'second');
    move('take', ONE, 'IH');
    expect(moveHold(shop, 'second', { act: 'take', bench: TWO }, 'MK', NOW).state).toBe('mine');
  });
});
