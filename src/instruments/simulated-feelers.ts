import type { ReadingUnit } from '@/core/units';
import {
  READING_FORMAT,
  READING_VERSION,
  type InstrumentReading,
  type MeasuringInstrument,
  type SimulatedWorld,
} from './measuring-instrument';

export interface SimulatedFeelers {
  readonly name: string;
  readonly unit: ReadingUnit;
  /** The leaves at hand, in `unit`. */
  readonly leaves: readonly number[];
  /** The true gap, in `unit`. */
  readonly truth: number;
}

/** A set of feelers tried in one gap: the thickest blade that goes, and the thinnest that does not. */
export const createSimulatedFeelers = (
  setup: SimulatedFeelers,
  { now, newId }: Omit<SimulatedWorld, 'random'>,
): MeasuringInstrument => {
  const { name, unit, leaves, truth } = setup;
  const sorted = [...leaves].sort((a, b) => a - b);
  const resolution =
    sorted.length > 1 ? Math.min(...sorted.slice(1).map((blade, i) => blade - (sorted[i] ?? 0))) : (sorted[0] ?? 1);
  const reading = (value: number, says: 'goes' | 'stops'): InstrumentReading => ({
    format: READING_FORMAT,
    version: READING_VERSION,
    id: newId(),
    instrument: name,
    kind: 'feelers',
    value,
    unit,
    resolution: Number(resolution.toPrecision(6)),
    says,
    at: now(),
  });
  return {
    name,
    kind: 'feelers',
    unit,
    resolution,
    measure: () => {
      const goes = sorted.findLast((blade) => blade <= truth);
      const stops = sorted.find((blade) => blade > truth);
      return Promise.resolve([
        ...(goes === undefined ? [] : [reading(goes, 'goes')]),
        ...(stops === undefined ? [] : [reading(stops, 'stops')]),
      ]);
    },
  };
};
