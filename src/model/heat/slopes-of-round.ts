import { slopeRead, type SlopeReading } from '@/core/heat';
import type { PullStep } from '@/core/tightening';
import { jointOfKind } from '@/model/joint/fastener-kind';
import { slopedOf } from '@/model/joint/sheet-changes';
import type { JointState, TighteningState } from '@/model/joint/joint-state';
import { askedAt } from '@/model/joint/pull-reading';
import { figureAt, kindAt } from '@/model/joint/tightening-plan';
import { tryCore } from '@/model/try-core';
import { isOfOther } from './settled';

/** What the last pass shows of a joint's own slope, from a wrench that reads torque and angle. */
export interface SlopeSeen {
  /** Of the nut in the middle. */
  readonly reading: SlopeReading;
  readonly nuts: number;
  /** Of all of them, N·m a degree. */
  readonly low: number;
  readonly high: number;
}

/** A pass that raises the torque by less tells the friction's scatter, not the slope. */
const LEAST_RISE = 0.1;

/**
 * From the torque that a nut was brought to before, to the one that was read, over the angle that it turned between:
 * read in the wrench's own figures, and told at the fastener.
 */
function slopeAt({ tightening: { plan }, state: { done } }: TighteningState, place: number): SlopeReading | undefined {
  const own = plan.steps.flatMap((step, at) =>
    step.kind === 'pull' && step.position === place && !step.turn ? [{ step, at }] : [],
  );
  const last = own.findLastIndex(({ step }, i) => {
    const before = own[i - 1]?.step.torque_Nm;
    return before !== undefined && step.torque_Nm >= before * (1 + LEAST_RISE);
  });
  const [before, after] = [own[last - 1], own[last]];
  if (!before || !after) return undefined;
  const atFastener = (step: PullStep, read_Nm: number) =>
    Number(((read_Nm * step.torque_Nm) / askedAt(plan, step).asked_Nm).toFixed(3));
  const pulledAt = (at: number) =>
    done.find((event) => event.kind === 'pull' && event.step === at && event.outcome === 'pulled');
  const [first, second] = [pulledAt(before.at), pulledAt(after.at)];
  if (second?.kind !== 'pull' || second.read_Nm === undefined || !second.turned_deg) return undefined;
  const read_Nm = first?.kind === 'pull' ? first.read_Nm : undefined;
  const reading = {
    from_Nm: read_Nm === undefined ? before.step.torque_Nm : atFastener(before.step, read_Nm),
    to_Nm: atFastener(after.step, second.read_Nm),
    turned_deg: second.turned_deg,
  };
  return tryCore(() => slopeRead(reading)).ok ? reading : undefined;
}

/** What the last round for good shows of the slope of each kind, by its name; the joint's own under ''. */
export function slopesSeen({ joint, final }: Pick<JointState, 'joint' | 'final'>): Readonly<Record<string, SlopeSeen>> {
  if (!final) return {};
  const { plan } = final.tightening;
  const inItNow = new Map([
    ['', slopedOf(joint)],
    ...joint.detail.kinds.map((kind) => [kind.name, slopedOf(jointOfKind(joint, kind))] as const),
  ]);
  const byKind = new Map<string, SlopeReading[]>();
  plan.positions.forEach((_, place) => {
    const reading = slopeAt(final, place);
    const name = kindAt(plan, place)?.name ?? '';
    const of = inItNow.get(name);
    // What is in it by now is another slope; a kind that is no more has none.
    if (reading && of && !isOfOther({ of }, figureAt(plan, place)))
      byKind.set(name, [...(byKind.get(name) ?? []), reading]);
  });
  return Object.fromEntries(
    [...byKind].map(([name, readings]) => {
      const sorted = [...readings].sort((a, b) => slopeRead(a) - slopeRead(b));
      const at = (i: number) => sorted[i] as SlopeReading;
      const reading = at(Math.floor((sorted.length - 1) / 2));
      return [
        name,
        { reading, nuts: sorted.length, low: slopeRead(at(0)), high: slopeRead(at(sorted.length - 1)) },
      ] as const;
    }),
  );
}
