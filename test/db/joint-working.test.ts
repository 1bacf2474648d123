import { describe, expect, test } from '@jest/globals';
import { shelvesFor } from '@/model/shelf/shelves';
import { PRACTICE_JSON, USUAL_PRACTICE } from '@/model/practice/house-practice';
import { careOf, DETAIL_JSON, PLAIN_DETAIL } from '@/model/joint/joint-detail';
import { jointInputs } from '@/db/reads/joint-inputs';
import type { JointInputs } from '@/model/joint/joint-inputs';
import { stagesOfJoint, computeJoint } from '@/model/joint/joint-result';
import { planOfJoint } from '@/model/joint/round-plan';
import type { Joint } from '@/model/joint/joint';
import { PRACTICE_KEY, shelvesOf, shopPractice } from '@/db/reads/shelves-of-shop';
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
  test('bottom, turn the crank, then middle: the bottom by stages, the shaft once, the middle last', () => {
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
      { ...shipped, thread: { low: 0.07, middle: 0.09, high: 0.12 }, provenance: 'own', source: 'here' },
      0,
      YARD_NOW,
    );
    expect(film('moly-paste')?.provenance).toBe('own');
    expect(computeJoint(settingNamed('demo-f-joint-head')).ladder.friction.thread.low).toBe(0.07);
    shop.shelf.remove('film', 'moly-paste', 1);
    expect(film('moly-paste')).toEqual(shipped);
  });
  test('house practice, and where an engine differs', () => {
    const practice = PRACTICE_JSON.write({ ...USUAL_PRACTICE, window: 'upper-two-thirds' });
    expect(shop.settings.set(PRACTICE_KEY, practice, 0)).toBe(true);
    const engine = shop.engines.find('demo-norrhem');
    if (!engine) throw new Error('no engine');
    expect(shelvesFor(shelvesOf(shop), engine).practice.window).toBe('upper-two-thirds');
    expect(shop.engines.alter({ ...engine, practice: { window: 'whole' } })).toBe(true);
    const altered = shop.engines.find(engine.id);
    expect(altered && shelvesFor(shelvesOf(shop), altered).practice.window).toBe('whole');
    expect(shop.settings.set(PRACTICE_KEY, PRACTICE_JSON.write(USUAL_PRACTICE), 1)).toBe(true);
    expect(shopPractice(shop)).toEqual({ practice: USUAL_PRACTICE, version: 2 });
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
  expect(DETAIL_JSON.read('{}')).toEqual(PLAIN_DETAIL);
  expect(DETAIL_JSON.read('{"parent":{"metal":"grey-iron"}}').parent).toEqual({
    ...PLAIN_DETAIL.parent,
    metal: 'grey-iron',
  });
});

test('a record keeps what stood against it, and the reason', () => {
  const plan = planOfJoint(settingNamed('demo-m-joint-head'), { reason: 'trial' });
  expect(plan.guards.map((guard) => guard.code)).toContain('weaker');
  expect(plan).toMatchObject({ reason: 'trial', care: 'wrench', thread: 'M9' });
});

describe('bottom, then middle', () => {
  test('the bottom is on a mark of the wrench, below the final figure, and dropped where it is not', () => {
    for (const { id, graduation } of shop.wrenches.all()) {
      const setting = settingNamed(
        'demo-f-joint-head',
        { rangeSchool: 'bottom-then-middle', stageScheme: 'thirds', wrenchId: id },
        { wrenchByHand: true },
      );
      const all = figures(setting);
      const final = all.at(-1) ?? NaN;
      for (const one of all.slice(0, -1)) {
        expect(Math.abs(one / graduation - Math.round(one / graduation))).toBeLessThan(1e-9);
        expect(one).toBeLessThan(final);
      }
      const bottom = all.at(-2) ?? NaN;
      const [low, high] = [setting.leaf.min_Nm ?? NaN, setting.leaf.max_Nm ?? NaN];
      expect(Math.abs(bottom - (final * 2 * low) / (low + high))).toBeLessThanOrEqual(graduation / 2 + 1e-9);
    }
  });
  test('the shaft is turned before the last stage, or after each where the joint asks for it', () => {
    const turned = (turnShaft: boolean, rangeSchool: Joint['rangeSchool']) =>
      planOfJoint(settingNamed('demo-f-joint-head', { turnShaft, rangeSchool, stageScheme: 'thirds' }))
        .steps.filter(({ kind }) => kind === 'shaft')
        .map((step) => step.kind === 'shaft' && step.afterStage);
    expect(turned(false, 'middle')).toEqual([]);
    // Not after the last: what is at its final figure is left alone.
    expect(turned(true, 'middle')).toEqual([0, 1]);
    expect(turned(false, 'bottom-then-middle')).toHaveLength(1);
    expect(turned(true, 'bottom-then-middle').length).toBeGreaterThan(1);
  });
});
