import { beforeEach, describe, expect, test } from '@jest/globals';
import {
  keepStepAction,
  moveStepAction,
  pasteStepsAction,
  startFromAction,
  writeLineAction,
} from '@/features/order/actions';
import { takeAwayAction, setAsideAction, undoAction } from '@/features/removal/actions';
import { enterPartsAction, keepPartAction, previewPartsAction } from '@/features/tray/actions';
import { changedNow } from '@/features/bench/queries';
import { recordEvent } from '@/features/bench/record-event';
import { startTighteningAction } from '@/features/joint/actions';
import { keepNoteAction } from '@/features/notes/actions';
import { buildFileOf } from '@/features/record/build-file';
import { startRetorqueAction } from '@/features/run-in/actions';
import type { Shop } from '@/db/shop';
import { engineStateOf } from '@/model/engine/engine-rows';
import { PLAIN_STEP } from '@/model/order/step';
import { MAX_PARTS, PLAIN_PART } from '@/model/order/part';
import { contextOfFit } from '@/db/reads/fits-of-engine';
import { freshTightening, jointNamed, rowsNamed, YARD_NOW } from '../db/temporary-shop';
import { accepted, ownShop, refused, refusedWhole, there } from './own-shop';

let shop: Shop;
beforeEach(() => {
  shop = ownShop();
});

const FOURTEEN = 'demo-fourteen';
const NORRHEM = 'demo-norrhem';
const orderOf = (id: string) => engineStateOf(rowsNamed(shop, id)).order;
const standing = (id: string, step: string) => orderOf(id).byId.get(`${id}-${step}`)?.state;
let n = 0;
const write = (engineId: string, line: object) =>
  writeLineAction({ engineId, line: { id: `own-line-${(n += 1)}`, ...line } });

/** An engine without an order. */
function bare(): string {
  const engine = shop.engines.find(FOURTEEN);
  if (!engine) throw new Error('the yard is not whole');
  shop.engines.add({ ...engine, id: 'bare', name: 'Bare' });
  return 'bare';
}

const step = (given: object) => ({
  id: null,
  version: 0,
  engineId: 'bare',
  kind: 'part',
  name: 'A step',
  branch: '',
  jointId: null,
  purpose: null,
  fitId: null,
  leafId: null,
  after: [],
  notUntil: [],
  detail: PLAIN_STEP,
  ...given,
});

describe('an order is begun', () => {
  test('from a line, once, and never with a joint of another engine', async () => {
    const engineId = bare();
    const begin = (meeting: object) => startFromAction({ engineId, start: 'flat-four', meeting });
    expect(await refused(begin({ 'case-tight': 'demo-f-joint-head' }))).toMatchObject({ code: 'not-found' });
    expect(shop.build.ofEngine(engineId).steps).toEqual([]);
    await accepted(begin({}));
    const { steps } = shop.build.ofEngine(engineId);
    expect(steps.length).toBeGreaterThan(25);
    expect(await refused(begin({}))).toMatchObject({ code: 'has-order' });
    expect(shop.build.ofEngine(engineId).steps).toHaveLength(steps.length);
  });
  test('with joints and fits of the engine itself', async () => {
    const engineId = bare();
    shop.joints.add({ ...there(shop.joints.find('demo-f-joint-head')), id: 'own-joint', engineId });
    shop.fits.add({ ...there(shop.fits.find('demo-f-fit-mains')), id: 'own-fit', engineId });
    const begin = (meeting: object) => startFromAction({ engineId, start: 'flat-four', meeting });
    expect(await refused(begin({ 'case-tight': 'own-joint', play: 'demo-f-fit-mains' }))).toMatchObject({
      code: 'not-found',
      field: 'meeting',
    });
    await accepted(begin({ 'case-tight': 'own-joint', play: 'own-fit', other: null }));
    const { steps } = shop.build.ofEngine(engineId);
    expect(steps.filter(({ jointId }) => jointId === 'own-joint')).toHaveLength(1);
  });
  test('with steps of its own, put behind one another; what followed follows the new one', async () => {
    bare();
    const first = await accepted(keepStepAction(step({ name: 'First' })));
    const third = await accepted(keepStepAction(step({ name: 'Third', behind: first.id })));
    const second = await accepted(keepStepAction(step({ name: 'Second', behind: first.id })));
    const { steps } = orderOf('bare');
    expect(steps.map((one) => one.step.name)).toEqual(['First', 'Second', 'Third']);
    expect(shop.build.findStep(third.id)?.after).toEqual([second.id]);
  });
  test('from the numbered lines of a page', async () => {
    bare();
    const text = '1. Fit the pump. Fill it first.\n2) Fit the sump\n   with a new gasket\nnotes';
    expect(await accepted(pasteStepsAction({ engineId: 'bare', text, behind: null }))).toMatchObject({ added: 2 });
    const { steps } = orderOf('bare');
    expect(steps.map((one) => [one.step.name, one.step.detail.words])).toEqual([
      ['Fit the pump', 'Number 1 of the page. Fill it first.'],
      ['Fit the sump with a new gasket notes', 'Number 2 of the page.'],
    ]);
    expect(await refused(pasteStepsAction({ engineId: 'bare', text: ' \n ', behind: null }))).toBeDefined();
  });
});

describe('steps', () => {
  test('in a ring are refused with their names, and nothing is written', async () => {
    bare();
    const first = await accepted(keepStepAction(step({ name: 'Lower' })));
    const last = await accepted(keepStepAction(step({ name: 'Upper', behind: first.id })));
    const problem = await refused(keepStepAction(step({ id: first.id, version: 1, name: 'Lower', after: [last.id] })));
    expect(problem.code).toBe('loop');
    expect(problem.message).toMatch(/“Lower” → “Upper” → “Lower”|“Upper” → “Lower” → “Upper”/);
    expect(shop.build.findStep(first.id)).toMatchObject({ after: [], version: 1 });
    expect(await refused(keepStepAction(step({ name: 'X', after: ['nowhere'] })))).toMatchObject({
      code: 'unknown-step',
    });
  });
  test('changed elsewhere meanwhile are not written over', async () => {
    bare();
    const { id } = await accepted(keepStepAction(step({ name: 'One' })));
    await accepted(keepStepAction(step({ id, version: 1, name: 'Two' })));
    expect(await refused(keepStepAction(step({ id, version: 1, name: 'Three' })))).toMatchObject({ code: 'stale' });
    expect(await refused(moveStepAction({ stepId: id, version: 1, behind: null }))).toMatchObject({ code: 'stale' });
  });
  test('struck out leave what waited for them waiting for what they waited for; taken back it is as it was', async () => {
    bare();
    const first = await accepted(keepStepAction(step({ name: 'A' })));
    const middle = await accepted(keepStepAction(step({ name: 'B', behind: first.id })));
    const last = await accepted(keepStepAction(step({ name: 'C', behind: middle.id })));
    const before = shop.build.ofEngine('bare').steps.map(({ id, after }) => [id, after]);
    const outcome = await accepted(takeAwayAction({ kind: 'step', id: middle.id, name: 'B' }));
    expect(shop.build.findStep(last.id)?.after).toEqual([first.id]);
    await accepted(undoAction({ token: (outcome as { undo: { token: string } }).undo.token }));
    expect(shop.build.ofEngine('bare').steps.map(({ id, after }) => [id, after])).toEqual(before);
  });
  test('that something was done in are set aside with a reason, not taken away', async () => {
    const id = `${FOURTEEN}-shaft-in`;
    expect(await refused(takeAwayAction({ kind: 'step', id, name: 'x' }))).toMatchObject({ code: 'hangs' });
    await accepted(setAsideAction({ kind: 'step', id, reason: 'not on this engine' }));
    expect(orderOf(FOURTEEN).byId.has(id)).toBe(false);
    expect(shop.build.findStep(`${FOURTEEN}-main-caps`)?.after).toEqual([`${FOURTEEN}-rear-seal`]);
    // From a page that was open before it is not changed or moved.
    expect(await refused(moveStepAction({ stepId: id, version: 1, behind: null }))).toMatchObject({
      code: 'set-aside',
    });
    expect(await refused(keepStepAction(step({ id, version: 1, engineId: FOURTEEN })))).toMatchObject({
      code: 'set-aside',
    });
    // A step that holds parts, or put an aid in, would take them off the lists.
    expect(await refused(setAsideAction({ kind: 'step', id: `${FOURTEEN}-main-caps`, reason: 'x' }))).toMatchObject({
      code: 'hangs',
    });
    expect(await refused(setAsideAction({ kind: 'step', id: 'demo-maestrale-head-on', reason: 'x' }))).toMatchObject({
      code: 'hangs',
    });
  });
  test('taking back a change that would end in a ring is refused', async () => {
    bare();
    const first = await accepted(keepStepAction(step({ name: 'A' })));
    const last = await accepted(keepStepAction(step({ name: 'B', behind: first.id })));
    const freed = await accepted(keepStepAction(step({ id: last.id, version: 1, name: 'B', after: [] })));
    await accepted(keepStepAction(step({ id: first.id, version: 1, name: 'A', after: [last.id] })));
    const { token } = (freed as { undo: { token: string } }).undo;
    expect(await refused(undoAction({ token }))).toMatchObject({ code: 'changed-since' });
    expect(orderOf('bare').trouble).toBeUndefined();
  });
});

describe('a line of the order', () => {
  test('sent twice is one, with who and when by the server; of another engine it is refused', async () => {
    const line = { id: 'the-same', kind: 'loose', body: { words: 'a tab' } };
    await accepted(writeLineAction({ engineId: FOURTEEN, line }));
    await accepted(writeLineAction({ engineId: FOURTEEN, line }));
    expect(orderOf(FOURTEEN).loose).toHaveLength(1);
    expect(await refused(writeLineAction({ engineId: NORRHEM, line }))).toMatchObject({ code: 'bad-id' });
  });
  test('is refused where it says what no screen would', async () => {
    const bad = async (line: object) => (await refused(write(FOURTEEN, line))).code;
    expect(await bad({ kind: 'done', body: {} })).toBe('bad-field');
    expect(await bad({ kind: 'nonsense', body: {} })).toBe('bad-field');
    expect(await bad({ kind: 'aid-in', body: { name: 'rag', count: 0, inside: true } })).toBe('bad-field');
    expect(await bad({ kind: 'undone', stepId: `${FOURTEEN}-started`, body: { reason: ' ' } })).toBe('bad-field');
    expect(await bad({ kind: 'strike', strikes: 'nowhere', body: {} })).toBe('not-found');
  });
  test('of a step that passes a gate: what is sent as passed is not believed', async () => {
    await accepted(write(FOURTEEN, { kind: 'undone', stepId: `${FOURTEEN}-started`, body: { reason: 'oil leak' } }));
    await accepted(write(FOURTEEN, { kind: 'aid-in', body: { name: 'rag', count: 1, inside: true } }));
    const passed = { bars: [], reason: 'sent along' };
    const started = { kind: 'done', stepId: `${FOURTEEN}-started`, body: { passed }, reason: 'never mind' };
    expect(await refused(write(FOURTEEN, started))).toMatchObject({ code: 'aid-in' });
    expect(standing(FOURTEEN, 'started')).toBe('open');
  });
  test('is taken back like any act, and done again', async () => {
    const done = await accepted(write(FOURTEEN, { kind: 'swarf', body: { words: 'a bore was honed' } }));
    expect(standing(FOURTEEN, 'clean-block')).toBe('open');
    const { token } = (done as { undo: { token: string } }).undo;
    await accepted(undoAction({ token }));
    expect(standing(FOURTEEN, 'clean-block')).toBe('done');
  });
});

describe('a note of a step or of a part', () => {
  const note = (given: object) => ({
    id: null,
    version: 0,
    engineId: FOURTEEN,
    fastener: null,
    words: 'Mark to the front',
    ...given,
  });
  test('is of this engine, holds its step, and comes over in a build file', async () => {
    await accepted(keepNoteAction(note({ stepId: `${FOURTEEN}-pins` })));
    await accepted(keepNoteAction(note({ partId: 'demo-f-part-caps' })));
    expect(await refused(keepNoteAction(note({ stepId: 'demo-maestrale-piston-on' })))).toMatchObject({
      code: 'not-found',
    });
    expect(await refused(keepNoteAction(note({ partId: 'demo-n-part-seals' })))).toMatchObject({ code: 'not-found' });
    expect(await refused(takeAwayAction({ kind: 'part', id: 'demo-f-part-caps', name: 'x' }))).toMatchObject({
      message: expect.stringMatching(/1 note/) as unknown,
    });
    const { notes } = buildFileOf(shop, rowsNamed(shop, FOURTEEN).engine, YARD_NOW);
    expect(notes.map(({ stepId, partId }) => stepId ?? partId)).toEqual([`${FOURTEEN}-pins`, 'demo-f-part-caps']);
  });
});

describe('the bench asks the order', () => {
  test('a joint that waits in it asks for a reason before it is pulled for good; a test round does not', async () => {
    const joint = jointNamed(shop, 'demo-n-joint-heads');
    const start = (purpose: string, reason = '') =>
      startTighteningAction({ jointId: joint.id, version: joint.version, purpose, reason });
    const problem = await refused(start('final'));
    expect(problem.message).toMatch(/In the order it waits for “Guide studs out, counted”/);
  });
  test('a joint opened up again is not tight any more, on any list', async () => {
    const tight = () =>
      engineStateOf(rowsNamed(shop, FOURTEEN)).joints.find(({ joint }) => joint.id === 'demo-f-joint-mains')?.final
        ?.state.complete;
    expect(tight()).toBe(true);
    const done = await accepted(
      write(FOURTEEN, { kind: 'undone', stepId: `${FOURTEEN}-mains`, body: { reason: 'a cap was loosened' } }),
    );
    expect(tight()).toBeUndefined();
    expect(standing(FOURTEEN, 'shaft-free')).toBe('stale');
    expect(standing(FOURTEEN, 'main-caps')).toBe('done');
    await accepted(undoAction({ token: (done as { undo: { token: string } }).undo.token }));
    expect(tight()).toBe(true);
  });
  test('opening a joint up makes readings taken at its final figure stale, and stays when its step is set aside', async () => {
    const float = () => engineStateOf(rowsNamed(shop, FOURTEEN)).fits.find(({ fit }) => fit.id === 'demo-f-fit-mains');
    const final = () =>
      engineStateOf(rowsNamed(shop, FOURTEEN)).joints.find(({ joint }) => joint.id === 'demo-f-joint-mains')?.final;
    shop.db.exec("UPDATE fit SET joint_id = 'demo-f-joint-mains' WHERE id = 'demo-f-fit-mains'");
    const mains = `${FOURTEEN}-mains`;
    await accepted(
      write(FOURTEEN, { kind: 'undone', stepId: mains, body: { reason: 'a cap was loosened', jointId: 'x' } }),
    );
    expect(float()?.state).toBe('stale');
    expect(contextOfFit(shop, there(float()).fit).openings).toHaveLength(1);
    // The step is let go of its joint, or set aside: the joint is open all the same.
    await accepted(setAsideAction({ kind: 'step', id: mains, reason: 'done otherwise here' }));
    expect(final()).toBeUndefined();
  });
  test('a round begun before the opening does not complete the joint, whatever is pulled in it after', () => {
    const joint = jointNamed(shop, 'demo-n-joint-mains');
    const round = freshTightening(shop, 'before');
    shop.tightenings.record(round, { id: 'p', kind: 'pull', step: 0, outcome: 'pulled', at: YARD_NOW }, YARD_NOW);
    const of = () => engineStateOf(rowsNamed(shop, NORRHEM)).joints.find((one) => one.joint.id === joint.id)?.final;
    expect(of()?.tightening.id).toBe('before');
    const at = new Date(Date.parse(YARD_NOW) + 60_000).toISOString();
    const opened = {
      kind: 'undone',
      stepId: `${NORRHEM}-case-tight`,
      body: { reason: 'x', jointId: joint.id },
    } as const;
    shop.build.record(NORRHEM, { ...opened, id: 'open', at }, at);
    const later = new Date(Date.parse(YARD_NOW) + 120_000).toISOString();
    shop.tightenings.record(round, { id: 'q', kind: 'pull', step: 1, outcome: 'pulled', at: later }, later);
    expect(of()).toBeUndefined();
  });
  test('a bench left open on a round of before the opening takes no pull, and says why; one made before comes late', () => {
    const round = freshTightening(shop, 'before');
    const pulled = (id: string, pass: number, age_ms: number) =>
      recordEvent(shop, round.id, { id, kind: 'pull', step: pass, outcome: 'pulled', age_ms });
    const stepId = `${NORRHEM}-case-tight`;
    const at = new Date(Date.now() - 60_000).toISOString();
    expect(changedNow(shop, round.id, Date.now())).toEqual({});
    shop.build.record(
      NORRHEM,
      { id: 'open', kind: 'undone', stepId, at, body: { reason: 'x', jointId: round.jointId } },
      at,
    );
    expect(pulled('late-pull', 0, 90_000)).toMatchObject({ ok: true });
    expect(pulled('own-pull', 1, 0)).toMatchObject({ ok: false, error: { code: 'opened' } });
    expect(changedNow(shop, round.id, Date.now())?.changed?.words).toMatch(/opened up in the order/);
    shop.build.record(NORRHEM, { id: 'not-so', kind: 'strike', strikes: 'open', at, body: {} }, at);
    expect(pulled('own-pull', 1, 0)).toMatchObject({ ok: true });
  });
  test('a joint slackened and pulled for trial after its final round is not tight any more', () => {
    const mains = 'demo-f-joint-mains';
    const of = () => there(engineStateOf(rowsNamed(shop, FOURTEEN)).joints.find(({ joint }) => joint.id === mains));
    const before = there(of().final);
    expect(before.state.complete).toBe(true);
    const round = { ...before.tightening, id: 'try-out', purpose: 'trial', startedAt: YARD_NOW } as const;
    shop.tightenings.start(round);
    expect(of().final?.tightening.id).toBe(before.tightening.id);
    const trial = { id: 'trial-pull', kind: 'pull', step: 0, outcome: 'pulled', at: YARD_NOW } as const;
    shop.tightenings.record(round, trial, YARD_NOW);
    expect(of().final).toBeUndefined();
    expect(of().retorque.state).not.toBe('open');
    expect(orderOf(FOURTEEN).loose.map(({ words }) => words)).toContain('Main bearing caps: only pulled for trial');
    const slip = { id: 'slip-pull', kind: 'strike', strikes: 'trial-pull', at: YARD_NOW } as const;
    shop.tightenings.record(round, slip, YARD_NOW);
    expect(of().final?.tightening.id).toBe(before.tightening.id);
  });
  test('a retorque does not begin over an aid that is inside', async () => {
    await accepted(write(FOURTEEN, { kind: 'aid-in', body: { name: 'rag', count: 1, inside: true } }));
    const head = jointNamed(shop, 'demo-f-joint-head');
    const [cycle] = shop.heat.log(FOURTEEN).cycles;
    if (!cycle) throw new Error('no run');
    const at = new Date(Date.now() - 60_000).toISOString();
    shop.heat.addReading({ id: 'cold', engineId: FOURTEEN, cycleId: cycle.id, at, head_C: 15, ambient_C: 15 }, at);
    const problem = await refused(
      startRetorqueAction({
        jointId: head.id,
        version: head.version,
        asPulled: false,
        reason: 'never mind',
        film: 'as-pulled',
      }),
    );
    expect(problem.code).toBe('aid-in');
  });
});

describe('the tray', () => {
  const part = (given: object) => ({
    id: null,
    version: 0,
    engineId: NORRHEM,
    stepId: null,
    name: 'A part',
    need: '2',
    here: '0',
    mark: '',
    serial: '',
    bag: '',
    origin: 'bought',
    condition: 'as-new',
    detail: PLAIN_PART,
    ...given,
  });
  test('a part with a number of its own is on one engine', async () => {
    await accepted(keepPartAction(part({ serial: 'A-1' })));
    const other = await refused(keepPartAction(part({ serial: 'A-1', engineId: FOURTEEN })));
    expect(other).toMatchObject({ code: 'on-another' });
    expect(other.message).toMatch(/Norrhem/);
  });
  test('a part is altered as itself, on its own engine and not over another’s change', async () => {
    const { id } = await accepted(keepPartAction(part({ mark: 'II' })));
    const altered = { id, version: 1, name: 'Another name', need: '5', bag: 'B 7' };
    expect(await accepted(keepPartAction(part(altered)))).toMatchObject({ id });
    const row = there(shop.build.findPart(id));
    expect(row).toMatchObject({
      id,
      engineId: NORRHEM,
      name: 'Another name',
      need: 5,
      bag: 'B 7',
      mark: '',
      version: 2,
    });
    expect(await refused(keepPartAction(part({ ...altered, name: 'A third' })))).toMatchObject({ code: 'stale' });
    expect(await refused(keepPartAction(part({ ...altered, version: 2, engineId: FOURTEEN })))).toMatchObject({
      code: 'not-found',
    });
    expect(shop.build.findPart(id)).toEqual(row);
  });
  test('counts what comes, and names the engine’s own steps only', async () => {
    const { id } = await accepted(keepPartAction(part({})));
    await accepted(write(NORRHEM, { kind: 'part-in', partId: id, body: { count: 2, checked: ['thread'] } }));
    expect(orderOf(NORRHEM).tray.find((one) => one.part.id === id)).toMatchObject({ has: 2, left: 2, surplus: 2 });
    expect(await refused(keepPartAction(part({ stepId: `${FOURTEEN}-mains` })))).toMatchObject({ code: 'not-found' });
    expect(
      await refused(write(FOURTEEN, { kind: 'part-in', partId: id, body: { count: 1, checked: [] } })),
    ).toMatchObject({ code: 'not-found' });
  });
  test('what is over leaves with a reason only, once something is built in', async () => {
    const { id } = await accepted(keepPartAction(part({ engineId: FOURTEEN, name: 'Nut', here: '3' })));
    const { version } = there(orderOf(FOURTEEN).tray.find((one) => one.part.id === id)).part;
    const fewer = part({ id, version, engineId: FOURTEEN, name: 'Nut', here: '2' });
    expect(await refused(keepPartAction(fewer))).toMatchObject({ code: 'over', field: 'here' });
    expect(await refused(takeAwayAction({ kind: 'part', id, name: 'Nut' }))).toMatchObject({ code: 'over' });
    expect(orderOf(FOURTEEN).tray.find((one) => one.part.id === id)).toMatchObject({ surplus: 3 });
    await accepted(write(FOURTEEN, { kind: 'part-off', partId: id, body: { count: 3, reason: 'of the pump' } }));
    expect(orderOf(FOURTEEN).tray.find((one) => one.part.id === id)).toMatchObject({ surplus: 0 });
    // Nothing is built yet: what was entered by mistake goes as it came.
    const engineId = bare();
    const slip = await accepted(keepPartAction(part({ engineId, here: '3' })));
    await accepted(takeAwayAction({ kind: 'part', id: slip.id, name: 'A part' }));
  });
  test('takes over the pairs of the match marks, once, each with its mark to be read as it is fitted', async () => {
    const { takeMarksAction } = await import('@/features/tray/actions');
    expect(await accepted(takeMarksAction({ engineId: FOURTEEN }))).toMatchObject({ added: 4 });
    expect(
      orderOf(FOURTEEN)
        .tray.filter(({ part: { name } }) => /^Rod \d$/.test(name))
        .map(({ part: { mark, detail } }) => [mark, detail.mates]),
    ).toEqual(['1', '2', '3', '4'].map((mark) => [mark, `what is marked ${mark}`]));
    expect(await refused(takeMarksAction({ engineId: FOURTEEN }))).toMatchObject({ code: 'nothing' });
  });
  test('is read from a table, bad rows kept aside, and goes out as one that reads in as nothing new', async () => {
    const numbered = 'Part,Needed,Number\nPump,1,P-1\nOther pump,1,P-1\nThird,1,F-9';
    await accepted(keepPartAction(part({ engineId: FOURTEEN, name: 'There', serial: 'F-9' })));
    const seen = await accepted(previewPartsAction({ engineId: NORRHEM, text: numbered }));
    expect(seen.rows.map(({ reason }) => reason)).toEqual([
      undefined,
      'A part numbered P-1 is on this tray already.',
      expect.stringMatching(/F-9 is on “Thorncote/),
    ]);
    const text = [
      'Part,Needed,Here,Goes to,From,Condition',
      'Case nuts,12,10,"Right case on, dowels home, nothing pinched",bought,as new',
      ',3,3,,,',
      'Washers,many,1,,,',
      'Springs,4,4,A step that is not,,',
      'Clips,2,,,borrowed,',
      'Case nuts,12,10,,,',
      'Plain,1,1,,,',
    ].join('\n');
    const { rows } = await accepted(previewPartsAction({ engineId: NORRHEM, text }));
    expect(rows.map(({ reason }) => reason ?? 'good')).toEqual([
      'good',
      'It has no name.',
      '“many” is no count.',
      'No step here is called “A step that is not”.',
      expect.stringMatching(/“borrowed” is not known/),
      'It is on the tray already.',
      'good',
    ]);
    const before = shop.build.ofEngine(NORRHEM).parts.length;
    expect(await accepted(enterPartsAction({ engineId: NORRHEM, text }))).toMatchObject({ entered: 2 });
    expect(shop.build.ofEngine(NORRHEM).parts).toHaveLength(before + 2);
    expect(orderOf(NORRHEM).tray.find(({ part: { name } }) => name === 'Case nuts')).toMatchObject({ short: 2 });
  });
  test('holds so many kinds of part and no more, one by one or out of a table', async () => {
    const { parts } = shop.build.ofEngine(NORRHEM);
    const row = there(parts[0]);
    const fill = (count: number) => {
      for (let i = shop.build.ofEngine(NORRHEM).parts.length; i < count; i += 1)
        shop.build.addPart({ ...row, id: `filled-${i}`, name: `Filled ${i}`, serial: '', version: 1 });
    };
    const table = (count: number) =>
      ['Part,Needed', ...Array.from({ length: count }, (_, i) => `Of the table ${i},1`)].join('\n');
    fill(MAX_PARTS - 3);
    const enter = (count: number) => enterPartsAction({ engineId: NORRHEM, text: table(count) });
    expect(await refusedWhole(shop, () => enter(4))).toMatchObject({ code: 'too-many', field: 'text' });
    expect(await accepted(enter(3))).toMatchObject({ entered: 3 });
    expect(shop.build.ofEngine(NORRHEM).parts).toHaveLength(MAX_PARTS);
    expect(await refusedWhole(shop, () => keepPartAction(part({})))).toMatchObject({ code: 'too-many', field: 'name' });
  });
});
