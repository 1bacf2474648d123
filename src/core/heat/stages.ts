import { DomainError } from '@/core/units';
import { KM_PER_MILE, travelled, type DistanceUnit, type MeterFact, type Travelled } from './travelled';
import { MS_PER_HOUR, type CycleFact } from './heat-facts';

/**
 * When a joint is gone over again, counted from when it was tightened: whichever of what is given comes first. Empty
 * parts ask nothing.
 */
export interface RetorqueStage {
  readonly cycles?: number;
  readonly distance?: { readonly value: number; readonly unit: DistanceUnit };
  readonly hours?: number;
  readonly days?: number;
}

/** Where nobody gave a rule: after the first heat. */
export const FIRST_HEAT: readonly RetorqueStage[] = [{ cycles: 1 }];

export interface WayLog {
  /** Every run since, whether or not it counts as a heat cycle. */
  readonly runs: readonly CycleFact[];
  /** Those that count. */
  readonly counting: readonly CycleFact[];
  readonly meters: readonly MeterFact[];
  /** When the joint was tightened, ms since 1970. */
  readonly since: number;
  /** So many days later, by the wall clock; days of 24 hours if absent. */
  readonly daysAfter?: (at: number, days: number) => number;
}

export type StageMeasure = 'cycles' | 'distance' | 'hours' | 'days';

/** One measure of a stage, and how far it has come; `done` is left out where that is not known. */
export interface StageAsk {
  readonly what: StageMeasure;
  readonly of: number;
  readonly done?: number;
  readonly unit?: DistanceUnit;
  /** Runs that said nothing of their way. */
  readonly unsaidRuns?: number;
}

const DAY_MS = 86_400_000;

/** A round in the last tenth of what is asked for was made for it: nobody goes out for the last few miles. */
const NEAR = 0.9;

const wayRuns = (log: WayLog) => log.runs.map(({ ranFrom, ranTo, went_km }) => ({ ranFrom, ranTo, adds: went_km }));
const hourRuns = (log: WayLog) =>
  log.runs.map(({ ranFrom, ranTo }) => ({ ranFrom, ranTo, adds: (ranTo - ranFrom) / MS_PER_HOUR }));
const odometer = (log: WayLog) => log.meters.filter(({ unit }) => unit !== 'h');
const hourMeter = (log: WayLog) => log.meters.filter(({ unit }) => unit === 'h');

const wayAt = (log: WayLog, at: number) => travelled(odometer(log), wayRuns(log), log.since, at);
const hoursAt = (log: WayLog, at: number) => travelled(hourMeter(log), hourRuns(log), log.since, at);

/** What passed since a joint was tightened: km, hours, and heats; what is not known is left out. */
export const passedAt = (log: WayLog, until: number) => {
  const [way, hours] = [wayAt(log, until), hoursAt(log, until)];
  return {
    ...(way && { way_km: way.amount, unsaidRuns: way.unsaidRuns }),
    ...(hours && { hours: hours.amount }),
    heats: log.counting.filter(({ ranFrom }) => ranFrom >= log.since).length,
  };
};

/** The hours at which the log says something new. */
const moments = (log: WayLog): readonly number[] =>
  [...log.runs.map(({ ranTo }) => ranTo), ...log.meters.map(({ at }) => at)]
    .filter((at) => at >= log.since)
    .sort((a, b) => a - b);

/** From miles to km and back a figure is off in its last digits. */
const ROUNDING = 1e-9;

/** The first of the log's hours at which so much was come to; what an engine went does not become less. */
function firstAt(log: WayLog, asked: number, amountAt: (at: number) => Travelled | undefined): number | undefined {
  const at = moments(log);
  const isThere = (i: number) => (amountAt(at[i] as number)?.amount ?? -1) >= asked * (1 - ROUNDING);
  let [low, high] = [0, at.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (isThere(middle)) high = middle;
    else low = middle + 1;
  }
  return at[low];
}

/**
 * When one of a stage's measures was come to, ms since 1970; a day may lie ahead, the others are known once the log
 * says so.
 * @param share of what is asked for that is enough; 1 all of it
 */
export function reachedAt(stage: RetorqueStage, log: WayLog, share = 1): number | undefined {
  const { cycles, distance, hours, days } = stage;
  const found: number[] = [];
  const own = log.counting.filter(({ ranFrom }) => ranFrom >= log.since).sort((a, b) => a.ranTo - b.ranTo);
  // Of cycles there is no tenth.
  const nth = cycles === undefined ? undefined : own[cycles - 1];
  if (nth) found.push(nth.ranTo);
  const byWay =
    distance &&
    firstAt(log, share * distance.value * (distance.unit === 'mi' ? KM_PER_MILE : 1), (at) => wayAt(log, at));
  if (byWay !== undefined) found.push(byWay);
  const byHours = hours === undefined ? undefined : firstAt(log, share * hours, (at) => hoursAt(log, at));
  if (byHours !== undefined) found.push(byHours);
  if (days !== undefined)
    found.push(share === 1 ? daysLater(log, days) : log.since + share * (daysLater(log, days) - log.since));
  return found.length === 0 ? undefined : Math.min(...found);
}

const daysLater = ({ since, daysAfter }: WayLog, days: number) => daysAfter?.(since, days) ?? since + days * DAY_MS;

/** When a stage falls due by its days alone, ms since 1970. */
export const dayOf = (stage: RetorqueStage, log: WayLog): number | undefined =>
  stage.days === undefined ? undefined : daysLater(log, stage.days);

/** Whether a round that was finished then was made for this stage. */
export const answersStage = (stage: RetorqueStage, log: WayLog, at: number): boolean => {
  const near = reachedAt(stage, log, NEAR);
  return near !== undefined && near <= at;
};

/** What a stage asks for, and how far each has come by the log. */
export function asksOf(stage: RetorqueStage, log: WayLog): readonly StageAsk[] {
  const { cycles, distance, hours, days } = stage;
  const until = moments(log).at(-1) ?? log.since;
  const { way_km, unsaidRuns, hours: ran, heats } = passedAt(log, until);
  return [
    ...(cycles === undefined
      ? []
      : [
          {
            what: 'cycles' as const,
            of: cycles,
            done: heats,
          },
        ]),
    ...(distance
      ? [
          {
            what: 'distance' as const,
            of: distance.value,
            unit: distance.unit,
            ...(way_km !== undefined && { done: way_km / (distance.unit === 'mi' ? KM_PER_MILE : 1), unsaidRuns }),
          },
        ]
      : []),
    ...(hours === undefined ? [] : [{ what: 'hours' as const, of: hours, ...(ran !== undefined && { done: ran }) }]),
    ...(days === undefined ? [] : [{ what: 'days' as const, of: days }]),
  ];
}

export const MOST_STAGES = 6;

/** @throws DomainError bad-field where a stage asks for nothing, or there are too many */
export function assertStages(stages: readonly RetorqueStage[]): void {
  if (stages.length > MOST_STAGES)
    throw new DomainError('bad-field', `No more than ${MOST_STAGES} retorques are planned ahead.`, 'again');
  for (const { cycles, distance, hours, days } of stages)
    if ([cycles, distance, hours, days].every((one) => one === undefined))
      throw new DomainError('bad-field', 'Each retorque says after what: cycles, a distance, hours or days.', 'again');
}
