import { DomainError, assertFinite, assertNotNegative, assertPositive, wrongInput, type Note } from '@/core/units';
import { fitDecay, type Excess } from './decay-fit';

/** A temperature at the head, so many minutes after stopping. */
export interface HeadReading {
  readonly minutes: number;
  readonly C: number;
}

export interface Cooling {
  readonly tau_min: number;
  /** Early end of the window: the exponential. */
  readonly readyFrom_min: number;
  /** Late end of the window: still air. */
  readonly readyBy_min: number;
  /** How far the errors of sensor and air moved each end out, minutes. */
  readonly errorFrom_min: number;
  readonly errorBy_min: number;
  readonly rms_C: number;
  /** How many readings were reckoned with. */
  readonly used: number;
  readonly notes: readonly Note[];
}

export interface CoolingInput {
  readonly ambient_C: number;
  readonly readings: readonly HeadReading[];
  readonly target_C: number;
  /** Time constant that this engine showed before; needed where there is one reading only. */
  readonly tau_min?: number;
  /** Standard deviation of a reading at the head, K; 1 if absent. */
  readonly sensor_C?: number;
  /** Standard deviation of the air's temperature, K; 0.5 if absent. */
  readonly ambientError_C?: number;
}

const SENSOR_C = 1;
const AMBIENT_ERROR_C = 0.5;

const SOAK_MIN = 30;
const MAX_READINGS = 500;

function assertReading(reading: HeadReading, at: string, ambient_C: number): void {
  if (typeof reading !== 'object' || reading === null) throw wrongInput(at, 'must be a time and a temperature.');
  assertNotNegative(reading.minutes, `${at}.minutes`);
  assertFinite(reading.C, `${at}.C`);
  if (!(reading.C > ambient_C))
    throw wrongInput(`${at}.C`, `must be above the ambient ${ambient_C} °C, got ${reading.C}. Check the ambient.`);
}

function assertReadings(readings: readonly HeadReading[], ambient_C: number): void {
  if (!(readings.length >= 1 && readings.length <= MAX_READINGS))
    throw wrongInput('readings', `must be a list of 1 to ${MAX_READINGS}, each a time and a temperature.`);
  readings.forEach((reading, i) => assertReading(reading, `readings[${i}]`, ambient_C));
  const times = new Set(readings.map((reading) => reading.minutes));
  if (times.size !== readings.length) throw wrongInput('readings', 'must each have a time of their own.');
}

/** An engine soaks before it cools: early readings go where two later ones exist. */
function usable(readings: readonly HeadReading[]): {
  readonly kept: readonly HeadReading[];
  readonly notes: readonly Note[];
} {
  const sorted = [...readings].sort((a, b) => a.minutes - b.minutes);
  const late = sorted.filter((reading) => reading.minutes >= SOAK_MIN);
  if (late.length < 2 || late.length === sorted.length) return { kept: sorted, notes: [] };
  const message = `${sorted.length - late.length} of the readings came before ${SOAK_MIN} minutes, while the heat was still evening out, and were left out.`;
  return { kept: late, notes: [{ code: 'early-readings-left-out', message }] };
}

const root4 = (value: number) => value ** -0.25;

/** Still air, θ' ∝ −θ^1.25: θ^−¼ runs straight in time between two readings. */
const stillAirMinutes = (first: Excess, last: Excess, target: number): number =>
  first.minutes +
  ((last.minutes - first.minutes) * (root4(target) - root4(first.excess_C))) /
    (root4(last.excess_C) - root4(first.excess_C));

/** Still air from one reading: the law whose first rate is the exponential's own. */
const stillAirFromOne = ({ minutes, excess_C }: Excess, tau_min: number, target: number): number =>
  minutes + 4 * tau_min * ((excess_C / target) ** 0.25 - 1);

interface Errors {
  readonly sensor_C: number;
  readonly ambient_C: number;
}

function fromOne(
  only: Excess,
  target: number,
  tau_min: number | undefined,
  errors: Errors,
  notes: readonly Note[],
): Cooling {
  if (tau_min === undefined)
    throw new DomainError(
      'missing-field',
      'One reading needs the time constant that this engine showed before.',
      'tau_min',
    );
  const early = ([first]: readonly Excess[], at: number) =>
    (first as Excess).minutes + tau_min * Math.log((first as Excess).excess_C / at);
  const late = ([first]: readonly Excess[], at: number) => stillAirFromOne(first as Excess, tau_min, at);
  const window = widened([only], target, early, late, errors);
  return { tau_min, ...window, rms_C: 0, used: 1, notes };
}

/** When the exponential through the readings falls to a target; NaN where they do not fall. */
function exponentialMinutes(readings: readonly Excess[], target: number): number {
  const fit = fitDecay(readings);
  return fit.ok ? fit.tau_min * Math.log(fit.amplitude_C / target) : Number.NaN;
}

const stillAirOfAll = (readings: readonly Excess[], target: number): number =>
  stillAirMinutes(readings[0] as Excess, readings.at(-1) as Excess, target);

type End = (readings: readonly Excess[], target: number) => number;

const STEP_K = 0.02;
const Z95 = 1.6449;
// Beyond so many readings each by itself hardly moves the end.
const MOST_MOVED = 24;

/**
 * Standard deviation of an end in minutes: each reading moved by the sensor's error, and all of them with the target by
 * the air's, to the first order.
 */
function deviation(readings: readonly Excess[], target: number, end: End, { sensor_C, ambient_C }: Errors): number {
  const base = end(readings, target);
  const slope = (moved: readonly Excess[], at: number) => {
    const by = (end(moved, at) - base) / STEP_K;
    return Number.isFinite(by) ? by : 0;
  };
  const every = Math.ceil(readings.length / MOST_MOVED);
  const squares = readings.reduce((sum, _, i) => {
    if (i % every !== 0 && i !== readings.length - 1) return sum;
    const moved = readings.map((one, j) => (j === i ? { ...one, excess_C: one.excess_C + STEP_K } : one));
    return sum + every * (slope(moved, target) * sensor_C) ** 2;
  }, 0);
  const warmerAir = readings.map((one) => ({ ...one, excess_C: one.excess_C - STEP_K }));
  const canMove = target > STEP_K && warmerAir.every(({ excess_C }) => excess_C > 0);
  return Math.sqrt(squares + (canMove ? (slope(warmerAir, target - STEP_K) * ambient_C) ** 2 : 0));
}

/** Both ends moved out by the errors of sensor and air, at the 5th and 95th percentile; never before the engine stopped. */
function widened(readings: readonly Excess[], target: number, early: End, late: End, errors: Errors) {
  const [from, by] = [early(readings, target), late(readings, target)];
  const errorFrom_min = Z95 * deviation(readings, target, early, errors);
  const errorBy_min = Z95 * deviation(readings, target, late, errors);
  return {
    readyFrom_min: Math.max(0, from - errorFrom_min),
    readyBy_min: Math.max(0, by + errorBy_min),
    errorFrom_min,
    errorBy_min,
  };
}

/**
 * When the head will be cold: a window, not a moment. The clock only proposes; a reading at the head opens the gate.
 * Early end: least squares of T = Ta + A·exp(−t/τ). Late end: still air, θ^−¼ straight in time between first and last
 * reading.
 * Each end is widened by 1.645 deviations of what the errors of sensor and air make of it.
 * Times in minutes from stopping, temperatures in °C.
 * @throws DomainError never (target not above ambient), not-cooling, missing-field, bad-field
 */
export function cooling(input: CoolingInput): Cooling {
  const { ambient_C, readings, target_C, tau_min, sensor_C = SENSOR_C, ambientError_C = AMBIENT_ERROR_C } = input;
  assertNotNegative(sensor_C, 'sensor_C');
  assertNotNegative(ambientError_C, 'ambientError_C');
  const errors = { sensor_C, ambient_C: ambientError_C };
  assertFinite(ambient_C, 'ambient_C');
  assertFinite(target_C, 'target_C');
  if (tau_min !== undefined) assertPositive(tau_min, 'tau_min');
  if (!(target_C > ambient_C))
    throw new DomainError(
      'never',
      `The head never falls to ${target_C} °C where the air is at ${ambient_C} °C.`,
      'target_C',
    );
  assertReadings(readings, ambient_C);
  const { kept, notes } = usable(readings);
  const excess = kept.map(({ minutes, C }): Excess => ({ minutes, excess_C: C - ambient_C }));
  const target = target_C - ambient_C;
  const [first, last] = [excess[0] as Excess, excess.at(-1) as Excess];
  if (excess.length === 1) return fromOne(first, target, tau_min, errors, notes);
  const fit = fitDecay(excess);
  if (!(last.excess_C < first.excess_C) || !fit.ok)
    throw new DomainError(
      'not-cooling',
      'The readings do not fall: the head is not cooling yet, or two readings are exchanged.',
      'readings',
    );
  return {
    tau_min: fit.tau_min,
    ...widened(excess, target, exponentialMinutes, stillAirOfAll, errors),
    rms_C: fit.rms_C,
    used: excess.length,
    notes,
  };
}
