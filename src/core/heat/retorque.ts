import type { Note } from '@/core/units';
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
  /** How far the errors of sensor and air moved each end out, minutes. */
  readonly errorFrom_min: number;
  readonly errorBy_min: number;
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
      errorFrom_min: fitted.errorFrom_min,
      errorBy_min: fitted.errorBy_min,
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
    errorFrom_min: one.errorFrom_min,
    errorBy_min: one.errorBy_min,
    basis: taken.length > 0 ? 'one-reading' : 'highest-at-stop',
    tauFrom: own === undefined ? 'usual' : 'own-earlier-run',
    used: [last],
    ambient_C,
    target_C,
  };
}

/** What a run has to come to before it counts as a heat cycle: so hot, and for so long. */
export interface LeastCycle {
  readonly highest_C: number;
  readonly minutes: number;
}

/** Whether a run is a heat cycle, and not only a start. */
export const isHeatCycle = ({ ranFrom, ranTo, highest_C }: CycleFact, least: LeastCycle): boolean =>
  highest_C >= least.highest_C && (ranTo - ranFrom) / MS_PER_MIN >= least.minutes;

export type RetorqueState =
  | { readonly state: 'not-asked' }
  | { readonly state: 'waits-for-tightening' }
  /** `short`: it ran, but too cool or too briefly to count. */
  | { readonly state: 'waits-for-heat'; readonly short?: CycleFact }
  /** Warm, and no page says how warm. */
  | { readonly state: 'waits-for-page' }
  | { readonly state: 'cooling'; readonly cycleId: string; readonly window: CoolingWindow }
  | {
      readonly state: 'open';
      readonly cycleId: string;
      readonly reading?: HeadReadingFact;
      readonly steady: boolean;
      readonly window: CoolingWindow;
    }
  /** `further`: a later heat cycle, after which it can be gone over once more; open where the head was read cold. */
  | {
      readonly state: 'done';
      readonly cycleId: string;
      readonly further?: { readonly cycleId: string; readonly open: boolean };
    };

export interface RetorqueInput extends Omit<WindowInput, 'cycle'> {
  readonly school: RetorqueSchool;
  readonly least: LeastCycle;
  /** For a warm retorque: the head's temperature that a page gives. */
  readonly warm_C?: number;
  /** When the last fastener came to its final figure; undefined while the joint is not tight. */
  readonly tightenedAt?: number;
  /** Heat cycles that were answered by a finished retorque since then. */
  readonly answered: readonly string[];
}

/** A head may be read a little above the run's highest while heat soaks out of the engine. */
const SOAK_K = 15;
const SOAK_MIN = 30;
const RISE_K = 2;
/** No engine was seen to cool in less than a quarter of the usual time; a reading is good to a few kelvin. */
const FASTEST = 0.25;
const READ_K = 4;
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

const WARM_WITHIN_K = 10;

/** Whether a reading at the head opens it, by the school: cold, or as warm as the page says. */
function opens({ school, headMetal, warm_C }: RetorqueInput, reading: HeadReadingFact): boolean {
  if (school === 'warm') return warm_C !== undefined && Math.abs(reading.head_C - warm_C) <= WARM_WITHIN_K;
  return reading.head_C <= coldTarget(reading.ambient_C, headMetal);
}

/** The run from which the head cools now, and the last reading since. */
function coolingFrom({ cycles, readings }: RetorqueInput, since: CycleFact) {
  // A short run that counts for nothing warms the head all the same.
  const run = cycles.filter(({ ranTo }) => ranTo >= since.ranTo).sort((a, b) => b.ranTo - a.ranTo)[0] ?? since;
  return { run, reading: readings.filter((one) => one.cycleId === run.id && one.at >= run.ranTo).at(-1) };
}

/**
 * Where a joint's retorque stands. The window only proposes: a reading at the head, taken after the run, opens it.
 * A heat cycle begun after the tightening makes it fall due; while it has not been done, a later run starts the cooling
 * anew. Once done, a later heat cycle gives it a further place.
 */
export function retorqueState(input: RetorqueInput): RetorqueState {
  const { tightenedAt, cycles, readings, answered } = input;
  if (input.school === 'none') return { state: 'not-asked' };
  if (tightenedAt === undefined) return { state: 'waits-for-tightening' };
  if (input.school === 'warm' && input.warm_C === undefined) return { state: 'waits-for-page' };
  const after = cycles.filter(({ ranFrom }) => ranFrom >= tightenedAt).sort((a, b) => a.ranTo - b.ranTo);
  const counting = after.filter((cycle) => isHeatCycle(cycle, input.least));
  const cycle = counting.at(-1);
  const done = counting.findLast(({ id }) => answered.includes(id));
  if (done) {
    if (cycle === undefined || cycle === done) return { state: 'done', cycleId: done.id };
    const { reading } = coolingFrom(input, cycle);
    const open = reading !== undefined && opens(input, reading);
    return { state: 'done', cycleId: done.id, further: { cycleId: cycle.id, open } };
  }
  if (!cycle) {
    const short = after.at(-1);
    return short ? { state: 'waits-for-heat', short } : { state: 'waits-for-heat' };
  }
  const { run, reading } = coolingFrom(input, cycle);
  const window = coolingWindow({ ...input, cycle: run });
  if (reading === undefined || !opens(input, reading)) return { state: 'cooling', cycleId: cycle.id, window };
  return { state: 'open', cycleId: cycle.id, window, reading, steady: isSteady(readings, run.id) };
}

/**
 * What is doubtful about a reading at the head beside those before it, in the order in which they were read: it opens
 * nothing until somebody says that it is so.
 */
export function headDoubts(
  reading: HeadReadingFact,
  cycle: CycleFact,
  readings: readonly HeadReadingFact[],
  kind: keyof typeof USUAL_TAU_MIN,
): readonly Note[] {
  const { head_C, ambient_C, at } = reading;
  const own = readings.filter((one) => one.cycleId === cycle.id);
  // Hours are told to the minute: of two in one, the one that was written is the earlier.
  const before = own.filter((one) => one.at <= at + MS_PER_MIN).at(-1);
  const minutes = minutesAfter(cycle, at);
  const told = (C: number) => `${Number(C.toFixed(1))} °C`;
  const doubts: Note[] = [];
  if (head_C < ambient_C - 1)
    doubts.push({
      code: 'below-air',
      message: `The head at ${told(head_C)} is colder than the air at ${told(ambient_C)}: it cannot have cooled there.`,
    });
  if (head_C > cycle.highest_C + SOAK_K)
    doubts.push({
      code: 'above-highest',
      message: `The head at ${told(head_C)} is above the highest of the run, ${told(cycle.highest_C)}.`,
    });
  if (before !== undefined && minutes > SOAK_MIN && head_C > before.head_C + RISE_K)
    doubts.push({
      code: 'rising',
      message: `The head was read at ${told(before.head_C)} before and at ${told(head_C)} now: it does not warm while it stands.`,
    });
  const from = before === undefined ? cycle.highest_C - ambient_C : before.head_C - ambient_C;
  const since = before === undefined ? minutes : Math.max(0, at - before.at) / MS_PER_MIN;
  const fastest = ambient_C + Math.max(0, from) * Math.exp(-since / (FASTEST * USUAL_TAU_MIN[kind]));
  if (doubts.length === 0 && head_C < fastest - READ_K)
    doubts.push({
      code: 'too-fast',
      message: `From ${told(ambient_C + from)} to ${told(head_C)} in ${Math.round(since)} minutes is faster than a head cools by itself; about ${told(fastest)} was to be expected at the least.`,
    });
  return doubts;
}
