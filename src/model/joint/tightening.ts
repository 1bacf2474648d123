import type { BenchEvent } from '@/core/tightening';
import type { TighteningPlan } from './tightening-plan';

/**
 * Why a joint is gone round: to size a seal, to measure a bore, to crush a strip, to try it, for good, or again after
 * heat. Only `final` completes it.
 */
export const PURPOSES = ['sizing', 'measuring', 'strip', 'trial', 'final', 'retorque'] as const;
export type Purpose = (typeof PURPOSES)[number];

/** Rounds that do not complete a joint. */
export const TEST_PURPOSES = ['trial', 'sizing', 'measuring', 'strip'] as const satisfies readonly Purpose[];
export type TestPurpose = (typeof TEST_PURPOSES)[number];

/** What a person may begin from the joint's sheet; a retorque is begun by its cold head. */
export const CHOSEN_PURPOSES = ['final', ...TEST_PURPOSES] as const satisfies readonly Purpose[];
export type ChosenPurpose = (typeof CHOSEN_PURPOSES)[number];

export interface Tightening {
  readonly id: string;
  readonly jointId: string;
  readonly purpose: Purpose;
  readonly plan: TighteningPlan;
  readonly startedAt: string;
}

/** When a going-round began, without its plan. */
export type Round = Omit<Tightening, 'plan'> & {
  /** The middle of the clamp load that it was planned for. */
  readonly clamp_N?: number;
};

export type RecordedEvent = BenchEvent & {
  readonly recordedAt: string;
  /** Initials of whoever did it. */
  readonly who?: string;
};
