import type { TighteningState } from '@/model/joint/joint-state';

/** A round to the final figure, or one that goes over it again: not a trial, a measuring, a sizing. */
export const isFinalRound = ({ tightening }: Pick<TighteningState, 'tightening'>): boolean =>
  tightening.purpose === 'final' || tightening.purpose === 'retorque';
