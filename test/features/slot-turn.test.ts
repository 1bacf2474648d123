import { expect, test } from '@jest/globals';
import { recordEvent } from '@/features/bench/record-event';
import { slotTurnWords } from '@/features/bench/lock-words';
import { lineOf } from '@/interface/words/bench-words';
import { freshTightening, yardShop } from '../db/temporary-shop';

test.each([
  ['14', 'turned 14° further, on to a slot'],
  ['7.5°', 'turned 7.5° further, on to a slot'],
  ['119', 'turned 119° further, on to a slot'],
  ['0', undefined],
  ['-14', undefined],
  ['120', undefined],
  ['a flat', undefined],
  ['1e1', undefined],
])('%s degrees on to a slot', (typed, words) => expect(slotTurnWords(typed)).toBe(words));

test('a pull says how far it was turned on; the same line again is one line, another of its id is refused', () => {
  const shop = yardShop();
  const { id, plan } = freshTightening(shop);
  const line = { id: 'slotted-one', kind: 'pull', step: 0, outcome: 'pulled', age_ms: 0 };
  const words = slotTurnWords('14');
  expect(recordEvent(shop, id, { ...line, words })).toMatchObject({ ok: true, result: { isNew: true } });
  expect(recordEvent(shop, id, { ...line, words })).toMatchObject({ ok: true, result: { isNew: false } });
  expect(recordEvent(shop, id, { ...line, words: 'turned 20° further, on to a slot' })).toMatchObject({ ok: false });
  const [event] = shop.tightenings.events(id);
  expect(event && 'step' in event && lineOf(plan, event)).toMatch(/pulled, turned 14° further, on to a slot$/);
});
