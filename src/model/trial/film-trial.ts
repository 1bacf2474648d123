import type { StretchSegment } from '@/core/fastener';

/** Bolts of one kind, tried in several films. */
export interface FilmTrialRow {
  readonly id: string;
  readonly name: string;
  readonly thread: string;
  readonly outer_mm: number;
  readonly inner_mm: number;
  readonly segments: readonly StretchSegment[];
  readonly E_GPa: number;
  /** Why it is set aside; absent of one that is worked with. */
  readonly aside?: string;
  readonly createdAt: string;
}

export interface TrialPullRow {
  readonly id: string;
  readonly trialId: string;
  readonly bolt: string;
  readonly film: string;
  readonly torque_Nm: number;
  readonly stretch_mm: number;
  readonly typed: string;
  readonly at: string;
  /** Initials of whoever pulled. */
  readonly who?: string;
}
