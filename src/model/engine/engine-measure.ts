import { storedJson } from '@/model/stored-json';
import type { RodWeight, ImbalanceUnit, PlaneImbalance, GapMark } from '@/core/fits';

export const WEIGHED_KINDS = ['rods', 'pieces'] as const;
export type WeighedKind = (typeof WEIGHED_KINDS)[number];

/** What is known of a whole engine beside its fits. Lengths mm, volumes cc, weights g. */
export interface EngineMeasures {
  readonly volumes: {
    readonly bore_mm: number;
    readonly stroke_mm: number;
    readonly cylinders: number;
    readonly overbore_mm: number;
    readonly chamber_cc?: number;
    readonly gasketBore_mm?: number;
    readonly gasket_mm?: number;
    readonly deck_mm?: number;
    readonly crown_cc?: number;
  };
  readonly weights: {
    readonly what: WeighedKind;
    readonly name: string;
    readonly rods: readonly RodWeight[];
    readonly pieces_g: readonly number[];
    readonly tolerance_g: number;
  };
  readonly balance: {
    readonly report: string;
    readonly unit: ImbalanceUnit;
    readonly planes: readonly PlaneImbalance[];
  };
  readonly clocking: {
    readonly marks: readonly GapMark[];
    readonly pin_deg?: number;
    readonly thrust_deg?: number;
    readonly note: string;
  };
  readonly bearings: {
    /** `Main bearings`, `Big ends` */
    readonly name: string;
    readonly journal_mm: number;
    readonly journalStandard_mm: number;
    readonly housing_mm: number;
    readonly housingStandard_mm: number;
    readonly steps_mm: readonly number[];
    readonly tolerance_mm: number;
    readonly shells: readonly { readonly upper: string; readonly lower: string }[];
  };
  readonly marks: {
    readonly pairs: readonly { readonly place: string; readonly one: string; readonly other: string }[];
  };
}
export type MeasureKind = keyof EngineMeasures;

/** Marks are one where they read the same, whatever their case. */
export const isSameMark = (one: string, other: string): boolean =>
  one.trim().toLowerCase() === other.trim().toLowerCase();

export interface EngineMeasure<K extends MeasureKind = MeasureKind> {
  readonly id: string;
  readonly engineId: string;
  readonly kind: K;
  readonly body: EngineMeasures[K];
  readonly at: string;
  /** Initials of whoever saved it. */
  readonly who?: string;
}

const nameOf = ({ body }: EngineMeasure): string => ('name' in body ? body.name.trim().toLowerCase() : '');

/** The measure that holds of the same kind and name, the last that was kept. */
export const holdingOf = (measures: readonly EngineMeasure[], one: EngineMeasure): EngineMeasure | undefined =>
  measures.findLast((other) => other.kind === one.kind && nameOf(other) === nameOf(one));

/** Those of one kind. */
export const measuresOf = <K extends MeasureKind>(
  measures: readonly EngineMeasure[],
  kind: K,
): readonly EngineMeasure<K>[] => measures.filter((one): one is EngineMeasure<K> => one.kind === kind);

/**
 * Of sheets in their order, the last of each kind and name: rods and pistons are weighed apart, mains and big ends
 * measured apart.
 */
export const holdingMeasures = (sheets: readonly EngineMeasure[]): readonly EngineMeasure[] => [
  ...new Map(sheets.map((sheet) => [`${sheet.kind} ${nameOf(sheet)}`, sheet])).values(),
];

/** The first sizes of bearings had no name: there was one set of them. */
const named = (held: Readonly<Record<string, unknown>>) =>
  'journal_mm' in held && held.name === undefined ? { ...held, name: 'Main bearings' } : held;

export const MEASURE_JSON = storedJson<EngineMeasures[MeasureKind]>('measure of the engine', [named]);
