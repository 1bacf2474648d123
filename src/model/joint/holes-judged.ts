import type { Guard, Unknown } from '@/core/joint';
import type { Hole } from './hole';
import type { Joint } from './joint';
import { turnOf } from './joint-shape';

/** What the holes say against pulling into them, and how many of them nobody looked at once somebody began to. */
export function judgedHoles(joint: Joint): { readonly guards: readonly Guard[]; readonly unknown: readonly Unknown[] } {
  const { holes } = joint.detail;
  if (holes.length === 0) return { guards: [], unknown: [] };
  const turn = turnOf(joint);
  const named = (found: readonly Hole[]) =>
    `${found.length === 1 ? 'number' : 'numbers'} ${found
      .map(({ place }) => turn.indexOf(place) + 1)
      .sort((a, b) => a - b)
      .join(', ')}`;
  const bad = holes.filter(({ thread }) => thread === 'bad');
  const wet = holes.filter(({ end, isClear }) => end === 'blind' && !isClear);
  const left = joint.fasteners - holes.length;
  return {
    guards: [
      ...(bad.length > 0
        ? [
            {
              code: 'hole-thread',
              severity: 'stop',
              message: `The thread of ${named(bad)} is bad: mend it before anything is pulled in it.`,
            } as const,
          ]
        : []),
      ...(wet.length > 0
        ? [
            {
              code: 'hole-not-clear',
              severity: 'stop',
              message: `The blind hole of ${named(wet)} is not dry and clean: what is trapped under a bolt can crack the casting, and gives torque without clamp load.`,
            } as const,
          ]
        : []),
    ],
    unknown:
      left > 0
        ? [
            {
              code: 'holes',
              what: `${left} of ${joint.fasteners} holes`,
              unjudged: 'whether their thread is good, and whether they are dry and clean',
            },
          ]
        : [],
  };
}
