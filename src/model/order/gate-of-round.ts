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

/** A bolt that has grown was past its yield: it is scrap, whatever it is pulled to. */
const grownGuards = ({ joints }: GateState, jointId: string): readonly Guard[] =>
  (joints.find(({ joint }) => joint.id === jointId)?.stretch ?? []).flatMap(({ set, bolts }) =>
    bolts.flatMap(({ bolt, verdict: { state, set_mm = 0 } }): readonly Guard[] =>
      state === 'grown'
        ? [
            {
              code: 'bolt-grown',
              severity: 'stop',
              message: `${set.name}, ${bolt} is ${set_mm.toFixed(3)} mm longer than it came: scrap. Read another in its place.`,
            },
          ]
        : [],
    ),
  );

/**
 * The one gate before going round a joint: the joint's sheet, its start and its retorque all ask here. A test round
 * closes nothing, and has only what holds the crank against it.
 */
export function gateOfRound(state: GateState, jointId: string, purpose: Purpose): RoundGate {
  const gate = gateOf(state.fits, jointId);
  const held = crankHeld(state.order);
  if (purpose !== 'final' && purpose !== 'retorque') return { gate, guards: [], ...(held && { held }) };
  const bars = purpose === 'final' ? barsOfJoint(state, jointId) : barsOfRetorque(state, jointId);
  const guards = [...guardsOfGate(gate), ...guardsOfBars(bars), ...grownGuards(state, jointId)];
  return { gate, guards, ...(held && { held }) };
}
