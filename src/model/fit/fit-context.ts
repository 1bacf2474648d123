import type { FitContext } from './fit-state';
import type { FitPageSays } from './fit-page';
import type { Fit } from './fit';
import type { Joint } from '@/model/joint/joint';
import type { Round } from '@/model/joint/tightening';

/** The bolts of a joint as they are now, told so that a change of them is seen: `bolt M8×1, iso-12.9`. */
export function fastenerFingerprint({ thread, detail }: Joint): string {
  const today = detail.today ?? { ...detail.original, thread };
  return [`${today.form} ${today.thread}`, today.grade].filter(Boolean).join(', ');
}

export const contextOf = (
  fit: Fit,
  page: FitPageSays | undefined,
  joints: readonly Joint[],
  rounds: readonly Pick<Round, 'jointId' | 'purpose' | 'startedAt'>[],
): FitContext => {
  const joint = joints.find(({ id }) => id === fit.jointId);
  const paged = page && { page };
  if (!joint) return { rounds: [], ...paged };
  return {
    rounds: rounds.filter(({ jointId }) => jointId === joint.id),
    bolts: fastenerFingerprint(joint),
    jointName: joint.name,
    ...paged,
  };
};
