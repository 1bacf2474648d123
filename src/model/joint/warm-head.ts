import { allowedOver, coldWithin, type HeadMetal } from '@/core/heat';
import type { Ladder } from '@/core/joint';
import { threadNamed } from '@/core/thread';
import { EXPANSIONS_UM_PER_MK } from '@/core/units';
import { boltStiffness } from './bolt-stiffness';
import { todayFacts } from './joint-ladder';
import type { JointInputs } from './joint-inputs';

/** What of its clamp load a joint's head may cost by being warmer than the air; not known where no grip was given. */
export type WarmHead =
  | {
      readonly is: 'known';
      /** Within so many kelvins of the air its head counts as cold. */
      readonly counts_K: number;
      /** Share of the clamp load that it may be wrong by there. */
      readonly share: number;
      /** Where it may be wrong by two in a hundred. */
      readonly within_K: number;
    }
  | { readonly is: 'unknown' };

/** Where nobody read the air, °C. */
export const USUAL_AIR_C = 20;

/** So much of the clamp load a head may cost by not being cold. */
export const COLD_LOSS = 0.02;

/** Share of the clamp load that a head so many kelvins above the air may cost: in proportion. */
export const lostByWarmth = ({ within_K }: { readonly within_K: number }, over_K: number): number =>
  (COLD_LOSS * over_K) / within_K;

/** A head that shrinks more than its studs, as a sentence of it begins; undefined of one that is known not to. */
const SHRINKING: Readonly<Record<HeadMetal, string | undefined>> = {
  unsaid: 'A head of which nobody said the metal may be of aluminium: one',
  aluminium: 'An aluminium head',
  iron: undefined,
};
export const shrinkingHead = (metal: HeadMetal): string | undefined => SHRINKING[metal];

/**
 * By the fastener alone, as if nothing else gave: it costs this much at most. Steel in what is clamped, all of it of the
 * head's metal; where that is not said, of aluminium, which grows the most.
 */
export function warmHeadOf(
  setting: JointInputs,
  { ladder }: { readonly ladder: Pick<Ladder, 'band'> },
  headMetal: HeadMetal,
): WarmHead {
  const length_mm = setting.joint.detail.parent.grip_mm;
  const preload_N = ladder.band.p50_N;
  if (length_mm === null || !(preload_N > 0)) return { is: 'unknown' };
  const { stressArea_mm2, major_mm } = threadNamed(todayFacts(setting).thread);
  const { within_K } = coldWithin({
    preload_N,
    stiffness_N_per_mm: boltStiffness(stressArea_mm2, length_mm, major_mm),
    length_mm,
    head_um_per_mK: EXPANSIONS_UM_PER_MK[headMetal === 'iron' ? 'cast iron' : 'aluminium'],
    stud_um_per_mK: EXPANSIONS_UM_PER_MK.steel,
    loss: COLD_LOSS,
  });
  const counts_K = allowedOver(headMetal, setting.joint.detail.cold ?? undefined);
  return { is: 'known', counts_K, share: lostByWarmth({ within_K }, counts_K), within_K };
}
