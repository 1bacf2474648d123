import { cooling } from './cooling';
import { USUAL_TAU_MIN, allowedOver, coldTarget, type ColdRule, type HeadMetal } from './cold';
import { MS_PER_HOUR, MS_PER_MIN, type CycleFact, type HeadReadingFact } from './heat-facts';

export interface CoolingWindow {
  readonly from: number;
  readonly by: number;
  readonly tau_min: number;
  /** How far the errors of sensor and air moved each end out, minutes. */
  readonly errorFrom_min: number;
  readonly errorBy_min: number;
  /** How much later still the late end was put, because a slow block holds the tail up, minutes. */
  readonly tailBy_min: number;
  /** What the window rests on. */
  readonly basis: 'readings' | 'one-reading' | 'highest-at-stop';
  readonly tauFrom: 'this-run' | 'own-earlier-run' | 'usual';
  /** Of how many earlier runs it is the middle. */
  readonly pooledRuns?: number;
  /** Those were left to stand as this one is. */
  readonly pooledAlike?: boolean;
  readonly used: readonly { readonly minutes: number; readonly C: number }[];
  readonly ambient_C: number;
  readonly target_C: number;
  /** Set where it counts as cold by so many hours: both ends lie there, whatever the curve says. */
  readonly byHours?: number;
}

export interface WindowInput {
  readonly kind: keyof typeof USUAL_TAU_MIN;
  readonly headMetal: HeadMetal;
  /** By its metal if absent. */
  readonly cold?: ColdRule;
  readonly cycle: CycleFact;
  /** Every cycle and reading of this engine: earlier ones give its own time constant. */
  readonly cycles: readonly CycleFact[];
  readonly readings: readonly HeadReadingFact[];
}

export const minutesAfter = (cycle: CycleFact, at: number) => (at - cycle.ranTo) / MS_PER_MIN;

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

/** Before so many minutes heat soaks out of the engine, and what is read tells nothing of how it cools. */
const EVEN_MIN = 30;
const MOST_POOLED = 8;

/** The time constant this engine showed on its latest earlier runs that were read at least twice: their middle. */
function ownTau({
  cycle,
  cycles,
  readings,
}: WindowInput): { readonly tau_min: number; readonly runs: number; readonly isAlike: boolean } | undefined {
  const byCycle = new Map<string, HeadReadingFact[]>();
  for (const reading of readings) {
    const own = byCycle.get(reading.cycleId);
    if (own) own.push(reading);
    else byCycle.set(reading.cycleId, [reading]);
  }
  const read = cycles
    .filter((other) => other.ranTo < cycle.ranTo && (byCycle.get(other.id)?.length ?? 0) >= 2)
    .sort((a, b) => b.ranTo - a.ranTo);
  // A head before a fan cools by another law than one in a closed shed: like is taken with like, where there is any.
  const alike = cycle.stood === undefined ? [] : read.filter(({ stood }) => stood === cycle.stood);
  const earlier = alike.length > 0 ? alike : read;
  const found: number[] = [];
  for (const other of earlier) {
    if (found.length === MOST_POOLED) break;
    const own = byCycle.get(other.id) ?? [];
    const ambient_C = ambientOf(other, own);
    const taken = coolingReadings(other, own, ambient_C).filter(({ minutes }) => minutes >= EVEN_MIN);
    const fit = taken.length >= 2 ? tryCooling({ ambient_C, readings: taken, target_C: ambient_C + 1 }) : undefined;
    if (fit) found.push(Math.log(fit.tau_min));
  }
  if (found.length === 0) return undefined;
  return {
    tau_min: Math.exp(found.reduce((sum, one) => sum + one, 0) / found.length),
    runs: found.length,
    isAlike: alike.length > 0,
  };
}

/**
 * A block that cools more slowly than its head holds the tail up, beyond what still air alone does: with the late end a
 * tenth later, of made records with two time constants near each other 95 of 100 lie in the window, and without it 86.
 */
const TAIL = 0.1;
const tailAfter = (last_min: number, late_min: number): number => TAIL * Math.max(0, late_min - last_min);

/**
 * The window of time in which the head will be cold after a run, and what it rests on.
 * Two readings that fall give the engine's own rate; one reading, or none, borrows it from earlier runs, or a usual
 * figure. What was read in the first half hour does not count: heat was still evening out.
 */
export function coolingWindow(input: WindowInput): CoolingWindow {
  const { cycle, cold } = input;
  const window = windowByCurve(input);
  if (cold === undefined || !('hours' in cold)) return window;
  const at = cycle.ranTo + cold.hours * MS_PER_HOUR;
  return { ...window, from: at, by: at, byHours: cold.hours };
}

function windowByCurve(input: WindowInput): CoolingWindow {
  const { cycle, headMetal, kind, cold } = input;
  const ambient_C = ambientOf(cycle, input.readings);
  const target_C = coldTarget(ambient_C, headMetal, cold);
  const taken = coolingReadings(cycle, input.readings, ambient_C).filter(({ minutes }) => minutes >= EVEN_MIN);
  const at = (minutes: number) => cycle.ranTo + minutes * MS_PER_MIN;
  const fitted = taken.length >= 2 ? tryCooling({ ambient_C, readings: taken, target_C }) : undefined;
  if (fitted) {
    const used = taken.slice(taken.length - fitted.used);
    const late = Math.max(fitted.readyFrom_min, fitted.readyBy_min);
    const tailBy_min = tailAfter(used.at(-1)?.minutes ?? 0, late);
    return {
      // The two laws cross where the target lies between the readings.
      from: at(Math.min(fitted.readyFrom_min, fitted.readyBy_min)),
      by: at(late + tailBy_min),
      tau_min: fitted.tau_min,
      errorFrom_min: fitted.errorFrom_min,
      errorBy_min: fitted.errorBy_min,
      tailBy_min,
      basis: 'readings',
      tauFrom: 'this-run',
      used,
      ambient_C,
      target_C,
    };
  }
  const own = ownTau(input);
  const last = taken.at(-1) ?? {
    minutes: 0,
    C: Math.max(cycle.highest_C, ambient_C + allowedOver(headMetal, cold) + 1),
  };
  const tau_min = own?.tau_min ?? USUAL_TAU_MIN[kind];
  const one = cooling({ ambient_C, readings: [last], target_C, tau_min });
  const tailBy_min = tailAfter(last.minutes, one.readyBy_min);
  return {
    from: at(one.readyFrom_min),
    by: at(one.readyBy_min + tailBy_min),
    tau_min,
    errorFrom_min: one.errorFrom_min,
    errorBy_min: one.errorBy_min,
    tailBy_min,
    basis: taken.length > 0 ? 'one-reading' : 'highest-at-stop',
    tauFrom: own === undefined ? 'usual' : 'own-earlier-run',
    ...(own && { pooledRuns: own.runs, pooledAlike: own.isAlike }),
    used: [last],
    ambient_C,
    target_C,
  };
}
