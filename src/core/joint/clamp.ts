import type { Thread } from '@/core/thread';
import { assertFinite, assertPositive, wrongInput } from '@/core/units';
import { assertTurned, liftArm, threadArm, tighteningArm, type TurnedFastener } from './tightening-arm';

export const N_MM_PER_N_M = 1000;

export interface TighteningStress {
  readonly stress_MPa: number;
  readonly equivalent_MPa: number;
}

export interface Clamp extends TighteningStress {
  readonly preload_N: number;
  /** T/(F·d): reported, never used. */
  readonly K: number;
}

/**
 * Stress while tightening: tension over As with the torsion that thread friction, lift and a locking nut leave in the
 * shank.
 * σ = F/As; τ = 12·(MG + Tp)/(π·d0³), d0 = (d2 + d3)/2; equivalent = √(σ² + 3τ²)
 * A shank thinner than d0 carries it instead: σ = F/(π/4·dT²), τ with dT.
 * @source VDI 2230
 */
export function tighteningStress(fastener: TurnedFastener, preload_N: number, shank_mm = Infinity): TighteningStress {
  const { thread, muThread, prevailing_Nm = 0 } = fastener;
  const threadCore = (thread.pitchDiameter_mm + thread.minorDiameter_mm) / 2;
  const waisted = shank_mm < threadCore;
  const d0 = waisted ? shank_mm : threadCore;
  const twist_Nmm = preload_N * (liftArm(thread) + muThread * threadArm(thread)) + prevailing_Nm * N_MM_PER_N_M;
  const stress_MPa = preload_N / (waisted ? (Math.PI / 4) * shank_mm ** 2 : thread.stressArea_mm2);
  const shear_MPa = (12 * twist_Nmm) / (Math.PI * d0 ** 3);
  return { stress_MPa, equivalent_MPa: Math.sqrt(stress_MPa ** 2 + 3 * shear_MPa ** 2) };
}

const nutFactor = (torque_Nm: number, preload_N: number, thread: Thread) =>
  (torque_Nm * N_MM_PER_N_M) / (preload_N * thread.major_mm);

/** @throws DomainError bad-field where the torque does not even overcome the locking nut */
export function assertAbovePrevailing(torque_Nm: number, prevailing_Nm: number | undefined, field: string): void {
  assertFinite(torque_Nm, field);
  if (!(torque_Nm > (prevailing_Nm ?? 0)))
    throw wrongInput(
      field,
      `must be above ${prevailing_Nm ? `the prevailing torque of ${prevailing_Nm} N·m` : '0'}, got ${torque_Nm}.`,
    );
}

/** Preload in N from a torque in N·m: F = (T − Tp)/c, without the checks. */
export const preloadOf = (fastener: TurnedFastener, torque_Nm: number): number =>
  ((torque_Nm - (fastener.prevailing_Nm ?? 0)) * N_MM_PER_N_M) / tighteningArm(fastener);

/** Torque in N·m for a preload in N: T = F·c + Tp, without the checks. */
export const torqueOf = (fastener: TurnedFastener, preload_N: number): number =>
  (preload_N * tighteningArm(fastener)) / N_MM_PER_N_M + (fastener.prevailing_Nm ?? 0);

/**
 * The clamp load that a torque gives.
 * T = F·[P/2π + μt·d2/(2 cos β) + μh·Dm/2] + Tp, solved for F
 * @source VDI 2230
 * @throws DomainError bad-field
 */
export function clamp(fastener: TurnedFastener, torque_Nm: number): Clamp {
  assertTurned(fastener);
  assertAbovePrevailing(torque_Nm, fastener.prevailing_Nm, 'torque_Nm');
  const preload_N = preloadOf(fastener, torque_Nm);
  return { preload_N, K: nutFactor(torque_Nm, preload_N, fastener.thread), ...tighteningStress(fastener, preload_N) };
}

/**
 * The torque that gives a clamp load: the inverse of `clamp`.
 * @throws DomainError bad-field
 */
export function torqueFor(
  fastener: TurnedFastener,
  preload_N: number,
): { readonly torque_Nm: number; readonly K: number } {
  assertTurned(fastener);
  assertPositive(preload_N, 'preload_N');
  const torque_Nm = torqueOf(fastener, preload_N);
  return { torque_Nm, K: nutFactor(torque_Nm, preload_N, fastener.thread) };
}
