import { turnsOfLeaf } from '@/model/book/leaf-figure';
import { turnFurther, type TurnFurther } from '@/core/joint';
import { nextSlot } from '@/core/tightening';
import { DomainError } from '@/core/units';
import { inItsThread, todayFacts } from './joint-ladder';
import type { JointInputs } from './joint-inputs';
import type { JointResult } from './joint-result';

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

/**
 * What it costs to turn a nut of a joint on from its final figure until a slot meets a hole, at the middle of what the
 * figure gives.
 * @throws DomainError bad-field; ends-in-turn where the page ends by an angle
 */
export function toTheSlot(
  setting: JointInputs,
  { ladder: { band, friction, prevailing_Nm } }: Pick<JointResult, 'ladder'>,
  { stiffness_N_per_mm, ...slots }: SlotFacts,
): ToTheSlot {
  if (turnsOfLeaf(setting.leaf).length > 0)
    throw new DomainError(
      'ends-in-turn',
      'This joint ends by an angle: what it holds then no figure tells, and so not what a slot further would cost.',
      'leafId',
    );
  const { turn_deg } = nextSlot(slots);
  const { thread, bearing, yield_MPa } = inItsThread(todayFacts(setting), setting);
  const further = turnFurther({
    thread,
    bearing,
    muThread: friction.thread.middle,
    muHead: friction.head.middle,
    prevailing_Nm,
    ...(yield_MPa !== undefined && { yield_MPa }),
    preload_N: band.p50_N,
    stiffness_N_per_mm,
    angle_deg: turn_deg,
  });
  return { turn_deg, further };
}
