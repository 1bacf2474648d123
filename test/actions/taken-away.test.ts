import { beforeEach, describe, expect, test } from '@jest/globals';
import { alterJointAction } from '@/features/joint/actions';
import { takeAwayAction, undoAction } from '@/features/removal/actions';
import { putAsideAction } from '@/features/engine/actions';
import { strikeHeatAction } from '@/features/run-in/actions';
import { strikeTrialPullAction } from '@/features/trial/actions';
import { PLAIN_PART } from '@/model/order/part';
import { PLAIN_STEP } from '@/model/order/step';
import { REMOVABLE_KINDS, type RemovableKind } from '@/model/removable';
import type { Shop } from '@/db/shop';
import { jointInputs } from '@/db/reads/joint-inputs';
import { planOfJoint } from '@/model/joint/round-plan';
import { jointNamed, YARD_NOW } from '../db/temporary-shop';
import { ownShop, there } from './own-shop';

let shop: Shop;
beforeEach(() => {
  shop = ownShop();
  // Of joints and fits alone: what the order draws on has tests of its own.
  shop.db.exec('UPDATE step SET joint_id = NULL, fit_id = NULL');
});

const everything = () =>
  shop.db
    .prepare<[], { name: string }>(
      "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT IN ('sqlite_sequence', 'engine_stamp', 'stamp_gone', 'engine_summary', 'act', 'act_change') ORDER BY name",
    )
    .all()
    .map(({ name }) => [name, shop.db.prepare(`SELECT * FROM ${name} ORDER BY 1, 2`).all()]);

const undone = async (result: unknown) => {
  const { undo } = result as { undo: { token: string; words: string } };
  return undoAction({ token: undo.token });
};

/** A round of the Norrhem’s heads, begun and not pulled in. */
function begunHeads() {
  const joint = jointNamed(shop, 'demo-n-joint-heads');
  const plan = planOfJoint(jointInputs(shop, joint, Date.parse(YARD_NOW)));
  shop.tightenings.start({ id: 'x-round', jointId: joint.id, purpose: 'final', plan, startedAt: YARD_NOW });
}

/** One of each kind with nothing on it, made by mistake. */
function mistakes(): Readonly<Record<RemovableKind, string>> {
  const at = '2026-05-16T14:20:00.000Z';
  const [source] = shop.book.sources('demo-fourteen');
  const [leaf] = shop.book.leaves('demo-fourteen');
  const [fit] = shop.fits.ofEngine('demo-norrhem');
  const [wrench] = shop.wrenches.all();
  const [trial] = shop.trials.all();
  const engine = shop.engines.find('demo-fourteen');
  if (!source || !leaf || !fit || !wrench || !trial || !engine) throw new Error('the yard is not as it was');
  shop.engines.add({ ...engine, id: 'x-engine', name: 'zz' });
  shop.book.addSource('demo-fourteen', { ...source, id: 'x-source', supersedesId: null });
  shop.book.addLeaf({ ...leaf, id: 'x-leaf', replacesId: null });
  shop.joints.add({ ...jointNamed(shop, 'demo-f-joint-head'), id: 'x-joint' });
  shop.fits.add({ ...fit, id: 'x-fit', holds: [] });
  shop.wrenches.add({ ...wrench, id: 'x-wrench' });
  shop.trials.add({ ...trial, id: 'x-trial', createdAt: at });
  const none = { jointId: null, fitId: null, stepId: null, partId: null, fastener: null, version: 1, createdAt: at };
  shop.notes.add({ id: 'x-note', engineId: 'demo-fourteen', words: 'zz', ...none });
  const step = {
    engineId: 'demo-fourteen',
    place: 99,
    kind: 'other' as const,
    branch: '',
    jointId: null,
    purpose: null,
    fitId: null,
    leafId: null,
    after: [],
    notUntil: [],
    detail: PLAIN_STEP,
    version: 1,
    createdAt: at,
  };
  shop.bolts.add({ ...there(shop.bolts.find('demo-m-rod-bolts')), id: 'x-bolts', name: 'zz' });
  shop.build.addStep({ ...step, id: 'x-step', name: 'zz' });
  shop.build.addStep({ ...step, id: 'held-step', name: 'held' });
  const part = { engineId: 'demo-fourteen', stepId: null, need: 0, here: 1, mark: '', serial: '', bag: '' } as const;
  const kinds = { origin: 'made', condition: 'good', detail: PLAIN_PART, version: 1, createdAt: at } as const;
  shop.build.addPart({ ...part, ...kinds, id: 'x-part', name: 'zz', here: 0 });
  shop.build.addPart({ ...part, ...kinds, id: 'held-part', name: 'held', stepId: 'held-step' });
  const line = {
    id: 'held-line',
    kind: 'part-checked',
    partId: 'held-part',
    body: { checked: ['thread'] },
    at,
  } as const;
  shop.build.record('demo-fourteen', line, at);
  return {
    engine: 'x-engine',
    source: 'x-source',
    leaf: 'x-leaf',
    joint: 'x-joint',
    fit: 'x-fit',
    wrench: 'x-wrench',
    trial: 'x-trial',
    'bolt-set': 'x-bolts',
    note: 'x-note',
    step: 'x-step',
    part: 'x-part',
  };
}

/** One of each kind that something hangs on, and a word of what. */
const HELD: Readonly<Record<Exclude<RemovableKind, 'note'>, readonly [id: string, says: RegExp]>> = {
  engine: ['demo-fourteen', /entr(y|ies) in its book.*Put it aside instead/],
  source: ['', /entr(y|ies)/],
  leaf: ['', /the joint “/],
  joint: ['demo-f-joint-head', /rounds? with pulls/],
  fit: ['demo-n-fit-mains', /lines/],
  wrench: ['', /the joint “/],
  trial: ['demo-trial-three-films', /pulls/],
  'bolt-set': ['demo-m-rod-bolts', /8 lengths/],
  step: ['held-step', /the part “held”/],
  part: ['held-part', /1 line of it/],
};

describe('what was made by mistake is taken away', () => {
  test.each(REMOVABLE_KINDS)('%s with nothing on it goes, and comes back to the letter', async (kind) => {
    const id = mistakes()[kind];
    const before = everything();
    const outcome = await takeAwayAction({ kind, id, name: 'zz' });
    if (!outcome.ok) throw new Error(outcome.error.message);
    expect(JSON.stringify(everything())).not.toContain(`"${id}"`);
    expect((await undone(outcome.result)).ok).toBe(true);
    expect(everything()).toEqual(before);
    // Once only.
    expect(await undone(outcome.result)).toMatchObject({ ok: false, error: { code: 'too-late' } });
  });

  // Nothing hangs on a note: its photographs go with it.
  const holding = REMOVABLE_KINDS.filter((kind) => kind !== 'note');
  test.each(holding)('%s that something hangs on stays, and it is said what', async (kind) => {
    const head = jointNamed(shop, 'demo-f-joint-head');
    const own = { leaf: head.leafId, wrench: head.wrenchId, source: shop.book.findLeaf(head.leafId)?.sourceId };
    const [held, says] = HELD[kind];
    const id = held || (own[kind as 'leaf'] ?? '');
    mistakes();
    const before = everything();
    const outcome = await takeAwayAction({ kind, id, name: 'it' });
    expect(outcome).toMatchObject({ ok: false, error: { code: 'hangs' } });
    expect(!outcome.ok && outcome.error.message).toMatch(says);
    expect(everything()).toEqual(before);
  });

  test('a round that was begun and not pulled in is no history, and goes along', async () => {
    begunHeads();
    const { id, name } = jointNamed(shop, 'demo-n-joint-heads');
    shop.db.prepare('DELETE FROM fit_hold WHERE joint_id = ?').run(id);
    const before = everything();
    const outcome = await takeAwayAction({ kind: 'joint', id, name });
    if (!outcome.ok) throw new Error(outcome.error.message);
    expect(shop.tightenings.ofJoint(id)).toEqual([]);
    await undone(outcome.result);
    expect(everything()).toEqual(before);
  });

  test('nothing is taken back in another shop, or by a token that nobody gave', async () => {
    expect(await undoAction({ token: 'nobody' })).toMatchObject({ ok: false, error: { code: 'too-late' } });
  });
});

describe('acts that are taken back', () => {
  test('an engine put aside', async () => {
    const outcome = await putAsideAction({ engineId: 'demo-fourteen', reason: 'sold' });
    if (!outcome.ok) throw new Error(outcome.error.message);
    await undone(outcome.result);
    expect(shop.db.prepare('SELECT * FROM engine_aside').all()).toEqual([]);
  });

  test('a run cancelled stands again with what was read of it, and no line is altered', async () => {
    const before = shop.heat.log('demo-fourteen');
    const [cycle] = before.cycles;
    const lines = shop.db.prepare('SELECT * FROM heat_event ORDER BY seq').all();
    const fields = { id: 'strike-0001', engineId: 'demo-fourteen', strikesId: cycle?.id };
    const outcome = await strikeHeatAction(fields);
    if (!outcome.ok) throw new Error(outcome.error.message);
    expect(shop.heat.log('demo-fourteen').cycles).toHaveLength(before.cycles.length - 1);
    await undone(outcome.result);
    expect(shop.heat.log('demo-fourteen')).toEqual(before);
    expect(shop.db.prepare('SELECT * FROM heat_event ORDER BY seq').all().slice(0, lines.length)).toEqual(lines);
  });

  test('a pull of a trial cancelled stands again', async () => {
    const trialId = 'demo-trial-three-films';
    const before = shop.trials.pulls(trialId);
    const outcome = await strikeTrialPullAction({ trialId, pullId: before[0]?.id });
    if (!outcome.ok) throw new Error(outcome.error.message);
    expect(shop.trials.pulls(trialId)).toHaveLength(before.length - 1);
    await undone(outcome.result);
    expect(shop.trials.pulls(trialId)).toEqual(before);
  });
});

describe('a joint’s name, number and pattern', () => {
  const alter = (id: string, change: object) =>
    alterJointAction({ id, version: jointNamed(shop, id).version, change, detail: {} });

  test('are corrected before the first pull, and a round not pulled in goes', async () => {
    begunHeads();
    expect((await alter('demo-n-joint-heads', { fasteners: 10, name: 'Heads' })).ok).toBe(true);
    expect(jointNamed(shop, 'demo-n-joint-heads')).toMatchObject({ fasteners: 10, name: 'Heads' });
    expect(shop.tightenings.ofJoint('demo-n-joint-heads')).toEqual([]);
  });

  test('while a round is half pulled the name is, the others are refused by the other door too', async () => {
    const HALF = 'demo-m-joint-head';
    const { fasteners, pattern } = jointNamed(shop, HALF);
    expect((await alter(HALF, { name: 'Head' })).ok).toBe(true);
    for (const change of [{ fasteners: fasteners + 2 }, { pattern: pattern === 'line' ? 'rows' : 'line' }])
      expect(await alter(HALF, change)).toMatchObject({ ok: false, error: { code: 'half-pulled' } });
    expect(jointNamed(shop, HALF)).toMatchObject({ fasteners, pattern, name: 'Head' });
  });

  test('once it is done they are for the next round, and what was pulled stays', async () => {
    const rounds = shop.tightenings.ofJoint('demo-f-joint-head');
    expect((await alter('demo-f-joint-head', { fasteners: 12 })).ok).toBe(true);
    expect(shop.tightenings.ofJoint('demo-f-joint-head')).toEqual(rounds);
    expect(rounds.length).toBeGreaterThan(0);
  });
});
