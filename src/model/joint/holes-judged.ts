import type { Guard, Unknown } from '@/core/joint';
import type { Hole } from './hole';
import type { Joint } from './joint';
import { turnOf } from './joint-shape';

/** What is against some of the holes, where it is against any. */
function against(
  code: string,
  severity: Guard['severity'],
  numbers: string | undefined,
  say: (numbers: string) => string,
): readonly Guard[] {
  return numbers === undefined ? [] : [{ code, severity, message: say(numbers) }];
}

/**
 * What the holes say against pulling into them, what the sheet says otherwise of them, and how many of them nobody
 * looked at once somebody began to.
 */
export function judgedHoles(joint: Joint): { readonly guards: readonly Guard[]; readonly unknown: readonly Unknown[] } {
  const { holes, placeNotes } = joint.detail;
  if (holes.length === 0) return { guards: [], unknown: [] };
  const turn = turnOf(joint);
  const which = (is: (hole: Hole) => boolean): string | undefined => {
    const numbers = holes.flatMap((hole) => (is(hole) ? [turn.indexOf(hole.place) + 1] : [])).sort((a, b) => a - b);
    if (numbers.length === 0) return undefined;
    return `${numbers.length === 1 ? 'number' : 'numbers'} ${numbers.join(', ')}`;
  };
  /** What its sheet says of where a fastener sits: of a kind, its kind's. */
  const parentAt = (at: number) =>
    (joint.detail.kinds.find(({ places }) => places.includes(at)) ?? joint).detail.parent;
  const isNoted = (place: number, kind: string) =>
    placeNotes.some((note) => note.place === place && note.kind === kind);
  const left = joint.fasteners - holes.length;
  const unmeasured = holes.filter(({ end, depth_mm }) => end === 'blind' && depth_mm === null).length;
  const isMeasured = holes.some(({ depth_mm }) => depth_mm !== null);
  return {
    guards: [
      ...against(
        'hole-thread',
        'stop',
        which(({ thread }) => thread === 'bad'),
        (numbers) => `The thread of ${numbers} is bad: mend it before anything is pulled in it.`,
      ),
      ...against(
        'hole-not-clear',
        'stop',
        which(({ end, isClear }) => end === 'blind' && !isClear),
        (numbers) =>
          `The blind hole of ${numbers} is not dry and clean: what is trapped under a bolt can crack the casting, and gives torque without clamp load.`,
      ),
      ...against(
        'hole-otherwise',
        'ask',
        which(({ place, end }) => end === 'blind' && parentAt(place).holeThrough),
        (numbers) => `The sheet says that the hole goes through, and that of ${numbers} was found blind.`,
      ),
      ...against(
        'hole-insert',
        'ask',
        which(({ place, thread }) => thread === 'insert' && !parentAt(place).insert),
        (numbers) =>
          `A thread insert was found in ${numbers}, and the sheet has none: what it turns with by itself is not counted, and its length not judged. Say it under The fastener.`,
      ),
      ...against(
        'hole-noted-otherwise',
        'ask',
        which(
          ({ place, end, meets }) =>
            (meets === 'dry' && isNoted(place, 'wet')) || (end === 'through' && isNoted(place, 'blind')),
        ),
        (numbers) => `What is noted of ${numbers} is not what was found of its hole: put one of the two right.`,
      ),
    ],
    unknown: [
      ...(left > 0
        ? [
            {
              code: 'holes',
              what: `${left} of ${joint.fasteners} holes`,
              unjudged: 'whether their thread is good, and whether they are dry and clean',
            },
          ]
        : []),
      // Where none is measured the depth is not known altogether, and said so; one that is says nothing of the others.
      ...(unmeasured > 0 && isMeasured
        ? [
            {
              code: 'hole-depths',
              what: `the depth of ${unmeasured} blind ${unmeasured === 1 ? 'hole' : 'holes'}`,
              unjudged: 'whether it bottoms there is not judged',
            },
          ]
        : []),
    ],
  };
}
