import type { NextRetorque } from '@/core/heat';
import { nextWords } from '@/model/heat/next-words';
import type { JointState } from '@/model/joint/joint-state';
import { agoFrom, nearTime } from '../figures/times';
import { lineOf, overLine, owedLine } from './bench-words';

/** What is said of a joint's going-round: done, under way, or not begun. */
export function tighteningLine({ final }: JointState, now: number): string {
  if (!final) return 'Not begun.';
  const { state: at, tightening } = final;
  if (at.complete) return `Tight since ${nearTime(at.last?.at ?? tightening.startedAt, now)}.`;
  if (at.over.length > 0 && at.next >= tightening.plan.steps.length) return overLine(tightening.plan, at.over);
  if (at.binds) return `The crank does not turn freely: ${at.binds.words}. Nothing is pulled until it does.`;
  if (!at.last) return 'Begun; nothing pulled yet.';
  if (at.isOwed) return owedLine(tightening.plan, at.owed);
  return `${at.stepsDone} of ${tightening.plan.steps.length} steps done. Last: ${lineOf(tightening.plan, at.last)}, ${agoFrom(at.last.at, now)}.`;
}

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

/** The retorque that comes next by the rule, with its day. */
const nextLine = (next: NextRetorque, now: number): string =>
  `${capital(nextWords(next))}${next.dayAt === undefined || next.isReached || !next.isHot ? '' : `${next.asks.length > 1 ? ', or' : ''} ${now > next.dayAt ? 'since' : 'from'} ${nearTime(next.dayAt, now)}`}.`;

/** What is said of a joint's retorque. */
export function retorqueLine({ joint, retorque, openRetorque }: JointState, now: number): string {
  if (openRetorque) return 'Its retorque is under way.';
  switch (retorque.state) {
    case 'not-asked':
      return 'No retorque asked for.';
    case 'waits-for-tightening':
      return 'Retorque after the first heat.';
    case 'waits-for-heat':
      if (retorque.next) return nextLine(retorque.next, now);
      return retorque.short
        ? `Retorque waits for a heat cycle: the run that stopped ${nearTime(retorque.short.ranTo, now)} reached ${Number(retorque.short.highest_C.toFixed(0))} °C in ${Math.round((retorque.short.ranTo - retorque.short.ranFrom) / 60_000)} min and does not count.`
        : 'Retorque waits for the first heat cycle.';
    case 'waits-for-page':
      return 'Retorque warm: no page says yet how warm. Enter it on the joint’s sheet, under The plan.';
    case 'cooling':
      if (retorque.window.byHours !== undefined)
        return `Retorque when it has stood ${retorque.window.byHours} hours: from ${nearTime(retorque.window.from, now)}.`;
      return `Retorque when cold: from ${nearTime(retorque.window.from, now)}, by ${nearTime(retorque.window.by, now)}.`;
    case 'open':
      return joint.retorqueSchool === 'warm'
        ? 'As warm as the page says: the retorque can be done now.'
        : 'Cold: the retorque can be done now.';
    case 'done': {
      const done = retorque.further
        ? `Retorque done; it ran hot again since${retorque.further.open ? ', and can be gone over once more' : ''}.`
        : 'Retorque done.';
      return retorque.next ? `${done} ${nextLine(retorque.next, now)}` : done;
    }
  }
}
