import type { ReadingUnit } from '@/core/units';
import {
  READING_FORMAT,
  READING_VERSION,
  toMark,
  type InstrumentReading,
  type MeasuringInstrument,
  type SimulatedWorld,
} from './measuring-instrument';

export interface SimulatedDial {
  readonly name: string;
  readonly unit: ReadingUnit;
  readonly resolution: number;
  /** The true float, and how far each stop may be off, in `unit`. */
  readonly truth: number;
  readonly error: number;
}

/** A dial over one float: three readings, pushed, pulled, and let back. */
export const createSimulatedDial = (
  setup: SimulatedDial,
  { random, now, newId }: SimulatedWorld,
): MeasuringInstrument => {
  const { name, unit, resolution, truth, error } = setup;
  const off = () => error * (2 * random() - 1);
  const reading = (value: number): InstrumentReading => ({
    format: READING_FORMAT,
    version: READING_VERSION,
    id: newId(),
    instrument: name,
    kind: 'dial',
    value: toMark(value, resolution),
    unit,
    resolution,
    at: now(),
  });
  return {
    name,
    kind: 'dial',
    unit,
    resolution,
    measure: () => Promise.resolve([reading(0), reading(truth + off()), reading(off() / 2)]),
  };
};
