import type { Guard } from '@/core/joint';
import { gateOf, guardsOfGate, type Gate } from '@/model/fit/fit-gate';
import type { Purpose } from '@/model/joint/tightening';
import { crankHeld, type CrankHeld } from './crank';
import { barsOfJoint, barsOfRetorque, guardsOfBars, type GateState } from './gate';

/** What fits and order say to going round a joint. */
export interface RoundGate {
  readonly gate: Gate;
  /** What asks for a written reason, or lets nothing pass. */
  readonly guards: readonly Guard[];
  /** The round asks for no turn of the crank. */
  readonly held?: CrankHeld;
}

/**
 * The one gate before going round a joint: the joint's sheet, its start and its retorque all ask here. A test round
 * closes nothing, and has only what holds the crank against it.
 */
export function gateOfRound(state: GateState, jointId: string, purpose: Purpose): RoundGate {
  const gate = gateOf(state.fits, jointId);
  const held = crankHeld(state.order);
  if (purpose !== 'final' && purpose !== 'retorque') return { gate, guards: [], ...(held && { held }) };
  const bars = purpose === 'final' ? barsOfJoint(state, jointId) : barsOfRetorque(state, jointId);
  return { gate, guards: [...guardsOfGate(gate), ...guardsOfBars(bars)], ...(held && { held }) };
}
