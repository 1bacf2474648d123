import { describe, expect, test } from '@jest/globals';
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
    const own = there(works).map.frames;
    there(frames.at(-1)).shares.forEach((share, place) =>
      expect(share).toBeCloseTo((there(own.at(-1)).forces_N[place] ?? 0) / there(works).map.target_N, 6),
    );
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
