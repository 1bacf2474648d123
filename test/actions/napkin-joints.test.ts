import { beforeEach, describe, expect, test } from '@jest/globals';
import { alterJointAction, startTighteningAction } from '@/features/joint/actions';
import { roundState, type BenchEvent, type PullStep } from '@/core/tightening';
import { callWords } from '@/features/bench/call-words';
import { recordEvent } from '@/features/bench/record-event';
import { buildFileOf } from '@/features/record/build-file';
import { parseBuildFile } from '@/features/record/build-file-schema';
import { readBack } from '@/features/record/read-back';
import { openShop, type Shop } from '@/db/shop';
import { newKind } from '@/model/joint/fastener-kind';
import type { FastenerKind, JointDetail } from '@/model/joint/joint-detail';
import { figureAt, kindAt, type TighteningPlan } from '@/model/joint/tightening-plan';
import { jointNamed, temporaryFile, YARD_NOW } from '../db/temporary-shop';
import { accepted, ownShop, there } from './own-shop';

// Joints as somebody would draw them on a napkin: each is entered, gone round to its end, written out and read in again.

const HEADS = 'demo-n-joint-heads';
let shop: Shop;
beforeEach(() => {
  shop = ownShop();
});
const heads = () => jointNamed(shop, HEADS);
const drawn = async (places: readonly (readonly [number, number])[], detail: Partial<JointDetail> = {}) => {
  const change = { pattern: 'free', fasteners: places.length, orderSchool: 'centre-out' };
  const placed = { places, turn: null, placeNotes: [], kinds: [], ...detail };
  await accepted(alterJointAction({ id: HEADS, version: heads().version, change, detail: placed }));
};
const kind = (name: string, places: readonly number[], thread: string, outer_mm: number): FastenerKind => {
  const made = newKind(heads(), name, places);
  const fields = { ...made.fields, thread, bearingOuter_mm: outer_mm, bearingInner_mm: 0.62 * outer_mm };
  return { ...made, fields, detail: { ...made.detail, today: null } };
};
const begun = async () => {
  const begin = { jointId: HEADS, version: heads().version, purpose: 'trial', reason: 'to try it' };
  const { href } = await accepted(startTighteningAction(begin));
  return there(shop.tightenings.find(there(href.split('/').at(-1))));
};
const pullsOf = ({ steps }: TighteningPlan) => steps.filter((step): step is PullStep => step.kind === 'pull');

/** All of it is pulled, step by step, and comes back line for line in another shop. */
async function goneRound(): Promise<TighteningPlan> {
  const { id, plan } = await begun();
  plan.steps.forEach((step, i) => {
    const line = { id: `napkin-${i}-line`, step: i, age_ms: 0 };
    const sent = step.kind === 'shaft' ? { ...line, kind: 'shaft' } : { ...line, kind: 'pull', outcome: 'pulled' };
    expect(recordEvent(shop, id, sent)).toMatchObject({ ok: true });
  });
  const events: readonly BenchEvent[] = shop.tightenings.events(id);
  const state = roundState(plan.steps, events, plan.positions.length, plan.asksOver);
  expect(state.complete).toBe(true);
  expect(state.marks.every(({ final }) => final)).toBe(true);
  // Each is pulled once a stage, and to its final figure once.
  const finals = pullsOf(plan).filter((step) => step.final);
  expect(finals.map(({ position }) => position).sort((a, b) => a - b)).toEqual(plan.positions.map((_, i) => i));
  const engine = there(shop.engines.find('demo-norrhem'));
  const file = JSON.stringify(buildFileOf(shop, engine, YARD_NOW));
  const other = openShop(temporaryFile());
  readBack(other, parseBuildFile(file).file, Date.now(), () => 'unused');
  expect(other.joints.find(HEADS)).toEqual(shop.joints.find(HEADS));
  expect(other.tightenings.find(id)?.plan).toEqual(plan);
  return plan;
}

describe('a joint as it is drawn on a napkin', () => {
  test('seven caps, four studs of two sizes on each and six on the last', async () => {
    const caps = Array.from({ length: 7 }, (_, cap) => cap);
    const studs = caps.flatMap((cap) =>
      (cap === 6 ? [-60, -40, -20, 20, 40, 60] : [-60, -20, 20, 60]).map((across) => ({ cap, across })),
    );
    const small = studs.flatMap(({ across }, i) => (Math.abs(across) > 20 ? [i] : []));
    expect([studs.length, small.length]).toEqual([30, 16]);
    await drawn(studs.map(({ cap, across }) => [cap * 120, across]));
    await drawn(
      studs.map(({ cap, across }) => [cap * 120, across]),
      { kinds: [kind('Outer studs', small, '3/8 BSF', 17)] },
    );
    const plan = await goneRound();
    const pulls = pullsOf(plan);
    // The two sizes come up together: no small one is at its last stage before every large one is past its first.
    const firstLast = pulls.findIndex((step) => step.final && kindAt(plan, step.position) !== undefined);
    const lastFirst = pulls.findLastIndex((step) => step.stage === 0 && kindAt(plan, step.position) === undefined);
    expect(firstLast).toBeGreaterThan(lastFirst);
    const inner = studs.findIndex(({ across }) => across === 20);
    const [large, other] = [inner, small[0] ?? NaN].map((place) => figureAt(plan, place));
    expect(large?.thread).not.toBe(other?.thread);
    // From the middle cap outwards, among the large ones of the first stage.
    const first = pulls.filter((step) => step.stage === 0 && kindAt(plan, step.position) === undefined);
    expect(studs[first[0]?.position ?? NaN]?.cap).toBe(3);
    expect([0, 6]).toContain(studs[first.at(-1)?.position ?? NaN]?.cap);
  });

  test('fourteen nuts of three lengths, one of which reaches water', async () => {
    const places = Array.from({ length: 14 }, (_, i) => [80 * Math.floor(i / 2), 100 * (i % 2)] as const);
    await drawn(places);
    const long = { ...kind('Long, at the rocker posts', [4, 5, 8, 9], heads().thread, 17) };
    await drawn(places, {
      kinds: [long, { ...kind('Short, under the manifold', [0, 2], heads().thread, 17) }],
      placeNotes: [{ place: 6, kind: 'wet', words: 'sealant on the thread' }],
    });
    const plan = await goneRound();
    const { placeNotes } = heads().detail;
    const wet = pullsOf(plan).find(({ position }) => position === 6);
    const at = plan.steps.findIndex((step) => step === wet);
    const before = roundState(
      plan.steps,
      Array.from(
        { length: at },
        (_, i) => ({ id: `b${i}`, kind: 'pull', step: i, outcome: 'pulled', at: YARD_NOW }) as const,
      ),
      14,
    );
    expect(callWords(plan, before, undefined, String, placeNotes)).toMatch(/water.*sealant on the thread/i);
    const kinds = new Set(pullsOf(plan).map(({ position }) => kindAt(plan, position)?.name ?? 'own'));
    expect([...kinds].sort()).toEqual(['Long, at the rocker posts', 'Short, under the manifold', 'own']);
  });

  test('a round flange of six, spaced unevenly', async () => {
    const angles = [0, 48, 132, 180, 228, 312];
    await drawn(angles.map((deg) => [70 * Math.cos((deg * Math.PI) / 180), 70 * Math.sin((deg * Math.PI) / 180)]));
    const plan = await goneRound();
    // It goes across: the second lies further from the first than any neighbour does.
    const [one, two] = plan.order.map((place) => angles[place] ?? NaN);
    const apart = Math.abs((one ?? NaN) - (two ?? NaN)) % 360;
    expect(Math.min(apart, 360 - apart)).toBeGreaterThan(90);
  });

  test('a cover of nine screws in no pattern, in the order of the book', async () => {
    const places = [
      [0, 0],
      [55, 4],
      [110, 0],
      [128, 40],
      [120, 92],
      [70, 110],
      [18, 96],
      [-6, 50],
      [60, 52],
    ] as const;
    await drawn(places);
    const turn = [8, 1, 5, 3, 7, 0, 4, 2, 6];
    await accepted(
      alterJointAction({
        id: HEADS,
        version: heads().version,
        change: { orderSchool: 'as-printed' },
        detail: { turn },
      }),
    );
    expect((await goneRound()).order).toEqual(turn);
  });
});
