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

export interface Follow {
  readonly what: (typeof FOLLOWING)[number];
  /** As it stands on the list of what is open. */
  readonly words: string;
  readonly state: 'unsaid' | 'open' | 'done';
  /** By this it is ended, while it is open. */
  readonly key?: string;
}

/** What follows the last time that a joint was gone over; undefined where it never was. */
export function followsOf(
  { joint, tightenings }: Pick<JointState, 'joint' | 'tightenings'>,
  lines: readonly BuildLine[],
): readonly Follow[] | undefined {
  const last = tightenings.findLast(({ tightening, state }) => tightening.purpose === 'retorque' && state.complete);
  const since = last?.events.at(-1)?.recordedAt;
  if (since === undefined) return undefined;
  const ended = new Set(lines.flatMap((line) => (line.kind === 'tight' ? [line.body.of] : [])));
  return FOLLOWING.map((what): Follow => {
    const words = `After ${joint.name}: ${what}`;
    const said = lines.findLast(
      (line) => line.kind === 'loose' && line.body.words === words && writtenAt(line) >= since,
    );
    if (!said) return { what, words, state: 'unsaid' };
    return ended.has(said.id) ? { what, words, state: 'done' } : { what, words, state: 'open', key: said.id };
  });
}
