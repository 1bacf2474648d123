import type { StretchState } from '@/core/fastener';
import { listed } from '@/model/listed';
import type { BoltSet } from './bolt-set';
import type { BoltSetState, BoltState } from './bolt-state';

/** A bolt that is not as it is to be, in a few words. */
export interface OpenBolt {
  readonly bolt: number;
  readonly words: string;
  /** Why is found out before anything goes on, or it is scrap. */
  readonly stops: boolean;
}

/** What was done to the joint of a set. */
export interface PulledSince {
  /** Whether its fasteners are being pulled for good, or were. */
  readonly isPulled: boolean;
  /** When they were last pulled anew, or opened up; empty where they never were. What was read before is no more so. */
  readonly from: string;
}

/** Where a bolt stands by its stretch, in a few words, as its tag and its record say it. */
export const STRETCH_SAID: Readonly<Record<StretchState, string>> = {
  'free-length-wanted': 'free length not read',
  'to-pull': 'stretch not read',
  short: 'stretch short',
  inside: 'inside',
  over: 'past its stretch',
  'ceiling-without-stretch': 'at its ceiling without the stretch',
  'past-ceiling': 'past its ceiling',
  'stretch-without-torque': 'its stretch without the torque',
  grown: 'has grown',
};

const STOPS: ReadonlySet<StretchState> = new Set([
  'over',
  'ceiling-without-stretch',
  'past-ceiling',
  'stretch-without-torque',
  'grown',
]);

const isOfBefore = ({ tight }: BoltState, { from }: PulledSince): boolean => tight !== undefined && tight.at < from;

function openBolt(one: BoltState, since: PulledSince): OpenBolt | undefined {
  const { bolt, verdict } = one;
  const { state } = verdict;
  if (state !== 'grown' && isOfBefore(one, since))
    return { bolt, words: 'stretch not read since it was pulled again', stops: false };
  return state === 'inside' ? undefined : { bolt, words: STRETCH_SAID[state], stops: STOPS.has(state) };
}

/**
 * Bolts of a set that are not inside their stretch. Of a set that nobody has begun to pull only those that are scrap:
 * its joint says itself that it is to be tightened.
 */
export function openBolts({ bolts }: BoltSetState, since: PulledSince): readonly OpenBolt[] {
  const isBegun = since.isPulled || bolts.some((one) => one.tight !== undefined && !isOfBefore(one, since));
  return bolts.flatMap((one) => {
    const open = openBolt(one, since);
    return open && (isBegun || one.verdict.state === 'grown') ? [open] : [];
  });
}

/** `2 and 4 stretch short; 3 has grown`; without numbers where it is said of every bolt of the set. */
export function openBoltsWords(open: readonly OpenBolt[], { bolts }: Pick<BoltSet, 'bolts'>): string {
  const saidOnce = [...new Set(open.map(({ words }) => words))];
  return saidOnce
    .map((words) => {
      const of = open.filter((one) => one.words === words).map(({ bolt }) => `${bolt}`);
      return of.length === bolts && bolts > 1 ? words : `${listed(of)} ${words}`;
    })
    .join('; ');
}

/** `Rod bolts: 3 stretch short`; `Big ends, Rod bolts: 3 stretch short` of a set not called as its joint. */
export function openSetWords(
  { name: jointName }: { readonly name: string },
  { set, open }: { readonly set: BoltSet; readonly open: readonly OpenBolt[] },
): string {
  const isOfJoint = set.name === jointName || set.name.startsWith(`${jointName}, `);
  return `${isOfJoint ? set.name : `${jointName}, ${set.name}`}: ${openBoltsWords(open, set)}`;
}
