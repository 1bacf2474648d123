import { beforeEach, describe, expect, test } from '@jest/globals';
import type { Shop } from '@/db/shop';
import { alterJointAction } from '@/features/joint/actions';
import { keepMeasureAction } from '@/features/measures/actions';
import {
  keepPracticeAction,
  keepShelfRowAction,
  keepWrenchAction,
  removeShelfRowAction,
} from '@/features/shelves/actions';
import { pointsOf } from '@/features/shelves/schema';
import { addBoltReadingAction, addBoltSetAction, strikeBoltReadingAction } from '@/features/stretch/actions';
import {
  addTrialAction,
  addTrialPullAction,
  shelveFilmAction,
  strikeTrialPullAction,
  trialReachAction,
} from '@/features/trial/actions';
import { openShop } from '@/db/shop';
import { shelvesOf } from '@/db/reads/shelves-of-shop';
import { knownOfPlaces } from '@/features/bench/known-of-places';
import { buildFileOf } from '@/features/record/build-file';
import { readBack } from '@/features/record/read-back';
import { setAsideAction, undoAction } from '@/features/removal/actions';
import { stretchPage } from '@/features/stretch/queries';
import { boltSetState } from '@/model/bolt/bolt-state';
import { engineStateOf } from '@/model/engine/engine-rows';
import { waitsOf } from '@/model/engine/engine-wait';
import { barsOfStart } from '@/model/order/gate';
import { gateOfRound } from '@/model/order/gate-of-round';
import { BUILT_IN } from '@/model/shelf/shelves';
import { rowsNamed, temporaryFile, YARD_NOW } from '../db/temporary-shop';
import { accepted, everything, ownShop, refused, refusedWhole, there } from './own-shop';

let shop: Shop;
beforeEach(() => {
  shop = ownShop();
});

describe('a wrench', () => {
  const WRENCH = {
    id: '',
    version: 0,
    name: 'Long beam',
    unit: 'N·m',
    min: 20,
    max: 210,
    graduation: 5,
    accuracy_pct: 3,
    calibration: '20 19.5, 60 61; 100 → 99',
    checkedAt: '2026-03-01',
  };
  test('is hung up with its check points, and altered as itself', async () => {
    const { id } = await accepted(keepWrenchAction(WRENCH as never));
    const kept = there(shop.wrenches.find(id));
    expect(kept).toMatchObject({
      name: 'Long beam',
      version: 1,
      checkedAt: '2026-03-01T00:00:00.000Z',
      calibration: [
        { set: 20, true: 19.5 },
        { set: 60, true: 61 },
        { set: 100, true: 99 },
      ],
    });
    await accepted(keepWrenchAction({ ...WRENCH, id, version: 1, max: 220, checkedAt: '' }));
    expect(shop.wrenches.find(id)).toMatchObject({ id, max: 220, version: 2, checkedAt: null });
    expect(shop.wrenches.find(id)?.createdAt).toBe(kept.createdAt);
  });
  test('without a name it goes by its scale', async () => {
    const { id } = await accepted(keepWrenchAction({ ...WRENCH, name: ' ' }));
    expect(shop.wrenches.find(id)?.name).toBe('20 to 210 N·m wrench');
  });
  test.each([
    [{ name: 'x'.repeat(81) }, 'name'],
    [{ unit: 'stone·ft' }, 'unit'],
    [{ min: -1 }, 'min'],
    [{ max: 20 }, 'max'],
    [{ max: '1e3' }, 'max'],
    [{ graduation: 0 }, 'graduation'],
    // Of a scale from 20 to 210 at most two steps.
    [{ graduation: 95.5 }, 'graduation'],
    [{ accuracy_pct: 51 }, 'accuracy_pct'],
    [{ accuracy_pct: -1 }, 'accuracy_pct'],
    [{ calibration: '20' }, 'calibration'],
    [{ calibration: '20 0' }, 'calibration'],
    [{ calibration: '20 1.2.3' }, 'calibration'],
    // A check that says two things of one mark, or that a higher setting delivers less.
    [{ calibration: '20 19.5, 20 21' }, 'calibration'],
    [{ calibration: '20 30, 60 25' }, 'calibration'],
    [{ checkedAt: 'March' }, 'checkedAt'],
    [{ id: 'none' }, 'id'],
  ])('%j is refused at %s', async (change, field) => {
    expect(await refusedWhole(shop, () => keepWrenchAction({ ...WRENCH, ...change }))).toMatchObject({ field });
  });
  test('a scale of two steps is one; what is wrong with the scale itself is not said of its marks too', async () => {
    const { id } = await accepted(keepWrenchAction({ ...WRENCH, graduation: 95 }));
    expect(shop.wrenches.find(id)?.graduation).toBe(95);
    for (const max of [20, 10]) {
      const { fields } = await refused(keepWrenchAction({ ...WRENCH, max }));
      expect(Object.keys(there(fields))).toEqual(['max']);
    }
  });
  test('pairs of set and delivered are read as they are written by hand', () => {
    expect(pointsOf('')).toEqual([]);
    expect(pointsOf('20 19.5\n60 61')).toEqual([
      { set: 20, true: 19.5 },
      { set: 60, true: 61 },
    ]);
    expect(pointsOf('20 19.5 3')).toBeUndefined();
    expect(pointsOf('twenty 20')).toBeUndefined();
  });
});

const FRICTION = { low: 0.1, middle: 0.12, high: 0.15 };
const FILM = { id: '', name: 'Own grease', provenance: 'own', source: 'tried here', thread: FRICTION, head: FRICTION };

describe('a row of a shelf', () => {
  const keep = (row: object, version = 0, kind = 'film') => keepShelfRowAction({ kind, row, version });
  test('of one’s own is put up, changed and taken off', async () => {
    await accepted(keep(FILM));
    const [kept] = shop.shelf.own('film').filter(({ row }) => row.name === 'Own grease');
    const id = there(kept).row.id;
    await accepted(keep({ ...FILM, id, name: 'Own paste' }, 1));
    expect(shop.shelf.find('film', id)).toMatchObject({ version: 2, row: { name: 'Own paste' } });
    await accepted(removeShelfRowAction({ kind: 'film', id, version: 2 }));
    expect(shop.shelf.find('film', id)).toBeUndefined();
  });
  test.each([
    [{ ...FILM, name: '' }],
    [{ ...FILM, source: '' }],
    [{ ...FILM, provenance: 'standard' }],
    [{ ...FILM, thread: { low: 0.2, middle: 0.12, high: 0.15 } }],
    [{ ...FILM, thread: { low: 0.1, middle: 0.12, high: 0.11 } }],
    [{ ...FILM, head: { low: 0, middle: 0.12, high: 0.15 } }],
    [{ ...FILM, head: { low: 0.1, middle: 0.12, high: 1.5 } }],
  ])('%j is refused', async (row) => {
    const { code, message } = await refusedWhole(shop, () => keep(row));
    expect(code).toBe('bad-field');
    // In words, not by the names that the program has for its fields.
    expect(message).not.toMatch(/thread\.|head\.|provenance|_MPa|"/);
  });
  test.each([
    ['grade', { tensile_MPa: 800, yield_MPa: 900, proof_MPa: 600 }, 'The yield cannot be above'],
    ['grade', { tensile_MPa: 800, yield_MPa: 600, proof_MPa: 650 }, 'The proof stress cannot be above'],
    ['thread', { major_mm: 10, pitch_mm: 5, angle_deg: 60 }, 'The pitch must be under half'],
    ['thread', { major_mm: 10, pitch_mm: 1, angle_deg: 50 }, 'The angle must be'],
  ])('a %s of %j is refused', async (kind, figures, words) => {
    const row = { id: '', name: 'Own', provenance: 'own', source: 'a table', ...figures };
    expect((await refusedWhole(shop, () => keep(row, 0, kind))).message).toContain(words);
  });
  test('one that a joint draws on stays; one that stands over a built-in row may go', async () => {
    await accepted(keep({ ...FILM, id: 'own-grease' }));
    const joint = there(shop.joints.find('demo-f-joint-head'));
    shop.joints.alter({ ...joint, todayFilm: 'own-grease' });
    const refusal = await refusedWhole(shop, () =>
      removeShelfRowAction({ kind: 'film', id: 'own-grease', version: 1 }),
    );
    expect(refusal).toMatchObject({ code: 'in-use' });
    expect(refusal.message).toContain(joint.name);
    const over = there(BUILT_IN.film.find(({ id }) => id === 'moly-paste'));
    shop.joints.alter({ ...joint, version: 2, todayFilm: 'moly-paste' });
    await accepted(keep({ ...FILM, id: over.id, name: over.name }));
    await accepted(removeShelfRowAction({ kind: 'film', id: over.id, version: 1 }));
  });
  test('one that is not there, and a shelf that is not, are said', async () => {
    expect(
      await refusedWhole(shop, () => removeShelfRowAction({ kind: 'film', id: 'none', version: 1 })),
    ).toMatchObject({
      code: 'not-found',
    });
    expect(await refusedWhole(shop, () => keep(FILM, 0, 'paint'))).toMatchObject({ field: 'kind' });
  });
});

describe('house practice', () => {
  test('is kept for the shop and, where an engine differs, for it; null takes that away', async () => {
    expect(await accepted(keepPracticeAction({ engineId: null, version: 0, change: { range: 'low' } }))).toMatchObject({
      version: 1,
      undo: { words: '“House practice”: A range becomes, middle → low' },
    });
    const engine = () => there(shop.engines.find('demo-norrhem'));
    const { version } = engine();
    await accepted(
      keepPracticeAction({ engineId: 'demo-norrhem', version, change: { range: 'top', passes: 'quarters' } }),
    );
    expect(engine().practice).toEqual({ range: 'top', passes: 'quarters' });
    await accepted(keepPracticeAction({ engineId: 'demo-norrhem', version: version + 1, change: { range: null } }));
    expect(engine().practice).toEqual({ passes: 'quarters' });
  });
  test.each([
    [{ change: {} }, 'change'],
    [{ change: { range: 'sideways' } }, 'change.range'],
    [{ engineId: 'none', change: { range: 'low' } }, 'engineId'],
  ])('%j is refused at %s', async (change, field) => {
    const sent = { engineId: null, version: 0, ...change };
    expect(await refusedWhole(shop, () => keepPracticeAction(sent as never))).toMatchObject({ field });
  });
});

describe('a trial of lubricants', () => {
  const TRIAL = {
    name: 'Two pastes',
    thread: '7/16 BSF',
    outer: '0.8 in',
    inner: '0.47 in',
    shank: '62 mm',
    shankDiameter: '11.1 mm',
    freeThread: '8 mm',
    E_GPa: 205,
  };
  const begun = async () =>
    there((await accepted(addTrialAction({ ...TRIAL, freeThread: '10' }))).href.split('/').at(-1));
  const pull = (trialId: string, change: object = {}) =>
    addTrialPullAction({ trialId, bolt: '1', film: 'engine-oil', torque: '50 N·m', stretch: '0.12 mm', ...change });

  test('is kept in mm, by the thread’s own name', async () => {
    expect(shop.trials.find(await begun())).toMatchObject({
      name: 'Two pastes',
      thread: '7/16 BSF',
      outer_mm: expect.closeTo(20.32, 6),
      inner_mm: expect.closeTo(11.938, 6),
    });
  });
  test.each([
    [{ name: '' }, 'name'],
    [{ thread: 'M8x3' }, 'thread'],
    [{ outer: 'wide' }, 'outer'],
    [{ outer: '0.4 in' }, 'outer'],
    [{ shank: '' }, 'shank'],
    [{ E_GPa: 50 }, 'E_GPa'],
    [{ E_GPa: 300 }, 'E_GPa'],
    [{ E_GPa: '0xff' }, 'E_GPa'],
  ])('%j is refused at %s', async (change, field) => {
    expect(await refusedWhole(shop, () => addTrialAction({ ...TRIAL, ...change }))).toMatchObject({ field });
  });
  test('a pull is kept as typed; struck, it is gone, once', async () => {
    const trialId = await begun();
    await accepted(pull(trialId));
    await accepted(pull(trialId, { bolt: '2' }));
    const [kept, other] = shop.trials.pulls(trialId);
    expect(kept).toMatchObject({ bolt: '1', torque_Nm: 50, stretch_mm: 0.12, typed: '0.12 mm' });
    const strike = { trialId, pullId: there(kept).id };
    expect((await refusedWhole(shop, () => strikeTrialPullAction({ trialId, pullId: 'none' }))).code).toBe(
      'nothing-to-strike',
    );
    await accepted(strikeTrialPullAction(strike));
    expect(shop.trials.pulls(trialId)).toEqual([other]);
    expect((await refusedWhole(shop, () => strikeTrialPullAction(strike))).code).toBe('nothing-to-strike');
  });
  test.each([
    [{ stretch: '3.01 mm' }, 'stretch'],
    [{ stretch: '0 mm' }, 'stretch'],
    [{ torque: '0 N·m' }, 'torque'],
    [{ bolt: ' ' }, 'bolt'],
    [{ trialId: 'none' }, 'trialId'],
  ])('a pull of %j is refused at %s', async (change, field) => {
    const trialId = await begun();
    expect(await refusedWhole(shop, () => pull(trialId, change))).toMatchObject({ field });
  });
  test('a lubricant goes to the shelf once two bolts have tried it; the built-in row stays beneath', async () => {
    const trialId = await begun();
    await accepted(pull(trialId));
    const shelve = () => shelveFilmAction({ trialId, film: 'engine-oil' });
    expect(await refusedWhole(shop, shelve)).toMatchObject({ field: 'film' });
    await accepted(pull(trialId, { bolt: '2', stretch: '0.13 mm' }));
    await accepted(shelve());
    expect(shop.shelf.find('film', 'engine-oil')).toMatchObject({ version: 1, row: { provenance: 'own' } });
    await accepted(shelve());
    expect(shop.shelf.find('film', 'engine-oil')?.version).toBe(2);
  });
  test('what it reaches is asked for: joints of its thread, and those that its lubricants would move; nothing is written', async () => {
    const before = everything(shop);
    const reach = await accepted(trialReachAction({ trialId: 'demo-trial-three-films' }));
    expect(reach.targets.length).toBeGreaterThan(0);
    for (const { low_N, high_N } of reach.targets) expect(high_N).toBeGreaterThan(low_N);
    const moved = Object.values(reach.moves).flat();
    expect(moved.length).toBeGreaterThan(0);
    expect(everything(shop)).toBe(before);
    expect(await refused(trialReachAction({ trialId: 'none' }))).toMatchObject({ field: 'trialId' });
  });
});

describe('bolts by stretch', () => {
  const SET = {
    jointId: 'demo-m-joint-rods',
    kind: '',
    name: 'Spare set',
    bolts: 2,
    thread: 'M8×1',
    shank: '16 mm',
    shankDiameter: '8 mm',
    waist: '24 mm',
    waistDiameter: '6.6 mm',
    freeThread: '5 mm',
    E_GPa: 205,
    minStretch: '0.12 mm',
    maxStretch: '0.14 mm',
    ceiling: '36 N·m',
    maxSet: '0.01 mm',
    bothEnds: true,
  };
  const ofJoint = () => shop.bolts.ofJoint('demo-m-joint-rods');
  test('a set has a waist only where one is given', async () => {
    await accepted(addBoltSetAction(SET));
    await accepted(addBoltSetAction({ ...SET, name: 'Straight', waist: '0', waistDiameter: '' }));
    const [waisted, straight] = ofJoint().slice(-2);
    expect(there(waisted).segments.length).toBe(there(straight).segments.length + 1);
    expect(there(straight).segments).toHaveLength(4);
    expect(waisted).toMatchObject({ bolts: 2, minStretch_mm: 0.12, maxStretch_mm: 0.14, ceiling_Nm: 36 });
  });
  test.each([
    [{ jointId: 'none' }, 'jointId'],
    [{ kind: 'Long ones' }, 'kind'],
    [{ name: '' }, 'name'],
    [{ bolts: 0 }, 'bolts'],
    [{ bolts: 61 }, 'bolts'],
    [{ bolts: 1.5 }, 'bolts'],
    [{ thread: 'M8x3' }, 'thread'],
    [{ maxStretch: '0.1 mm' }, 'maxStretch'],
    [{ minStretch: '0 mm' }, 'minStretch'],
    [{ ceiling: 'much' }, 'ceiling'],
    [{ E_GPa: 20 }, 'E_GPa'],
    [{ waistDiameter: '' }, 'waistDiameter'],
  ])('a set of %j is refused at %s', async (change, field) => {
    expect(await refusedWhole(shop, () => addBoltSetAction({ ...SET, ...change }))).toMatchObject({ field });
  });

  test('of a kind of fasteners is held against the figure of that kind, and goes with a build file', async () => {
    const HOUSING = 'demo-n-joint-housing';
    for (const kind of ['', 'Small bolts'])
      await accepted(addBoltSetAction({ ...SET, jointId: HOUSING, kind, name: `Housing ${kind}` }));
    const page = () => there(stretchPage(rowsNamed(shop, 'demo-norrhem'), HOUSING, Date.now(), shelvesOf(shop)));
    const [own, small] = page().sets;
    expect(there(small?.figure).preload_N).toBeLessThan(there(own?.figure).preload_N);
    expect(small?.bears?.isGradeKnown).toBe(true);
    const joint = there(shop.joints.find(HOUSING));
    const { stretches } = knownOfPlaces(joint, shop.bolts.ofJoint(HOUSING), undefined);
    expect(Object.keys(stretches)).toEqual(['', 'Small bolts']);
    const other = openShop(temporaryFile());
    const engine = there(shop.engines.find('demo-norrhem'));
    readBack(other, buildFileOf(shop, engine, YARD_NOW), Date.now(), () => 'unused');
    expect(other.bolts.ofJoint(HOUSING).map(({ kind }) => kind)).toEqual(['', 'Small bolts']);
    // Called otherwise, the sheet goes with its kind, and with taking that back.
    const kindsOf = (name: string) => joint.detail.kinds.map((kind) => ({ ...kind, name }));
    const { version } = joint;
    const called = alterJointAction({ id: HOUSING, version, change: {}, detail: { kinds: kindsOf('Thin ones') } });
    const { undo } = (await accepted(called)) as { readonly undo?: { readonly token: string } };
    expect(page().sets.map(({ set }) => set.kind)).toEqual(['', 'Thin ones']);
    expect(there(page().sets[1]?.figure).preload_N).toBe(there(small?.figure).preload_N);
    await accepted(undoAction({ token: there(undo).token }));
    expect(page().sets.map(({ set }) => set.kind)).toEqual(['', 'Small bolts']);
    // Two kinds that exchange their places keep their names, and their sheets with them.
    const housing = () => there(shop.joints.find(HOUSING));
    const put = (kinds: readonly unknown[]) =>
      accepted(alterJointAction({ id: HOUSING, version: housing().version, change: {}, detail: { kinds } }));
    const [thin] = housing().detail.kinds;
    const places = there(thin).places;
    const free = [0, 1, 2, 3, 4, 5, 6, 7].filter((place) => !places.includes(place)).slice(0, places.length);
    await put([thin, { ...there(thin), name: 'Others', places: free }]);
    await put([
      { ...there(thin), places: free },
      { ...there(thin), name: 'Others', places },
    ]);
    expect(shop.bolts.ofJoint(HOUSING).map(({ kind }) => kind)).toEqual(['', 'Small bolts']);
    // The kind is no longer there: nothing is held against these bolts, and that is said.
    const now = there(shop.joints.find(HOUSING));
    shop.joints.alter({ ...now, detail: { ...now.detail, kinds: [] } });
    expect(page().sets[1]).not.toHaveProperty('figure');
  });

  const read = (change: object = {}) =>
    addBoltReadingAction({
      setId: 'demo-m-rod-bolts',
      bolt: 1,
      kind: 'free',
      typed: '58.01',
      torque: '',
      ...change,
    });
  const last = () => shop.bolts.readings('demo-m-rod-bolts').at(-1);
  test('a length is mm, and inches where it is bare and under ten', async () => {
    await accepted(read());
    expect(last()).toMatchObject({ bolt: 1, kind: 'free', length_mm: 58.01, typed: '58.01', torque_Nm: null });
    await accepted(read({ typed: '2.2838' }));
    expect(last()?.length_mm).toBeCloseTo(2.2838 * 25.4, 9);
    await accepted(read({ kind: 'tight', typed: '58.14', torque: '31 N·m' }));
    expect(last()).toMatchObject({ kind: 'tight', torque_Nm: 31 });
  });
  test.each([
    [{ bolt: 5 }, 'bolt'],
    [{ bolt: 0 }, 'bolt'],
    [{ setId: 'none' }, 'setId'],
    [{ kind: 'loose' }, 'kind'],
    [{ typed: '' }, 'typed'],
    [{ typed: '59.2' }, 'typed'],
    [{ typed: '56.8 mm' }, 'typed'],
    [{ kind: 'tight', typed: '58.14', torque: 'much' }, 'torque'],
  ])('a reading of %j is refused at %s', async (change, field) => {
    expect(await refusedWhole(shop, () => read(change))).toMatchObject({ field });
  });
  test('each bolt is held against its own free length, the last of the set as well', async () => {
    await accepted(addBoltSetAction({ ...SET, minStretch: '0.12 mm', maxStretch: '0.12 mm', waist: '' }));
    const setId = there(ofJoint().at(-1)).id;
    expect(there(ofJoint().at(-1)).segments).toHaveLength(4);
    await accepted(read({ setId, bolt: 1, typed: '58' }));
    await accepted(read({ setId, bolt: 2, typed: '90' }));
    expect(await refusedWhole(shop, () => read({ setId, bolt: 1, kind: 'tight', typed: '90.1' }))).toMatchObject({
      field: 'typed',
    });
    await accepted(read({ setId, bolt: 2, kind: 'tight', typed: '90.1' }));
    expect(await refusedWhole(shop, () => read({ setId, bolt: 3, typed: '58' }))).toMatchObject({ field: 'bolt' });
  });
  test('a length that was read wrong is taken back by a line of its own, the last of its bolt first', async () => {
    const state = (bolt = 1) => there(boltSetState(there(shop.bolts.measured('demo-m-joint-rods')[0])).bolts[bolt - 1]);
    const strike = (readingId: string) => strikeBoltReadingAction({ setId: 'demo-m-rod-bolts', readingId });
    await accepted(read({ kind: 'tight', typed: '58.31', torque: '31 N·m' }));
    expect(state().verdict.state).toBe('over');
    const wrong = there(last());
    expect(await refusedWhole(shop, () => strike(there(shop.bolts.readings('demo-m-rod-bolts')[0]).id))).toMatchObject({
      code: 'nothing-to-strike',
    });
    const said = await accepted(strike(wrong.id));
    expect(state().verdict.state).toBe('inside');
    expect(shop.bolts.readings('demo-m-rod-bolts').map(({ id }) => id)).toContain(wrong.id);
    expect(await refusedWhole(shop, () => strike(wrong.id))).toMatchObject({ code: 'nothing-to-strike' });
    // Taken back as an act is, the length stands again.
    await accepted(undoAction({ token: (said as { undo: { token: string } }).undo.token }));
    expect(state().verdict.state).toBe('over');
    const again = await accepted(read({ bolt: 2, typed: '58.01' }));
    await accepted(undoAction({ token: (again as { undo: { token: string } }).undo.token }));
    expect(state(2).verdict.state).toBe('inside');
  });
  test('a bolt does not become shorter; another in its place may be, and has been used by nobody', async () => {
    for (const kind of ['tight', 'released', 'free'])
      expect(await refusedWhole(shop, () => read({ kind, typed: '57.98' }))).toMatchObject({
        field: 'typed',
        message: expect.stringContaining('0.032 mm shorter than the free length of 58.012 mm'),
      });
    await accepted(read({ kind: 'another', typed: '57.98' }));
    expect(await refusedWhole(shop, () => read({ kind: 'another', typed: '75 mm' }))).toMatchObject({ field: 'typed' });
    const { bolts } = boltSetState(there(shop.bolts.measured('demo-m-joint-rods')[0]));
    expect(bolts[0]).toMatchObject({ verdict: { state: 'to-pull' }, uses: 0 });
  });
  test('what stands wrong by it holds the engine: its tag, its lists, its closing, and another pull', async () => {
    const state = () => engineStateOf(rowsNamed(shop, 'demo-maestrale'));
    const waits = () => waitsOf(state()).map(({ waitsFor, state: is, to }) => [waitsFor, is, to.at]);
    const WORDS = 'Rod bolts: 3 at its ceiling without the stretch';
    expect(waits()).toContainEqual([WORDS, 'stop', 'stretch']);
    expect(state().order.loose.map(({ words }) => words)).toContain(WORDS);
    expect(barsOfStart(state()).map(({ message }) => message)).toContain(`${WORDS}.`);
    const grown = () =>
      gateOfRound(state(), 'demo-m-joint-rods', 'final').guards.filter(({ code }) => code === 'bolt-grown');
    expect(grown()).toEqual([]);
    await accepted(read({ bolt: 3, typed: '58.05' }));
    expect(grown()).toMatchObject([{ severity: 'stop', message: expect.stringContaining('3 is 0.030 mm longer') }]);
    expect(waits()).toContainEqual(['Rod bolts: 3 has grown', 'stop', 'stretch']);
    await accepted(read({ bolt: 3, kind: 'another', typed: '58.01' }));
    expect(grown()).toEqual([]);
    expect(waits()).toContainEqual(['Rod bolts: 3 stretch not read', 'ready', 'stretch']);
    await accepted(read({ bolt: 3, kind: 'tight', typed: '58.14', torque: '31' }));
    expect(waits().map(([words]) => words)).not.toContainEqual(expect.stringMatching(/^Rod bolts: \d/));
    expect(state().order.loose.map(({ words }) => words)).not.toContainEqual(expect.stringMatching(/^Rod bolts: \d/));
    await accepted(setAsideAction({ kind: 'bolt-set', id: 'demo-m-rod-bolts', reason: 'pulled by angle' }));
    expect(there(state().joints.find(({ joint }) => joint.id === 'demo-m-joint-rods')).stretch).toEqual([]);
    // Nor is anything written of it, or asked for at the bench.
    expect(await refusedWhole(shop, () => read({ bolt: 3 }))).toMatchObject({ code: 'set-aside' });
    const readingId = there(last()).id;
    expect(
      await refusedWhole(shop, () => strikeBoltReadingAction({ setId: 'demo-m-rod-bolts', readingId })),
    ).toMatchObject({ code: 'set-aside' });
    const joint = there(shop.joints.find('demo-m-joint-rods'));
    expect(knownOfPlaces(joint, shop.bolts.ofJoint(joint.id), undefined).stretches).toEqual({});
  });
  test('nothing is written of the bolts of a joint that was set aside', async () => {
    shop.asides.put({ kind: 'joint', id: 'demo-m-joint-rods', engineId: 'demo-maestrale', reason: 'x', at: YARD_NOW });
    expect(await refusedWhole(shop, () => read())).toMatchObject({ code: 'set-aside' });
    expect(await refusedWhole(shop, () => addBoltSetAction(SET))).toMatchObject({ code: 'set-aside' });
  });
  test('the free length is read first', async () => {
    await accepted(addBoltSetAction(SET));
    const setId = there(ofJoint().at(-1)).id;
    expect(await refusedWhole(shop, () => read({ setId, kind: 'tight' }))).toMatchObject({ field: 'typed' });
    expect(await refusedWhole(shop, () => read({ setId, kind: 'released' }))).toMatchObject({ field: 'typed' });
  });
});

describe('a measure of the whole engine', () => {
  const volumes = { bore_mm: 60, stroke_mm: 80, cylinders: 4, overbore_mm: 0 };
  const keep = (kind: string, body: object, engineId = 'demo-norrhem') =>
    keepMeasureAction({ engineId, kind, body, basedOn: null });
  test('holds what its kind holds, and nothing else', async () => {
    await accepted(keep('volumes', { ...volumes, colour: 'green' }));
    expect(shop.measures.latest('demo-norrhem', 'volumes')?.body).toEqual(volumes);
  });
  test.each([
    ['volumes', { ...volumes, bore_mm: 0 }, 'the bore'],
    ['volumes', { ...volumes, cylinders: 1.5 }, 'the cylinders'],
    ['volumes', { ...volumes, stroke_mm: undefined }, 'Give the stroke'],
    ['bearings', { shells: [] }, 'the journal'],
    ['marks', { pairs: [{ place: 'Rod 2', one: '2', other: '3' }] }, 'Rod 2 does not belong together'],
    ['marks', { pairs: [{ place: '', one: '2', other: '3' }] }, 'A pair does not belong together'],
    [
      'bearings',
      {
        journal_mm: 50,
        journalStandard_mm: 50,
        housing_mm: 54,
        housingStandard_mm: 54,
        steps_mm: [],
        tolerance_mm: 0.01,
        shells: [
          { upper: 'A', lower: 'a ' },
          { upper: 'A', lower: 'B' },
        ],
      },
      'Bearing 2 has shells that do not match',
    ],
  ])('%s of %j is refused: %s', async (kind, body, words) => {
    expect((await refusedWhole(shop, () => keep(kind, body))).message.toLowerCase()).toContain(words.toLowerCase());
  });
  test('an engine that is gone, and a kind that is none, are said', async () => {
    expect(await refusedWhole(shop, () => keep('volumes', volumes, 'none'))).toMatchObject({ field: 'engineId' });
    expect(await refusedWhole(shop, () => keep('horoscope', volumes))).toMatchObject({ field: 'kind' });
  });
});
