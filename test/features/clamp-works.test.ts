import { describe, expect, test } from '@jest/globals';
import { evenness, goRound, roundOf } from '@/core/interaction';
import { jointInputs } from '@/db/reads/joint-inputs';
import { mapOf } from '@/features/joint/clamp-works';
import { newKind } from '@/model/joint/fastener-kind';
import { computeJoint, computeKinds, stagesOfJoint } from '@/model/joint/joint-result';
import { jointNamed, yardShop } from '../db/temporary-shop';
import { there } from '../actions/own-shop';

const shop = yardShop();
const head = jointNamed(shop, 'demo-f-joint-head');
const facts = there(head.detail.clampMap);

function mapWith(kinds: readonly ReturnType<typeof newKind>[]) {
  const setting = jointInputs(shop, { ...head, detail: { ...head.detail, kinds } }, Date.now());
  const worked = computeJoint(setting);
  const of = computeKinds(setting).map((one) => ({
    kind: one.kind,
    setting: one.inputs,
    worked: one.worked,
    stageList: stagesOfJoint(one.inputs, one.worked),
  }));
  return mapOf({ setting, worked, kinds: of, stageList: stagesOfJoint(setting, worked), facts });
}

describe('the map of a joint on its sheet', () => {
  test('of one kind has other ways beside it, and plays what they are reckoned from', () => {
    const { frames, works } = mapWith([]);
    expect(frames).toHaveLength(42);
    const { giving, pulls, final_N, own } = there(works);
    const forces_N = goRound(roundOf(giving, pulls));
    there(frames.at(-1)).shares.forEach((share, place) =>
      expect(share).toBeCloseTo((forces_N[place] ?? 0) / final_N, 6),
    );
    // What the table says of the plan is what the drawing ends at.
    expect(own.variation_pct).toBeCloseTo(evenness(there(frames.at(-1)).shares).variation_pct, 6);
  });
  test('of caps that are each brought to their figure is told as it is gone round, and not pass by pass', () => {
    const mains = jointNamed(shop, 'demo-f-joint-mains');
    const setting = jointInputs(shop, mains, Date.now());
    const worked = computeJoint(setting);
    const { works, frames } = mapOf({
      setting,
      worked,
      kinds: [],
      stageList: stagesOfJoint(setting, worked),
      facts: { ...facts, pitch_mm: 90 },
    });
    expect(mains.unitOfWork).toBe('each');
    expect(there(works).own.variation_pct).toBeCloseTo(evenness(there(frames.at(-1)).shares).variation_pct, 6);
    expect(
      there(works)
        .pulls.slice(0, 4)
        .map(({ place }) => Math.floor(place / 2)),
    ).toEqual([1, 1, 1, 1]);
  });
  test('of several kinds plays their plan, each as a share of its own figure', () => {
    const long = newKind(head, 'Long studs', [0, 6, 7, 13]);
    const { frames, works, turn } = mapWith([{ ...long, fields: { ...long.fields, stageScheme: 'halves' } }]);
    expect(works).toBeUndefined();
    // Ten through three stages and four through two.
    expect(frames).toHaveLength(10 * 3 + 4 * 2);
    expect([...turn].sort((a, b) => a - b)).toEqual(Array.from({ length: 14 }, (_, i) => i));
    for (const share of there(frames.at(-1)).shares) {
      expect(share).toBeGreaterThan(0.8);
      expect(share).toBeLessThan(1.02);
    }
  });
});
