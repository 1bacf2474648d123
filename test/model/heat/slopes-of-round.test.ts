import { describe, expect, test } from '@jest/globals';
import { roundState, type BenchEvent } from '@/core/tightening';
import { jointInputs } from '@/db/reads/joint-inputs';
import { slopesSeen } from '@/model/heat/slopes-of-round';
import { askedAt } from '@/model/joint/pull-reading';
import { planOfJoint } from '@/model/joint/round-plan';
import { jointNamed, YARD_NOW, yardShop } from '../../db/temporary-shop';

const shop = yardShop();
const head = jointNamed(shop, 'demo-f-joint-head');
const own = planOfJoint(jointInputs(shop, head, Date.parse(YARD_NOW)));
const lastOf = ({ steps }: Pick<typeof own, 'steps'>) =>
  steps.reduce((most, step) => (step.kind === 'pull' ? Math.max(most, step.stage) : most), 0);
const plan = own;

/** A round in which every nut is read at each pass, and turns by so many degrees in the last. */
interface Part {
  readonly reads?: boolean;
  readonly outcome?: 'went-over';
  /** The plan that was gone round by, and the pass in which the turn was read. */
  readonly by?: typeof plan;
  readonly at?: number;
}

function round(turned: (place: number) => number | undefined, part: Part = {}) {
  const { by: plan = own, at: last = lastOf(own) } = part;
  const events = plan.steps.flatMap((step, i): readonly (BenchEvent & { readonly recordedAt: string })[] => {
    if (step.kind !== 'pull') return [];
    const turned_deg = step.stage === last ? turned(step.position) : undefined;
    return [
      {
        id: `p-${i}`,
        kind: 'pull',
        step: i,
        outcome: (step.stage === last && part.outcome) || 'pulled',
        at: YARD_NOW,
        recordedAt: YARD_NOW,
        ...(part.reads !== false && { read_Nm: askedAt(plan, step).asked_Nm }),
        ...(turned_deg !== undefined && { turned_deg }),
      },
    ];
  });
  const tightening = { id: 'round', jointId: head.id, purpose: 'final' as const, plan, startedAt: YARD_NOW };
  return { tightening, events, state: roundState(plan.steps, events, plan.positions.length) };
}

const pulls = plan.steps.flatMap((step) => (step.kind === 'pull' && step.position === 0 ? [step] : []));
const [before, after] = [pulls.at(-2)?.torque_Nm ?? 0, pulls.at(-1)?.torque_Nm ?? 0];

describe('a joint’s own slope from its last pass', () => {
  test('is the torque that was added over the angle it turned, of the nut in the middle', () => {
    const seen = slopesSeen({ joint: head, final: round((place) => 20 + place) })[''];
    const count = plan.positions.length;
    expect(seen?.nuts).toBe(count);
    expect(seen?.reading.from_Nm).toBeCloseTo(before, 2);
    expect(seen?.reading.to_Nm).toBeCloseTo(after, 2);
    expect(seen?.high).toBeCloseTo((after - before) / 20, 3);
    expect(seen?.low).toBeCloseTo((after - before) / (19 + count), 3);
    // The flattest are those that turned furthest.
    expect(seen?.reading.turned_deg).toBe(20 + count - 1 - Math.floor((count - 1) / 2));
  });

  test('is read of those alone that have both; a nut that turned by nothing, or went over, tells none', () => {
    expect(slopesSeen({ joint: head, final: round((place) => (place === 1 ? 24 : undefined)) })['']).toMatchObject({
      nuts: 1,
      reading: { turned_deg: 24 },
    });
    expect(slopesSeen({ joint: head, final: round(() => 0) })).toEqual({});
    expect(slopesSeen({ joint: head, final: round(() => undefined) })).toEqual({});
    expect(slopesSeen({ joint: head, final: round(() => 24, { reads: false }) })).toEqual({});
    expect(slopesSeen({ joint: head, final: round(() => 24, { outcome: 'went-over' }) })).toEqual({});
    expect(slopesSeen({ joint: head })).toEqual({});
  });

  test('of a kind goes by what is in that kind now; of one that is no more there is none', () => {
    const kind = { name: 'long', places: [0], fields: { ...head }, detail: { ...head.detail, kinds: [] } };
    const ofKind = { ...plan, name: 'long', places: [0] };
    const made = round(() => 24);
    const final = {
      ...made,
      tightening: { ...made.tightening, plan: { ...plan, kinds: [ofKind] } },
    } as unknown as typeof made;
    const withKinds = (kinds: readonly unknown[]) =>
      ({ ...head, detail: { ...head.detail, kinds } }) as unknown as typeof head;
    expect(slopesSeen({ joint: withKinds([kind]), final }).long).toMatchObject({ nuts: 1 });
    expect(slopesSeen({ joint: withKinds([]), final })).not.toHaveProperty('long');
    const other = {
      ...kind,
      fields: { ...kind.fields, todayFilm: head.todayFilm === 'dry-bare' ? 'oil' : 'dry-bare' },
    };
    expect(slopesSeen({ joint: withKinds([other]), final })).not.toHaveProperty('long');
  });

  test('is none of what is in it by now, where that is another lubricant', () => {
    const other = { ...head, todayFilm: head.todayFilm === 'dry-bare' ? 'engine-oil' : 'dry-bare' };
    expect(slopesSeen({ joint: other, final: round(() => 24) })).toEqual({});
  });

  /** A pass more, at so many times the torque of the last. */
  const further = (times: number, turn?: { deg: number; tolerance_deg: number }) => ({
    ...own,
    steps: [
      ...own.steps,
      ...own.steps.flatMap((step) =>
        step.kind === 'pull' && step.stage === lastOf(own)
          ? [{ ...step, stage: step.stage + 1, torque_Nm: step.torque_Nm * times, ...(turn && { turn }) }]
          : [],
      ),
    ] as typeof own.steps,
  });
  const seenAt = (by: typeof own, at: number) =>
    slopesSeen({ joint: head, final: round(() => 24, { by, at }) })['']?.reading;

  test('is read where the torque rose by a tenth at the least: a pass that goes over it once more tells nothing', () => {
    const again = further(1);
    expect(seenAt(again, lastOf(own))?.to_Nm).toBeCloseTo(after, 2);
    expect(seenAt(again, lastOf(again))).toBeUndefined();
    const hardly = further(1.09);
    expect(seenAt(hardly, lastOf(own))?.to_Nm).toBeCloseTo(after, 2);
    expect(seenAt(hardly, lastOf(hardly))).toBeUndefined();
    const more = further(1.1);
    expect(seenAt(more, lastOf(own))).toBeUndefined();
    expect(seenAt(more, lastOf(more))?.from_Nm).toBeCloseTo(after, 2);
  });

  test('is of passes that end by a torque: one that is turned by an angle is none', () => {
    const turned = further(1.5, { deg: 90, tolerance_deg: 5 });
    expect(seenAt(turned, lastOf(own))?.to_Nm).toBeCloseTo(after, 2);
    expect(seenAt(turned, lastOf(turned))).toBeUndefined();
  });

  test('of a plan of one pass there is none', () => {
    const once = { ...own, steps: own.steps.filter((step) => step.kind === 'pull' && step.stage === lastOf(own)) };
    expect(seenAt(once, lastOf(own))).toBeUndefined();
  });
});
