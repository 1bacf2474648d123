import type { JointState } from '@/model/engine/engine-state';
import { agoFrom, nearTime } from '../figures/times';
import { lineOf } from './bench-words';

/** What is said of a joint's going-round: done, under way, or not begun. */
export function tighteningLine({ final }: JointState, now: number): string {
  if (!final) return 'Not begun.';
  const { state: at, tightening } = final;
  if (at.complete) return `Tight since ${nearTime(at.last?.at ?? tightening.startedAt, now)}.`;
  if (!at.last) return 'Begun; nothing pulled yet.';
  return `${at.next} of ${tightening.plan.steps.length} steps done. Last: ${lineOf(tightening.plan, at.last)}, ${agoFrom(at.last.at, now)}.`;
}

/** What is said of a joint's retorque. */
export function retorqueLine({ retorque, openRetorque }: JointState, now: number): string {
  if (openRetorque) return 'Its retorque is under way.';
  switch (retorque.state) {
    case 'not-asked':
      return 'No retorque asked for.';
    case 'waits-for-tightening':
      return 'Retorque after the first heat.';
    case 'waits-for-heat':
      return 'Retorque waits for the first heat cycle.';
    case 'cooling':
      return `Retorque when cold: from ${nearTime(retorque.window.from, now)}, by ${nearTime(retorque.window.by, now)}.`;
    case 'open':
      return 'Cold: the retorque can be done now.';
    case 'done':
      return 'Retorque done.';
  }
}
