import { beforeEach, describe, expect, test } from '@jest/globals';
import { addLeafAction, addSourceAction } from '@/features/book/actions';
import { find } from '@/features/find/find-index';
import { buildFileOf } from '@/features/record/build-file';
import { startTighteningAction } from '@/features/joint/actions';
import { bringAsideBackAction, setAsideAction, takeAwayAction, undoAction } from '@/features/removal/actions';
import { rowsAside } from '@/features/removal/queries';
import { keepWrenchAction } from '@/features/shelves/actions';
import { addTrialPullAction } from '@/features/trial/actions';
import { shelvedWrenches } from '@/features/shelves/queries';
import { jointInputs } from '@/db/reads/joint-inputs';
import { shelvesOf } from '@/db/reads/shelves-of-shop';
import type { Shop } from '@/db/shop';
import { engineStateOf, fitsOf } from '@/model/engine/engine-rows';
import { gateOf } from '@/model/fit/fit-gate';
import { computeJoint } from '@/model/joint/joint-result';
import { SHELF_ASIDE_KINDS } from '@/model/set-aside';
import { jointNamed, rowsNamed } from '../db/temporary-shop';
import { accepted, ownShop, refused, refusedWhole, there } from './own-shop';

let shop: Shop;
beforeEach(() => {
  shop = ownShop();
});
const NOW = Date.now();
const HEAD = 'demo-f-joint-head';
const worked = () => computeJoint(jointInputs(shop, jointNamed(shop, HEAD), NOW));
const undo = (result: unknown) => undoAction({ token: there((result as { undo?: { token: string } }).undo).token });

describe('a wrench', () => {
  const id = 'demo-wrench-ft';
  const aside = { kind: 'wrench', id, reason: 'lent to the neighbour' } as const;
  test('that joints are set with cannot be taken away, and is set aside', async () => {
    expect(await refused(takeAwayAction({ kind: 'wrench', id, name: 'x' }))).toMatchObject({ code: 'hangs' });
    await accepted(setAsideAction(aside));
    expect(rowsAside('wrench', shelvesOf(shop).wrenches, ({ name }) => name)).toEqual([
      { kind: 'wrench', id, name: 'Half-inch click wrench', reason: aside.reason },
    ]);
    expect(shelvedWrenches(shelvesOf(shop), NOW).map(({ wrench }) => wrench.id)).not.toContain(id);
    expect((await find(shop, 'Half-inch click')).filter(({ kind }) => kind === 'Wrench')).toEqual([]);
    expect(await refused(setAsideAction({ ...aside, reason: 'again' }))).toMatchObject({ code: 'aside-already' });
  });
  test('is not chosen from the shelf, and stops a joint that is set on it by hand before it is begun', async () => {
    const joint = jointNamed(shop, HEAD);
    shop.joints.alter({ ...joint, wrenchId: id, detail: { ...joint.detail, wrenchByHand: true } });
    expect(worked().guards.map(({ code }) => code)).not.toContain('wrench-aside');
    await accepted(setAsideAction(aside));
    expect(worked()).toMatchObject({ wrench: { id } });
    expect(worked().guards).toContainEqual(expect.objectContaining({ code: 'wrench-aside', severity: 'stop' }));
    const { version } = jointNamed(shop, HEAD);
    const begun = await refused(startTighteningAction({ jointId: HEAD, version, purpose: 'trial', reason: '' }));
    expect(begun.message).toMatch(/lent to the neighbour/);
    const now = jointNamed(shop, HEAD);
    shop.joints.alter({ ...now, detail: { ...now.detail, wrenchByHand: false } });
    expect(worked().choice.chosen?.id).not.toBe(id);
  });
  test('stays aside when it is changed; brought back, or undone, it is chosen again', async () => {
    const done = await accepted(setAsideAction(aside));
    const { name, unit, min, max, graduation, accuracy_pct, version } = there(shop.wrenches.find(id));
    const figures = { min, max, graduation, accuracy_pct };
    const typed = Object.fromEntries(Object.entries(figures).map(([field, value]) => [field, String(value)]));
    const kept = { id, version, name: `${name}, repaired`, unit, ...typed, calibration: '', checkedAt: '' };
    await accepted(keepWrenchAction(kept));
    expect(shop.wrenches.find(id)).toMatchObject({ name: `${name}, repaired`, aside: aside.reason });
    // Only what the act touched goes back: the new name stays.
    await accepted(undo(done));
    expect(shop.wrenches.find(id)).toMatchObject({ name: `${name}, repaired` });
    expect(shop.wrenches.find(id)?.aside).toBeUndefined();
    await accepted(setAsideAction(aside));
    const back = await accepted(bringAsideBackAction({ kind: 'wrench', id }));
    expect(back).toMatchObject({ undo: { words: `“${name}, repaired” was brought back` } });
    expect(shop.wrenches.find(id)?.aside).toBeUndefined();
    expect(await refused(bringAsideBackAction({ kind: 'wrench', id }))).toMatchObject({
      code: 'not-found',
      message: `“${name}, repaired” is not set aside.`,
    });
    const again = await accepted(setAsideAction(aside));
    await accepted(undo(again));
    expect(shop.wrenches.find(id)?.aside).toBeUndefined();
  });
  test('goes into a build file as the wrench it is, without why it is aside here', async () => {
    await accepted(setAsideAction(aside));
    const file = buildFileOf(shop, there(shop.engines.find('demo-fourteen')), new Date(NOW).toISOString());
    expect(file.wrenches.find((one) => one.id === id)).not.toHaveProperty('aside');
  });
});

describe('a source', () => {
  const id = () =>
    there(rowsNamed(shop, 'demo-fourteen').leaves.find((leaf) => leaf.id === jointNamed(shop, HEAD).leafId)).sourceId;
  const page = () => rowsNamed(shop, 'demo-fourteen');
  test('that is set aside puts its entries out of force, takes no new ones, and comes back', async () => {
    const guards = () =>
      there(engineStateOf(page()).joints.find(({ joint }) => joint.id === HEAD))
        .page.map(({ message }) => message)
        .join(' ');
    const before = guards();
    await accepted(setAsideAction({ kind: 'source', id: id(), reason: 'of another engine' }));
    expect(guards()).not.toBe(before);
    const leaf = { engineId: 'demo-fourteen', sourceId: id(), page: '1', subject: 'Nut', printedText: '10 lb. ft.' };
    const entered = await refused(
      addLeafAction({ ...leaf, conditionText: '', readingIndex: '0', agreedNotes: [], replacesId: null }),
    );
    expect(entered).toMatchObject({ code: 'set-aside', field: 'sourceId' });
    const source = there(page().sources.find((one) => one.id === id()));
    const { aside, createdAt: _, ...fields } = source;
    expect(aside).toBe('of another engine');
    await accepted(addSourceAction({ ...fields, engineId: 'demo-fourteen', title: 'Another title' }));
    expect(page().sources.find((one) => one.id === id())).toMatchObject({ title: 'Another title', aside });
    await accepted(bringAsideBackAction({ kind: 'source', id: id() }));
    expect(guards()).toBe(before);
  });
});

test('a fit whose limits are of a source that is set aside is asked about before its joint is closed', async () => {
  const asked = () =>
    gateOf(fitsOf(rowsNamed(shop, 'demo-fourteen')), 'demo-f-joint-mains')
      .asks.map(({ line }) => line)
      .join(' ');
  expect(asked()).toBe('');
  await accepted(setAsideAction({ kind: 'source', id: 'demo-fourteen-manual', reason: 'of another bore' }));
  expect(asked()).toBe('Main bearings, oil clearance: the source of its limits was set aside, of another bore');
  await accepted(bringAsideBackAction({ kind: 'source', id: 'demo-fourteen-manual' }));
  expect(asked()).toBe('');
});

describe('a trial', () => {
  test('that is set aside takes no pull until it is brought back', async () => {
    const [trial] = shop.trials.all();
    const { id } = there(trial);
    const pull = { trialId: id, bolt: '99', film: 'oil', torque: '40 N·m', stretch: '0.1 mm' };
    await accepted(setAsideAction({ kind: 'trial', id, reason: 'bolts of another grade' }));
    expect(await refused(addTrialPullAction(pull))).toMatchObject({ code: 'set-aside' });
    await accepted(bringAsideBackAction({ kind: 'trial', id }));
    await accepted(addTrialPullAction(pull));
  });
});

test.each(SHELF_ASIDE_KINDS)('a %s that is not here, or without a reason, is refused', async (kind) => {
  expect((await refusedWhole(shop, () => setAsideAction({ kind, id: 'none', reason: 'x' }))).code).toBe('not-found');
  expect((await refusedWhole(shop, () => setAsideAction({ kind, id: 'none', reason: ' ' }))).field).toBe('reason');
});
