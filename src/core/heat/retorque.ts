import { cooling } from './cooling';
import { COLD_WITHIN_K, USUAL_TAU_MIN, coldTarget, type HeadMetal } from './cold';

/** How a joint is gone over again after heat. */
export const RETORQUE_SCHOOLS = ['slacken', 'straight', 'warm', 'none'] as const;
export type RetorqueSchool = (typeof RETORQUE_SCHOOLS)[number];

/** Times are milliseconds since 1970, temperatures °C. */
export interface CycleFact {
  readonly id: string;
  readonly ranFrom: number;
  readonly ranTo: number;
  readonly highest_C: number;
  readonly ambient_C: number;
}

export interface HeadReadingFact {
  readonly cycleId: string;
  readonly at: number;
  readonly head_C: number;
  readonly ambient_C: number;
}

export interface CoolingWindow {
  readonly from: number;
  readonly by: number;
  readonly tau_min: number;
  /** What the window rests on. */
  readonly basis: 'readings' | 'one-reading' | 'highest-at-stop';
  readonly tauFrom: 'this-run' | 'own-earlier-run' | 'usual';
  readonly used: readonly { readonly minutes: number; readonly C: number }[];
  readonly ambient_C: number;
  readonly target_C: number;
}

const MS_PER_MIN = 60_000;

export interface WindowInput {
  readonly kind: keyof typeof USUAL_TAU_MIN;
  readonly headMetal: HeadMetal;
  readonly cycle: CycleFact;
  /** Every cycle and reading of this engine: earlier ones give its own time constant. */
  readonly cycles: readonly CycleFact[];
  readonly readings: readonly HeadReadingFact[];
}

const minutesAfter = (cycle: CycleFact, at: number) => (at - cycle.ranTo) / MS_PER_MIN;

/** One reading a minute, after stopping and above the air; a second one at the same minute replaces the first. */
function coolingReadings(cycle: CycleFact, readings: readonly HeadReadingFact[], ambient_C: number) {
  const byMinute = new Map<number, number>();
  for (const reading of readings) {
    const minutes = minutesAfter(cycle, reading.at);
    if (reading.cycleId === cycle.id && minutes >= 0 && reading.head_C > ambient_C)
      byMinute.set(minutes, reading.head_C);
  }
  return [...byMinute].map(([minutes, C]) => ({ minutes, C })).sort((a, b) => a.minutes - b.minutes);
}

const ambientOf = (cycle: CycleFact, readings: readonly HeadReadingFact[]) =>
  readings.filter((reading) => reading.cycleId === cycle.id).at(-1)?.ambient_C ?? cycle.ambient_C;

function tryCooling(input: Parameters<typeof cooling>[0]) {
  try {
    return cooling(input);
  } catch {
    return undefined;
  }
}

/** The time constant this engine showed on the latest earlier run that was read at least twice. */
function ownTau({ cycle, cycles, readings }: WindowInput): number | undefined {
  const earlier = cycles.filter((other) => other.ranTo < cycle.ranTo).sort((a, b) => b.ranTo - a.ranTo);
  for (const other of earlier) {
    const ambient_C = ambientOf(other, readings);
    const taken = coolingReadings(other, readings, ambient_C);
    const fit = taken.length >= 2 ? tryCooling({ ambient_C, readings: taken, target_C: ambient_C + 1 }) : undefined;
    if (fit) return fit.tau_min;
  }
  return undefined;
}

/**
 * The window of time in which the head will be cold after a run, and what it rests on.
 * Two readings that fall give the engine's own rate; one reading, or none, borrows it from an earlier run, or a usual
 * figure.
 */
export function coolingWindow(input: WindowInput): CoolingWindow {
  const { cycle, headMetal, kind } = input;
  const ambient_C = ambientOf(cycle, input.readings);
  const target_C = coldTarget(ambient_C, headMetal);
  const taken = coolingReadings(cycle, input.readings, ambient_C);
  const at = (minutes: number) => cycle.ranTo + minutes * MS_PER_MIN;
  const fitted = taken.length >= 2 ? tryCooling({ ambient_C, readings: taken, target_C }) : undefined;
  if (fitted) {
    const used = taken.slice(taken.length - fitted.used);
    return {
      // The two laws cross where the target lies between the readings.
      from: at(Math.min(fitted.readyFrom_min, fitted.readyBy_min)),
      by: at(Math.max(fitted.readyFrom_min, fitted.readyBy_min)),
      tau_min: fitted.tau_min,
      basis: 'readings',
      tauFrom: 'this-run',
      used,
      ambient_C,
      target_C,
    };
  }
  const own = ownTau(input);
  const last = taken.at(-1) ?? { minutes: 0, C: Math.max(cycle.highest_C, ambient_C + COLD_WITHIN_K[headMetal] + 1) };
  const tau_min = own ?? USUAL_TAU_MIN[kind];
  const one = cooling({ ambient_C, readings: [last], target_C, tau_min });
  return {
    from: at(one.readyFrom_min),
    by: at(one.readyBy_min),
    tau_min,
    basis: taken.length > 0 ? 'one-reading' : 'highest-at-stop',
    tauFrom: own === undefined ? 'usual' : 'own-earlier-run',
    used: [last],
    ambient_C,
    target_C,
  };
}

export type RetorqueState =
  | { readonly state: 'not-asked' }
  | { readonly state: 'waits-for-tightening' }
  | { readonly state: 'waits-for-heat' }
  | { readonly state: 'cooling'; readonly cycleId: string; readonly window: CoolingWindow }
  | {
      readonly state: 'open';
      readonly cycleId: string;
      readonly reading?: HeadReadingFact;
      readonly steady: boolean;
      readonly window: CoolingWindow;
    }
  | { readonly state: 'done'; readonly cycleId: string };

export interface RetorqueInput extends Omit<WindowInput, 'cycle'> {
  readonly school: RetorqueSchool;
  /** When the last fastener came to its final figure; undefined while the joint is not tight. */
  readonly tightenedAt?: number;
  /** Heat cycles that were answered by a finished retorque since then. */
  readonly answered: readonly string[];
}

const STEADY_APART_MS = 30 * MS_PER_MIN;
const STEADY_WITHIN_K = 1;

/** Two readings half an hour apart that differ by under a kelvin: head, block and studs are at one temperature. */
function isSteady(readings: readonly HeadReadingFact[], cycleId: string): boolean {
  const own = readings.filter((reading) => reading.cycleId === cycleId);
  const last = own.at(-1);
  return (
    last !== undefined &&
    own.some((other) => last.at - other.at >= STEADY_APART_MS && Math.abs(last.head_C - other.head_C) < STEADY_WITHIN_K)
  );
}

/**
 * Where a joint's retorque stands. The window only proposes: a reading at the head, taken after the run, opens it.
 * A run after the tightening makes it fall due; while it has not been done, a later run starts the cooling anew.
 */
export function retorqueState(input: RetorqueInput): RetorqueState {
  const { tightenedAt, cycles, readings, answered } = input;
  if (input.school === 'none') return { state: 'not-asked' };
  if (tightenedAt === undefined) return { state: 'waits-for-tightening' };
  const since = cycles.filter((cycle) => cycle.ranTo >= tightenedAt).sort((a, b) => a.ranTo - b.ranTo);
  const done = since.find((cycle) => answered.includes(cycle.id));
  if (done) return { state: 'done', cycleId: done.id };
  const cycle = since.at(-1);
  if (!cycle) return { state: 'waits-for-heat' };
  const window = coolingWindow({ ...input, cycle });
  const reading = readings.filter((one) => one.cycleId === cycle.id && one.at >= cycle.ranTo).at(-1);
  const cold = reading !== undefined && reading.head_C <= coldTarget(reading.ambient_C, input.headMetal);
  if (!cold && input.school !== 'warm') return { state: 'cooling', cycleId: cycle.id, window };
  return { state: 'open', cycleId: cycle.id, window, reading, steady: isSteady(readings, cycle.id) };
}
