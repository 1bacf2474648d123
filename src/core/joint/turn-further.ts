import { DomainError, assertFinite, assertPositive, type Note } from '@/core/units';
import { torqueOf } from './clamp';
import { assertFastener, loadAt, notesFor, type CorrectedFastener, type Load } from './correct';

export interface TurnFurtherInput extends CorrectedFastener {
  readonly preload_N: number;
  /** Of fastener and joint together, as the nut feels it. */
  readonly stiffness_N_per_mm: number;
  readonly angle_deg: number;
}

export interface TurnFurther extends Load {
  readonly gain_N: number;
  readonly preload_N: number;
  readonly torque_Nm: number;
  readonly notes: readonly Note[];
}

/**
 * What turning a nut on by an angle costs, as long as everything gives elastically: to the next slot, or as printed.
 * ΔF = k·P·φ/360
 * @throws DomainError bad-field; of a negative angle too: a nut is never turned back to a hole
 */
export function turnFurther(input: TurnFurtherInput): TurnFurther {
  const { preload_N: before_N, stiffness_N_per_mm, angle_deg, thread } = input;
  assertFastener(input);
  assertPositive(before_N, 'preload_N');
  assertPositive(stiffness_N_per_mm, 'stiffness_N_per_mm');
  assertFinite(angle_deg, 'angle_deg');
  if (angle_deg < 0)
    throw new DomainError(
      'bad-field',
      'A nut is never turned back to a hole: the angle must not be below 0.',
      'angle_deg',
    );
  const gain_N = (stiffness_N_per_mm * thread.pitch_mm * angle_deg) / 360;
  const preload_N = before_N + gain_N;
  const load = loadAt(input, preload_N);
  return { gain_N, preload_N, torque_Nm: torqueOf(input, preload_N), ...load, notes: notesFor(load) };
}
