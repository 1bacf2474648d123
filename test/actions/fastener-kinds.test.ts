import { beforeEach, describe, expect, test } from '@jest/globals';
import { alterJointAction, startTighteningAction } from '@/features/joint/actions';
import { addLeafAction } from '@/features/book/actions';
import { roundState, type BenchEvent } from '@/core/tightening';
import { callWords } from '@/features/bench/call-words';
import { recordEvent } from '@/features/bench/record-event';
import { jointPage, jointSummaries } from '@/features/joint/queries';
import { placesChanged } from '@/model/joint/sheet-changes';
import { buildFileOf } from '@/features/record/build-file';
import { parseBuildFile } from '@/features/record/build-file-schema';
import { readBack } from '@/features/record/read-back';
import { setAsideAction, takeAwayAction, undoAction } from '@/features/removal/actions';
import { keepWrenchAction } from '@/features/shelves/actions';
import { jointsAffectedBy } from '@/db/reads/joints-affected';
import { handOverWords, isNewSetting, lastPulled, pullWords, stageCount } from '@/interface/words/bench-words';
import { kindSequenceText, lettersOf, readKindSequence } from '@/interface/words/kind-words';
import { openShop, type Shop } from '@/db/shop';
import { jointInputs } from '@/db/reads/joint-inputs';
import { shelvesOf } from '@/db/reads/shelves-of-shop';
import { jointStateOf } from '@/model/engine/engine-rows';
import { jointOfKind, newKind, ofOtherLeaf, ofOtherThread } from '@/model/joint/fastener-kind';
import { jointForSister } from '@/model/joint/joint-for-sister';
import { DETAIL_JSON, type FastenerKind } from '@/model/joint/joint-detail';
import { computeJoint, computeKinds } from '@/model/joint/joint-result';
import { planOfJoint, retorquePlan } from '@/model/joint/round-plan';
import { figureAt, kindAt } from '@/model/joint/tightening-plan';
import { looseOf } from '@/model/order/loose';
import { ownPlaces } from '@/model/joint/kind-places';
import { jointNamed, rowsNamed, temporaryFile, YARD_NOW } from '../db/temporary-shop';
import { accepted, ownShop, refused, there } from './own-shop';

let shop: Shop;
beforeEach(() => {
  shop = ownShop();
});

const ENGINE = 'demo-norrhem';
const HEADS = 'demo-n-joint-heads';
const NOW = Date.parse(YARD_NOW);
const heads = () => jointNamed(shop, HEADS);
const alter = (change: object, detail: object = {}) =>
  alterJointAction({ id: HEADS, version: heads().version, change, detail });
const inputs = () => jointInputs(shop, heads(), NOW);
const undo = (result: unknown) => undoAction({ token: there((result as { undo?: { token: string } }).undo).token });

/** Studs of another thread at three places of the heads, from the page that their joint is from. */
const outer = (part: Partial<FastenerKind> = {}): FastenerKind => {
  const kind = newKind(heads(), 'Outer bolts', [0, 3, 7]);
  const fields = { ...kind.fields, thread: 'M10', bearingOuter_mm: 16, bearingInner_mm: 10.5 };
  return { ...kind, fields, detail: { ...kind.detail, today: null }, ...part };
};
const withOuter = (detail: object = {}) => accepted(alter({}, { kinds: [outer()], ...detail }));

const begun = async (purpose: 'trial' | 'final' = 'trial') => {
  const begin = { jointId: HEADS, version: heads().version, purpose, reason: 'to try it' };
  const { href } = await accepted(startTighteningAction(begin));
  return there(shop.tightenings.find(there(href.split('/').at(-1))));
};

const pullAll = ({ id, plan }: Awaited<ReturnType<typeof begun>>) =>
  plan.steps.forEach((step, i) => {
    const line = { id: `line-${id}-${i}`, step: i, age_ms: 0 };
    const sent = step.kind === 'shaft' ? { ...line, kind: 'shaft' } : { ...line, kind: 'pull', outcome: 'pulled' };
    expect(recordEvent(shop, id, sent).ok).toBe(true);
  });

/** A line for each step of a plan: all of it done. */
const pulledUpTo = ({ steps }: Awaited<ReturnType<typeof begun>>['plan']) =>
  steps.map((step, i) => ({
    id: `line-${i}`,
    step: i,
    at: YARD_NOW,
    ...(step.kind === 'shaft' ? { kind: 'shaft' as const } : { kind: 'pull' as const, outcome: 'pulled' as const }),
  }));

describe('fasteners of another kind in one joint', () => {
  test('have a figure of their own, reckoned like that of a joint of their own', async () => {
    const alone = computeJoint({
      ...inputs(),
      joint: {
        ...heads(),
        thread: 'M10',
        bearingOuter_mm: 16,
        bearingInner_mm: 10.5,
        detail: { ...heads().detail, today: null },
      },
    });
    const own = computeJoint(inputs());
    await withOuter();
    const [kind] = computeKinds(inputs());
    expect(kind?.worked.ladder.setting.rounded).toBe(alone.ladder.setting.rounded);
    expect(kind?.worked.ladder.band.p50_N).not.toBeCloseTo(own.ladder.band.p50_N, 0);
    expect(computeJoint(inputs()).ladder).toEqual(own.ladder);
    expect(ownPlaces(heads())).toHaveLength(heads().fasteners - 3);
  });

  test('are pulled to it: each step has the figure of its own kind, and its own wrench', async () => {
    const [wrench] = shop.wrenches.all().filter(({ id }) => id !== computeJoint(inputs()).wrench.id);
    const kind = outer();
    await accepted(
      alter(
        {},
        {
          kinds: [
            {
              ...kind,
              fields: { ...kind.fields, wrenchId: there(wrench).id },
              detail: { ...kind.detail, wrenchByHand: true },
            },
          ],
        },
      ),
    );
    const [found] = computeKinds(inputs());
    const { plan } = await begun();
    const done = pulledUpTo(plan);
    let changes = 0;
    for (const [i, step] of plan.steps.entries()) {
      if (step.kind !== 'pull') continue;
      const of = kindAt(plan, step.position);
      expect(of?.name).toBe([0, 3, 7].includes(step.position) ? 'Outer bolts' : undefined);
      expect(figureAt(plan, step.position).wrenchName).toBe(of ? there(wrench).name : plan.wrenchName);
      if (step.final) expect(step.setting).toBe(figureAt(plan, step.position).ladder.setting.rounded);
      const round = roundState(plan.steps, done.slice(0, i), plan.positions.length);
      const before = lastPulled(plan, round.done);
      const words = callWords(plan, round, undefined, String);
      expect(words.includes('(Outer bolts)')).toBe(of !== undefined);
      expect(words).toContain(pullWords(plan, step, String(step.setting)));
      // The wrench is asked for where it changes and nowhere else.
      const taken = handOverWords(plan, i, before);
      const isOther = before !== undefined && (kindAt(plan, before.position) === undefined) !== (of === undefined);
      expect(taken).toBe(isOther ? 'Take the other wrench, the other socket' : '');
      expect(words.startsWith('Take the other wrench')).toBe(isOther);
      if (isOther) expect(isNewSetting(plan, i, before)).toBe(true);
      changes += isOther ? 1 : 0;
    }
    expect(changes).toBe(2 * stageCount(plan) - 1);
    expect(found?.worked.wrench.id).toBe(there(wrench).id);
    expect(figureAt(plan, 0).thread).toBe('M10');
  });

  test('after one was passed over, the other socket is asked for by what was pulled last, seen and spoken alike', async () => {
    await withOuter();
    const { plan } = await begun();
    const done = pulledUpTo(plan);
    const skipped = plan.steps.findLastIndex((step) => step.kind === 'pull' && !kindAt(plan, step.position));
    const lines = done.map((line, i): BenchEvent =>
      i === skipped ? { ...line, kind: 'skip', words: 'no room' } : line,
    );
    const round = roundState(plan.steps, lines, plan.positions.length);
    expect(round).toMatchObject({ next: skipped, isOwed: true });
    // The last stage of all was of the outer bolts.
    expect(callWords(plan, round, undefined, String)).toMatch(/^Passed over before\. Take the other socket\. number/);
  });

  test('come up as typed, each named as often as it has stages; otherwise nothing is begun', async () => {
    await withOuter();
    const plan = planOfJoint(inputs());
    const [own, others] = [stageCount(plan), stageCount(plan, figureAt(plan, 0))];
    const kindSequence = [...Array<number>(own).fill(0), ...Array<number>(others).fill(1)];
    await accepted(alter({}, { kindTurn: 'as-typed', kindSequence }));
    const typed = (await begun()).plan.steps.flatMap((step) => (step.kind === 'pull' ? [step.position] : []));
    expect(typed.findLastIndex((place) => ownPlaces(heads()).includes(place))).toBe(
      own * ownPlaces(heads()).length - 1,
    );
    await accepted(alter({}, { kindSequence: kindSequence.slice(1) }));
    const begin = { jointId: HEADS, version: heads().version, purpose: 'trial', reason: 'to try it' };
    expect((await refused(startTighteningAction(begin))).code).toBe('bad-sequence');
    expect((await refused(alter({}, { kindSequence: [0, 2] }))).message).toMatch(/names one that is not there/);
  });

  test.each([
    ['a place that is not there', { places: [0, 99] }],
    ['no place', { places: [] }],
    ['all the places', { places: [0, 1, 2, 3, 4, 5, 6, 7] }],
    ['no name', { name: ' ' }],
  ])('%s is refused', async (_, part) => {
    expect((await refused(alter({}, { kinds: [outer(part)] }))).code).toBe('bad-field');
    expect(heads().detail.kinds).toEqual([]);
  });
  test('one place in two of them, or one name for two, is refused', async () => {
    const other = outer({ name: 'Inner', places: [3, 4] });
    expect((await refused(alter({}, { kinds: [outer(), other] }))).message).toMatch(/of two kinds/);
    const same = outer({ name: 'outer BOLTS', places: [4] });
    expect((await refused(alter({}, { kinds: [outer(), same] }))).message).toMatch(/one name/);
  });
  test('an entry of another engine, a thread that is none, a wrench that is not there: refused, and said of which', async () => {
    const kind = outer();
    const foreign = there(shop.book.leaves('demo-fourteen').find((leaf) => leaf.kind === 'torque'));
    for (const [part, words] of [
      [{ leafId: foreign.id }, /gives no torque in this engine’s book/],
      [{ thread: 'about so thick' }, /^Outer bolts: /],
      [{ wrenchId: 'none' }, /^Outer bolts: /],
    ] as const)
      expect((await refused(alter({}, { kinds: [{ ...kind, fields: { ...kind.fields, ...part } }] }))).message).toMatch(
        words,
      );
  });
  test('fewer fasteners than a kind has places: refused until they are taken out of it', async () => {
    await withOuter();
    expect((await refused(alter({ fasteners: 6 }))).message).toMatch(/Place 8 is of a kind/);
    await accepted(alter({ fasteners: 6 }, { kinds: [outer({ places: [0, 3] })] }));
  });
  test('taken back, they are alike again', async () => {
    const act = await withOuter();
    expect((await undo(act)).ok).toBe(true);
    expect(heads().detail.kinds).toEqual([]);
  });
});

describe('the list of joints', () => {
  test('has every figure of a joint, and gives no figure to more fasteners than it is of', async () => {
    await withOuter();
    const [found] = computeKinds(inputs());
    const summary = there(jointSummaries(rowsNamed(shop, ENGINE), shelvesOf(shop), NOW).find(({ id }) => id === HEADS));
    expect(summary.fasteners).toBe(heads().fasteners - 3);
    const { rounded } = there(found).worked.ladder.setting;
    expect(summary.kinds).toMatchObject([
      { name: 'Outer bolts', count: 3, thread: 'M10', setting: rounded, turns: '' },
    ]);
  });
});

describe('what stands against a kind stands against the joint', () => {
  test('a stop of it bars the joint, and is said under its name', async () => {
    const bare = { jointId: HEADS, purpose: 'trial', reason: 'to try it' };
    await accepted(startTighteningAction({ ...bare, version: heads().version }));
    const stopsOf = () =>
      jointSummaries(rowsNamed(shop, ENGINE), shelvesOf(shop), NOW).find(({ id }) => id === HEADS)?.stops ?? 0;
    const before = stopsOf();
    // Far too much for so thin a thread: no reason lifts it.
    const kind = outer();
    const thin = { ...kind.fields, thread: 'M4', bearingOuter_mm: 7, bearingInner_mm: 4.3 };
    await accepted(alter({}, { kinds: [{ ...kind, fields: thin }] }));
    const answer = await refused(startTighteningAction({ ...bare, version: heads().version }));
    expect(answer).toMatchObject({ code: 'beyond-steel', message: expect.stringMatching(/^Outer bolts: /) as unknown });
    expect(stopsOf()).toBeGreaterThan(before);
  });
  test('its lock is on the list of what is loose, under its name', async () => {
    const kind = outer();
    await accepted(
      alter(
        {},
        { kinds: [{ ...kind, detail: { ...kind.detail, original: { ...kind.detail.original, locking: 'pin' } } }] },
      ),
    );
    const tight = { ...jointStateOf(rowsNamed(shop, ENGINE), heads()) };
    const round = await begun('final');
    pullAll(round);
    const state = jointStateOf(rowsNamed(shop, ENGINE), heads());
    const final = there(state.tightenings.find(({ tightening }) => tightening.id === round.id));
    const loose = looseOf([{ ...state, final: { ...final, state: { ...final.state, complete: true } } }], [], []);
    expect(loose.map(({ words }) => words)).toEqual([`${heads().name}: pins not said to be in (Outer bolts)`]);
    expect(looseOf([tight], [], [])).toEqual([]);
  });
  test('a wrench that it alone is set with stays on the shelf; an entry that it alone is from stays in the book', async () => {
    const hung = await accepted(
      keepWrenchAction({
        id: '',
        version: 0,
        name: 'Small one',
        unit: 'N·m',
        min: '5',
        max: '60',
        graduation: '0.5',
        accuracy_pct: '4',
        calibration: '',
        checkedAt: '',
      }),
    );
    const wrench = there(shop.wrenches.all().find(({ name }) => name === 'Small one'));
    const leaf = await accepted(addLeafAction(leafOf('22 Nm')));
    const kind = outer();
    const fields = { ...kind.fields, leafId: leaf.id, wrenchId: wrench.id };
    await accepted(alter({}, { kinds: [{ ...kind, fields, detail: { ...kind.detail, wrenchByHand: true } }] }));
    expect(await refused(takeAwayAction({ kind: 'wrench', id: wrench.id, name: 'x' }))).toMatchObject({
      code: 'hangs',
    });
    expect((await undo(hung)).ok).toBe(false);
    expect(await refused(takeAwayAction({ kind: 'leaf', id: leaf.id, name: 'x' }))).toMatchObject({ code: 'hangs' });
    expect(await refused(setAsideAction({ kind: 'leaf', id: leaf.id, reason: 'x' }))).toMatchObject({ code: 'hangs' });
    expect(computeKinds(inputs())[0]?.worked.wrench.id).toBe(wrench.id);
  });
  test('a lubricant that it alone is in moves its figure, and is told to', async () => {
    const kind = outer();
    const { originalFilm, todayFilm, detail } = heads();
    const used = [originalFilm, todayFilm, detail.headFilm, detail.maker?.film];
    const film = there(shelvesOf(shop).films.find(({ id }) => !used.includes(id)));
    const fields = { ...kind.fields, todayFilm: film.id };
    const own = { ...kind.detail, headFilm: null, maker: null };
    await accepted(alter({}, { kinds: [{ ...kind, fields, detail: own }] }));
    const slippery = { ...film, thread: { low: 0.04, middle: 0.05, high: 0.06 } };
    const names = jointsAffectedBy(shop, slippery, NOW).map(({ joint }) => joint);
    expect(names).toContain(`${heads().name}, Outer bolts`);
    expect(names).not.toContain(heads().name);
  });
  test('a corrected entry is followed', async () => {
    const first = await accepted(addLeafAction(leafOf('8 Nm')));
    const kind = outer();
    await accepted(
      alter({}, { kinds: [{ ...kind, fields: { ...kind.fields, leafId: first.id } }], alsoLeaves: [first.id] }),
    );
    const { id } = await accepted(addLeafAction({ ...leafOf('9 Nm'), replacesId: first.id }));
    expect(heads().detail.kinds[0]?.fields.leafId).toBe(id);
    expect(heads().detail.alsoLeaves).toEqual([id]);
    expect(computeKinds(inputs())[0]?.inputs.leaf.printedText).toBe('9 Nm');
  });
});

const leafOf = (printedText: string) => {
  const { engineId, sourceId, page, kind } = there(shop.book.findLeaf(heads().leafId));
  return {
    engineId,
    sourceId,
    page,
    kind,
    subject: 'Outer bolts of the heads',
    printedText,
    conditionText: '',
    replacesId: null,
    readingIndex: 0,
    agreedNotes: [],
  };
};

describe('a sheet that was changed after a pull', () => {
  const changedOf = () => {
    const rows = rowsNamed(shop, ENGINE);
    const [summary] = jointSummaries(rows, shelvesOf(shop), NOW).filter(({ id }) => id === HEADS);
    return { asks: summary?.asks ?? 0, isChanged: jointStateOf(rows, heads()).isChanged };
  };
  const pulledOnce = async () => {
    const round = await begun('final');
    recordEvent(shop, round.id, { id: 'first-pull-01', kind: 'pull', step: 0, outcome: 'pulled', age_ms: 0 });
    return changedOf();
  };
  test('asks where the lubricant of a kind is another', async () => {
    await withOuter();
    const before = await pulledOnce();
    expect(before.isChanged).toBe(false);
    const kind = there(heads().detail.kinds[0]);
    const todayFilm = kind.fields.todayFilm === 'moly-paste' ? 'engine-oil' : 'moly-paste';
    await accepted(alter({}, { kinds: [{ ...kind, fields: { ...kind.fields, todayFilm } }] }));
    expect(changedOf().isChanged).toBe(true);
    expect(changedOf().asks).toBeGreaterThan(before.asks);
  });
  test('and where a fastener is of another kind than it was pulled as', async () => {
    await withOuter();
    const before = await pulledOnce();
    const kind = there(heads().detail.kinds[0]);
    await accepted(alter({}, { kinds: [{ ...kind, places: [0, 3] }] }));
    expect(changedOf()).toEqual({ asks: before.asks + 1, isChanged: true });
    const rows = rowsNamed(shop, ENGINE);
    const page = there(jointPage(rows, shelvesOf(shop), HEADS, NOW));
    expect(placesChanged(there(page.pulledWith), heads()).map(({ message }) => message)).toEqual([
      expect.stringContaining('pulled with Outer bolts at 1, 4, 8, the sheet says Outer bolts at 1, 4 now'),
    ]);
    await accepted(alter({}, { kinds: [{ ...kind, places: [7, 3, 0] }] }));
    expect(changedOf()).toEqual(before);
  });
});

describe('a retorque of several kinds', () => {
  test('takes each to the figure that it was pulled to', async () => {
    await withOuter();
    const { plan } = await begun();
    const again = retorquePlan(inputs(), plan, { cycleId: 'cycle', guards: [] });
    expect(again.steps).toHaveLength(plan.positions.length);
    for (const step of again.steps)
      if (step.kind === 'pull') expect(step.setting).toBe(figureAt(plan, step.position).ladder.setting.rounded);
  });
});

const fileOf = (written: unknown) => {
  const read = parseBuildFile(JSON.stringify(written));
  if (!('file' in read)) throw new Error(JSON.stringify(read));
  return read.file;
};

describe('the other doors', () => {
  test('an older program is told that it cannot read a joint that has them', async () => {
    await withOuter();
    const text = DETAIL_JSON.write(heads().detail);
    expect((JSON.parse(text) as { version: number }).version).toBe(4);
    expect(DETAIL_JSON.read(text)).toEqual(heads().detail);
  });
  test('a build file carries kinds and what was pulled of them, and a file in which they are wrong is refused', async () => {
    await withOuter({ kindTurn: 'one-turn' });
    pullAll(await begun());
    const { engine } = rowsNamed(shop, ENGINE);
    const file = fileOf(buildFileOf(shop, engine, YARD_NOW));
    const other = openShop(temporaryFile());
    readBack(other, file, Date.now(), () => 'never');
    const came = jointNamed(other, HEADS);
    expect(came.detail.kinds).toEqual(heads().detail.kinds);
    expect(planOfJoint(jointInputs(other, came, NOW)).steps).toEqual(planOfJoint(inputs()).steps);
    expect(other.tightenings.ofJoint(HEADS).at(-1)?.plan).toEqual(shop.tightenings.ofJoint(HEADS).at(-1)?.plan);
    const spoilt = (change: (joint: { detail: { kinds: unknown[] } }) => void) => {
      const copy = structuredClone(file) as unknown as { joints: { id: string; detail: { kinds: unknown[] } }[] };
      change(there(copy.joints.find(({ id }) => id === HEADS)));
      return () => readBack(openShop(temporaryFile()), fileOf(copy), Date.now(), () => 'never');
    };
    const [kind] = file.joints.find(({ id }) => id === HEADS)?.detail.kinds ?? [];
    expect(spoilt(({ detail }) => detail.kinds.push(kind))).toThrow(/one name/);
    expect(spoilt(({ detail }) => (detail.kinds = [{ ...kind, places: [0, 800] }]))).toThrow();
    expect(
      spoilt(({ detail }) => (detail.kinds = [{ ...kind, fields: { ...there(kind).fields, leafId: 'gone' } }])),
    ).toThrow(/leaf gone is missing/);
  });
  test('into a shop that has the engine they come with their entries under new ids', async () => {
    const leaf = await accepted(addLeafAction(leafOf('8 Nm')));
    const kind = outer();
    await accepted(alter({}, { kinds: [{ ...kind, fields: { ...kind.fields, leafId: leaf.id } }] }));
    const { engine } = rowsNamed(shop, ENGINE);
    let n = 0;
    const file = fileOf(buildFileOf(shop, engine, YARD_NOW));
    const { file: adopted } = readBack(shop, file, NOW, () => `fresh-${(n += 1)}`);
    const copy = there(adopted.joints.find(({ name }) => name === heads().name));
    const leafId = there(copy.detail.kinds[0]).fields.leafId;
    expect(leafId).not.toBe(leaf.id);
    expect(shop.book.findLeaf(leafId)).toMatchObject({ printedText: '8 Nm', engineId: adopted.engine.id });
  });
  test('a sister engine has them with her own entries; what was found of these is not known there', async () => {
    await withOuter();
    const kind = there(heads().detail.kinds[0]);
    const into = { id: 'copy', engineId: 'sister', createdAt: YARD_NOW };
    const copy = jointForSister(
      { ...heads(), detail: { ...heads().detail, kinds: [{ ...kind, fields: { ...kind.fields, leafId: 'other' } }] } },
      {
        ...into,
        leafIds: new Map([
          [heads().leafId, 'hers'],
          ['other', 'her-other'],
        ]),
      },
    );
    expect(there(copy).detail.kinds[0]?.fields).toMatchObject({ leafId: 'her-other', bearingMeasured: false });
    expect(jointForSister(heads(), { ...into, leafIds: new Map() })).toBeUndefined();
  });
});

describe('two windows at one joint with kinds', () => {
  test('are told in words what stands there and what is here', async () => {
    await withOuter();
    const { version } = heads();
    await accepted(alter({}, { kindTurn: 'one-turn' }));
    const stale = await refused(
      alterJointAction({
        id: HEADS,
        version,
        change: {},
        detail: { kinds: [], kindTurn: 'as-typed', kindSequence: [0, 1] },
      }),
    );
    expect(stale.message).toMatch(/Fasteners of other kinds: on disk “Outer bolts: 3 × M10, [^{[]+”, here “all alike”/);
    expect(stale.message).toMatch(/on disk “stage by stage, in one turn”, here “as typed or printed”/);
    expect(stale.message).toMatch(/The order of the kinds: on disk “none”, here “A B”/);
  });
});

describe('a kind as it begins', () => {
  test('has everything as the joint has it; with another thread nothing that was found or said of the other', () => {
    const kind = newKind(heads(), 'Outer bolts', [0]);
    const alone = jointOfKind({ ...heads(), detail: { ...heads().detail, kinds: [kind] } }, kind);
    expect(computeJoint({ ...inputs(), joint: alone }).ladder).toEqual(computeJoint(inputs()).ladder);
    expect(kind.detail.maker).not.toBeNull();
    const other = ofOtherThread(kind, 'M10', { outer_mm: 16, inner_mm: 10.5 });
    expect(other.detail).toMatchObject({ today: null, maker: null, overrides: {} });
    expect(other.detail.original.grade).toBeNull();
    expect(other.detail.parent.metal).toBe(heads().detail.parent.metal);
    expect(ofOtherLeaf(kind, 'leaf', 'dry-bare')).toMatchObject({
      fields: { leafId: 'leaf' },
      detail: { maker: null },
    });
  });
});

describe('letters of kinds', () => {
  test('are read as they are typed, and a letter that is none is named', () => {
    expect(readKindSequence('A b, A–B', 2)).toEqual([0, 1, 0, 1]);
    expect(readKindSequence('A C', 2)).toEqual({ unread: 'C' });
    expect(kindSequenceText([0, 1, 0])).toBe('A B A');
    expect(lettersOf(4, [{ places: [1, 3] }])).toEqual(['A', 'B', 'A', 'B']);
    expect(lettersOf(4, [])).toBeUndefined();
  });
  test('a kind as a joint of its own keeps the order of its places in the turn', () => {
    const joint = { ...heads(), detail: { ...heads().detail, turn: [7, 6, 5, 4, 3, 2, 1, 0] } };
    const own = jointOfKind(joint, outer());
    expect(own.detail.turn).toEqual([2, 1, 0]);
    expect(own.fasteners).toBe(3);
  });
});
