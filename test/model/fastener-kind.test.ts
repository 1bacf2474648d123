import { expect, test } from '@jest/globals';
import { newKind, ofOtherThread } from '@/model/joint/fastener-kind';
import { PLAIN_DETAIL } from '@/model/joint/joint-detail';
import { jointNamed, yardShop } from '../db/temporary-shop';

const shop = yardShop();

test('of another thread a kind keeps where it sits and how it is held, and nothing measured of the one before', () => {
  const joint = jointNamed(shop, 'demo-m-joint-head');
  const kind = newKind({ ...joint, bearingMeasured: true }, 'Long', [1, 2]);
  const grip = { ...kind.detail.parent, hottest_C: 140, insert: true, engagement_mm: 20, boreMoves: false };
  const original = { ...kind.detail.original, form: 'bolt', locking: 'tab', grade: 'din-8g', length_mm: 80 } as const;
  const before = { ...kind, detail: { ...kind.detail, original, parent: grip } };
  const { name, places, fields, detail } = ofOtherThread(before, 'M10', { outer_mm: 16, inner_mm: 10.5 });
  expect([name, places]).toEqual(['Long', [1, 2]]);
  expect(fields).toEqual({
    ...kind.fields,
    thread: 'M10',
    bearingOuter_mm: 16,
    bearingInner_mm: 10.5,
    bearingMeasured: false,
  });
  expect(detail).toEqual({
    ...before.detail,
    original: { ...PLAIN_DETAIL.original, form: 'bolt', locking: 'tab' },
    today: null,
    maker: null,
    overrides: {},
    slope: null,
    parent: {
      ...PLAIN_DETAIL.parent,
      metal: grip.metal,
      underHead: grip.underHead,
      hottest_C: 140,
      nearHeat: grip.nearHeat,
      boreMoves: false,
    },
  });
});
