import { describe, expect, test } from '@jest/globals';
import { characteristicLength, evenness, goRound, pullsOf, roundOf } from '@/core/interaction';
import { framesOf } from '@/model/joint/clamp-left';
import { threadNamed } from '@/core/thread';
import { boltStiffness } from '@/model/joint/bolt-stiffness';
import { deviationsOf, givingOfJoint, ringsOf, targetsOf } from '@/model/joint/clamp-map';
import { GASKETS, HEADS, type ClampMapFacts } from '@/model/joint/clamp-map-facts';
import type { Joint } from '@/model/joint/joint';
import { DETAIL_JSON } from '@/model/joint/joint-detail';
import { turnOf } from '@/model/joint/joint-shape';
import { jointNamed, yardShop } from '../db/temporary-shop';
import { codeOf } from '../core/code-of';
import { there } from '../actions/own-shop';

const head: Joint = { ...jointNamed(yardShop(), 'demo-f-joint-head'), fasteners: 10 };
const facts = (given: Partial<ClampMapFacts> = {}): ClampMapFacts => ({
  head: 'iron',
  gasket: 'copper-sandwich',
  ...there(HEADS.find(({ id }) => id === 'iron')).facts,
  foundation_N_per_mm3: 60,
  unloading: 1,
  pitch_mm: 95,
  margin_mm: 30,
  boltStiffness_N_per_mm: 1.2e5,
  ...given,
});
const stage = (torque_Nm: number, turn?: { min_deg: number; max_deg: number }) => ({
  setting: torque_Nm,
  torque_Nm,
  ...(turn && { turn }),
});
const THREE = [10_000, 20_000, 30_000];
const left = (joint: Joint, given: Partial<ClampMapFacts>, targets: readonly number[]) =>
  evenness(goRound(roundOf(givingOfJoint(joint, facts(given)), pullsOf(turnOf(joint), targets))));

describe('what the stages of a plan ask of a fastener', () => {
  test('rises with the torque above what a locking nut turns with by itself', () => {
    expect(targetsOf([stage(10), stage(20), stage(30)], { final_N: 30_000, prevailing_Nm: 0 })).toEqual(THREE);
    const locked = targetsOf([stage(4), stage(12), stage(24)], { final_N: 20_000, prevailing_Nm: 4 });
    expect(locked).toEqual([8000, 20_000]);
  });
  test('is nothing of its own where a stage is by angle; with no figure at all it cannot be said', () => {
    const turn = { min_deg: 90, max_deg: 90 };
    expect(targetsOf([stage(15), stage(30), stage(30, turn)], { final_N: 30_000, prevailing_Nm: 0 })).toEqual([
      15_000, 30_000,
    ]);
    expect(codeOf(() => targetsOf([], { final_N: 1, prevailing_Nm: 0 }))).toBe('bad-field');
    expect(codeOf(() => targetsOf([stage(3)], { final_N: 1, prevailing_Nm: 3 }))).toBe('bad-field');
  });
});

describe('the map of a head of ten', () => {
  test('has a frame a pull, in the turn of the joint, each nut at its target as it is pulled', () => {
    const frames = framesOf(givingOfJoint(head, facts()), {
      moves: THREE.flatMap((target_N, stage) =>
        turnOf(head).map((place) => ({ is: 'pull', place, stage, share: target_N / 30_000 }) as const),
      ),
      figures: turnOf(head).map(() => ({ clamp_N: 30_000, prevailing_Nm: 0, pitch_mm: 1 })),
    });
    expect(frames).toHaveLength(30);
    frames.forEach(({ place, stage, shares }, i) => {
      expect(place).toBe(turnOf(head)[i % 10]);
      expect(stage).toBe(Math.floor(i / 10));
      expect(30_000 * there(shares[place])).toBeGreaterThanOrEqual(there(THREE[stage]) - 1e-6);
    });
  });
  test('is the same wherever its places are counted from', () => {
    const free = (by: number): Joint => ({
      ...head,
      pattern: 'free',
      detail: {
        ...head.detail,
        places: Array.from({ length: 10 }, (_, i) => [by + 95 * Math.floor(i / 2), by + 110 * (i % 2)] as const),
      },
    });
    expect(left(free(200), {}, THREE)).toEqual(left(free(0), {}, THREE));
    expect(left(free(-70), {}, THREE)).toEqual(left(free(0), {}, THREE));
  });
  test('is as uneven as was computed of the worked example, which lies nearly so', () => {
    // Spacing 95 by 109 and 30 mm of margin all round, for 95 by 110 and a plate of 440 by 160.
    expect(left(head, {}, [30_000]).variation_pct).toBeCloseTo(3.75, 0);
    expect(left(head, {}, THREE).variation_pct).toBeCloseTo(1.41, 0);
    expect(left(head, {}, [...THREE, 30_000]).variation_pct).toBeLessThan(0.25);
  });
  test('is more uneven on a softer gasket and with stiffer fasteners, at as many passes', () => {
    const plain = left(head, {}, THREE).variation_pct;
    for (const given of [{ foundation_N_per_mm3: 20 }, { boltStiffness_N_per_mm: 3e5 }])
      expect(left(head, given, THREE).variation_pct).toBeGreaterThan(1.5 * plain);
  });
  test('of a joint in no pattern lies in its own millimetres, whatever the pitch', () => {
    const places = [0, 1].flatMap((row) => [0, 1, 2, 3, 4].map((i) => [95 * i, 109.25 * row] as const));
    const free: Joint = { ...head, pattern: 'free', detail: { ...head.detail, places } };
    const own = givingOfJoint(free, facts({ pitch_mm: null }));
    const patterned = givingOfJoint(head, facts());
    own.loading.forEach((row, i) =>
      row.forEach((value, j) => expect(value).toBeCloseTo(there(patterned.loading[i]?.[j]), 12)),
    );
  });
});

test('what springs back stiffer is reckoned apart, and is the plain bedding where it does not', () => {
  const { loading, unloading } = givingOfJoint(head, facts({ unloading: 4 }));
  expect(unloading[0]?.[0]).toBeLessThan(there(loading[0]?.[0]));
  expect(unloading).toEqual(givingOfJoint(head, facts({ foundation_N_per_mm3: 240 })).loading);
  const plain = givingOfJoint(head, facts());
  expect(plain.unloading).toBe(plain.loading);
  for (const { facts: given } of GASKETS) expect(given.unloading).toBeGreaterThan(1);
});

test('a joint that was written before gave as much either way, and is reckoned as it was', () => {
  const { unloading: _, ...before } = facts();
  const read = DETAIL_JSON.read(DETAIL_JSON.write({ ...head.detail, clampMap: before as ClampMapFacts }));
  expect(read.clampMap).toEqual(facts());
  expect(DETAIL_JSON.read(DETAIL_JSON.write({ ...head.detail, clampMap: null })).clampMap).toBeNull();
});

test('a pattern whose pitch nobody said is not drawn', () =>
  expect(codeOf(() => givingOfJoint(head, facts({ pitch_mm: null })))).toBe('missing-field'));

test('presets carry as far as was computed of them', () => {
  const lengthOf = (id: string, foundation_N_per_mm3: number) => {
    const { E_GPa, poisson, depth_mm, solid } = there(HEADS.find((one) => one.id === id)).facts;
    return characteristicLength({
      D_Nmm: (solid * E_GPa * 1000 * depth_mm ** 3) / (12 * (1 - poisson ** 2)),
      foundation_N_per_mm3,
    });
  };
  expect(lengthOf('iron', 30)).toBeCloseTo(87, -1);
  expect(lengthOf('aluminium', 70)).toBeCloseTo(64, -1);
  expect(lengthOf('aluminium-side-valve', 120)).toBeCloseTo(33, -1);
  expect(GASKETS.every(({ facts: { foundation_N_per_mm3 } }) => foundation_N_per_mm3 >= 20)).toBe(true);
});

test.each([
  ['3/8 BSF', 100, 1.1e5],
  ['7/16 BSF', 120, 1.2e5],
])('a fastener of %s, %i mm long, is as stiff as was computed', (thread, length_mm, stiffness) => {
  const { stressArea_mm2, major_mm } = threadNamed(thread);
  expect(boltStiffness(stressArea_mm2, length_mm, major_mm) / stiffness).toBeGreaterThan(0.8);
  expect(boltStiffness(stressArea_mm2, length_mm, major_mm) / stiffness).toBeLessThan(1.25);
});

describe('what of a band is alike at all and what is not', () => {
  const band = (spread: number) => ({
    p5_N: 20_000 * Math.exp(-1.6449 * spread),
    p50_N: 20_000,
    p95_N: 20_000 * Math.exp(1.6449 * spread),
    mean_N: 20_000,
  });
  test('together they are the band again: two deviations of the wrench are its figure', () => {
    const { batch, nut, pull } = deviationsOf(band(0.12), 4);
    expect(pull).toBeCloseTo(0.02, 12);
    expect(batch).toBe(nut);
    expect(Math.hypot(batch, nut, pull)).toBeCloseTo(0.12, 12);
  });
  test('where the wrench is all of it, there is nothing left for the lubricant', () => {
    expect(deviationsOf(band(0.01), 15)).toEqual({ batch: 0, nut: 0, pull: 0.075 });
  });
});

describe('rings about the middle', () => {
  test('of two rows of five: the middle two, the four beside, the four at the ends', () => {
    const rows = Array.from({ length: 10 }, (_, i) => [95 * Math.floor(i / 2), 110 * (i % 2)] as const);
    expect(ringsOf(rows)).toEqual([2, 2, 1, 1, 0, 0, 1, 1, 2, 2]);
  });
  test('of a ring of eight one, wherever it is counted from, and measured a little off', () => {
    const ring = Array.from({ length: 8 }, (_, i) => {
      const r = i === 3 ? 101 : 100;
      return [40 + r * Math.cos((i * Math.PI) / 4), r * Math.sin((i * Math.PI) / 4)] as const;
    });
    expect(new Set(ringsOf(ring)).size).toBe(1);
    expect(ringsOf([[5, 5]])).toEqual([0]);
  });
});
