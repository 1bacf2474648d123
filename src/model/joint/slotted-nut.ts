import { turnsOfLeaf } from '@/model/book/leaf-figure';
import { turnFurther, type TurnFurther, type TurnFurtherInput } from '@/core/joint';
import { nextSlot } from '@/core/tightening';
import { DomainError } from '@/core/units';
import { inputsByName } from './fastener-kind';
import { inItsThread, todayFacts } from './joint-ladder';
import type { JointInputs } from './joint-inputs';
import { computeJoint, type JointResult } from './joint-result';
import { tryCore } from '../try-core';

export interface SlotFacts {
  readonly slots: number;
  readonly holes: number;
  readonly slot_deg: number;
  /** Of fastener and joint together; of the fastener alone where the joint is taken as stiff. */
  readonly stiffness_N_per_mm: number;
}

export interface ToTheSlot {
  readonly turn_deg: number;
  readonly further: TurnFurther;
}

/** What the cost of a slot is reckoned from: the nut at its final figure, at the middle of what that gives. */
export type SlotBasis = Omit<TurnFurtherInput, 'angle_deg' | 'stiffness_N_per_mm'> & {
  /** As far as it is known; null where somebody has to say it. */
  readonly stiffness_N_per_mm: number | null;
};

/** @throws DomainError ends-in-turn where the page ends by an angle */
export function slotBasis(
  setting: JointInputs,
  { ladder: { band, friction, prevailing_Nm } }: Pick<JointResult, 'ladder'>,
): SlotBasis {
  if (turnsOfLeaf(setting.leaf).length > 0)
    throw new DomainError(
      'ends-in-turn',
      'This joint ends by an angle: what it holds then no figure tells, and so not what a slot further would cost.',
      'leafId',
    );
  const { thread, bearing, yield_MPa } = inItsThread(todayFacts(setting), setting);
  return {
    thread,
    bearing,
    muThread: friction.thread.middle,
    muHead: friction.head.middle,
    prevailing_Nm,
    ...(yield_MPa !== undefined && { yield_MPa }),
    preload_N: band.p50_N,
    stiffness_N_per_mm: setting.joint.detail.clampMap?.boltStiffness_N_per_mm ?? null,
  };
}

/**
 * What it costs to turn a nut on until a slot meets a hole.
 * @throws DomainError bad-field
 */
export function costOfSlot(basis: SlotBasis, { stiffness_N_per_mm, ...slots }: SlotFacts): ToTheSlot {
  const { turn_deg } = nextSlot(slots);
  return { turn_deg, further: turnFurther({ ...basis, stiffness_N_per_mm, angle_deg: turn_deg }) };
}

/**
 * What the cost of a slot is reckoned from, of each kind whose nuts a pin goes through, by its name; the joint's own
 * under ''. One that ends by an angle, or cannot be reckoned, is left out.
 */
export function slotBases(setting: JointInputs): Readonly<Record<string, SlotBasis>> {
  return Object.fromEntries(
    inputsByName(setting).flatMap(({ name, inputs }) => {
      if (todayFacts(inputs).locking !== 'pin') return [];
      const basis = tryCore(() => slotBasis(inputs, computeJoint(inputs)));
      return basis.ok ? [[name, basis.result] as const] : [];
    }),
  );
}
