import type { ReadingUnit } from '@/core/fits';

export const INSTRUMENT_KINDS = ['micrometer', 'dial', 'feelers'] as const;
export type InstrumentKind = (typeof INSTRUMENT_KINDS)[number];

export const READING_FORMAT = 'unhurried-spanner.reading';
export const READING_VERSION = 1;

/** One reading on the wire. `docs/instruments.md` describes it for whoever connects a real instrument. */
export interface InstrumentReading {
  readonly format: typeof READING_FORMAT;
  readonly version: typeof READING_VERSION;
  /** Made by the sender; the same reading sent twice is one. */
  readonly id: string;
  readonly instrument: string;
  readonly kind: InstrumentKind;
  /** As the instrument shows it, in `unit`. */
  readonly value: number;
  readonly unit: ReadingUnit;
  /** The smallest step it shows, in `unit`. */
  readonly resolution: number;
  /** Feelers: whether a blade of this thickness went in. */
  readonly says?: 'goes' | 'stops';
  /** When it was taken, ISO 8601. */
  readonly at: string;
}

/** Whatever can be asked for a reading: a real instrument behind an adapter, or a simulated one. */
export interface MeasuringInstrument {
  readonly name: string;
  readonly kind: InstrumentKind;
  readonly unit: ReadingUnit;
  readonly resolution: number;
  readonly measure: () => Promise<readonly InstrumentReading[]>;
}

/** What a simulated instrument is given instead of the world: chance, a clock, and identities. */
export interface SimulatedWorld {
  /** 0 to 1. */
  readonly random: () => number;
  readonly now: () => string;
  readonly newId: () => string;
}

/** To the nearest mark, without noise digits. */
export const toMark = (value: number, resolution: number): number =>
  Number((Math.round(value / resolution) * resolution).toPrecision(10));
