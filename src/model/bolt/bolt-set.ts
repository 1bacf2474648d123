import type { StretchSegment } from '@/core/fastener';


/** A set of fasteners tightened by stretch, with its target and its ceiling. */
export interface BoltSet {
  readonly id: string;
  readonly jointId: string;
  readonly name: string;
  readonly bolts: number;
  readonly segments: readonly StretchSegment[];
  readonly eGpa: number;
  readonly minStretchMm: number;
  readonly maxStretchMm: number;
  readonly ceilingNm: number;
  /** A bolt that stays longer than this after release is scrap. */
  readonly maxSetMm: number;
  /** False where an end cannot be reached, so that stretch cannot be read. */
  readonly bothEnds: boolean;
  readonly createdAt: string;
}

export interface BoltReading {
  readonly id: string;
  readonly setId: string;
  /** From 1. */
  readonly bolt: number;
  readonly kind: 'free' | 'tight' | 'released';
  readonly lengthMm: number;
  readonly typed: string;
  readonly torqueNm: number | null;
  readonly at: string;
}
