import type { EngineStanding, JointStanding } from '@/db/engine-standing';
import type { Step } from '@/core/tightening';
import { nearTime } from '@/interface/figures/times';
import type { EngineTag } from '@/interface/shell/rail';

type Waiting = Pick<EngineTag, 'waitsFor' | 'state'>;

const place = (step: Step | undefined): string => {
  if (!step) return '';
  return step.kind === 'shaft' ? 'turn the shaft' : `fastener ${step.position + 1}, stage ${step.stage + 1}`;
};

/** What one joint waits for; the lower the rank, the sooner it is said. */
function jointWaits({ joint, final, openRetorque, retorque }: JointStanding, now: number): (Waiting & { rank: number }) | undefined {
  if (openRetorque) return { rank: 0, state: 'ready', waitsFor: `${joint.name}: retorque under way` };
  if (retorque.state === 'open') return { rank: 1, state: 'ready', waitsFor: `${joint.name}: go over again now` };
  if (final && !final.standing.complete && final.standing.next > 0)
    return { rank: 2, state: 'ready', waitsFor: `${joint.name}: ${place(final.tightening.plan.steps[final.standing.next])}` };
  if (retorque.state === 'cooling') return { rank: 3, state: 'waiting', waitsFor: `${joint.name} cold about ${nearTime(retorque.window.from, now)}` };
  if (retorque.state === 'waits-for-heat') return { rank: 5, state: 'rest', waitsFor: `${joint.name}: first heat cycle` };
  if (!final?.standing.complete) return { rank: 4, state: 'rest', waitsFor: `${joint.name}: to tighten` };
  return undefined;
}

/** The one line on an engine's tag. */
export function waitsFor({ joints, leaves }: EngineStanding, now: number): Waiting {
  if (leaves === 0) return { waitsFor: 'a first leaf from its book', state: 'rest' };
  if (joints.length === 0) return { waitsFor: 'a first joint', state: 'rest' };
  const waits = joints.flatMap((joint) => jointWaits(joint, now) ?? []).sort((a, b) => a.rank - b.rank);
  return waits[0] ?? { waitsFor: 'nothing', state: 'rest' };
}
