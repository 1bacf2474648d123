import type { StretchSegment } from '@/core/fastener';

/** A set of fasteners tightened by stretch, with its target and its ceiling. */
export interface BoltSet {
  readonly id: string;
  readonly jointId: string;
  /** Which kind of its joint's fasteners it is of, by the kind's name; empty of the joint's own. */
  readonly kind: string;
  readonly name: string;
  readonly bolts: number;
  readonly segments: readonly StretchSegment[];
  readonly E_GPa: number;
  readonly minStretch_mm: number;
  readonly maxStretch_mm: number;
  readonly ceiling_Nm: number;
  /** A bolt that stays longer than this after release is scrap. */
  readonly maxSet_mm: number;
  /** False where an end cannot be reached, so that stretch cannot be read. */
  readonly bothEnds: boolean;
  /** Why it is set aside; absent of one that is worked with. */
  readonly aside?: string;
  readonly createdAt: string;
}

/**
 * When a bolt's length was read: without load, tightened, on release; or without load of another that was put in its
 * place, which has not grown yet.
 */
export const BOLT_READING_KINDS = ['free', 'tight', 'released', 'another'] as const;
export type BoltReadingKind = (typeof BOLT_READING_KINDS)[number];

export interface BoltReading {
  readonly id: string;
  readonly setId: string;
  /** From 1. */
  readonly bolt: number;
  readonly kind: BoltReadingKind;
  readonly length_mm: number;
  readonly typed: string;
  readonly torque_Nm: number | null;
  /** The reading that this line takes back. */
  readonly strikes: string | null;
  readonly at: string;
  /** Initials of whoever measured. */
  readonly who?: string;
}

/** A set with its readings, in the order in which they were taken. */
export interface MeasuredSet {
  readonly set: BoltSet;
  readonly readings: readonly BoltReading[];
}
