import {
  READING_FORMAT,
  READING_VERSION,
  toMark,
  type MeasuringInstrument,
  type SimulatedWorld,
} from './measuring-instrument';

export interface SimulatedMicrometer {
  readonly name: string;
  readonly unit: MeasuringInstrument['unit'];
  readonly resolution: number;
  /** The true size, and how far a reading may be off it either way, in `unit`. */
  readonly truth: number;
  readonly error: number;
}

/** A micrometer that reads a known size with an error spread evenly about it. */
export const createSimulatedMicrometer = (
  setup: SimulatedMicrometer,
  { random, now, newId }: SimulatedWorld,
): MeasuringInstrument => {
  const { name, unit, resolution, truth, error } = setup;
  return {
    name,
    kind: 'micrometer',
    unit,
    resolution,
    measure: () => {
      const value = toMark(truth + error * (2 * random() - 1), resolution);
      return Promise.resolve([
        {
          format: READING_FORMAT,
          version: READING_VERSION,
          id: newId(),
          instrument: name,
          kind: 'micrometer',
          value,
          unit,
          resolution,
          at: now(),
        },
      ]);
    },
  };
};
