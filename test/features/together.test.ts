import { describe, expect, jest, test } from '@jest/globals';
import { openShop } from '@/db/shop';
import { recordEvent, recordEvents } from '@/features/bench/record-event';
import { MOST_TOGETHER } from '@/model/most-together';
import { together } from '@/server/together';
import { freshTightening, yardShop } from '../db/temporary-shop';

const pull = (step: number, id = `line-of-step-${step}`) => ({ id, kind: 'pull', step, outcome: 'pulled', age_ms: 0 });

/** A shop with a round whose first three steps are pulls. */
function atBench() {
  const shop = yardShop();
  const { id } = freshTightening(shop);
  return { shop, id, ids: () => shop.tightenings.events(id).map((event) => event.id) };
}

describe('lines that are sent together', () => {
  test('are written in their order, each once, however often they are sent', () => {
    const { shop, id, ids } = atBench();
    const lines = [pull(0), pull(1), pull(2)];
    const first = recordEvents(shop, id, lines);
    expect(first).toMatchObject({
      ok: true,
      result: { recorded: lines.map((line) => ({ id: line.id, isNew: true })) },
    });
    expect(recordEvents(shop, id, lines)).toMatchObject({
      ok: true,
      result: { recorded: lines.map((line) => ({ id: line.id, isNew: false })) },
    });
    expect(ids()).toEqual(lines.map((line) => line.id));
  });
  test.each([
    ['out of its turn', pull(2, 'out-of-turn'), 'out-of-turn'],
    ['not a line', { ...pull(1), outcome: 'lost' }, 'bad-field'],
  ])('one that is %s is refused, those before it stand, and none after it is looked at', (_, line, code) => {
    const { shop, id, ids } = atBench();
    expect(recordEvents(shop, id, [pull(0), line, pull(1, 'after-it')])).toMatchObject({
      ok: true,
      result: { recorded: [{ id: 'line-of-step-0' }], refused: { code } },
    });
    expect(ids()).toEqual(['line-of-step-0']);
  });
  test('are refused as a whole where they are too many or of no round', () => {
    const { shop, id, ids } = atBench();
    const many = Array.from({ length: MOST_TOGETHER + 1 }, () => pull(0));
    expect(recordEvents(shop, id, many)).toMatchObject({ ok: false, error: { code: 'too-many' } });
    expect(recordEvents(shop, 'none', [pull(0)])).toMatchObject({
      ok: true,
      result: { recorded: [], refused: { code: 'not-found' } },
    });
    expect(ids()).toEqual([]);
  });
});

describe('what comes in at the same time', () => {
  test('is written in one transaction, and answered once all of it is on disk', async () => {
    const { shop, id } = atBench();
    const other = freshTightening(shop, 'other').id;
    const beside = openShop(shop.file);
    const begun: boolean[] = [];
    const { transaction } = shop;
    jest.spyOn(shop, 'transaction').mockImplementation((work) => {
      begun.push(shop.db.inTransaction);
      return transaction(work);
    });
    const answered = [id, other].map((round, n) =>
      together(shop, () => recordEvent(shop, round, pull(0, `at-bench-${n}`))).then((outcome) => ({
        outcome,
        // Another program that reads the file sees what was answered for.
        onDisk: beside.tightenings.events(round).length,
      })),
    );
    expect(await Promise.all(answered)).toMatchObject([
      { outcome: { ok: true }, onDisk: 1 },
      { outcome: { ok: true }, onDisk: 1 },
    ]);
    expect(begun.filter((within) => !within)).toHaveLength(1);
    beside.close();
  });
  test('one that throws is taken back alone', async () => {
    const { shop, id, ids } = atBench();
    const other = freshTightening(shop, 'other').id;
    const [kept, thrown] = await Promise.allSettled([
      together(shop, () => recordEvent(shop, id, pull(0))),
      together(shop, () => {
        recordEvent(shop, other, pull(0, 'taken-back'));
        throw new Error('no');
      }),
    ]);
    expect([kept.status, thrown.status]).toEqual(['fulfilled', 'rejected']);
    expect([ids(), shop.tightenings.events(other)]).toEqual([['line-of-step-0'], []]);
  });
  test('where the file takes all of it back, nobody is told that it is on disk', async () => {
    const { shop, id, ids } = atBench();
    const all = await Promise.allSettled([
      together(shop, () => recordEvent(shop, id, pull(0))),
      together(shop, () => void shop.db.prepare('ROLLBACK').run()),
      together(shop, () => recordEvent(shop, id, pull(1))),
    ]);
    expect(all.map(({ status }) => status)).toEqual(['rejected', 'rejected', 'rejected']);
    expect(ids()).toEqual([]);
    expect(shop.db.inTransaction).toBe(false);
  });
});
