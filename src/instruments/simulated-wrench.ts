import type { TorqueUnit } from '@/core/units';
import {
  READING_FORMAT,
  READING_VERSION,
  toMark,
  type SimulatedWorld,
  type WrenchReading,
} from './measuring-instrument';
import { sentWith, type Failure, type SentAs } from './simulated-failures';

export interface SimulatedWrench {
  readonly name: string;
  readonly unit: TorqueUnit;
  readonly resolution: number;
  /** Where its scale ends, in `unit`. */
  readonly most: number;
  /** How fast it climbs while it is held, in `unit` a second. */
  readonly rate: number;
  /** A wrench that reads angles: degrees for each `unit` of torque; 0 for one that does not. */
  readonly degPerUnit: number;
  /** Each pull is off by up to so much either way, per cent. */
  readonly noise_pct: number;
  /** And reads by so much more with every pull that it has done, per cent. */
  readonly drift_pct: number;
  readonly failure: Failure;
}

/** What goes over the wire of a pull. */
export type SentReading = SentAs<WrenchReading>;

export interface SimulatedPull {
  /** What it shows after it was held for so long. */
  readonly at: (held_ms: number) => SentReading;
  /** Whether it has clicked by then: the hand is to let go. */
  readonly hasClicked: (held_ms: number) => boolean;
  /** What it sends when it is let go of. */
  readonly letGo: (held_ms: number) => readonly SentReading[];
}

/** A torque wrench with a display: held it climbs, let go it sends the highest it came to. */
export function createSimulatedWrench(setup: SimulatedWrench, { random, now, newId }: SimulatedWorld) {
  const { name, unit, resolution, most, rate, degPerUnit, noise_pct, drift_pct, failure } = setup;
  let pulls = 0;
  const lineOf = (value: number, phase: WrenchReading['phase']): WrenchReading => ({
    format: READING_FORMAT,
    version: READING_VERSION,
    id: newId(),
    instrument: name,
    kind: 'torque-wrench',
    value: toMark(Math.min(value, most), resolution),
    unit,
    resolution,
    phase,
    ...(degPerUnit > 0 && { turned_deg: toMark(value * degPerUnit, 1) }),
    ...(value > most && { over: true as const }),
    at: now(),
  });
  // What it shows while it is pulled comes at once, and once; its unit and its scale are wrong all the time.
  const whilePulled: Failure = failure === 'wrong-unit' || failure === 'over-range' ? failure : 'none';
  return {
    /** @param clicksAt what it is set to, in its unit */
    pull: (clicksAt: number): SimulatedPull => {
      const off = 1 + (noise_pct * (2 * random() - 1) + drift_pct * pulls) / 100;
      pulls += 1;
      const shownAt = (held_ms: number) => ((rate * held_ms) / 1000) * off;
      return {
        at: (held_ms) => sentWith(whilePulled, [lineOf(shownAt(held_ms), 'pulling')])[0] as SentReading,
        hasClicked: (held_ms) => (rate * held_ms) / 1000 >= clicksAt,
        letGo: (held_ms) => sentWith(failure, [lineOf(shownAt(held_ms), 'peak')]),
      };
    },
  };
}
