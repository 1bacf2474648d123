import type { Step } from './step';
import type { DoneFact } from './step-facts';

/** How a step stands; each has a shape of its own. */
export const STEP_STATES = ['done', 'trial', 'stale', 'open', 'waiting', 'barred'] as const;
export type StepStanding = (typeof STEP_STATES)[number];

/** What a step waits for: another step, a part, or a sentence. */
export type WaitsFor =
  | { readonly kind: 'step' | 'stale' | 'hides'; readonly stepId: string }
  | { readonly kind: 'part'; readonly partId: string; readonly words: string }
  | { readonly kind: 'trial'; readonly words: string };

export interface StepState {
  readonly step: Step;
  readonly state: StepStanding;
  /** How it was done last; missing where it was not. */
  readonly done?: DoneFact;
  /** Why it was opened up again, or is to be looked at. */
  readonly why?: string;
  /** The step by which alone it is to be looked at: once that one was, it is not. */
  readonly through?: string;
  /** Saying that it was looked at puts it right. */
  readonly canLook?: boolean;
  readonly waits: readonly WaitsFor[];
}
