import { beforeEach, describe, expect, test } from '@jest/globals';
import { addJointAction, alterJointAction, startTighteningAction } from '@/features/joint/actions';
import { moved, mirrored, placesIn, placesOfPattern, textOfPlaces, unreadLine } from '@/features/joint/places-of-text';
import { roundState } from '@/core/tightening';
import { callWords } from '@/features/bench/call-words';
import { tightenLines } from '@/features/bench/queries';
import { buildFileOf } from '@/features/record/build-file';
import { parseBuildFile } from '@/features/record/build-file-schema';
import { readBack } from '@/features/record/read-back';
import { undoAction } from '@/features/removal/actions';
import { openShop, type Shop } from '@/db/shop';
import { engineStateOf } from '@/model/engine/engine-rows';
import { retorquePlan } from '@/model/joint/round-plan';
import { placesChanged } from '@/model/joint/sheet-changes';
import type { PlaceNote } from '@/model/joint/place-note';
import { jointNamed, rowsNamed, temporaryFile, YARD_NOW } from '../db/temporary-shop';
import { accepted, ownShop, refused, there } from './own-shop';

let shop: Shop;
beforeEach(() => {
  shop = ownShop();
});

const HEADS = 'demo-n-joint-heads';
const heads = () => jointNamed(shop, HEADS);
const alter = (change: object, detail: object = {}) =>
  alterJointAction({ id: HEADS, version: heads().version, change, detail });
const TURN = [7, 6, 5, 4, 3, 2, 1, 0];
const idOf = ({ href }: { readonly href: string }) => there(href.split('/').at(-1));
const undo = (result: unknown) => undoAction({ token: there((result as { undo?: { token: string } }).undo).token });

async function begun() {
  const { version } = heads();
  const begin = { jointId: HEADS, version, purpose: 'trial', reason: 'to try it' };
  return there(shop.tightenings.find(idOf(await accepted(startTighteningAction(begin)))));
}

describe('the book’s own order', () => {
  test('is kept once it is whole, drawn, and what the round goes by', async () => {
    expect(await refused(alter({ orderSchool: 'as-printed' }))).toMatchObject({ code: 'bad-turn', field: 'turn' });
    expect(await refused(alter({ orderSchool: 'as-printed' }, { turn: [0, 1, 2] }))).toMatchObject({ field: 'turn' });
    expect(await refused(alter({}, { turn: [0, 0, 1] }))).toMatchObject({ code: 'bad-field' });
    expect(heads().orderSchool).toBe('centre-out');
    await accepted(alter({ orderSchool: 'as-printed' }, { turn: TURN }));
    const lines = tightenLines(engineStateOf(rowsNamed(shop, 'demo-norrhem')), Date.parse(YARD_NOW));
    expect(lines.find(({ jointId }) => jointId === HEADS)?.order).toEqual(TURN);
    expect((await begun()).plan.order).toEqual(TURN);
  });
  test('is of the places there were: fewer of them, and it has to be entered anew', async () => {
    await accepted(alter({ orderSchool: 'as-printed' }, { turn: TURN }));
    expect(await refused(alter({ fasteners: 6 }))).toMatchObject({ code: 'bad-turn' });
    await accepted(alter({ fasteners: 6, orderSchool: 'centre-out' }, { turn: null }));
    expect(heads()).toMatchObject({ fasteners: 6, orderSchool: 'centre-out', detail: { turn: null } });
  });
});

describe('the cap that goes first', () => {
  const MAINS = 'demo-f-joint-mains';
  const first = (firstCap: number) =>
    alterJointAction({ id: MAINS, version: jointNamed(shop, MAINS).version, change: {}, detail: { firstCap } });
  test('leads the drawing and the round, and is one of those there are', async () => {
    expect(await refused(first(4))).toMatchObject({ code: 'bad-field', field: 'firstCap' });
    expect(await refused(first(0))).toMatchObject({ code: 'bad-field' });
    await accepted(first(3));
    const lines = tightenLines(engineStateOf(rowsNamed(shop, 'demo-fourteen')), Date.parse(YARD_NOW));
    // What was tightened keeps its order; the next round goes by the new one.
    expect(lines.find(({ jointId }) => jointId === MAINS)?.order[0]).not.toBe(4);
    const { version } = jointNamed(shop, MAINS);
    const begin = { jointId: MAINS, version, purpose: 'trial', reason: 'to try it' };
    const round = there(shop.tightenings.find(idOf(await accepted(startTighteningAction(begin)))));
    expect(round.plan.order.slice(0, 2)).toEqual([4, 5]);
  });
});

describe('what was kept of a shape that is another now', () => {
  test('an order that is not in force is whole all the same', async () => {
    await accepted(alter({ orderSchool: 'as-printed' }, { turn: TURN }));
    await accepted(alter({ orderSchool: 'spiral' }));
    expect(await refused(alter({ fasteners: 6 }))).toMatchObject({ code: 'bad-turn', field: 'turn' });
    await accepted(alter({ orderSchool: 'as-printed' }));
    expect(heads().detail.turn).toEqual(TURN);
  });
  test('is not brought back by taking back an act of before', async () => {
    await accepted(
      alter({ orderSchool: 'as-printed' }, { turn: TURN, placeNotes: [{ place: 7, kind: 'pin', words: '' }] }),
    );
    const off = await accepted(alter({}, { placeNotes: [] }));
    const other = await accepted(alter({ orderSchool: 'star' }, { turn: null }));
    await accepted(alter({ fasteners: 6 }));
    for (const act of [off, other]) {
      const before = heads();
      expect((await undo(act)).ok).toBe(false);
      expect(heads()).toEqual(before);
    }
    expect(tightenLines(engineStateOf(rowsNamed(shop, 'demo-norrhem')), Date.parse(YARD_NOW))).toHaveLength(3);
  });
  test('is not made new: a joint in no pattern is laid out on its own sheet', async () => {
    const fields = { engineId: 'demo-norrhem', leafId: heads().leafId, name: 'Cover', pattern: 'free', fasteners: '5' };
    const more = { thread: 'M6', originalFilm: 'engine-oil', todayFilm: 'engine-oil', orderSchool: 'star' };
    const made = addJointAction({ ...fields, ...more, turnShaft: false, retorqueSchool: 'none', leafReason: '' });
    expect((await refused(made)).message).toMatch(/5 fasteners and 0 places/);
  });
});

describe('a joint in no pattern', () => {
  const places = [
    [0, 0],
    [70, 5],
    [150, 0],
    [30, 60],
    [160, 66],
  ] as const;
  test('has as many places as fasteners, and is pulled where they lie', async () => {
    expect(await refused(alter({ pattern: 'free' }))).toMatchObject({ code: 'bad-field' });
    expect(await refused(alter({ pattern: 'free', fasteners: 4 }, { places }))).toMatchObject({ code: 'bad-field' });
    await accepted(alter({ pattern: 'free', fasteners: 5 }, { places }));
    const { plan } = await begun();
    expect(plan.positions).toHaveLength(5);
    const [a, b] = [plan.positions[0] ?? [0, 0], plan.positions[2] ?? [0, 0]];
    // The nearest two, the third and the last, are drawn a hundred apart.
    expect(Math.hypot(a[0] - b[0], a[1] - b[1])).toBeCloseTo((150 * 100) / Math.hypot(10, 66), 2);
  });
  test('lies as it was pulled: once a nut was, no place of it moves, by its sheet or by taking an act back', async () => {
    await accepted(alter({ pattern: 'free', fasteners: 5 }, { places }));
    const shifted = await accepted(alter({}, { places: places.map(([x, y]) => [x + 1, y * 1.1]) }));
    const round = await begun();
    const pull = { id: 'first-pull', kind: 'pull', step: 0, outcome: 'pulled', at: YARD_NOW } as const;
    shop.tightenings.record(round, pull, YARD_NOW);
    expect(await refused(alter({}, { places }))).toMatchObject({ code: 'half-pulled' });
    expect((await undo(shifted)).ok).toBe(false);
    expect(heads().detail.places?.[1]?.[0]).toBe(71);
  });
  test('may lie elsewhere for the next round once the last is done; what was pulled stays as it was, and is asked about', async () => {
    await accepted(alter({ pattern: 'free', fasteners: 5 }, { places }));
    const round = await begun();
    for (const [step] of round.plan.steps.entries()) {
      const pull = { id: `pull-${step}`, kind: 'pull', step, outcome: 'pulled', at: YARD_NOW } as const;
      if (step === round.plan.steps.length - 1)
        expect(await refused(alter({ pattern: 'line' }))).toMatchObject({ code: 'half-pulled' });
      shop.tightenings.record(round, pull, YARD_NOW);
    }
    // A slip is taken back as it was made, and a round that was begun on it and not pulled in goes with it.
    const slip = await accepted(alter({ pattern: 'ring', fasteners: 7 }));
    const onSlip = await begun();
    expect((await undo(slip)).ok).toBe(true);
    expect([heads().fasteners, shop.tightenings.find(onSlip.id)]).toEqual([5, undefined]);
    const other = await accepted(alter({ pattern: 'ring', fasteners: 6 }));
    expect(there(shop.tightenings.find(round.id)).plan.positions).toEqual(round.plan.positions);
    // Half pulled as it is now, it does not become the other one again by that door either.
    const half = await begun();
    shop.tightenings.record(half, { id: 'half', kind: 'pull', step: 0, outcome: 'pulled', at: YARD_NOW }, YARD_NOW);
    const refusal = await undo(other);
    expect([refusal.ok, heads().fasteners]).toEqual([false, 6]);
    if (!refusal.ok) expect(refusal.error.message).toContain('half pulled');
    shop.tightenings.record(half, { id: 'struck', kind: 'strike', strikes: 'half', at: YARD_NOW }, YARD_NOW);
    const elsewhere = openShop(temporaryFile());
    const engine = there(shop.engines.find('demo-norrhem'));
    readBack(elsewhere, buildFileOf(shop, engine, YARD_NOW), Date.now(), () => 'unused');
    expect(there(elsewhere.tightenings.find(round.id)).plan.positions).toEqual(round.plan.positions);
    expect((await begun()).plan.positions).toHaveLength(6);
  });
  test('that was made tight and lies elsewhere by now is asked about, and its retorque goes by what was pulled', () => {
    const rows = rowsNamed(shop, 'demo-fourteen');
    const [head] = engineStateOf(rows).joints.filter(({ joint }) => joint.id === 'demo-f-joint-head');
    const pulled = there(head?.final).tightening.plan;
    const joint = { ...there(head).joint, pattern: 'ring' as const, fasteners: 10 };
    expect(placesChanged(pulled, there(head).joint)).toEqual([]);
    expect(placesChanged(pulled, joint)).toEqual([
      expect.objectContaining({
        code: 'places-changed',
        severity: 'ask',
        message: expect.stringContaining('10 elsewhere'),
      }),
    ]);
    const again = retorquePlan({ joint }, pulled, { cycleId: 'demo-f-cycle-1', guards: [] });
    expect([again.positions, again.order]).toEqual([pulled.positions, pulled.order]);
    expect(again.steps.filter(({ kind }) => kind === 'pull')).toHaveLength(14);
  });
  test('goes into a build file with its places, its order and its notes, and comes back', async () => {
    const placeNotes: PlaceNote[] = [{ place: 4, kind: 'wet', words: 'sealant' }];
    const turn = [4, 3, 2, 1, 0];
    await accepted(alter({ pattern: 'free', fasteners: 5, orderSchool: 'as-printed' }, { places, turn, placeNotes }));
    const engine = there(shop.engines.find('demo-norrhem'));
    const text = JSON.stringify(buildFileOf(shop, engine, YARD_NOW));
    const other = openShop(temporaryFile());
    readBack(other, parseBuildFile(text).file, Date.now(), () => 'unused');
    expect(other.joints.find(HEADS)?.detail).toMatchObject({ places, turn, placeNotes });
    const spoilt = text.replace('"turn":[4,3,2,1,0]', '"turn":[4,3,2,1]');
    expect(spoilt).not.toBe(text);
    const beyond = text.replace('"placeNotes":[{"place":4', '"placeNotes":[{"place":5');
    expect(beyond).not.toBe(text);
    expect(() => readBack(openShop(temporaryFile()), parseBuildFile(beyond).file, Date.now(), () => 'unused')).toThrow(
      /Cylinder heads: Something is noted of place 6/,
    );
    expect(() => readBack(openShop(temporaryFile()), parseBuildFile(spoilt).file, Date.now(), () => 'unused')).toThrow(
      /Cylinder heads: Place 1 is missing/,
    );
  });
});

test('what is changed of a joint leaves every other part of it as it was', async () => {
  const { detail } = heads();
  const own = {
    ...detail,
    turn: TURN,
    placeNotes: [{ place: 1, kind: 'pin', words: '' }],
    heatCycle: 'coolant-75',
    warm: { head_C: 60, page: 'p. 12' },
    leftUnknown: ['hole-depth'],
    changeMeans: { means: 'correction', target_Nm: 20 },
    confirming: true,
  } as const;
  shop.joints.alter({ ...heads(), detail: own });
  const kept = heads().detail;
  await accepted(alter({ name: 'Both heads' }));
  expect(heads()).toMatchObject({ name: 'Both heads', detail: kept });
  await accepted(alter({}, { confirming: false }));
  expect(heads().detail).toEqual({ ...kept, confirming: false });
});

describe('what is special about a place', () => {
  const notes: readonly PlaceNote[] = [
    { place: 0, kind: 'hold', words: 'by the flats behind' },
    { place: 0, kind: 'wet', words: '' },
    { place: 3, kind: 'left-hand', words: '' },
  ];
  test('is said aloud of the place whose turn it is, before its figure, and of no other', async () => {
    await accepted(alter({ orderSchool: 'as-printed' }, { turn: [0, 1, 2, 3, 4, 5, 6, 7], placeNotes: notes }));
    const { plan } = await begun();
    const said = (next: number) =>
      callWords(
        plan,
        { ...roundState(plan.steps, [], plan.positions.length), next },
        undefined,
        String,
        heads().detail.placeNotes,
      );
    expect(said(0)).toMatch(
      /: Reaches water or oil: sealant on it\. Hold the other end \(by the flats behind\)\. .*\d/,
    );
    expect(said(1)).not.toMatch(/Reaches|Hold|Left/);
    expect(said(3)).toMatch(/Left-hand thread/);
  });
  test('is of places that there are', async () => {
    const beyond = [{ place: 8, kind: 'pin', words: '' }];
    expect(await refused(alter({}, { placeNotes: beyond }))).toMatchObject({ code: 'bad-field', field: 'placeNotes' });
    expect(await refused(alter({}, { placeNotes: [{ place: 1, kind: 'odd', words: '' }] }))).toMatchObject({
      code: 'bad-field',
    });
    await accepted(alter({}, { placeNotes: [{ place: 7, kind: 'pin', words: '' }] }));
    expect(await refused(alter({ fasteners: 6 }))).toMatchObject({ field: 'placeNotes' });
  });
});

describe('places as they are typed', () => {
  const text = '0 0\n70,5 5\n\n150;0';
  test('are read line by line; a line that is none is told', () => {
    expect(placesIn(text)).toEqual([
      [0, 0],
      [70.5, 5],
      [150, 0],
    ]);
    expect(unreadLine(text)).toBeUndefined();
    expect(unreadLine('0 0\n30\n10 10')).toBe(2);
    expect(unreadLine('0 0\n30 wide')).toBe(2);
    expect(placesIn(textOfPlaces(placesIn(text)))).toEqual(placesIn(text));
  });
  test('are moved one at a time, and mirrored twice stand as they stood', () => {
    const places = placesIn(text);
    expect(moved(places, 1, [-5, 2.25])).toEqual([places[0], [65.5, 7.25], places[2]]);
    expect(mirrored(places)).toEqual([
      [150, 0],
      [79.5, 5],
      [0, 0],
    ]);
    expect(mirrored(mirrored(places))).toEqual(places);
  });
  test('begin from the pattern that was, from its corner', () => {
    const ring = placesOfPattern('ring', 6);
    expect(ring).toHaveLength(6);
    expect([Math.min(...ring.map(([x]) => x)), Math.min(...ring.map(([, y]) => y))]).toEqual([0, 0]);
  });
});
