import type { Locking } from '@/core/joint';
import { openSetWords } from '@/model/bolt/open-bolts';
import type { Joint } from '@/model/joint/joint';
import type { JointState } from '@/model/joint/joint-state';
import { locksOfSheet } from '@/model/joint/locks-of-sheet';
import type { TighteningPlan } from '@/model/joint/tightening-plan';
import { writtenAt, type BuildLine } from './build-line';
import type { StepState } from './step-state';
import { isFinalRound } from './rounds-of-joint';

/** Something that is not at its final state. */
export interface Loose {
  readonly words: string;
  readonly jointId?: string;
  readonly stepId?: string;
  /** Written by hand, or a lock to be said: by this it is ended. */
  readonly key?: string;
}

const LOCK_WORDS: Readonly<Record<string, string>> = {
  tab: 'tabs not said to be bent over',
  wire: 'wire not said to be in',
  pin: 'pins not said to be in',
};

/** The lock of a joint is ended by a line of this name, after its last pull. */
export const lockKey = (jointId: string): string => `lock ${jointId}`;

/**
 * What is to be locked on a joint, its kinds under their names: what it was pulled with, and what its sheet says since.
 * Older plans do not say.
 */
function locksOf(joint: Joint, pulled: TighteningPlan | undefined): readonly string[] {
  const own: readonly { readonly name: string; readonly locking?: Locking }[] = pulled
    ? [{ name: '', locking: pulled.locking }, ...(pulled.kinds ?? [])]
    : [];
  const said = [...own, ...locksOfSheet(joint)].flatMap(({ name, locking = 'none' }) => {
    const words = LOCK_WORDS[locking];
    return words === undefined ? [] : [name ? `${words} (${name})` : words];
  });
  return [...new Set(said)];
}

/** A tab or a wire is done after the last pull; nobody has said so yet. */
function unlocked({ joint, tightenings, final }: JointState, lines: readonly BuildLine[]): Loose | undefined {
  const words = locksOf(joint, final?.tightening.plan).join(', ');
  if (words === '') return undefined;
  const key = lockKey(joint.id);
  const last = tightenings.filter(isFinalRound).flatMap(({ events }) => events.map(({ recordedAt }) => recordedAt));
  const isSaid = lines.some(
    (line) => line.kind === 'tight' && line.body.of === key && last.every((at) => at <= writtenAt(line)),
  );
  return isSaid ? undefined : { words: `${joint.name}: ${words}`, jointId: joint.id, key };
}

/** Bolts of a joint that are not inside their stretch. */
const notStretched = ({ joint, stretch }: JointState): readonly Loose[] =>
  stretch.filter(({ open }) => open.length > 0).map((one) => ({ words: openSetWords(joint, one), jointId: joint.id }));

function ofJoint(state: JointState, lines: readonly BuildLine[]): readonly Loose[] {
  const { joint, final, tightenings, openRetorque } = state;
  const named = (words: string) => ({ words: `${joint.name}: ${words}`, jointId: joint.id });
  if (openRetorque?.state.last !== undefined) return [named('half gone over again')];
  const stretched = notStretched(state);
  if (final?.state.complete) {
    const lock = unlocked(state, lines);
    return [...stretched, ...(lock ? [lock] : [])];
  }
  if (final?.state.last !== undefined) return [named('half pulled'), ...stretched];
  return tightenings.some(({ events }) => events.length > 0) ? [named('only pulled for trial')] : stretched;
}

/** What was written down as loose by hand, and not as tight since. */
function byHand(lines: readonly BuildLine[]): readonly Loose[] {
  const ended = new Set(lines.flatMap((line) => (line.kind === 'tight' ? [line.body.of] : [])));
  return lines.flatMap((line) =>
    line.kind === 'loose' && !ended.has(line.id) ? [{ words: line.body.words, key: line.id }] : [],
  );
}

/** Everything that is loose: joints by themselves, what was fitted for trial, and what was written down by hand. */
export const looseOf = (
  joints: readonly JointState[],
  lines: readonly BuildLine[],
  steps: readonly StepState[],
): readonly Loose[] => [
  ...joints.flatMap((state) => ofJoint(state, lines)),
  ...steps.flatMap(({ step, done }) =>
    done?.isTrial ? [{ words: `${step.name}: fitted for trial`, stepId: step.id }] : [],
  ),
  ...byHand(lines),
];
