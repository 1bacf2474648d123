import { beforeEach, describe, expect, test } from '@jest/globals';
import { toTakeOver } from '@/db/reads/to-take-over';
import { takeOverPage } from '@/features/take-over/queries';
import { takeOverAction } from '@/features/take-over/actions';
import { undoAction } from '@/features/removal/actions';
import { jointInputs } from '@/db/reads/joint-inputs';
import { computeJoint } from '@/model/joint/joint-result';
import type { Shop } from '@/db/shop';
import { nowMs } from '@/server/clock';
import { jointNamed, rowsNamed } from '../db/temporary-shop';
import { accepted, everything, ownShop, refusedWhole, there } from './own-shop';

let shop: Shop;
beforeEach(() => {
  shop = ownShop();
  shop.engines.add({
    ...there(shop.engines.find('demo-fourteen')),
    id: 'sister',
    name: 'The other Fourteen',
    version: 1,
  });
});

const take = (part: object = {}) =>
  takeOverAction({ engineId: 'sister', fromId: 'demo-fourteen', leafIds: [], jointIds: [], ...part });
const all = () => ({
  leafIds: takeOverPage(rowsNamed(shop, 'sister'), toTakeOver(shop, 'demo-fourteen')).leaves.map(({ id }) => id),
  jointIds: shop.joints.ofEngine('demo-fourteen').map(({ id }) => id),
});

describe('a sister engine', () => {
  test('takes over the book and the joints, and sets them as they are set there', async () => {
    const { copied, made } = await accepted(take(all()));
    expect([copied, made]).toEqual([all().leafIds.length, all().jointIds.length]);
    const joints = shop.joints.ofEngine('sister');
    expect(joints.map(({ name }) => name)).toEqual(shop.joints.ofEngine('demo-fourteen').map(({ name }) => name));
    const setting = (id: string) => computeJoint(jointInputs(shop, jointNamed(shop, id), nowMs())).ladder.target_Nm;
    for (const joint of joints) {
      const from = there(shop.joints.ofEngine('demo-fourteen').find(({ name }) => name === joint.name));
      expect(setting(joint.id)).toBeCloseTo(setting(from.id), 9);
      expect(there(shop.book.findLeaf(joint.leafId)).engineId).toBe('sister');
    }
    expect(shop.tightenings.ofEngine('sister')).toEqual([]);
    expect(
      shop.book
        .sources('sister')
        .map(({ id }) => id)
        .sort(),
    ).toEqual([...new Set(shop.book.leaves('sister').map(({ sourceId }) => sourceId))].sort());
  });
  test('what was found of the very fasteners there is not known here', async () => {
    const head = jointNamed(shop, 'demo-f-joint-head');
    const facts = { socket: 'takes', takenBeyondYield: false, platedUnbaked: false, locking: 'metal-nut' } as const;
    const turns = { prevailingLow_Nm: 1, prevailingHigh_Nm: 2 };
    const insert = { insert: true, insertLength_mm: 12, insertLow_Nm: 1, insertHigh_Nm: 2 };
    shop.joints.alter({
      ...head,
      bearingMeasured: true,
      detail: {
        ...head.detail,
        original: { ...head.detail.original, ...facts, ...turns },
        parent: { ...head.detail.parent, ...insert, metal: 'aluminium-cast', nearHeat: true },
        overrides: { film: { value_Nm: 40, reason: 'tried' } },
        leftUnknown: ['nut'],
      },
    });
    await accepted(take({ jointIds: [head.id] }));
    const [copy] = shop.joints.ofEngine('sister');
    expect(copy).toMatchObject({
      bearingMeasured: false,
      detail: {
        original: {
          ...{ socket: 'not-tried', takenBeyondYield: null, platedUnbaked: null },
          ...{ locking: 'metal-nut', prevailingLow_Nm: null, prevailingHigh_Nm: null },
        },
        // What the designer gave it stays; what somebody did to that casting is not known of this one.
        parent: { insert: null, insertLength_mm: null, insertLow_Nm: null, insertHigh_Nm: null, nearHeat: true },
        overrides: {},
        leftUnknown: [],
        leafReason: null,
      },
    });
    const codes = computeJoint(jointInputs(shop, there(copy), nowMs())).unknown.map(({ code }) => code);
    expect(codes).toEqual(expect.arrayContaining(['face', 'history', 'nut', 'own-torque', 'insert']));
  });
  test('a joint brings its entry along, once; what is here stays as it is, and twice is nothing', async () => {
    await accepted(take({ jointIds: ['demo-f-joint-head'] }));
    expect(shop.book.leaves('sister')).toHaveLength(1);
    const before = everything(shop);
    expect((await refusedWhole(shop, () => take({ jointIds: ['demo-f-joint-head'] }))).code).toBe('nothing-new');
    expect(everything(shop)).toBe(before);
    await accepted(take(all()));
    expect(shop.joints.ofEngine('sister').filter(({ name }) => name === 'Cylinder head')).toHaveLength(1);
    const page = takeOverPage(rowsNamed(shop, 'sister'), toTakeOver(shop, 'demo-fourteen'));
    expect([...page.leaves, ...page.joints].every(({ isHere }) => isHere)).toBe(true);
  });
  test('all of it goes back with one key', async () => {
    const before = everything(shop).replace(/"stamp":\d+/g, '');
    const { undo } = (await accepted(take(all()))) as { undo?: { token: string } };
    await accepted(undoAction({ token: there(undo).token }));
    expect(everything(shop).replace(/"stamp":\d+/g, '')).toBe(before);
  });
  test.each([
    [{ fromId: 'sister' }, 'fromId'],
    [{ fromId: 'none' }, 'engineId'],
    [{ engineId: 'none' }, 'engineId'],
    [{ leafIds: ['none'] }, 'fromId'],
    [{ jointIds: ['demo-n-joint-mains'] }, 'fromId'],
    [{ leafIds: ['demo-n-mains'] }, 'fromId'],
  ])('%j is refused at %s, and nothing is written', async (part, field) => {
    expect(await refusedWhole(shop, () => take(part))).toMatchObject({ field });
  });
});
