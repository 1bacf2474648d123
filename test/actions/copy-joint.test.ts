import { beforeEach, describe, expect, test } from '@jest/globals';
import { jointInputs } from '@/db/reads/joint-inputs';
import type { Shop } from '@/db/shop';
import { copyJointAction } from '@/features/joint/copy-joint';
import { computeJoint } from '@/model/joint/joint-result';
import { accepted, ownShop, refusedWhole, there } from './own-shop';

let shop: Shop;
beforeEach(() => {
  shop = ownShop();
});

const HEAD = 'demo-f-joint-head';

describe('a second one of a joint', () => {
  test('is reckoned as the first is, has no pull of it, and nothing that was found of the very fasteners', async () => {
    const first = there(shop.joints.find(HEAD));
    shop.joints.alter({
      ...first,
      bearingMeasured: true,
      detail: { ...first.detail, original: { ...first.detail.original, socket: 'takes', takenBeyondYield: false } },
    });
    const { href } = await accepted(copyJointAction({ jointId: HEAD, name: ' Rear head ' }));
    const copy = there(shop.joints.find(there(href.split('/').at(-1))));
    expect([copy.name, copy.engineId, copy.version]).toEqual(['Rear head', first.engineId, 1]);
    expect([copy.bearingMeasured, copy.detail.original.socket, copy.detail.original.takenBeyondYield]).toEqual([
      false,
      'not-tried',
      null,
    ]);
    const settingOf = (joint: typeof copy) => computeJoint(jointInputs(shop, joint, Date.now())).ladder.setting.rounded;
    expect(settingOf(copy)).toBe(settingOf(first));
    expect(shop.tightenings.ofJoint(copy.id)).toEqual([]);
    expect(shop.tightenings.ofJoint(HEAD).length).toBeGreaterThan(0);
    expect(shop.joints.ofEngine(first.engineId)).toHaveLength(3);
  });
  test.each([
    ['a name that is there', { jointId: HEAD, name: 'Cylinder head' }, 'name-taken'],
    ['no name', { jointId: HEAD, name: ' ' }, 'bad-field'],
    ['a joint that is not here', { jointId: 'none', name: 'Rear head' }, 'not-found'],
  ])('%s is refused, and nothing is written', async (_, fields, code) =>
    expect((await refusedWhole(shop, () => copyJointAction(fields))).code).toBe(code),
  );
});
