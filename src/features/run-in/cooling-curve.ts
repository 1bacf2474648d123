import type { CoolingWindow } from '@/core/heat';

export interface CurvePoint {
  readonly minutes: number;
  readonly early: number;
  readonly late: number;
}

const POINTS = 60;

/**
 * The two laws that bound the cooling, drawn from the last reading on: the exponential, and still air through the
 * late end.
 */
export function coolingCurve(window: CoolingWindow, ranTo: number): readonly CurvePoint[] {
  const last = window.used.at(-1) ?? { minutes: 0, C: window.target_C };
  const excess = last.C - window.ambient_C;
  const target = window.target_C - window.ambient_C;
  // The laws themselves: the window is wider by what sensor and air may be off.
  const by = (window.by - ranTo) / 60_000 - window.errorBy_min - window.tailBy_min;
  const rise = by > last.minutes ? (target ** -0.25 - excess ** -0.25) / (by - last.minutes) : 0;
  const end = Math.max(by + window.errorBy_min + window.tailBy_min, last.minutes + 1) * 1.12;
  return Array.from({ length: POINTS + 1 }, (_, i) => {
    const minutes = last.minutes + ((end - last.minutes) * i) / POINTS;
    const since = minutes - last.minutes;
    return {
      minutes,
      early: window.ambient_C + excess * Math.exp(-since / window.tau_min),
      late: window.ambient_C + (excess ** -0.25 + rise * since) ** -4,
    };
  });
}
