import { describe, expect, test } from '@jest/globals';
import { leafOfText } from '@/model/book/leaf-of-text';
import { jointInputs } from '@/db/reads/joint-inputs';
import { computeJoint } from '@/model/joint/joint-result';
import { costOfSlot, slotBases, slotBasis } from '@/model/joint/slotted-nut';
import { LOCK_LAST, lockedIn } from '@/features/bench/lock-words';
import { PURPOSES } from '@/model/joint/tightening';
import { looseOf } from '@/model/order/loose';
import { engineStateOf } from '@/model/engine/engine-rows';
import { jointNamed, rowsNamed, YARD_NOW, yardShop } from '../db/temporary-shop';
import { newKind } from '@/model/joint/fastener-kind';
import { codeOf, fieldOf } from '../core/code-of';

const shop = yardShop();
const MAINS = 'demo-f-joint-mains';
const setting = (original: object = {}, id = MAINS) => {
  const joint = jointNamed(shop, id);
  shop.joints.alter({ ...joint, detail: { ...joint.detail, original: { ...joint.detail.original, ...original } } });
  return jointInputs(shop, jointNamed(shop, id), Date.parse(YARD_NOW));
};
const NUT = { slots: 6, holes: 1, slot_deg: 50, stiffness_N_per_mm: 1.2e5 };

const toTheSlot = (
  inputs: ReturnType<typeof setting>,
  worked: ReturnType<typeof computeJoint>,
  facts: Parameters<typeof costOfSlot>[1],
) => costOfSlot(slotBasis(inputs, worked), facts);

describe('a slotted nut at its figure', () => {
  const inputs = setting();
  const worked = computeJoint(inputs);
  test('goes on to the next slot from the middle of what the figure gives', () => {
    const { turn_deg, further } = toTheSlot(inputs, worked, NUT);
    expect(turn_deg).toBeCloseTo(10, 9);
    expect(further.preload_N - further.gain_N).toBeCloseTo(worked.ladder.band.p50_N, 6);
    // As its own figure gives the middle of the band, so the new torque gives the new clamp load.
    expect(further.torque_Nm).toBeGreaterThan(worked.ladder.target_Nm);
    expect(further.preload_N / worked.ladder.band.p50_N).toBeCloseTo(further.torque_Nm / worked.ladder.target_Nm, 2);
  });
  test('with a slot in the hole it costs nothing', () =>
    expect(toTheSlot(inputs, worked, { ...NUT, slot_deg: 0 })).toMatchObject({ turn_deg: 0, further: { gain_N: 0 } }));
  test('of a known grade says its share of yield, and is told where the limit does not allow it', () => {
    const graded = setting({ grade: 'iso-8.8-to-16-mm' });
    const stiff = toTheSlot(graded, computeJoint(graded), { ...NUT, slot_deg: 1, stiffness_N_per_mm: 3e5 });
    expect(stiff.further.notes.map(({ code }) => code)).toEqual(['over-yield']);
    expect(toTheSlot(graded, computeJoint(graded), { ...NUT, slot_deg: 59 }).further.utilisation).toBeLessThan(0.9);
  });
  test('of a joint that ends by an angle is not reckoned: no figure tells what it holds', () => {
    const printedText = '30 lb. ft. + 90°';
    const leaf = {
      ...inputs.leaf,
      printedText,
      ...leafOfText({ kind: 'torque', printedText, conditionText: null, readingIndex: 0 }),
    };
    expect(codeOf(() => toTheSlot({ ...inputs, leaf }, worked, NUT))).toBe('ends-in-turn');
  });
  test('is reckoned for each kind that a pin goes through, and for no other', () => {
    expect(slotBases(setting())).toEqual({});
    const pinned = setting({ locking: 'pin' });
    const { joint } = pinned;
    const small = newKind(joint, 'Small', [0, 1]);
    const plain = {
      ...small,
      detail: { ...small.detail, original: { ...small.detail.original, locking: 'tab' as const } },
    };
    const with2 = (kind: typeof small) => ({
      ...pinned,
      joint: { ...joint, detail: { ...joint.detail, kinds: [kind] } },
      kindLeaves: [{ leaf: pinned.leaf, source: pinned.source }],
    });
    expect(Object.keys(slotBases(with2(small)))).toEqual(['', 'Small']);
    expect(Object.keys(slotBases(with2(plain)))).toEqual(['']);
    expect(slotBases(pinned)['']?.preload_N).toBe(computeJoint(pinned).ladder.band.p50_N);
    // One whose entry is gone keeps nobody from the bench.
    expect(Object.keys(slotBases({ ...with2(small), kindLeaves: [] }))).toEqual(['']);
    setting({ locking: 'none' });
  });
  test('past where the next slot comes is refused', () => {
    const work = () => toTheSlot(inputs, worked, { ...NUT, slot_deg: 60 });
    expect([codeOf(work), fieldOf(work)]).toEqual(['bad-field', 'slot_deg']);
  });
});

test('its pins are on the list of what is loose until they are said to be in', () => {
  setting({ locking: 'pin' }, 'demo-f-joint-head');
  const { joints, order } = engineStateOf(rowsNamed(shop, 'demo-fourteen'));
  const unsaid = order.lines.filter(({ kind }) => kind !== 'tight');
  const words = looseOf(joints, unsaid, order.steps).map((one) => one.words);
  expect(words).toContain('Cylinder head: pins not said to be in');
});

test('what is locked last is said where nuts stay on, and of no round after which they come off', () => {
  for (const purpose of PURPOSES)
    expect(LOCK_LAST[lockedIn(purpose, 'pin')] !== undefined).toBe(purpose === 'final' || purpose === 'retorque');
});
