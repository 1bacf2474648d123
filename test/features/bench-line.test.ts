import { describe, expect, test } from '@jest/globals';
import { validateEvent } from '@/features/bench/event-schema';
import { recordEvent } from '@/features/bench/record-event';
import { yardShop } from '../db/temporary-shop';

const PULL = { id: 'a-pull-0001', kind: 'pull', step: 6, outcome: 'pulled', age_ms: 0 };
const SHAFT = { id: 'a-shaft-0001', kind: 'shaft', step: 6, age_ms: 0 };
const STRIKE = { id: 'a-strike-0001', kind: 'strike', strikes: 'a-pull-0001', age_ms: 0 };

describe('a line from the bench', () => {
  test.each([[PULL], [SHAFT], [STRIKE]])('%j is taken as it is, and nothing else of it', (line) => {
    expect(validateEvent(line)).toEqual({ value: line });
    expect(validateEvent({ ...line, at: '2020-01-01', colour: 'green' }).value).toEqual(line);
  });
  test.each([
    [{ ...PULL, kind: 'push' }, 'kind'],
    [{ ...PULL, kind: undefined }, 'kind'],
    [{ ...PULL, id: 'short' }, 'id'],
    [{ ...PULL, id: 'x'.repeat(41) }, 'id'],
    [{ ...PULL, id: undefined }, 'id'],
    [{ ...PULL, step: -1 }, 'step'],
    [{ ...PULL, step: 1.5 }, 'step'],
    [{ ...PULL, step: 10_001 }, 'step'],
    [{ ...PULL, step: undefined }, 'step'],
    [{ ...PULL, outcome: 'lost' }, 'outcome'],
    [{ ...PULL, outcome: undefined }, 'outcome'],
    [{ ...SHAFT, step: undefined }, 'step'],
    [{ ...STRIKE, strikes: undefined }, 'strikes'],
    [{ ...SHAFT, kind: 'skip', words: ' ' }, 'words'],
    [{ ...SHAFT, kind: 'skip' }, 'words'],
    [{ ...PULL, age_ms: -1 }, 'age_ms'],
    [{ ...PULL, age_ms: 'long' }, 'age_ms'],
  ])('%j is refused at %s, and nothing is written', (line, field) => {
    const { error } = validateEvent(line);
    expect(error?.details.map(({ path }) => path.join('.'))).toEqual([field]);
    const shop = yardShop();
    const before = shop.tightenings.events('demo-m-joint-head-round-1');
    expect(recordEvent(shop, 'demo-m-joint-head-round-1', line)).toMatchObject({ ok: false });
    expect(shop.tightenings.events('demo-m-joint-head-round-1')).toEqual(before);
  });
  test('of a going-round that is not in this shop is said', () => {
    expect(recordEvent(yardShop(), 'none', PULL)).toMatchObject({ ok: false, error: { code: 'not-found' } });
  });
});
