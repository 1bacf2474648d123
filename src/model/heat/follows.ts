import type { JointState } from '@/model/joint/joint-state';
import { writtenAt, type BuildLine } from '@/model/order/build-line';

/** What is usually looked at after a head was gone over again. A shop takes of it what its engine has. */
export const FOLLOWING = [
  'valve clearances, before and after, cold or hot as the page says',
  'manifold nuts',
  'rocker gear and its oil feed',
  'coolant: its level, and leaks',
  'oil changed after the first miles',
] as const;

/** Something that may stand on the list of what is open. */
export interface OpenLine {
  /** As it stands there. */
  readonly words: string;
  readonly state: 'unsaid' | 'open' | 'done';
  /** By this it is ended, while it is open. */
  readonly key?: string;
  /** What came of it, where somebody said so. */
  readonly outcome?: string;
}

export interface Follow extends OpenLine {
  readonly what: string;
}

/** Where something stands by the list of what is open, as far as it was said since an hour. */
export function openLineOf(words: string, lines: readonly BuildLine[], since: string): OpenLine {
  const said = lines.findLast((line) => line.kind === 'loose' && line.body.words === words && writtenAt(line) >= since);
  if (!said) return { words, state: 'unsaid' };
  const ended = lines.find((line) => line.kind === 'tight' && line.body.of === said.id);
  if (ended?.kind !== 'tight') return { words, state: 'open', key: said.id };
  return { words, state: 'done', ...(ended.body.words && { outcome: ended.body.words }) };
}

/** What follows the last time that a joint was gone over; undefined where it never was. */
export function followsOf(
  { joint, tightenings }: Pick<JointState, 'joint' | 'tightenings'>,
  lines: readonly BuildLine[],
): readonly Follow[] | undefined {
  const last = tightenings.findLast(({ tightening, state }) => tightening.purpose === 'retorque' && state.complete);
  const since = last?.events.at(-1)?.recordedAt;
  if (since === undefined) return undefined;
  return (joint.detail.follows ?? FOLLOWING).map((what): Follow => ({
    what,
    ...openLineOf(`After ${joint.name}: ${what}`, lines, since),
  }));
}
