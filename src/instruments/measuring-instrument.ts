import { READING_UNITS_MM, type ReadingUnit, TORQUE_UNITS, type TorqueUnit } from '@/core/units';

const LENGTH_UNITS = Object.keys(READING_UNITS_MM) as readonly ReadingUnit[];
const TEMPERATURE_UNITS = ['°C', '°F'] as const;

/** What each kind of instrument may show. One that shows anything else is set wrongly, and is not believed. */
export const UNITS_OF_KIND = {
  micrometer: LENGTH_UNITS,
  dial: LENGTH_UNITS,
  feelers: LENGTH_UNITS,
  'stretch-gauge': LENGTH_UNITS,
  'torque-wrench': TORQUE_UNITS,
  thermometer: TEMPERATURE_UNITS,
} as const satisfies Readonly<Record<string, readonly string[]>>;

export type InstrumentKind = keyof typeof UNITS_OF_KIND;
export const INSTRUMENT_KINDS = Object.keys(UNITS_OF_KIND) as readonly InstrumentKind[];
export type InstrumentUnit = ReadingUnit | TorqueUnit | (typeof TEMPERATURE_UNITS)[number];

export const READING_FORMAT = 'unhurried-spanner.reading';
export const READING_VERSION = 1;

/** While a wrench is pulled, and the highest it came to once it is let go of. */
export const PULL_PHASES = ['pulling', 'peak'] as const;

/** What every reading on the wire says. `docs/instruments.md` describes it for whoever connects a real instrument. */
interface Shared {
  readonly format: typeof READING_FORMAT;
  readonly version: typeof READING_VERSION;
  /** Made by the sender; the same reading sent twice is one. */
  readonly id: string;
  readonly instrument: string;
  /** The number on the instrument itself. */
  readonly serial?: string;
  readonly battery_pct?: number;
  /** It went past the end of its scale: the value is where the scale ends. */
  readonly over?: true;
  /** As the instrument shows it, in `unit`. */
  readonly value: number;
  /** The smallest step it shows, in `unit`. */
  readonly resolution: number;
  /** When it was taken, ISO 8601. */
  readonly at: string;
}

export interface LengthReading extends Shared {
  readonly kind: 'micrometer' | 'dial' | 'feelers' | 'stretch-gauge';
  readonly unit: ReadingUnit;
  /** Feelers: whether a blade of this thickness went in. */
  readonly says?: 'goes' | 'stops';
}

export interface WrenchReading extends Shared {
  readonly kind: 'torque-wrench';
  readonly unit: TorqueUnit;
  /** Left out it is the peak. */
  readonly phase?: (typeof PULL_PHASES)[number];
  /** How far it turned since the pull began, from a wrench that reads angles. */
  readonly turned_deg?: number;
}

export interface TemperatureReading extends Shared {
  readonly kind: 'thermometer';
  readonly unit: (typeof TEMPERATURE_UNITS)[number];
}

/** One reading on the wire. */
export type InstrumentReading = LengthReading | WrenchReading | TemperatureReading;

export const isWrench = (reading: InstrumentReading): reading is WrenchReading => reading.kind === 'torque-wrench';

/** Whether a reading is of a length. */
export const isLength = (reading: InstrumentReading): reading is LengthReading =>
  !isWrench(reading) && reading.kind !== 'thermometer';

/** Whatever can be asked for a reading: a real instrument behind an adapter, or a simulated one. */
export interface MeasuringInstrument {
  readonly name: string;
  readonly kind: InstrumentKind;
  readonly unit: InstrumentUnit;
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
