import type { Friction } from '@/core/film';
import { strip } from '@/core/fastener';
import { assertPositive, assertPositiveUpTo } from '@/core/units';
import { clampBand } from './clamp-band';
import { tighteningStress, torqueFor } from './clamp';
import type { TurnedFastener } from './tightening-arm';

/** The share of proof load that a joint is tightened to where no manual mentions it. */
export const USUAL_PROOF_SHARE = 0.75;

export interface StandardTorque {
  readonly torque_Nm: number;
  readonly preload_N: number;
}

/**
 * The figure for a joint that no page mentions: F = fraction · Sp · As, then the torque for that preload.
 * Proof stress in MPa.
 * @throws DomainError bad-field
 */
export function standardTorque(
  fastener: TurnedFastener,
  proof_MPa: number,
  fraction = USUAL_PROOF_SHARE,
): StandardTorque {
  assertPositive(proof_MPa, 'proof_MPa');
  assertPositiveUpTo(fraction, 1, 'fraction');
  const preload_N = fraction * proof_MPa * fastener.thread.stressArea_mm2;
  return { torque_Nm: torqueFor(fastener, preload_N).torque_Nm, preload_N };
}

export interface StandardFigure extends StandardTorque {
  /** What set the clamp load: the bolt's proof load, the thread in the parent, or the bolt where the film slips most. */
  readonly limitedBy: 'proof' | 'parent' | 'slippery';
}

// The computed strip load is taken at nine tenths, and one pitch of lead-in is left out.
const PARENT_SHARE = 0.9;

/** What the bolt has to stand at the 95th percentile of its clamp load. */
export interface SlipperyEnd {
  readonly yield_MPa: number;
  readonly muThread: Friction;
  readonly muHead: Friction;
}

const MOST_OF_YIELD = 0.9;
const WRENCH_PCT = 4;

/** The share of a torque that keeps the bolt under nine tenths of its yield at the 95th percentile. */
function shareUnder(fastener: TurnedFastener, torque_Nm: number, { yield_MPa, muThread, muHead }: SlipperyEnd): number {
  const { p95_N } = clampBand({ ...fastener, torque_Nm, muThread, muHead, wrenchAccuracy_pct: WRENCH_PCT });
  const slippery = { ...fastener, muThread: muThread.low, muHead: muHead.low };
  return Math.min(1, (MOST_OF_YIELD * yield_MPa) / tighteningStress(slippery, p95_N).equivalent_MPa);
}

/** Held back where it would load the bolt too far at the slippery end; a plain nut, whose stress goes with its torque. */
function heldBack(figure: StandardFigure, fastener: TurnedFastener, slippery: SlipperyEnd | undefined): StandardFigure {
  const share = slippery ? shareUnder(fastener, figure.torque_Nm, slippery) : 1;
  if (share === 1) return figure;
  return { torque_Nm: figure.torque_Nm * share, preload_N: figure.preload_N * share, limitedBy: 'slippery' };
}

/**
 * The standard figure where the parent's thread is known too: the same share of its strip load is never passed.
 * @throws DomainError bad-field
 */
export function standardFigure(
  fastener: TurnedFastener,
  proof_MPa: number,
  parent?: { readonly engagement_mm: number; readonly shear_MPa: number },
  fraction = USUAL_PROOF_SHARE,
  slippery?: SlipperyEnd,
): StandardFigure {
  const byProof = standardTorque(fastener, proof_MPa, fraction);
  if (!parent) return heldBack({ ...byProof, limitedBy: 'proof' }, fastener, slippery);
  const full = Math.max(parent.engagement_mm - fastener.thread.pitch_mm, Number.EPSILON);
  const most = fraction * PARENT_SHARE * strip(fastener.thread, full, parent.shear_MPa).strip_N;
  const figure: StandardFigure =
    byProof.preload_N <= most
      ? { ...byProof, limitedBy: 'proof' }
      : { torque_Nm: torqueFor(fastener, most).torque_Nm, preload_N: most, limitedBy: 'parent' };
  return heldBack(figure, fastener, slippery);
}
