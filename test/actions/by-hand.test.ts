import { beforeEach, describe, expect, test } from '@jest/globals';
import { addHandPullAction, strikeHandPullAction } from '@/features/hand/actions';
import { undoAction } from '@/features/removal/actions';
import { shelfStops } from '@/features/shelves/queries';
import type { Shop } from '@/db/shop';
import { shelvesOf } from '@/db/reads/shelves-of-shop';
import { handsOf, meantAsTyped } from '@/model/trial/hand-pull';
import { accepted, ownShop, refused, refusedWhole, there } from './own-shop';

let shop: Shop;
beforeEach(() => {
  shop = ownShop();
});

const pull = (change: object = {}) =>
  addHandPullAction({ hand: 'IH', thread: 'm8', meant: '22 Nm', read: '19 lb ft', ...change });
const undo = (result: unknown) => undoAction({ token: there((result as { undo?: { token: string } }).undo).token });
const stop = () => shelfStops(shop, shelvesOf(shop), shop.hands.pulls()).find(({ name }) => name === 'By hand')?.line;

describe('a pull by feel', () => {
  test('is kept as it was typed and as it is, by hand and size', async () => {
    expect(stop()).toBe('none yet');
    await accepted(pull());
    await accepted(pull({ hand: 'i. h.', read: '24' }));
    await accepted(pull({ hand: 'TW' }));
    await accepted(pull({ thread: 'M10', meant: '45', read: '50' }));
    expect(stop()).toBe('4 pulls');
    const hands = handsOf(shop.hands.pulls());
    expect(hands.map(({ hand, thread, pulls }) => [hand, thread, pulls.length])).toEqual([
      ['IH', 'M8', 2],
      ['TW', 'M8', 1],
      ['IH', 'M10', 1],
    ]);
    const [first] = there(hands[0]).pulls;
    expect([first?.typed, first && meantAsTyped(first)]).toEqual(['22 Nm, 19 lb ft', '22 Nm']);
    expect(first?.read_Nm).toBeCloseTo(19 * 1.3558179483, 6);
    expect(hands[2]?.result.factor).toBeCloseTo(50 / 45, 12);
  });
  test.each([
    [{ hand: ' ' }, 'hand'],
    [{ hand: 'Thomas' }, 'hand'],
    [{ thread: 'M8.2x' }, 'thread'],
    [{ meant: '0' }, 'meant'],
    [{ read: 'much' }, 'read'],
    [{ read: '' }, 'read'],
    [{ read: '220 Nm' }, 'read'],
    [{ meant: '-4' }, 'meant'],
  ])('of %j is refused, and nothing is written', async (change, field) => {
    expect(await refusedWhole(shop, () => pull(change))).toMatchObject({ field });
  });
  test('that was wrong is struck by a line of its own; taken back, it stands again', async () => {
    await accepted(pull());
    const [own] = shop.hands.pulls();
    const struck = await accepted(strikeHandPullAction({ pullId: there(own).id }));
    expect([shop.hands.pulls(), stop()]).toEqual([[], 'none yet']);
    expect((await refused(strikeHandPullAction({ pullId: there(own).id }))).code).toBe('nothing-to-strike');
    expect((await undo(struck)).ok).toBe(true);
    expect([shop.hands.pulls().map(({ id }) => id), stop()]).toEqual([[own?.id], '1 pull']);
    expect(() => shop.db.exec('DELETE FROM hand_pull')).toThrow(/never removed/);
    expect(() => shop.db.exec('UPDATE hand_pull SET read_nm = 1')).toThrow(/never altered/);
  });
  test('is taken back by its key', async () => {
    const done = await accepted(pull());
    expect((await undo(done)).ok).toBe(true);
    expect(shop.hands.pulls()).toEqual([]);
  });
});
