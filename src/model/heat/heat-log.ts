/** A run of the engine: what warms the head and makes a retorque fall due. */
export interface HeatCycle {
  readonly id: string;
  readonly engineId: string;
  readonly ranFrom: string;
  readonly ranTo: string;
  readonly highest_C: number;
  readonly ambient_C: number;
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

export interface HeatLog {
  readonly cycles: readonly HeatCycle[];
  readonly readings: readonly CoolingReading[];
}
