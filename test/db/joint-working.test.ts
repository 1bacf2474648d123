import { describe, expect, test } from '@jest/globals';
import { USUAL_PRACTICE } from '@/model/practice/house-practice';
import { careOf, detailOf, PLAIN_DETAIL } from '@/model/joint/joint-detail';
import { jointInputs } from '@/db/reads/joint-inputs';
import type { JointInputs } from '@/model/joint/joint-inputs';
import { planOfJoint, stagesOfJoint, computeJoint } from '@/model/joint/joint-result';
import type { Joint } from '@/model/joint/joint';
import { keepShopPractice, shelvesOf } from '@/db/reads/shelves-of-shop';
import { YARD_NOW, yardShop } from './temporary-shop';

const now = Date.parse(YARD_NOW);
const shop = yardShop();
const settingNamed = (id: string, part: Partial<Joint> = {}, detail: Partial<Joint['detail']> = {}): JointInputs => {
  const joint = shop.joints.find(id);
  if (!joint) throw new Error(`no ${id}`);
  return jointInputs(shop, { ...joint, ...part, detail: { ...joint.detail, ...detail } }, now);
};
const figures = (setting: JointInputs) => stagesOfJoint(setting, computeJoint(setting)).map((stage) => stage.setting);

describe('the stages', () => {
  test('bottom, turn the shaft, then middle: the bottom by stages, the shaft once, the middle last', () => {
    const setting = settingNamed('demo-f-joint-head', { rangeSchool: 'bottom-then-middle', stageScheme: 'halves' });
    expect(figures(setting)).toEqual([12.5, 25, 26.5]);
    const { steps } = planOfJoint(setting);
    expect(steps.filter((step) => step.kind === 'shaft')).toEqual([{ kind: 'shaft', afterStage: 1 }]);
  });
  test('a confirming round is one more at the final figure, and only it is final', () => {
    const setting = settingNamed('demo-f-joint-head', {}, { confirming: true });
    expect(figures(setting).slice(-2)).toEqual([26.5, 26.5]);
    const finals = planOfJoint(setting).steps.filter((step) => step.kind === 'pull' && step.final);
    expect(finals).toHaveLength(14);
  });
});

describe('the shelves', () => {
  test('an own row stands over the shipped one, and going, lets it stand again', () => {
    const film = (id: string) => shelvesOf(shop).films.find((one) => one.id === id);
    const shipped = film('moly-paste');
    if (!shipped) throw new Error('no moly');
    shop.shelf.put(
      'film',
      { ...shipped, thread: { low: 0.07, middle: 0.09, high: 0.12 }, standing: 'own', source: 'here' },
      YARD_NOW,
    );
    expect(film('moly-paste')?.standing).toBe('own');
    expect(computeJoint(settingNamed('demo-f-joint-head')).ladder.friction.thread.low).toBe(0.07);
    shop.shelf.remove('film', 'moly-paste');
    expect(film('moly-paste')).toEqual(shipped);
  });
  test('house practice, and where an engine differs', () => {
    keepShopPractice(shop, { ...USUAL_PRACTICE, window: 'upper-two-thirds' });
    const engine = shop.engines.find('demo-norrhem');
    if (!engine) throw new Error('no engine');
    expect(shelvesOf(shop, engine).practice.window).toBe('upper-two-thirds');
    shop.engines.practise(engine.id, { window: 'whole' });
    expect(shelvesOf(shop, shop.engines.find(engine.id)).practice.window).toBe('whole');
    keepShopPractice(shop, USUAL_PRACTICE);
  });
  test('the wrench is chosen by window, and taken by hand where a person says so', () => {
    const cover = (byHand: boolean) =>
      computeJoint(settingNamed('demo-m-joint-cover', {}, { wrenchByHand: byHand })).wrench.id;
    expect([cover(true), cover(false)]).toEqual(['demo-wrench-nm', 'demo-wrench-in']);
  });
});

test('care follows the class of joint, unless the joint has its own', () => {
  const care = (part: Partial<Joint['detail']>) => careOf({ ...PLAIN_DETAIL, ...part }, USUAL_PRACTICE);
  expect([care({}), care({ jointClass: 'trim' }), care({ jointClass: 'trim', care: 'wrench' })]).toEqual([
    'wrench',
    'hand',
    'wrench',
  ]);
});

test('an older line of the file is filled in with what it does not say', () => {
  expect(detailOf('{}')).toEqual(PLAIN_DETAIL);
  expect(detailOf('{"parent":{"metal":"grey-iron"}}').parent).toEqual({ ...PLAIN_DETAIL.parent, metal: 'grey-iron' });
});

test('a record keeps what stood against it, and the reason', () => {
  const plan = planOfJoint(settingNamed('demo-m-joint-head'), { reason: 'trial' });
  expect(plan.guards?.map((guard) => guard.code)).toContain('weaker');
  expect(plan).toMatchObject({ reason: 'trial', care: 'wrench', thread: 'M9' });
});
