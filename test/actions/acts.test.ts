import { beforeEach, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cookies } from 'next/headers';
import { addLeafAction, addSourceAction } from '@/features/book/actions';
import { recordEvent } from '@/features/bench/record-event';
import { alterEngineAction } from '@/features/engine/actions';
import { putShimAction } from '@/features/fits/actions';
import { addJointAction, alterJointAction, startTighteningAction } from '@/features/joint/actions';
import { keepMeasureAction } from '@/features/measures/actions';
import { undoAction } from '@/features/removal/actions';
import { addReadingAction } from '@/features/run-in/actions';
import { keepPracticeAction, keepShelfRowAction, removeShelfRowAction } from '@/features/shelves/actions';
import { addTrialPullAction, renameTrialAction } from '@/features/trial/actions';
import type { Shop } from '@/db/shop';
import { closeShop, shopNamed } from '@/server/current-shop';
import { nowIso } from '@/server/clock';
import { accepted, ownShop, refused, refusedWhole, there } from './own-shop';

let shop: Shop;
beforeEach(() => {
  shop = ownShop();
});

const HEAD = 'demo-f-joint-head';
const head = () => there(shop.joints.find(HEAD));
const tokenOf = (result: unknown): string => there((result as { readonly undo?: { token: string } }).undo).token;
const wordsOf = (result: unknown): string => there((result as { readonly undo?: { words: string } }).undo).words;
const alter = (change: object, detail: object = {}) =>
  accepted(alterJointAction({ id: HEAD, version: head().version, change, detail }));
const takeBack = (result: unknown) => undoAction({ token: tokenOf(result) });

/** What stands, without versions and lines that are only added to. */
const standing = () =>
  ['engine', 'source', 'engine_source', 'leaf', 'joint', 'fit', 'fit_hold', 'wrench', 'shelf_row', 'setting', 'shim']
    .map((table) => {
      const rows = shop.db.prepare(`SELECT * FROM ${table} ORDER BY 1, 2`).all() as readonly object[];
      return JSON.stringify([table, rows.map((row) => ({ ...row, version: 0 }))]);
    })
    .join('\n');

describe('an act that is no pull can be taken back', () => {
  test('a change of a joint is told by field and both values, and its version rises when it goes back', async () => {
    const before = head();
    const done = await alter({ todayFilm: 'engine-oil' });
    expect(wordsOf(done)).toMatch(/^“Cylinder head”: Lubricant today, Molybdenum.* → Engine oil, threads and face$/);
    expect((await takeBack(done)).ok).toBe(true);
    expect(head()).toEqual({ ...before, version: before.version + 2 });
  });
  test('the earlier of two changes goes back alone where they touch different parts, of the detail too', async () => {
    const before = head();
    const film = await alter({ todayFilm: 'engine-oil' });
    const care = await alter({}, { care: 'hand' });
    const parent = await alter({}, { parent: { ...before.detail.parent, grip_mm: 33 } });
    expect((await takeBack(film)).ok).toBe(true);
    expect(head().todayFilm).toBe(before.todayFilm);
    expect([head().detail.care, head().detail.parent.grip_mm]).toEqual(['hand', 33]);
    expect((await takeBack(care)).ok).toBe(true);
    expect([head().detail.care, head().detail.parent.grip_mm]).toEqual([before.detail.care, 33]);
    expect((await takeBack(parent)).ok).toBe(true);
    expect(head().detail).toEqual(before.detail);
  });
  test('what was changed again since stays, and is said; the later one goes first', async () => {
    const first = await alter({ todayFilm: 'engine-oil' });
    const second = await alter({ todayFilm: 'dry-bare' });
    const problem = await refusedWhole(shop, () => takeBack(first));
    expect(problem).toMatchObject({ code: 'changed-since' });
    expect(problem.message).toMatch(/changed again since/);
    await accepted(takeBack(second));
    await accepted(takeBack(first));
    expect(head().todayFilm).toBe('moly-paste');
  });
  test('once, and again after a restart of the program; what was taken back can be done again', async () => {
    const done = await alter({ todayFilm: 'engine-oil' });
    closeShop('own');
    shop = shopNamed('own');
    await accepted(takeBack(done));
    expect((await refused(takeBack(done))).code).toBe('too-late');
    const [act] = shop.acts.last('demo-fourteen');
    expect(act).toMatchObject({ id: tokenOf(done), isUndone: true });
    await accepted(undoAction({ token: there(act).tip }));
    expect(head().todayFilm).toBe('engine-oil');
    expect(shop.acts.last('demo-fourteen')[0]).toMatchObject({ id: tokenOf(done), isUndone: false });
  });
  test('a joint that was made goes, until something hangs on it', async () => {
    const before = standing();
    const made = await accepted(
      addJointAction({
        engineId: 'demo-fourteen',
        leafId: head().leafId,
        name: 'Once more',
        pattern: 'rows',
        fasteners: 4,
        thread: '3/8 BSF',
        originalFilm: 'engine-oil',
        todayFilm: 'engine-oil',
        orderSchool: 'star',
        turnShaft: false,
        retorqueSchool: 'none',
        leafReason: 'to try',
      }),
    );
    await accepted(takeBack(made));
    expect(standing()).toBe(before);
    const again = there(shop.acts.last('demo-fourteen')[0]);
    await accepted(undoAction({ token: again.tip }));
    const joint = there(shop.joints.ofEngine('demo-fourteen').find(({ name }) => name === 'Once more'));
    const { href } = await accepted(
      startTighteningAction({ jointId: joint.id, version: joint.version, purpose: 'trial', reason: 'to try' }),
    );
    recordEvent(shop, href.split('/').at(-1) ?? '', {
      id: 'a-pull-01',
      kind: 'pull',
      step: 0,
      outcome: 'pulled',
      age_ms: 0,
    });
    const tip = there(shop.acts.last('demo-fourteen').find(({ id }) => id === again.id)).tip;
    expect((await refused(undoAction({ token: tip }))).message).toMatch(/something was written since that hangs on it/);
    expect(shop.joints.find(joint.id)).toBeDefined();
  });
  test('a line is answered by a line: what was written stays written, and counts no more', async () => {
    const cycle = there(shop.heat.log('demo-fourteen').cycles.at(-1));
    const reading = { engineId: 'demo-fourteen', cycleId: cycle.id, head_C: 21, ambient_C: 15, sure: true };
    const done = await accepted(addReadingAction({ ...reading, id: 'read-00077', at: nowIso(), sentAt: nowIso() }));
    const stands = () => shop.heat.log('demo-fourteen').readings.some(({ id }) => id === 'read-00077');
    expect(stands()).toBe(true);
    const lines = () => shop.db.prepare('SELECT count(*) AS n FROM heat_event').get() as { readonly n: number };
    const { n } = lines();
    await accepted(takeBack(done));
    expect([stands(), lines().n]).toEqual([false, n + 1]);
    await accepted(undoAction({ token: there(shop.acts.last('demo-fourteen')[0]).tip }));
    expect([stands(), lines().n]).toEqual([true, n + 2]);
  });
  test('a sheet of the engine goes back to the one before it; the first of its kind offers nothing', async () => {
    const keep = (pairs: object[], basedOn: string | null) =>
      accepted(keepMeasureAction({ engineId: 'demo-maestrale', kind: 'marks', body: { pairs }, basedOn }));
    const [one, two] = [[{ place: '1', one: 'A', other: 'A' }], [{ place: '1', one: 'B', other: 'B' }]];
    const holding = () => shop.measures.latest('demo-maestrale', 'marks');
    const first = await keep(one, holding()?.id ?? null);
    const second = await keep(two, first.id);
    await accepted(takeBack(second));
    expect(holding()?.body.pairs).toEqual(one);
    // It holds a sheet that was saved since: the older act has to wait.
    expect((await refused(takeBack(second))).code).toBe('too-late');
  });
  test('acts of the shop stand by themselves, and are not among those of an engine', async () => {
    const film = { id: '', name: 'Goose fat', thread: { low: 0.1, high: 0.16 }, head: { low: 0.1, high: 0.16 } };
    const row = { ...there(shop.shelf.own('film')[0] ?? { row: undefined }).row, ...film };
    const outcome = await keepShelfRowAction({ kind: 'film', row, version: 0 });
    const shim = await accepted(putShimAction({ family: 'K', typed: '0.4 mm', count: 3, seen: {} }));
    expect(shop.acts.last(null).map(({ id }) => id)).toContain(tokenOf(shim));
    expect(shop.acts.last('demo-fourteen').map(({ id }) => id)).not.toContain(tokenOf(shim));
    if (outcome.ok) await accepted(takeBack(outcome.result));
    await accepted(takeBack(shim));
    expect(shop.shims.inFamily('K')).toEqual([]);
  });
  test('only the last two hundred of an engine are kept, and none of another is lost for it', async () => {
    const other = await accepted(alterEngineAction({ ...there(shop.engines.find('demo-norrhem')), year: '1961' }));
    for (let i = 0; i < 205; i += 1) await alter({ name: `Head ${i}` });
    expect(shop.acts.last('demo-fourteen')).toHaveLength(200);
    expect(shop.acts.last('demo-fourteen')[0]?.words).toBe('“Head 203”: Name, Head 203 → Head 204');
    const orphans = shop.db
      .prepare('SELECT count(*) AS n FROM act_change WHERE act_id NOT IN (SELECT id FROM act)')
      .get();
    expect(orphans).toEqual({ n: 0 });
    await accepted(takeBack(other));
  });
  test('what was refused, or changed nothing, is no act', async () => {
    await refused(alterJointAction({ id: HEAD, version: head().version, change: { thread: 'no thread' }, detail: {} }));
    expect(shop.acts.last('demo-fourteen')).toEqual([]);
    expect(shop.db.prepare('SELECT count(*) AS n FROM act').get()).toEqual({ n: 0 });
  });
  test('pulls are no acts: a going-round begun offers nothing to take back', async () => {
    const joint = there(shop.joints.find('demo-n-joint-heads'));
    const begun = await accepted(
      startTighteningAction({ jointId: joint.id, version: joint.version, purpose: 'trial', reason: 'to try' }),
    );
    expect(begun).not.toHaveProperty('undo');
    expect(shop.acts.last('demo-norrhem')).toEqual([]);
  });
});

test('a trial is given another name, taken back, and the same name is no act', async () => {
  const trial = there(shop.trials.all()[0]);
  const name = () => shop.trials.find(trial.id)?.name;
  const done = await accepted(renameTrialAction({ trialId: trial.id, name: 'Three pastes' }));
  expect(name()).toBe('Three pastes');
  expect(await accepted(renameTrialAction({ trialId: trial.id, name: ' Three pastes ' }))).not.toHaveProperty('undo');
  await accepted(takeBack(done));
  expect(name()).toBe(trial.name);
  expect((await refused(renameTrialAction({ trialId: trial.id, name: '' }))).field).toBe('name');
  expect((await refused(renameTrialAction({ trialId: 'none', name: 'x' }))).code).toBe('not-found');
});

describe('taking back is a door like the others', () => {
  const OWN = { id: 'own-paste', name: 'Own paste', source: 'tried here', provenance: 'own' as const };
  const friction = { low: 0.1, middle: 0.12, high: 0.15 };
  const onShelf = () =>
    accepted(keepShelfRowAction({ kind: 'film', row: { ...OWN, thread: friction, head: friction }, version: 0 }));
  test('how many fasteners there are does not go back while a round is half pulled', async () => {
    const joint = () => there(shop.joints.find('demo-n-joint-heads'));
    const change = { fasteners: joint().fasteners - 2 };
    const done = await accepted(alterJointAction({ id: joint().id, version: joint().version, change, detail: {} }));
    const { href } = await accepted(
      startTighteningAction({ jointId: joint().id, version: joint().version, purpose: 'trial', reason: 'to try' }),
    );
    const round = href.split('/').at(-1) ?? '';
    recordEvent(shop, round, { id: 'a-pull-02', kind: 'pull', step: 0, outcome: 'pulled', age_ms: 0 });
    const problem = await refusedWhole(shop, () => takeBack(done));
    expect(problem.message).toMatch(/half pulled: how many there are, and how they lie, stands/);
    expect(joint().fasteners).toBe(change.fasteners);
  });
  test('a row of the shelf does not go while a joint draws on it', async () => {
    const done = await onShelf();
    const used = await alter({ todayFilm: OWN.id });
    expect((await refusedWhole(shop, () => takeBack(done))).message).toMatch(/Cylinder head draws on it by now/);
    await accepted(takeBack(used));
    await accepted(takeBack(done));
    expect(shop.shelf.find('film', OWN.id)).toBeUndefined();
  });
  test('a joint does not go back to a lubricant that is on no shelf any more', async () => {
    await onShelf();
    await alter({ todayFilm: OWN.id });
    const away = await alter({ todayFilm: 'engine-oil' });
    await accepted(removeShelfRowAction({ kind: 'film', id: OWN.id, version: 1 }));
    expect((await refusedWhole(shop, () => takeBack(away))).message).toMatch(/could not be reckoned then.*own-paste/);
    expect(head().todayFilm).toBe('engine-oil');
  });
  test('an entry does not go while a joint names it', async () => {
    const leaf = there(shop.book.findLeaf(head().leafId));
    const entry = {
      engineId: 'demo-fourteen',
      sourceId: leaf.sourceId,
      page: '50',
      subject: 'Nuts of the head',
      kind: 'torque',
      printedText: '33 lb ft',
      conditionText: '',
      readingIndex: -1,
      agreedNotes: [],
      replacesId: null,
    };
    const done = await accepted(addLeafAction(entry as never));
    await alter({}, { alsoLeaves: [done.id] });
    expect((await refusedWhole(shop, () => takeBack(done))).message).toMatch(/the joint “Cylinder head” draws on it/);
  });
  test('a sheet goes back to the one of its name, however that was written', async () => {
    const sizes = { journal_mm: 50, journalStandard_mm: 50, housing_mm: 54, housingStandard_mm: 54, steps_mm: [0.25] };
    const keep = (name: string, tolerance_mm: number, basedOn: string | null) =>
      accepted(
        keepMeasureAction({
          engineId: 'demo-maestrale',
          kind: 'bearings',
          body: { ...sizes, name, tolerance_mm, shells: [] },
          basedOn,
        }),
      );
    const first = await keep('Little ends', 0.01, null);
    const second = await keep(' little ENDS ', 0.02, first.id);
    await accepted(takeBack(second));
    expect(shop.measures.latest('demo-maestrale', 'bearings')?.body).toMatchObject({
      name: 'Little ends',
      tolerance_mm: 0.01,
    });
  });
});

describe('who did it', () => {
  const sign = async (who: string) => (await cookies()).set('spanner-who', who);
  test('stands on the act, on the line, and on what takes it back; what is no initials does not', async () => {
    await sign('IH');
    const trial = there(shop.trials.all()[0]);
    const pull = { trialId: trial.id, bolt: '9', film: 'engine-oil', torque: '20 N·m', stretch: '0.05 mm' };
    const done = await accepted(addTrialPullAction(pull));
    expect(shop.trials.pulls(trial.id).at(-1)).toMatchObject({ bolt: '9', who: 'IH' });
    expect(shop.acts.last(null)[0]).toMatchObject({ id: tokenOf(done), who: 'IH' });
    for (const [i, no] of ['<script>', '%', '%E0%A4%A', 'toolong', ' '].entries()) {
      await sign(no);
      await accepted(addTrialPullAction({ ...pull, bolt: `${10 + i}` }));
      expect(shop.trials.pulls(trial.id).at(-1)?.who).toBeUndefined();
    }
    await sign('å.ö.');
    await accepted(addTrialPullAction({ ...pull, bolt: '20' }));
    expect(shop.trials.pulls(trial.id).at(-1)?.who).toBe('ÅÖ');
    await sign('');
  });
  test('one’s name on a line ends with the work: the next line has none of it', () => {
    const joint = there(shop.joints.find('demo-n-joint-heads'));
    expect(() =>
      shop.inNameOf('AB', () => {
        throw new Error('in between');
      }),
    ).toThrow('in between');
    shop.book.addLeaf({ ...there(shop.book.findLeaf(joint.leafId)), id: 'unsigned', replacesId: null });
    expect(shop.book.findLeaf('unsigned')?.who).toBeUndefined();
    shop.inNameOf('AB', () =>
      shop.book.addLeaf({ ...there(shop.book.findLeaf(joint.leafId)), id: 'signed', who: undefined, replacesId: null }),
    );
    expect(shop.book.findLeaf('signed')?.who).toBe('AB');
  });
});

test('whatever was done, gone back through one by one it ends where it began', async () => {
  const source = there(shop.book.sources('demo-fourteen')[0]);
  const films = ['engine-oil', 'dry-bare', 'moly-paste', 'wax-ptfe'];
  const acts: readonly ((n: number) => Promise<unknown>)[] = [
    (n) => alter({ todayFilm: films[n % films.length] }),
    (n) => alter({ name: `Head ${n % 3}` }),
    (n) => alter({}, { parent: { ...head().detail.parent, grip_mm: 20 + (n % 5) } }),
    (n) => alter({}, { confirming: n % 2 === 0 }),
    (n) => accepted(alterEngineAction({ ...there(shop.engines.find('demo-fourteen')), year: 1930 + (n % 4) })),
    (n) =>
      accepted(
        addSourceAction({
          ...there(shop.book.findSource(source.id)),
          engineId: 'demo-fourteen',
          title: `Book ${n % 3}`,
        }),
      ),
    (n) => accepted(addSourceAction({ ...source, engineId: 'demo-fourteen', id: '', version: 0, title: `New ${n}` })),
    (n) =>
      accepted(
        keepPracticeAction({
          engineId: 'demo-fourteen',
          version: there(shop.engines.find('demo-fourteen')).version,
          change: { range: (['low', 'middle', 'top', null] as const)[n % 4] },
        }),
      ),
  ];
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.tuple(fc.nat(acts.length - 1), fc.nat(11)), { minLength: 1, maxLength: 14 }),
      async (steps) => {
        const before = standing();
        const done = [];
        for (const [which, n] of steps) done.push(await there(acts[which])(n));
        for (const result of done.reverse()) if ((result as { undo?: object }).undo) await accepted(takeBack(result));
        expect(standing()).toBe(before);
      },
    ),
    { numRuns: 40 },
  );
}, 60_000);
