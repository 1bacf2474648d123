import type { StretchSegment } from '@/core/fastener';


/** Bolts of one kind, tried in several films. */
export interface FilmTrialRow {
  readonly id: string;
  readonly name: string;
  readonly thread: string;
  readonly outerMm: number;
  readonly innerMm: number;
  readonly segments: readonly StretchSegment[];
  readonly eGpa: number;
  readonly createdAt: string;
}

export interface TrialPullRow {
  readonly id: string;
  readonly trialId: string;
  readonly bolt: string;
  readonly film: string;
  readonly torqueNm: number;
  readonly stretchMm: number;
  readonly typed: string;
  readonly at: string;
}
