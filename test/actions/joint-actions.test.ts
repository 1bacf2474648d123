import { beforeEach, describe, expect, test } from '@jest/globals';
import type { Shop } from '@/db/shop';
import {
  addJointAction,
  addStandardJointAction,
  alterJointAction,
  chooseLeafAction,
  startTighteningAction,
} from '@/features/joint/actions';
import { addLeafAction } from '@/features/book/actions';
import { askedOf } from '@/model/book/leaf-of-text';
import { recordLine } from '@/features/fits/record-line';
import { addCycleAction, addReadingAction, startRetorqueAction, strikeHeatAction } from '@/features/run-in/actions';
import { runInOf } from '@/features/run-in/queries';
import { engineStateOf, jointStateOf } from '@/model/engine/engine-rows';
import type { JointState } from '@/model/joint/joint-state';
import { rowsNamed } from '../db/temporary-shop';
import { USUAL_PROOF_SHARE } from '@/core/joint';
import { nowMs } from '@/server/clock';
import { drawn } from '../stubs/next-cache';
import { jointInputs } from '@/db/reads/joint-inputs';
import { computeJoint } from '@/model/joint/joint-result';
import type { TighteningPlan } from '@/model/joint/tightening-plan';
import { accepted, everything, ownShop, refused, refusedWhole, rowsIn, there } from './own-shop';

let shop: Shop;
beforeEach(() => {
  shop = ownShop();
});

const idOf = ({ href }: { readonly href: string }) => there(href.split('/').at(-1));
const HEAD = 'demo-f-joint-head';

const ENTRY = {
  engineId: 'demo-fourteen',
  page: '9',
  kind: 'torque',
  conditionText: '',
  readingIndex: 0,
  replacesId: null,
};

const FROM_LEAF = {
  engineId: 'demo-fourteen',
  leafId: 'demo-f-mains',
  name: 'Rear cap',
  pattern: 'caps',
  fasteners: 2,
  thread: '7/16 BSF',
  originalFilm: 'engine-oil',
  todayFilm: 'moly-paste',
  orderSchool: 'star',
  turnShaft: true,
  retorqueSchool: 'none',
};

describe('a joint made from an entry', () => {
  test('has the practice of its engine, the usual face of its thread, and a wrench of the shelf', async () => {
    const engine = there(shop.engines.find('demo-fourteen'));
    shop.engines.alter({ ...engine, practice: { range: 'low', passes: 'quarters', confirming: 'yes' } });
    const joint = there(shop.joints.find(idOf(await accepted(addJointAction(FROM_LEAF)))));
    expect(joint).toMatchObject({
      ...FROM_LEAF,
      rangeSchool: 'low',
      stageScheme: 'quarters',
      unitOfWork: 'row',
      bearingMeasured: false,
      version: 1,
      detail: { wrenchByHand: false, confirming: true },
    });
    expect(joint.bearingOuter_mm).toBeGreaterThan(joint.bearingInner_mm);
    expect(shop.wrenches.find(joint.wrenchId)).toBeDefined();
  });
  test('positions on the line make no stages; stages that are printed do', async () => {
    const made = async (printedText: string) => {
      const agreedNotes = askedOf({ kind: 'torque', printedText }).map(({ code }) => code);
      await accepted(
        addLeafAction({ ...ENTRY, subject: printedText, printedText, agreedNotes, sourceId: there(source()).id }),
      );
      const leaf = there(shop.book.leaves('demo-fourteen').find((one) => one.printedText === printedText));
      const fields = { ...FROM_LEAF, leafId: leaf.id };
      return there(shop.joints.find(idOf(await accepted(addJointAction(fields))))).stageScheme;
    };
    const source = () => shop.book.sources('demo-fourteen')[0];
    expect(await made('Nuts 1 to 10, 42 lb ft')).toBe('thirds');
    expect(await made('14 lb ft, then 28 lb ft, then 42 lb ft')).toHaveLength(3);
  });
  test.each([
    [{ leafId: 'demo-n-mains' }, 'leafId', 'not-found'],
    [{ leafId: 'none' }, 'leafId', 'not-found'],
    [{ thread: 'M8x3' }, 'thread', 'unknown-thread'],
    [{ fasteners: 3 }, 'fasteners', 'bad-field'],
    [{ fasteners: 99 }, 'fasteners', 'bad-field'],
    [{ pattern: 'heap' }, 'pattern', 'bad-field'],
    [{ orderSchool: 'guess' }, 'orderSchool', 'bad-field'],
    [{ retorqueSchool: 'never' }, 'retorqueSchool', 'bad-field'],
    [{ originalFilm: 'treacle' }, 'todayFilm', 'bad-field'],
    [{ name: ' ' }, 'name', 'bad-field'],
    [{ turnShaft: 'perhaps' }, 'turnShaft', 'bad-field'],
  ])('%j is refused at its field, and nothing is written', async (part, field, code) => {
    expect(await refusedWhole(shop, () => addJointAction({ ...FROM_LEAF, ...part }))).toMatchObject({ field, code });
  });
  test('an engine that is gone, and a shelf without a wrench, are said', async () => {
    expect((await refused(addJointAction({ ...FROM_LEAF, engineId: 'none' }))).code).toBe('not-found');
    shop.db.exec('PRAGMA foreign_keys = OFF; DELETE FROM wrench; PRAGMA foreign_keys = ON');
    expect((await refused(addJointAction(FROM_LEAF))).field).toBe('wrenchId');
  });
});

describe('a joint made from a page that does not govern', () => {
  const lower = { ...FROM_LEAF, engineId: 'demo-fourteen', leafId: 'demo-f-head-36', thread: '7/16 BSF' };
  test('asks at once, with both figures, and keeps the reason with the page that it was written over', async () => {
    const problem = await refusedWhole(shop, () => addJointAction(lower));
    expect(problem).toMatchObject({ code: 'needs-reason', field: 'leafReason' });
    expect(problem.message).toMatch(/“36–40 lb\. ft\.”.*governs.*“30–34 lb\. ft\.”/);
    const { href } = await accepted(addJointAction({ ...lower, leafReason: 'an early engine' }));
    const { detail, id, version } = there(shop.joints.find(idOf({ href })));
    expect(detail).toMatchObject({ leafReason: 'an early engine', overLeafId: 'demo-f-head-38' });
    // Which page was taken is not said by the sheet's other door.
    await accepted(alterJointAction({ id, version, change: {}, detail: { leafReason: 'forged', overLeafId: null } }));
    expect(there(shop.joints.find(id)).detail).toMatchObject({ leafReason: 'an early engine' });
  });
  test('one that governs keeps no reason that nobody asked for', async () => {
    const { href } = await accepted(addJointAction({ ...lower, leafId: 'demo-f-head-38', leafReason: 'just so' }));
    expect(there(shop.joints.find(idOf({ href }))).detail).toMatchObject({ leafReason: null, overLeafId: null });
  });
  test('is not begun while another page governs, but with a reason', async () => {
    const joint = there(shop.joints.find(HEAD));
    const detail = { ...joint.detail, leafReason: null };
    shop.joints.alter({ ...joint, leafId: 'demo-f-head-36', detail });
    const start = (reason: string) =>
      startTighteningAction({ jointId: HEAD, version: joint.version + 1, purpose: 'final', reason });
    const problem = await refusedWhole(shop, () => start(''));
    expect(problem.code).toBe('needs-reason');
    expect(problem.message).toContain('governs this engine');
    await accepted(start('an early engine'));
  });
});

test('no reason begins what has no clamp load to pull for', async () => {
  const joint = there(shop.joints.find(HEAD));
  const original = {
    ...joint.detail.original,
    locking: 'metal-nut' as const,
    prevailingLow_Nm: 50,
    prevailingHigh_Nm: 80,
  };
  shop.joints.alter({ ...joint, detail: { ...joint.detail, original } });
  const begun = () =>
    startTighteningAction({ jointId: HEAD, version: joint.version + 1, purpose: 'final', reason: 'all the same' });
  expect((await refusedWhole(shop, begun)).code).toBe('no-clamp');
});

describe('a joint that no page mentions', () => {
  const fields = {
    engineId: 'demo-fourteen',
    name: 'Bracket',
    thread: 'M8',
    grade: 'iso-8.8-to-16-mm',
    film: 'engine-oil',
    metal: '',
    engagement_mm: '',
  };
  test('stands on an entry of its own, marked as the standard figure, in one source however many there are', async () => {
    const sources = rowsIn(shop, 'source');
    const joint = there(shop.joints.find(idOf(await accepted(addStandardJointAction(fields)))));
    expect(joint).toMatchObject({
      originalFilmReason: 'the standard figure is reckoned in this lubricant',
      pattern: 'ring',
      fasteners: 1,
      detail: {
        standard: { grade: 'iso-8.8-to-16-mm', fraction: USUAL_PROOF_SHARE },
        original: { form: 'bolt', grade: 'iso-8.8-to-16-mm' },
        parent: { metal: null, engagement_mm: null },
      },
    });
    const leaf = there(shop.book.findLeaf(joint.leafId));
    expect(leaf.page).toMatch(/^reckoned: 72 % of proof/);
    await accepted(addStandardJointAction({ ...fields, name: 'Another', metal: 'grey-iron', engagement_mm: '12,5' }));
    expect(rowsIn(shop, 'source')).toBe(sources + 1);
    expect(there(shop.joints.ofEngine('demo-fourteen').at(-1)).detail.parent).toMatchObject({
      metal: 'grey-iron',
      engagement_mm: 12.5,
    });
  });
  test.each([
    [{ thread: 'M8x3' }, 'unknown-thread'],
    [{ grade: 'none' }, 'bad-field'],
    [{ grade: '' }, 'bad-field'],
    [{ film: 'none' }, 'bad-field'],
    [{ engagement_mm: '1e3' }, 'bad-field'],
    [{ engineId: 'none' }, 'not-found'],
  ])('%j is refused, and neither entry nor joint is left behind', async (part, code) => {
    expect((await refusedWhole(shop, () => addStandardJointAction({ ...fields, ...part }))).code).toBe(code);
  });
});

describe('a joint that is changed', () => {
  const alter = (change: object, detail: object = {}) => alterJointAction({ id: HEAD, version: 1, change, detail });
  test('why the book’s lubricant was taken follows from the lubricant that is set', async () => {
    const { joint } = await accepted(alter({ originalFilm: 'dry-bare' }));
    expect(joint.originalFilmReason).not.toBe(there(ownShop().joints.find(HEAD)).originalFilmReason);
    expect(joint.version).toBe(2);
  });
  test('what follows from the rest, or belongs to another act, is not set from outside', async () => {
    const before = there(shop.joints.find(HEAD));
    await accepted(
      alter(
        { leafId: 'demo-f-mains', engineId: 'demo-norrhem', originalFilmReason: 'because', createdAt: 'x', version: 9 },
        { leafReason: 'because' },
      ),
    );
    expect(shop.joints.find(HEAD)).toEqual({ ...before, version: 2 });
  });
  test.each([
    [{ fasteners: 0 }, {}, 'change.fasteners'],
    [{ rangeSchool: 'sideways' }, {}, 'change.rangeSchool'],
    [{ stageScheme: [0.5, 2] }, {}, undefined],
    [{ bearingOuter_mm: -1 }, {}, 'change.bearingOuter_mm'],
    [{}, { care: 'prayer' }, 'detail.care'],
    [{ thread: 'nothing' }, {}, 'thread'],
    [{ todayFilm: 'treacle' }, {}, 'todayFilm'],
    [{ wrenchId: 'none' }, {}, 'wrenchId'],
  ])('%j %j is refused, and the joint stays as it was', async (change, detail, field) => {
    const before = everything(shop);
    const problem = await refused(alter(change, detail));
    if (field) expect(problem.field).toBe(field);
    expect(everything(shop)).toBe(before);
  });
  test('a joint that is gone is said', async () =>
    expect((await refused(alterJointAction({ id: 'none', version: 1, change: {}, detail: {} }))).code).toBe(
      'not-found',
    ));
});

describe('the page that a joint is taken from', () => {
  const choose = (leafId: string, reason: string | null = null, version = 1) =>
    chooseLeafAction({ jointId: HEAD, version, leafId, reason });
  test('a lower one only with a reason; the governing one again takes the reason away', async () => {
    expect((await refused(choose('demo-f-head-36'))).code).toBe('needs-reason');
    await accepted(choose('demo-f-head-36', 'the engine is older'));
    // The reason is written over the page that governs now: over one that comes later it says nothing.
    expect(there(shop.joints.find(HEAD)).detail).toMatchObject({
      leafReason: 'the engine is older',
      overLeafId: 'demo-f-head-38',
    });
    await accepted(choose('demo-f-head-38', null, 2));
    expect(there(shop.joints.find(HEAD))).toMatchObject({
      leafId: 'demo-f-head-38',
      detail: { leafReason: null, overLeafId: null },
    });
  });
  test('an entry that does not speak of it is refused', async () =>
    expect((await refused(choose('demo-f-rods', 'because'))).field).toBe('leafId'));
});

describe('a going-round', () => {
  const start = (jointId: string, purpose: string, reason = '', version = shop.joints.find(jointId)?.version ?? 1) =>
    startTighteningAction({ jointId, version, purpose, reason });
  test('is begun on the joint that was seen: changed since, nothing is begun', async () => {
    await accepted(alterJointAction({ id: HEAD, version: 1, change: { todayFilm: 'engine-oil' }, detail: {} }));
    expect((await refusedWhole(shop, () => start(HEAD, 'final', '', 1))).code).toBe('stale');
    expect((await accepted(start(HEAD, 'final', 'as seen', 2))).href).toMatch(/^\/face\//);
  });
  test('is kept with its plan, its reason and what stood against it', async () => {
    const { href } = await accepted(start('demo-m-joint-head', 'final', 'the stud is tried'));
    const round = there(shop.tightenings.find(idOf({ href })));
    expect(round).toMatchObject({
      jointId: 'demo-m-joint-head',
      purpose: 'final',
      plan: { reason: 'the stud is tried' },
    });
    expect(round.plan.guards.length).toBeGreaterThan(0);
    expect(Math.abs(Date.parse(round.startedAt) - nowMs())).toBeLessThan(60_000);
  });
  test('what stands against it asks for a reason', async () => {
    const problem = await refused(start('demo-m-joint-head', 'final'));
    expect(problem).toMatchObject({ code: 'needs-reason', field: 'reason' });
    expect(rowsIn(shop, 'tightening')).toBe(rowsIn(ownShop(), 'tightening'));
  });
  test('for good it is refused while a fit that it closes up is out, whatever is written; a trial may go round', async () => {
    expect((await refused(start('demo-n-joint-mains', 'final', 'in a hurry'))).code).toBe('fit-out');
    await accepted(start('demo-n-joint-mains', 'trial', 'to see'));
  });
  test('and while a strip lies in a bearing of the engine; the trial then does not turn the crank', async () => {
    const strip = { id: 'strip-0001', kind: 'strip-in', place: 0, body: {} };
    expect(recordLine(shop, 'demo-n-fit-mains', strip).ok).toBe(true);
    shop.db.exec("DELETE FROM fit_hold WHERE joint_id = 'demo-n-joint-mains'");
    expect((await refused(start('demo-n-joint-mains', 'final', 'x'))).code).toBe('strip-in');
    const { href } = await accepted(start('demo-n-joint-mains', 'trial', 'x'));
    expect(there(shop.tightenings.find(idOf({ href }))).plan.steps.some(({ kind }) => kind === 'shaft')).toBe(false);
  });
  test('a figure off the scale of its wrench is not pulled at all', async () => {
    const joint = there(shop.joints.find(HEAD));
    shop.joints.alter({ ...joint, wrenchId: 'demo-wrench-in', detail: { ...joint.detail, wrenchByHand: true } });
    expect(await refused(start(HEAD, 'final', 'it will do'))).toMatchObject({ code: 'off-scale', field: 'wrenchId' });
  });
  test.each([['retorque'], ['for fun']])('“%s” is not begun from the sheet', async (purpose) =>
    expect((await refused(start(HEAD, purpose))).field).toBe('purpose'),
  );
  test('a joint that is gone is said', async () =>
    expect((await refused(start('none', 'trial'))).code).toBe('not-found'));
});

describe('fasteners that were pulled before', () => {
  test('are told at the start of another round for good, and no more once new ones are in', async () => {
    const engine = there(shop.engines.find('demo-fourteen'));
    shop.engines.alter({ ...engine, practice: { ...engine.practice, reuse: 'new-always' } });
    const head = () => there(shop.joints.find(HEAD));
    const begin = async (purpose: string) => {
      const { href } = await accepted(
        startTighteningAction({ jointId: HEAD, version: head().version, purpose, reason: 'as the page says' }),
      );
      return there(shop.tightenings.find(idOf({ href }))).plan.guards.map(({ code }) => code);
    };
    expect(await begin('final')).toContain('used-before');
    expect(await begin('trial')).not.toContain('used-before');
    const last = there(
      shop.tightenings
        .ofJoint(HEAD)
        .findLast(({ id, purpose }) => purpose === 'final' && shop.tightenings.events(id).length > 0),
    );
    const part = { detail: { newAfter: last.startedAt } };
    await accepted(alterJointAction({ id: HEAD, version: head().version, ...part }));
    expect(head().detail.newAfter).toBe(last.startedAt);
    expect(await begin('final')).not.toContain('used-before');
  });
});

describe('a retorque', () => {
  const cold = () => {
    const [cycle] = shop.heat.log('demo-fourteen').cycles;
    const at = new Date(nowMs() - 60_000).toISOString();
    return accepted(
      addReadingAction({
        id: 'cold-00001',
        engineId: 'demo-fourteen',
        cycleId: there(cycle).id,
        at,
        sentAt: new Date(nowMs()).toISOString(),
        head_C: 15,
        ambient_C: 12,
      }),
    );
  };
  const retorque = (version = there(shop.joints.find(HEAD)).version, more: object = {}) =>
    startRetorqueAction({ jointId: HEAD, version, film: 'as-pulled', ...more });
  test('follows the thread and not the sheet: what was pulled in paste is gone over at the figure for paste', async () => {
    await cold();
    const joint = there(shop.joints.find(HEAD));
    const pulled = there(shop.tightenings.ofJoint(HEAD).findLast(({ purpose }) => purpose === 'final')).plan;
    shop.joints.alter({ ...joint, todayFilm: 'engine-oil' });
    const problem = await refusedWhole(shop, () => retorque());
    expect(problem).toMatchObject({ code: 'sheet-changed' });
    expect(problem.message).toMatch(/Molybdenum.*Engine oil.*coated afresh/);
    const { href } = await accepted(retorque(undefined, { asPulled: true }));
    const { plan } = there(shop.tightenings.find(idOf({ href })));
    expect(plan).toMatchObject({ ladder: pulled.ladder, filmName: pulled.filmName, unit: pulled.unit });
    const settings = plan.steps.flatMap((step) => (step.kind === 'pull' ? [step.setting] : []));
    expect(new Set(settings)).toEqual(new Set([26.5]));
  });
  test('asks how the lubricant is found, and keeps what that does to the load', async () => {
    await cold();
    expect(await refusedWhole(shop, () => retorque(undefined, { film: '' }))).toMatchObject({ code: 'film-unsaid' });
    expect(await refusedWhole(shop, () => retorque(undefined, { film: 'wet' }))).toMatchObject({ code: 'bad-field' });
    const pulled = there(shop.tightenings.ofJoint(HEAD).findLast(({ purpose }) => purpose === 'final')).plan;
    const { href } = await accepted(retorque(undefined, { film: 'dried' }));
    const { plan } = there(shop.tightenings.find(idOf({ href })));
    expect(plan).toMatchObject({ filmFound: 'dried', ladder: { target_Nm: pulled.ladder.target_Nm } });
    expect(plan.guards.map(({ code }) => code)).toContain('film-dried');
    expect(plan.ladder.band.p5_N).toBeCloseTo(0.85 * pulled.ladder.band.p5_N, 6);
    expect(plan.ladder.band.p95_N).toBe(pulled.ladder.band.p95_N);
    expect(plan.ladder.notes.map(({ code }) => code)).toContain('film-dried');
  });
  test('a stuck thread wants a reason of today, whatever it was first pulled for', async () => {
    await cold();
    expect(await refusedWhole(shop, () => retorque(undefined, { film: 'stuck' }))).toMatchObject({
      code: 'needs-reason',
    });
    const { href } = await accepted(retorque(undefined, { film: 'stuck', reason: 'to see whether it moves' }));
    expect(there(shop.tightenings.find(idOf({ href }))).plan).toMatchObject({ filmFound: 'stuck' });
  });
  test.each([
    ['unread', true],
    ['nothing', false],
    ['retorque', false],
  ] as const)(
    'whose gasket is %s: what stands against it goes with the round and stands where it is begun',
    async (gasketSays, asks) => {
      await cold();
      const joint = there(shop.joints.find(HEAD));
      shop.joints.alter({ ...joint, detail: { ...joint.detail, gasketSays } });
      const due = runInOf(engineStateOf(rowsNamed(shop, 'demo-fourteen')), nowMs()).dues.find(
        ({ jointId }) => jointId === HEAD,
      );
      expect(there(due).unread !== undefined).toBe(asks);
      const { href } = await accepted(retorque());
      const codes = there(shop.tightenings.find(idOf({ href }))).plan.guards.map(({ code }) => code);
      expect(codes.includes('gasket-unread')).toBe(asks);
    },
  );
  test('an unread gasket is told as well where it may be gone over once more, and not where nothing is to be done', () => {
    const state = engineStateOf(rowsNamed(shop, 'demo-fourteen'));
    const unread = (retorque: JointState['retorque']) => {
      const joints = state.joints.map((one) => (one.joint.id === HEAD ? { ...one, retorque } : one));
      return there(runInOf({ ...state, joints }, nowMs()).dues.find(({ jointId }) => jointId === HEAD)).unread;
    };
    const cycleId = there(shop.heat.log('demo-fourteen').cycles[0]).id;
    const open = jointStateOf(rowsNamed(shop, 'demo-fourteen'), there(shop.joints.find(HEAD))).retorque;
    expect(unread({ state: 'done', cycleId, further: { cycleId, open: true } })).toContain('was not read');
    expect(unread({ state: 'done', cycleId })).toBeUndefined();
    expect(unread({ state: 'not-asked' })).toBeUndefined();
    expect([open.state, unread(open) !== undefined]).toEqual(['cooling', true]);
  });
  test('asks the fits’ gate and the stops again', async () => {
    await cold();
    const joint = there(shop.joints.find(HEAD));
    shop.joints.alter({
      ...joint,
      detail: { ...joint.detail, original: { ...joint.detail.original, locking: 'compound' } },
    });
    expect(await refusedWhole(shop, () => retorque())).toMatchObject({ code: 'needs-reason' });
    const { href } = await accepted(retorque(undefined, { reason: 'the locker was left off' }));
    const { plan } = there(shop.tightenings.find(idOf({ href })));
    expect(plan.reason).toBe('the locker was left off');
    expect(plan.guards.map(({ code }) => code)).toContain('cured-locker');
    // What was asked before it went in is not asked of a nut that is in.
    expect(plan.guards.map(({ code }) => code)).not.toContain('socket-not-tried');
  });
  /** The head as it was pulled, but with a locker; before it ran. */
  const pulledWith = (locker: Partial<TighteningPlan>) => {
    const last = there(shop.tightenings.ofJoint(HEAD).findLast(({ purpose }) => purpose === 'final'));
    const startedAt = new Date(Date.parse(last.startedAt) + 1000).toISOString();
    const round = { ...last, id: 'with-locker', startedAt, plan: { ...last.plan, ...locker } };
    shop.tightenings.start(round);
    for (const [step, { kind }] of last.plan.steps.entries())
      if (kind === 'pull') {
        const pull = { id: `locked-${step}`, kind, step, outcome: 'pulled', at: startedAt } as const;
        shop.tightenings.record(round, pull, startedAt);
      }
  };
  test.each([
    ['in it', { films: { thread: 'thread-locker', head: 'thread-locker' }, filmName: 'Liquid thread locker, wet' }],
    ['beside its film', { locking: 'compound' as const }],
  ])('a locker that it was pulled with, %s, has set, whatever the sheet says for next time', async (_, locker) => {
    await cold();
    pulledWith(locker);
    expect(await refusedWhole(shop, () => retorque(undefined, { asPulled: true }))).toMatchObject({
      code: 'needs-reason',
      message: expect.stringContaining('locker has set'),
    });
    const { href } = await accepted(retorque(undefined, { asPulled: true, reason: 'it is taken off first' }));
    const { plan } = there(shop.tightenings.find(idOf({ href })));
    expect(plan.guards.map(({ code }) => code)).toContain('cured-locker');
  });
  test('a locker that the sheet names for the next time is not in a thread that was pulled in paste', async () => {
    await cold();
    shop.joints.alter({ ...there(shop.joints.find(HEAD)), todayFilm: 'thread-locker' });
    const { href } = await accepted(retorque(undefined, { asPulled: true }));
    const { plan } = there(shop.tightenings.find(idOf({ href })));
    expect(plan.guards.map(({ code }) => code)).not.toContain('cured-locker');
  });
  test('is held by what the sheet says against the joint, but by nothing that is asked before it goes in', async () => {
    await cold();
    const head = () => there(shop.joints.find(HEAD));
    const { detail } = head();
    // A fastener that is used once is in already: gone over, it is not used again.
    const usedOnce = { ...detail, original: { ...detail.original, takenBeyondYield: true } };
    shop.joints.alter({ ...head(), detail: usedOnce });
    const { guards } = computeJoint(jointInputs(shop, head(), nowMs()));
    expect(guards.map(({ code, severity }) => [code, severity])).toContainEqual(['once-only', 'stop']);
    const crushed = { ...usedOnce.parent, gasketArea_mm2: 50, gasketLimit_MPa: 5 };
    shop.joints.alter({ ...head(), detail: { ...usedOnce, parent: crushed } });
    expect(await refusedWhole(shop, () => retorque())).toMatchObject({
      code: 'needs-reason',
      message: expect.stringContaining('gasket') as unknown,
    });
    const { href } = await accepted(retorque(undefined, { reason: 'the old one held at it' }));
    const codes = there(shop.tightenings.find(idOf({ href }))).plan.guards.map(({ code }) => code);
    expect(codes).toContain('crushes');
    expect(codes).not.toContain('once-only');
  });
  test('a reading that cannot be is asked about, and opens nothing until it is said to be so', async () => {
    const cycle = there(shop.heat.log('demo-fourteen').cycles[0]);
    const send = (part: object) =>
      addReadingAction({
        id: 'odd-000001',
        engineId: 'demo-fourteen',
        cycleId: cycle.id,
        at: new Date(nowMs() - 60_000).toISOString(),
        sentAt: new Date(nowMs()).toISOString(),
        head_C: 5,
        ambient_C: 18,
        ...part,
      });
    expect(await refusedWhole(shop, () => send({}))).toMatchObject({ code: 'doubtful', field: 'head_C' });
    expect((await refused(retorque())).code).toBe('not-open');
    await accepted(send({ sure: true }));
    expect(shop.heat.log('demo-fourteen').readings.at(-1)).toMatchObject({ head_C: 5 });
  });
  test('a run of thirty seconds opens nothing', async () => {
    const ran = { ranFrom: new Date(nowMs() - 90_000).toISOString(), ranTo: new Date(nowMs() - 60_000).toISOString() };
    shop.heat.strike(
      { id: 'strike-run1', engineId: 'demo-fourteen', strikesId: 'demo-f-cycle-1', at: ran.ranTo },
      ran.ranTo,
    );
    const sentAt = new Date(nowMs()).toISOString();
    const engineId = 'demo-fourteen';
    await accepted(
      addCycleAction({
        id: 'run-000001',
        engineId,
        sentAt,
        ...ran,
        highest_C: 16,
        ambient_C: 12,
        startReason: 'tried',
      }),
    );
    const at = new Date(nowMs() - 30_000).toISOString();
    await accepted(
      addReadingAction({ id: 'cold-00002', engineId, cycleId: 'run-000001', at, sentAt, head_C: 13, ambient_C: 12 }),
    );
    expect((await refused(retorque())).code).toBe('not-open');
  });
  test('is begun on the joint that was seen', async () => {
    await cold();
    const joint = there(shop.joints.find(HEAD));
    shop.joints.alter({ ...joint, todayFilm: 'engine-oil' });
    const rounds = shop.tightenings.ofJoint(HEAD).length;
    expect(await refused(retorque(joint.version))).toMatchObject({
      code: 'stale',
      stale: { version: joint.version + 1 },
    });
    expect((await refused(startRetorqueAction({ jointId: HEAD }))).code).toBe('bad-field');
    expect(shop.tightenings.ofJoint(HEAD)).toHaveLength(rounds);
    await accepted(retorque(undefined, { asPulled: true }));
  });
  test('waits for a reading at the head; begun once, asked for again it is the same', async () => {
    expect((await refused(retorque())).code).toBe('not-open');
    await cold();
    const { href } = await accepted(retorque());
    expect(there(shop.tightenings.find(idOf({ href })))).toMatchObject({
      purpose: 'retorque',
      plan: { act: 'slacken-and-pull', cycleId: 'demo-f-cycle-1' },
    });
    expect(await accepted(retorque())).toEqual({ href });
    expect((await refused(startRetorqueAction({ jointId: 'none', version: 1 }))).code).toBe('not-found');
  });
  test('a struck reading closes it again; what does not stand is not struck', async () => {
    await cold();
    const strike = (strikesId: string) =>
      strikeHeatAction({ id: `strike-${strikesId}`.slice(0, 39), engineId: 'demo-fourteen', strikesId });
    await accepted(strike('cold-00001'));
    expect((await refused(retorque())).code).toBe('not-open');
    expect((await refused(strike('cold-00001'))).code).toBe('nothing-to-strike');
    expect((await refused(strike('demo-m-nothing'))).code).toBe('nothing-to-strike');
  });
});

test('a write asks for the page to be drawn once, a refusal not at all', async () => {
  const before = drawn.times;
  await accepted(addJointAction(FROM_LEAF));
  expect(drawn.times).toBe(before + 1);
  await refused(addJointAction({ ...FROM_LEAF, name: '' }));
  expect(drawn.times).toBe(before + 1);
});
