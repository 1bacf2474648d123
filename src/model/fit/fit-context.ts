import type { FitPageSays } from './fit-page';
import type { FitRound } from './fit-rounds';
import type { Fit } from './fit';
import type { Opening } from '@/model/order/openings';
import type { Joint } from '@/model/joint/joint';
import type { Round } from '@/model/joint/tightening';
import type { TighteningPlan } from '@/model/joint/tightening-plan';

/** What a fit's readings rest on outside of it: the going-rounds of its joint, and its bolts as they are now. */
export interface FitContext {
  readonly rounds: readonly FitRound[];
  /** When its joint was opened up again in the order of the build. */
  readonly openings?: readonly string[];
  readonly bolts?: string;
  readonly jointName?: string;
  /** When a head that its readings rest on was gone over, tightened or opened up, by its name. */
  readonly headWork?: readonly { readonly at: string; readonly jointName: string }[];
  /** The page that what is wanted was taken from. */
  readonly page?: FitPageSays;
}

/** To the minute: enough for two sets of new ones to be told apart. */
const TO_MINUTE = '2026-05-16T14:20'.length;

/** The bolts of a joint as they are now, told so that a change of them is seen: `bolt M8×1, iso-12.9, new after 2026-05-16 14:20`. */
export function fastenerFingerprint({ thread, detail }: Joint): string {
  const today = detail.today ?? { ...detail.original, thread };
  const isNew = detail.newAfter === null ? '' : `new after ${detail.newAfter.slice(0, TO_MINUTE).replace('T', ' ')}`;
  // Judged as a stud until somebody says what it is: that it is one is no news.
  const form = today.form === 'unsaid' ? 'stud' : today.form;
  return [`${form} ${today.thread}`, today.grade, isNew].filter(Boolean).join(', ');
}

/** A going-round with its plan, or with what its plan says of the clamp load. */
type PulledRound = Pick<Round, 'jointId' | 'purpose' | 'startedAt' | 'clamp_N'> & {
  readonly plan?: Pick<TighteningPlan, 'ladder'>;
};

function clampOf({ plan, clamp_N = plan?.ladder.band.p50_N }: Pick<PulledRound, 'plan' | 'clamp_N'>) {
  return clamp_N === undefined ? {} : { clamp_N };
}

/**
 * What was done to the head that a clearance rests on. Where nobody said which joint that is, any that is gone over again
 * may be it: its readings are asked for anew rather than taken to stand.
 */
const headWorkOf = (heads: readonly Joint[], rounds: readonly PulledRound[], openings: readonly Opening[]) =>
  heads.flatMap(({ id, name: jointName }) =>
    [
      ...rounds.filter(({ jointId }) => jointId === id).map(({ startedAt }) => startedAt),
      ...openings.filter(({ jointId }) => jointId === id).map(({ at }) => at),
    ].map((at) => ({ at, jointName })),
  );

export const contextOf = (
  fit: Fit,
  page: FitPageSays | undefined,
  joints: readonly Joint[],
  rounds: readonly PulledRound[],
  openings: readonly Opening[],
): FitContext => {
  const joint = joints.find(({ id }) => id === fit.jointId);
  const paged = page && { page };
  const headWork = headWorkOf(
    joint ? [joint] : joints.filter(({ retorqueSchool }) => retorqueSchool !== 'none'),
    rounds,
    openings,
  );
  if (!joint) return { rounds: [], headWork, ...paged };
  return {
    rounds: rounds
      .filter(({ jointId }) => jointId === joint.id)
      .map(({ purpose, startedAt, ...round }) => ({ purpose, startedAt, ...clampOf(round) })),
    openings: openings.filter(({ jointId }) => jointId === joint.id).map(({ at }) => at),
    bolts: fastenerFingerprint(joint),
    jointName: joint.name,
    headWork,
    ...paged,
  };
};
