import type { TorqueUnit } from '@/core/units';
import {
  READING_FORMAT,
  READING_VERSION,
  toMark,
  type SimulatedWorld,
  type WrenchReading,
} from './measuring-instrument';

/** What may go wrong on the way, to see what the bench makes of it. */
export const WRENCH_FAILURES = {
  none: 'Nothing goes wrong',
  'drop-out': 'Falls silent before the peak',
  repeat: 'Sends the peak twice',
  'wrong-unit': 'Is set to a unit that is none of torque',
  'over-range': 'Goes past the end of its scale',
  late: 'Sends the peak a minute late',
} as const;
export type WrenchFailure = keyof typeof WRENCH_FAILURES;

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
  readonly failure: WrenchFailure;
}

/** What goes over the wire: with a failure it may be something that no door takes. */
export type SentReading = Omit<WrenchReading, 'unit'> & { readonly unit: string };

export interface SimulatedPull {
  /** What it shows after it was held for so long. */
  readonly at: (held_ms: number) => SentReading;
  /** Whether it has clicked by then: the hand is to let go. */
  readonly hasClicked: (held_ms: number) => boolean;
  /** What it sends when it is let go of. */
  readonly letGo: (held_ms: number) => readonly SentReading[];
}

const LATE_MS = 60_000;

/** A torque wrench with a display: held it climbs, let go it sends the highest it came to. */
export function createSimulatedWrench(setup: SimulatedWrench, { random, now, newId }: SimulatedWorld) {
  const { name, unit, resolution, most, rate, degPerUnit, noise_pct, drift_pct, failure } = setup;
  let pulls = 0;
  const lineOf = (value: number, phase: WrenchReading['phase'], at = now()): SentReading => ({
    format: READING_FORMAT,
    version: READING_VERSION,
    id: newId(),
    instrument: name,
    kind: 'torque-wrench',
    value: toMark(Math.min(value, most), resolution),
    unit: failure === 'wrong-unit' ? 'mm' : unit,
    resolution,
    phase,
    ...(degPerUnit > 0 && { turned_deg: toMark(value * degPerUnit, 1) }),
    ...((value > most || failure === 'over-range') && { over: true as const }),
    at,
  });
  return {
    /** @param clicksAt what it is set to, in its unit */
    pull: (clicksAt: number): SimulatedPull => {
      const off = 1 + (noise_pct * (2 * random() - 1) + drift_pct * pulls) / 100;
      pulls += 1;
      const shownAt = (held_ms: number) => ((rate * held_ms) / 1000) * off;
      return {
        at: (held_ms) => lineOf(shownAt(held_ms), 'pulling'),
        hasClicked: (held_ms) => (rate * held_ms) / 1000 >= clicksAt,
        letGo: (held_ms) => {
          if (failure === 'drop-out') return [];
          const at = failure === 'late' ? new Date(Date.parse(now()) - LATE_MS).toISOString() : now();
          const peak = lineOf(shownAt(held_ms), 'peak', at);
          return failure === 'repeat' ? [peak, peak] : [peak];
        },
      };
    },
  };
}
