import { beforeEach, describe, expect, test } from '@jest/globals';
import { recordEvent } from '@/features/bench/record-event';
import { startTighteningAction } from '@/features/joint/actions';
import { recordLine } from '@/features/fits/record-line';
import { find } from '@/features/find/find-index';
import { buildFileOf } from '@/features/record/build-file';
import { parseBuildFile } from '@/features/record/build-file-schema';
import { readBack } from '@/features/record/read-back';
import { bringAsideBackAction, setAsideAction, undoAction } from '@/features/removal/actions';
import { currentLeaves } from '@/model/book/current-leaves';
import { isHolding } from '@/model/fit/place-state';
import { engineStateOf } from '@/model/engine/engine-rows';
import { ASIDE_KINDS } from '@/model/set-aside';
import { openShop, type Shop } from '@/db/shop';
import { rowsNamed, temporaryFile, YARD_NOW } from '../db/temporary-shop';
import { accepted, everything, ownShop, refusedWhole, there } from './own-shop';

let shop: Shop;
beforeEach(() => {
  shop = ownShop();
  // Of joints and fits alone: what the order draws on has tests of its own.
  shop.db.exec('UPDATE step SET joint_id = NULL, fit_id = NULL');
});

const MANIFOLD = () => {
  const joint = there(shop.joints.find('demo-f-joint-head'));
  shop.joints.add({ ...joint, id: 'spare', name: 'Spare joint' });
  return { kind: 'joint', id: 'spare', reason: 'made for the other engine' } as const;
};
const undo = (result: unknown) => undoAction({ token: there((result as { undo?: { token: string } }).undo).token });

describe('what something hangs on is set aside with a reason', () => {
  test('a joint leaves the lists, what waits, and what is found; and comes back as it was', async () => {
    const aside = MANIFOLD();
    const before = everything(shop).replace(/"stamp":\d+/g, '');
    const names = () => engineStateOf(rowsNamed(shop, 'demo-fourteen')).joints.map(({ joint }) => joint.id);
    expect(names()).toContain('spare');
    await accepted(setAsideAction(aside));
    expect(names()).not.toContain('spare');
    expect(rowsNamed(shop, 'demo-fourteen').asides).toMatchObject([{ name: 'Spare joint', reason: aside.reason }]);
    expect((await find(shop, 'spare')).filter(({ kind }) => kind === 'Joint')).toEqual([]);
    await accepted(bringAsideBackAction({ kind: 'joint', id: 'spare' }));
    expect(names()).toContain('spare');
    expect(everything(shop).replace(/"stamp":\d+/g, '')).toBe(before);
  });
  test('undone by its key, and once only', async () => {
    const done = await accepted(setAsideAction(MANIFOLD()));
    await accepted(undo(done));
    expect(rowsNamed(shop, 'demo-fourteen').asides).toEqual([]);
    expect((await refusedWhole(shop, () => bringAsideBackAction({ kind: 'joint', id: 'spare' }))).code).toBe(
      'not-found',
    );
  });
  test.each(ASIDE_KINDS)('a %s that is not here, or without a reason, is refused', async (kind) => {
    expect((await refusedWhole(shop, () => setAsideAction({ kind, id: 'none', reason: 'x' }))).code).toBe('not-found');
    expect((await refusedWhole(shop, () => setAsideAction({ kind, id: 'none', reason: ' ' }))).field).toBe('reason');
  });
  test('an entry that a joint or a fit draws on stays, and it is said which', async () => {
    const { leafId } = there(shop.joints.find('demo-f-joint-head'));
    const problem = await refusedWhole(shop, () => setAsideAction({ kind: 'leaf', id: leafId, reason: 'x' }));
    expect(problem.message).toMatch(/the joint “Cylinder head” draws on it/);
  });
  test('an entry goes with all that it corrects: nothing beneath it comes to light', async () => {
    const leaf = there(shop.book.leaves('demo-fourteen')[0]);
    shop.book.addLeaf({ ...leaf, id: 'first', subject: 'Tappets', replacesId: null });
    shop.book.addLeaf({ ...leaf, id: 'second', subject: 'Tappets', replacesId: 'first' });
    await accepted(setAsideAction({ kind: 'leaf', id: 'second', reason: 'of another engine' }));
    const current = () => currentLeaves(shop.book.leaves('demo-fourteen')).map(({ id }) => id);
    expect(current()).not.toEqual(expect.arrayContaining(['first']));
    expect(current()).not.toEqual(expect.arrayContaining(['second']));
    expect(rowsNamed(shop, 'demo-fourteen').asides).toHaveLength(1);
    await accepted(bringAsideBackAction({ kind: 'leaf', id: 'second' }));
    expect(current()).toContain('second');
    expect(current()).not.toContain('first');
  });
  test('a joint that a fit rests on or holds stays', async () => {
    const fit = there(shop.fits.ofEngine('demo-fourteen').find(({ jointId }) => jointId !== null));
    const problem = await refusedWhole(shop, () => setAsideAction({ kind: 'joint', id: fit.jointId, reason: 'x' }));
    expect(problem.message).toContain(`the fit “${fit.name}”`);
  });
  test('a fit that is out holds its joints open: set aside it would close them, and is refused', async () => {
    const out = there(engineStateOf(rowsNamed(shop, 'demo-norrhem')).fits.find(({ state }) => isHolding(state)));
    const problem = await refusedWhole(shop, () => setAsideAction({ kind: 'fit', id: out.fit.id, reason: 'later' }));
    expect(problem.message).toMatch(/it is out of limits/);
  });
  test('a fit in which a strip lies is refused, for the crank is held by it', async () => {
    const fit = there(shop.fits.ofEngine('demo-fourteen').find(({ kind }) => kind === 'big-end-clearance'));
    shop.fits.alter({ ...fit, methods: ['strip'] });
    const sent = { id: 'a-strip-in', kind: 'strip-in', place: 0, body: {}, age_ms: 0 };
    expect(recordLine(shop, fit.id, sent).ok).toBe(true);
    const problem = await refusedWhole(shop, () => setAsideAction({ kind: 'fit', id: fit.id, reason: 'later' }));
    expect(problem.code).toBe('hangs');
  });
  const gaps = () => there(shop.fits.ofEngine('demo-fourteen').find(({ kind }) => kind === 'ring-gap')).id;
  /** A reading far too wide: the fit is out. */
  const putOut = (fitId: string) => {
    const line = there(shop.fits.lines(fitId).findLast((one) => one.kind === 'reading' && one.place === 0));
    if (line.kind !== 'reading') throw new Error('no reading');
    const { part, station, angle, body } = line;
    const cell = { place: 0, part, station, angle, value_mm: 0, typed: '90', body: { ...body, sure: true } };
    const sent = { id: 'wide-00001', kind: 'reading', ...cell, age_ms: 0 };
    expect(recordLine(shop, fitId, sent)).toMatchObject({ ok: true });
    const state = engineStateOf(rowsNamed(shop, 'demo-fourteen')).fits.find(({ fit }) => fit.id === fitId)?.state;
    expect(isHolding(there(state))).toBe(true);
  };
  test('what was brought back, and is out since, is not set aside again by taking that back', async () => {
    const id = gaps();
    await accepted(setAsideAction({ kind: 'fit', id, reason: 'later' }));
    const back = await accepted(bringAsideBackAction({ kind: 'fit', id }));
    putOut(id);
    expect((await refusedWhole(shop, () => undo(back))).message).toMatch(/it is out of limits/);
  });
  test('nor by doing again what was taken back', async () => {
    const id = gaps();
    await accepted(undo(await accepted(setAsideAction({ kind: 'fit', id, reason: 'later' }))));
    putOut(id);
    const { tip } = there(shop.acts.last('demo-fourteen')[0]);
    expect((await refusedWhole(shop, () => undoAction({ token: tip }))).message).toMatch(/it is out of limits/);
  });
  test('nothing is written of it from a page that was open before: no line, no round, no pull', async () => {
    const joint = there(shop.joints.find(MANIFOLD().id));
    const { href } = await accepted(
      startTighteningAction({ jointId: joint.id, version: joint.version, purpose: 'trial', reason: 'to try' }),
    );
    const round = href.split('/').at(-1) ?? '';
    await accepted(setAsideAction({ kind: 'joint', id: joint.id, reason: 'later' }));
    const start = () =>
      startTighteningAction({ jointId: joint.id, version: joint.version, purpose: 'trial', reason: 'to try' });
    expect((await refusedWhole(shop, start)).code).toBe('set-aside');
    const pull = { id: 'a-pull-03', kind: 'pull', step: 0, outcome: 'pulled', age_ms: 0 };
    expect(recordEvent(shop, round, pull)).toMatchObject({ ok: false, error: { code: 'set-aside' } });
    const id = gaps();
    await accepted(setAsideAction({ kind: 'fit', id, reason: 'later' }));
    const felt = { id: 'felt-00001', kind: 'felt', place: 0, body: { words: 'tight' }, age_ms: 0 };
    expect(recordLine(shop, id, felt)).toMatchObject({ ok: false, error: { code: 'set-aside' } });
  });
  test('a joint that is half pulled stays: it is loose, and would be on no list', async () => {
    const { id } = MANIFOLD();
    const joint = there(shop.joints.find(id));
    const { href } = await accepted(
      startTighteningAction({ jointId: id, version: joint.version, purpose: 'final', reason: 'to try' }),
    );
    const round = href.split('/').at(-1) ?? '';
    recordEvent(shop, round, { id: 'a-pull-04', kind: 'pull', step: 0, outcome: 'pulled', age_ms: 0 });
    const problem = await refusedWhole(shop, () => setAsideAction({ kind: 'joint', id, reason: 'later' }));
    expect(problem.message).toMatch(/it is half pulled/);
    recordEvent(shop, round, { id: 'a-stri-04', kind: 'strike', strikes: 'a-pull-04', age_ms: 0 });
    await accepted(setAsideAction({ kind: 'joint', id, reason: 'later' }));
  });
});

describe('a build goes out and comes in', () => {
  const written = () => buildFileOf(shop, there(shop.engines.find('demo-fourteen')), '2026-05-16T15:00:00.000Z');
  const readIn = (file: object, newId = () => 'unused') => {
    const other = openShop(temporaryFile());
    return { other, read: readBack(other, parseBuildFile(JSON.stringify(file)).file, Date.now(), newId) };
  };
  /** One of every kind, each drawn on by nothing that is worked with, by whoever it was. */
  const oneOfEach = async () => {
    const joint = MANIFOLD();
    const fit = there(shop.fits.ofEngine('demo-fourteen')[0]);
    shop.fits.add({ ...fit, id: 'spare-fit', name: 'Spare fit', holds: ['spare'], jointId: 'spare' });
    const leaf = there(shop.book.findLeaf(there(shop.joints.find('spare')).leafId));
    shop.book.addLeaf({ ...leaf, id: 'spare-leaf', subject: 'Spare entry', replacesId: null });
    const step = there(shop.build.ofEngine('demo-fourteen').steps.at(-1));
    shop.build.addStep({ ...step, id: 'spare-step', name: 'Spare step', after: [], notUntil: [], jointId: null });
    for (const aside of [
      { kind: 'fit', id: 'spare-fit', reason: 'measured twice' },
      joint,
      { kind: 'leaf', id: 'spare-leaf', reason: 'of another engine' },
      { kind: 'step', id: 'spare-step', reason: 'not on this one' },
    ] as const)
      await accepted(setAsideAction(aside));
    shop.db.exec("UPDATE set_aside SET who = 'IH' WHERE id = 'spare'");
  };
  test('with what was set aside, set aside: why, when and by whom', async () => {
    await oneOfEach();
    const file = written();
    expect(file.asides.map(({ kind }) => kind).sort()).toEqual([...ASIDE_KINDS].sort());
    const { other, read } = readIn(file);
    expect(read.backAgain).toEqual([]);
    expect(other.asides.ofEngine('demo-fourteen')).toEqual(shop.asides.ofEngine('demo-fourteen'));
    expect(other.asides.ofEngine('demo-fourteen')).toContainEqual(
      expect.objectContaining({ id: 'spare', reason: 'made for the other engine', who: 'IH' }),
    );
    // What is worked with is what was worked with, and nothing else.
    for (const repository of ['joints', 'fits'] as const)
      expect(other[repository].ofEngine('demo-fourteen')).toEqual(shop[repository].ofEngine('demo-fourteen'));
    expect(other.book.leaves('demo-fourteen')).toEqual(shop.book.leaves('demo-fourteen'));
    expect(other.build.ofEngine('demo-fourteen')).toEqual(shop.build.ofEngine('demo-fourteen'));
    expect(
      JSON.parse(JSON.stringify(buildFileOf(other, there(other.engines.find('demo-fourteen')), file.writtenAt))),
    ).toEqual(JSON.parse(JSON.stringify(file)));
  });
  test('beside the engine itself: under ids of its own', async () => {
    await oneOfEach();
    let n = 0;
    const read = readBack(shop, parseBuildFile(JSON.stringify(written())).file, Date.now(), () => `own-${n++}`);
    const copied = shop.asides.ofEngine(read.file.engine.id);
    expect(copied.map(({ name }) => name)).toEqual(shop.asides.ofEngine('demo-fourteen').map(({ name }) => name));
    expect(copied.every(({ id }) => id.startsWith('own-'))).toBe(true);
  });
  test('what may not be set aside is worked with again, and told; nothing loose leaves the lists by a file', () => {
    const { asides: _, ...file } = written();
    const half = there(file.tightenings.find(({ events }) => events.length > 0 && events.length < 40));
    const events = half.events.slice(0, 1);
    const tightenings = [...file.tightenings.filter(({ jointId }) => jointId !== half.jointId), { ...half, events }];
    const at = '2026-05-16T15:00:00.000Z';
    const asides = [{ kind: 'joint', id: half.jointId, reason: 'out of sight', at }];
    const { other, read } = readIn({ ...file, tightenings, asides });
    expect(read.backAgain).toEqual([{ name: expect.any(String), why: expect.stringMatching(/stays/) }]);
    expect(other.joints.ofEngine('demo-fourteen').map(({ id }) => id)).toContain(half.jointId);
  });
  test('refused where it is set aside twice, or is not in the file, or in the future', async () => {
    await accepted(setAsideAction(MANIFOLD()));
    const file = written();
    const [aside] = file.asides;
    for (const asides of [
      [aside, aside],
      [{ ...aside, id: 'none' }],
      [{ ...aside, kind: 'fit' }],
      [{ ...aside, at: '2126-01-01T00:00:00.000Z' }],
    ])
      expect(() => readIn({ ...file, asides })).toThrow(/Nothing was changed/);
  });
  test('of the version before: nothing in it was set aside', () => {
    const { asides: _, ...file } = written();
    expect(readIn({ ...file, version: 2 }).read.file.asides).toEqual([]);
  });
  test('of one joint, what else was set aside stays at home', async () => {
    await oneOfEach();
    expect(buildFileOf(shop, there(shop.engines.find('demo-fourteen')), YARD_NOW, 'demo-f-joint-head').asides).toEqual(
      [],
    );
  });
});
