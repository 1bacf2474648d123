import { storedJson } from '@/model/stored-json';
import type { Answers, ChangeId, Limits, Method, Part, RemedyId, Wanted } from '@/core/fits';
import type { ReadingUnit } from '@/core/units';

/** The shims that a fit is set by. */
export interface ShimDetail {
  readonly family: string;
  /** What was in at every place while it was read first. */
  readonly fitted_mm: number;
  /** The shims in a place since, by the place's number. */
  readonly byPlace?: Readonly<Record<string, readonly number[]>>;
  readonly crush?: Limits;
  /** How many may lie on one another. */
  readonly stack: number;
}

/** The shims that are in a place now, mm each. */
export const shimsIn = ({ fitted_mm, byPlace }: ShimDetail, place: number): readonly number[] =>
  byPlace?.[place] ?? (fitted_mm > 0 ? [fitted_mm] : []);

/** Their thickness together, mm. */
export const stackOf_mm = (shims_mm: readonly number[]): number =>
  Number(shims_mm.reduce((sum, one) => sum + one, 0).toPrecision(9));

/** What is known of a fit beside its limits. Lengths in mm. */
export interface FitDetail {
  /** About how large it is: what a slipped zero is seen by, and what a rule works on where no diameter is measured. */
  readonly nominal_mm?: number;
  /** The packet of crushed strip: its range in its own unit. */
  readonly packet?: {
    readonly name: string;
    readonly min_mm: number;
    readonly max_mm: number;
    readonly unit: ReadingUnit;
  };
  readonly shim?: ShimDetail;
  /** µm/m·K of the inner and outer side, for readings away from 20 °C. */
  readonly expansion?: { readonly journal: number; readonly bore: number };
}

/** Something that is measured on one engine. */
export interface Fit {
  readonly id: string;
  readonly engineId: string;
  readonly kind: string;
  readonly name: string;
  readonly places: readonly string[];
  readonly methods: readonly Method[];
  readonly stations: number;
  readonly angles: number;
  readonly jointId: string | null;
  readonly leafId: string | null;
  readonly holds: readonly string[];
  readonly wanted: Wanted;
  readonly detail: FitDetail;
  /** Rises with every change; a writer names the one it read. */
  readonly version: number;
  readonly createdAt: string;
}

/** How a reading was taken; kept with it. */
export interface ReadingBody {
  readonly unit: ReadingUnit;
  readonly standard_mm?: number;
  readonly instrument: string;
  readonly resolution_mm?: number;
  readonly part_C?: number;
  readonly gauge_C?: number;
  readonly by?: string;
  /** Another shop’s measurement. */
  readonly reportedBy?: string;
  readonly answers: Answers;
  /** The bolts that were in, and the figure they were at, when it was read. */
  readonly bolts?: string;
  /** What marks the part itself: the scratch on a ring. */
  readonly piece?: string;
  /** True where something was doubtful about it, and the reader said that it is so. */
  readonly sure?: boolean;
}

interface Line<Kind extends string, Body> {
  readonly id: string;
  readonly kind: Kind;
  /** From 0; null where it holds for every place. */
  readonly place: number | null;
  readonly at: string;
  /** When the server wrote it down; absent while it is on its way there. */
  readonly recordedAt?: string;
  /** Initials of whoever wrote it. */
  readonly who?: string;
  readonly body: Body;
}

export type ReadingLine = Line<'reading', ReadingBody> & {
  readonly place: number;
  readonly part: Part;
  readonly station: number;
  readonly angle: number;
  readonly value_mm: number;
  readonly typed: string;
};

export type FitLine =
  | ReadingLine
  | Line<'felt', { readonly words: string; readonly by?: string }>
  | Line<'affirm', { readonly answers: Answers }>
  | Line<'change', { readonly change: ChangeId; readonly words: string }>
  | Line<'accept', { readonly reason: string }>
  | Line<'remedy', { readonly remedy: RemedyId; readonly words: string }>
  | Line<'order', { readonly words: string }>
  | Line<'strip-in', { readonly width?: string }>
  | Line<'strip-out', object>
  | (Line<'strike', object> & { readonly strikes: string });

export type FitLineKind = FitLine['kind'];

/** A line without its hours. */
export type Untimed<L> = L extends unknown ? Omit<L, 'at' | 'recordedAt'> : never;

export interface Shim {
  readonly id: string;
  readonly family: string;
  readonly thickness_mm: number;
  readonly typed: string;
  readonly count: number;
  readonly version: number;
  readonly createdAt: string;
}

export const WANTED_JSON = storedJson<Wanted>('what is wanted of a fit', []);
export const FIT_DETAIL_JSON = storedJson<FitDetail>('detail of a fit', []);
