import type { DistanceUnit, MeterUnit, Stood } from '@/core/heat';

/** What may be seen at a run. */
export const SIGNS = ['leak', 'noise', 'smoke', 'pressure', 'overheated', 'no-fire', 'other'] as const;
export type Sign = (typeof SIGNS)[number];

/** What was seen at a run, and where. */
export interface SeenAtRun {
  readonly sign: Sign;
  readonly words: string;
}

/** Minutes after it was started, and °C. */
export type TemperaturePoint = readonly [minutes: number, C: number];

/** A run of the engine: what warms the head and makes a retorque fall due. */
export interface HeatCycle {
  readonly id: string;
  readonly engineId: string;
  readonly ranFrom: string;
  readonly ranTo: string;
  readonly highest_C: number;
  readonly ambient_C: number;
  /** How far, as it was told; left out where nobody said. */
  readonly went?: { readonly value: number; readonly unit: DistanceUnit };
  readonly seen?: readonly SeenAtRun[];
  /** Its temperatures, where they were recorded; in their order. */
  readonly series?: readonly TemperaturePoint[];
  /** How it was left to cool, where somebody said so. */
  readonly stood?: Stood;
  /** Initials of whoever wrote it. */
  readonly who?: string;
}

/** A temperature read at the head while it cools. */
export interface CoolingReading {
  readonly id: string;
  readonly engineId: string;
  readonly cycleId: string;
  readonly at: string;
  readonly head_C: number;
  readonly ambient_C: number;
  /** Initials of whoever wrote it. */
  readonly who?: string;
}

/** What the odometer or the hour meter read. */
export interface MeterReading {
  readonly id: string;
  readonly engineId: string;
  readonly at: string;
  readonly reads: number;
  readonly unit: MeterUnit;
  /** It was exchanged, or turned over, since the reading before: it had come to `from` and went on from `to`. */
  readonly jump?: { readonly from: number; readonly to: number };
  /** Initials of whoever wrote it. */
  readonly who?: string;
}

export interface HeatLog {
  readonly cycles: readonly HeatCycle[];
  readonly readings: readonly CoolingReading[];
  readonly meters: readonly MeterReading[];
}
