import type { Guard } from '@/core/joint';
import type { HousePractice } from '@/model/practice/house-practice';
import type { JointState, TighteningState } from './joint-state';
import { locksItself } from './fastener-facts';
import { PURPOSES, type Purpose } from './tightening';

/** How often the fasteners that are in a joint were pulled: for whatever it was, each time counts. */
export interface Uses {
  readonly count: number;
  readonly purposes: readonly { readonly purpose: Purpose; readonly times: number }[];
  /** When the last round in which they were was begun: new ones that are put in count from there. */
  readonly lastBegun?: string;
}

const isPulled = ({ state }: TighteningState) => state.done.some(({ kind }) => kind === 'pull');

/** Gone over again, what is tight is tight already: that is no further use. */
export function usesOf({ joint, tightenings }: Pick<JointState, 'joint' | 'tightenings'>): Uses {
  const { newAfter } = joint.detail;
  const since = tightenings.filter(({ tightening }) => newAfter === null || tightening.startedAt > newAfter);
  const used = since.filter((round) => round.tightening.purpose !== 'retorque' && isPulled(round));
  const last = used.at(-1);
  return {
    count: used.length,
    purposes: PURPOSES.flatMap((purpose) => {
      const times = used.filter(({ tightening }) => tightening.purpose === purpose).length;
      return times === 0 ? [] : [{ purpose, times }];
    }),
    ...(last && { lastBegun: last.tightening.startedAt }),
  };
}

/** `once`, `twice`, `3 times` */
export const timesWords = (times: number): string => ['', 'once', 'twice'][times] ?? `${times} times`;

/** What stands against pulling used fasteners once more: by what the shop holds of reuse, and by what wears with it. */
export function usesGuards(state: JointState, { reuse }: Pick<HousePractice, 'reuse'>): readonly Guard[] {
  const { count } = usesOf(state);
  if (count === 0) return [];
  const { joint } = state;
  const lockings = [joint, ...joint.detail.kinds].map(({ detail }) => (detail.today ?? detail.original).locking);
  return [
    ...(reuse === 'new-always'
      ? [
          {
            code: 'used-before',
            severity: 'ask' as const,
            message: `Its nuts and bolts were pulled ${timesWords(count)} already, and house practice takes new ones. Where new ones are in, say so under The fastener.`,
          },
        ]
      : []),
    ...(lockings.some(locksItself)
      ? [
          {
            code: 'lock-nut-used',
            severity: 'ask' as const,
            message: `Its self-locking nuts were run down ${timesWords(count)} already, and grip less each time. Measure what one turns with by itself, or take new ones.`,
          },
        ]
      : []),
  ];
}
