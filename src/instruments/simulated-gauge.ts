import {
  READING_FORMAT,
  READING_VERSION,
  toMark,
  type InstrumentReading,
  type LengthReading,
  type MeasuringInstrument,
  type SimulatedWorld,
  type TemperatureReading,
} from './measuring-instrument';

/** A gauge that shows one figure, either of a length or of a temperature. */
type Shown = Pick<LengthReading, 'kind' | 'unit'> | Pick<TemperatureReading, 'kind' | 'unit'>;

export interface SimulatedGauge {
  readonly name: string;
  readonly shows: Shown;
  readonly resolution: number;
  /** The true figure, and how far a reading may be off it either way, in its unit. */
  readonly truth: number;
  readonly error: number;
}

/** A gauge that reads a known figure with an error spread evenly about it: a stretch gauge, a probe at a head. */
export const createSimulatedGauge = (
  { name, shows, resolution, truth, error }: SimulatedGauge,
  { random, now, newId }: SimulatedWorld,
): MeasuringInstrument => ({
  name,
  kind: shows.kind,
  unit: shows.unit,
  resolution,
  measure: () => {
    const reading: InstrumentReading = {
      ...shows,
      format: READING_FORMAT,
      version: READING_VERSION,
      id: newId(),
      instrument: name,
      value: toMark(truth + error * (2 * random() - 1), resolution),
      resolution,
      at: now(),
    };
    return Promise.resolve([reading]);
  },
});
