import { describe, expect, test } from '@jest/globals';
import { figureDiffers } from '@/model/book/leaf-figure';
import { leafOfText } from '@/model/book/leaf-of-text';
import { guardsOfGate, type Gate } from '@/model/fit/fit-gate';
import { computeJoint } from '@/model/joint/joint-result';
import { planOfJoint } from '@/model/joint/round-plan';
import { jointInputs } from '@/db/reads/joint-inputs';
import { assertFresh, sayBy, StaleWrite } from '@/model/stale';
import { jointNamed, YARD_NOW, yardShop } from '../db/temporary-shop';

// Each of these could be spoilt without a test of the model that saw it.

describe('a turn that is kept beside a torque', () => {
  const printedText = '40 lb. ft. + 90°';
  const leaf = {
    printedText,
    ...leafOfText({ kind: 'torque', printedText, conditionText: null, readingIndex: 0 }),
  };
  test('is the one of the text', () => {
    expect(leaf).toMatchObject({ min_deg: 90, max_deg: 90 });
    expect(figureDiffers(leaf)).toBeUndefined();
  });
  test.each([
    ['missing', { min_deg: null, max_deg: null }],
    ['half missing', { max_deg: null }],
    ['the other half missing', { min_deg: null }],
    ['another', { min_deg: 60, max_deg: 60 }],
  ])('%s is told', (_, kept) =>
    expect(figureDiffers({ ...leaf, ...kept })).toMatch(/does not give the figure that is kept/),
  );
  test('where the text has none, one that is kept is told', () => {
    const plain = leafOfText({ kind: 'torque', printedText: '40 lb. ft.', conditionText: null, readingIndex: 0 });
    expect(figureDiffers({ printedText: '40 lb. ft.', ...plain })).toBeUndefined();
    for (const kept of [{ min_deg: 90 }, { max_deg: 90 }, { min_deg: 90, max_deg: 90 }])
      expect(figureDiffers({ printedText: '40 lb. ft.', ...plain, ...kept })).toMatch(/does not give/);
  });
});

test('what fits say to a round: out, and not proven, each stops it with its own sentence', () => {
  const gate = { held: [{ line: 'Rod 2: too loose' }], asks: [{ line: 'Rod 3: not read' }], strips: [] };
  expect(guardsOfGate(gate as unknown as Gate)).toEqual([
    {
      code: 'fit-out',
      severity: 'stop',
      message: 'Rod 2: too loose. It is not closed up for good before that is put right.',
    },
    { code: 'fit-not-proven', severity: 'stop', message: 'Rod 3: not read.' },
  ]);
});

describe('a writer who read another version', () => {
  const message = (sent: object) => {
    try {
      assertFresh('Head', { version: 2, name: 'Head' }, { version: 1, ...sent }, sayBy({ name: 'Name' }));
    } catch (error) {
      return error instanceof StaleWrite ? error.message : 'another error';
    }
    return 'none';
  };
  test('is told both values, in a sentence that ends', () =>
    expect(message({ name: 'Heads' })).toMatch(/Nothing was written\. Name: on disk “Head”, here “Heads”\.$/));
  test('and where nothing differs, no more than that', () =>
    expect(message({ name: 'Head' })).toMatch(/Nothing was written\.$/));
  test('of the version on disk is let through', () => expect(message({ version: 2, name: 'Heads' })).toBe('none'));
});

describe('a plan', () => {
  const shop = yardShop();
  const inputs = (given: object) => {
    const joint = jointNamed(shop, 'demo-f-joint-head');
    shop.joints.alter({ ...joint, detail: { ...joint.detail, ...given } });
    return jointInputs(shop, jointNamed(shop, 'demo-f-joint-head'), Date.parse(YARD_NOW));
  };
  test('keeps the page that it is from, and why that one', () => {
    const { leaf } = planOfJoint(inputs({ leafReason: 'the later leaf is of the other head' }));
    expect(leaf).toMatchObject({ printedText: '36–40 lb. ft.', reason: 'the later leaf is of the other head' });
    expect(leaf.source).toMatch(/service leaf/i);
    expect(planOfJoint(inputs({ leafReason: null })).leaf).not.toHaveProperty('reason');
  });
  test('a gasket that is crushed past what it bears is told; of one whose limit nobody knows it is not known', () => {
    const { detail } = jointNamed(shop, 'demo-f-joint-head');
    const codes = (gasketLimit_MPa: number | null) =>
      computeJoint(inputs({ parent: { ...detail.parent, gasketArea_mm2: 100, gasketLimit_MPa } }));
    expect(codes(1).guards.map(({ code }) => code)).toContain('crushes');
    expect(codes(1e6).guards.map(({ code }) => code)).not.toContain('crushes');
    expect(codes(null).unknown.length).toBeGreaterThan(codes(1e6).unknown.length);
  });
});
