import { describe, expect, test } from '@jest/globals';
import { roundState } from '@/core/tightening';
import { askedAt } from '@/model/joint/pull-reading';
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
    [{ ...SHAFT, kind: 'bind' }, 'words'],
    [{ ...SHAFT, words: ' ' }, 'words'],
    [{ ...PULL, age_ms: -1 }, 'age_ms'],
    [{ ...PULL, age_ms: 'long' }, 'age_ms'],
    [{ ...PULL, read_Nm: 0 }, 'read_Nm'],
    [{ ...PULL, read_Nm: 5001 }, 'read_Nm'],
    [{ ...PULL, turned_deg: -1 }, 'turned_deg'],
    [{ ...PULL, readingId: 'short' }, 'readingId'],
    [{ ...PULL, instrument: ' ' }, 'instrument'],
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
  test('with a reading is on disk with it, and one past its limits is not there without a reason', () => {
    const shop = yardShop();
    const round = 'demo-m-joint-head-round-1';
    const tightening = shop.tightenings.find(round);
    const { next } = roundState(
      tightening?.plan.steps ?? [],
      shop.tightenings.events(round),
      tightening?.plan.positions.length ?? 0,
    );
    const step = tightening?.plan.steps[next];
    if (!tightening || step?.kind !== 'pull') throw new Error('the yard is not whole');
    const { asked_Nm } = askedAt(tightening.plan, step);
    const line = { ...PULL, step: next, instrument: 'Seven', readingId: 'reading-1' };
    expect(recordEvent(shop, round, { ...line, read_Nm: asked_Nm * 1.2 })).toMatchObject({
      ok: false,
      error: { code: 'outside-limits', field: 'read_Nm' },
    });
    expect(shop.tightenings.events(round).at(-1)?.id).not.toBe(line.id);
    const taken = { ...line, read_Nm: asked_Nm * 1.01, turned_deg: 12 };
    expect(recordEvent(shop, round, taken)).toMatchObject({ ok: true, result: { isNew: true } });
    expect(recordEvent(shop, round, taken)).toMatchObject({ ok: true, result: { isNew: false } });
    const { age_ms, ...kept } = taken;
    expect([age_ms, shop.tightenings.events(round).at(-1)]).toMatchObject([0, kept]);
    expect(recordEvent(shop, round, { ...taken, id: 'a-pull-0002', step: next + 1 })).toMatchObject({
      ok: false,
      error: { code: 'read-already' },
    });
  });
  test('of a wrench that is listened to at two benches makes one pull and no second', () => {
    const shop = yardShop();
    const [begun] = shop.tightenings.ofJoint('demo-f-joint-head');
    const step = begun?.plan.steps[0];
    if (!begun || step?.kind !== 'pull') throw new Error('the yard is not whole');
    for (const id of ['one-round', 'another-round']) shop.tightenings.start({ ...begun, id, purpose: 'trial' });
    const { asked_Nm } = askedAt(begun.plan, step);
    const line = { ...PULL, step: 0, read_Nm: asked_Nm, instrument: 'Seven', readingId: 'reading-1' };
    expect(recordEvent(shop, 'one-round', line)).toMatchObject({ ok: true });
    const other = { ...line, id: 'a-pull-0003' };
    expect(recordEvent(shop, 'another-round', other)).toMatchObject({ ok: false, error: { code: 'read-already' } });
    expect(recordEvent(shop, 'another-round', { ...other, readingId: 'reading-2' })).toMatchObject({ ok: true });
  });
});
