import type { Note } from '@/core/units';
import { USUAL_TAU_MIN, coldTarget } from './cold';
import { coolingWindow, minutesAfter, type CoolingWindow, type WindowInput } from './cooling-window';
import { heatCycles } from './heat-cycles';
import { MS_PER_HOUR, MS_PER_MIN, type CycleFact, type HeadReadingFact, type LeastCycle } from './heat-facts';
import { FIRST_HEAT, answersStage, asksOf, dayOf, reachedAt, type RetorqueStage, type StageAsk } from './stages';
import type { MeterFact } from './travelled';

/** How a joint is gone over again after heat. */
export const RETORQUE_SCHOOLS = ['slacken', 'straight', 'warm', 'none'] as const;
export type RetorqueSchool = (typeof RETORQUE_SCHOOLS)[number];

/** The retorque that comes next by the rule, and how far it has come. */
export interface NextRetorque {
  /** Counted from 0, of so many. */
  readonly stage: number;
  readonly of: number;
  readonly asks: readonly StageAsk[];
  /** When its days are over, ms since 1970. */
  readonly dayAt?: number;
  /** It was come to, but it was not hot since it was last gone over. */
  readonly isReached: boolean;
  /** It was hot since it was last gone over, or tightened: its days make it fall due. */
  readonly isHot: boolean;
}

export type RetorqueState =
  | { readonly state: 'not-asked' }
  | { readonly state: 'waits-for-tightening' }
  /** `short`: it ran, but too cool or too briefly to count. */
  | { readonly state: 'waits-for-heat'; readonly short?: CycleFact; readonly next?: NextRetorque }
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
  /**
   * `further`: a later heat cycle, after which it can be gone over once more; open where the head was read cold. `next`:
   * what the rule asks for beyond it.
   */
  | {
      readonly state: 'done';
      readonly cycleId: string;
      readonly further?: { readonly cycleId: string; readonly open: boolean };
      readonly next?: NextRetorque;
    };

/** A retorque that was finished: which run it was made after, and when, ms since 1970. */
export interface AnsweredCycle {
  readonly cycleId: string;
  readonly at: number;
}

export interface RetorqueInput extends Omit<WindowInput, 'cycle'> {
  readonly school: RetorqueSchool;
  readonly least: LeastCycle;
  /** For a warm retorque: the head's temperature that a page gives. */
  readonly warm_C?: number;
  /** When the last fastener came to its final figure; undefined while the joint is not tight. */
  readonly tightenedAt?: number;
  /** Finished retorques; of those after a run that was struck off, or from before it was tightened, none counts. */
  readonly answered: readonly AnsweredCycle[];
  /** After what it is gone over, one after the other; after the first heat if absent or empty. */
  readonly stages?: readonly RetorqueStage[];
  readonly meters?: readonly MeterFact[];
  readonly daysAfter?: (at: number, days: number) => number;
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
function opens({ school, headMetal, warm_C, cold }: RetorqueInput, reading: HeadReadingFact, run: CycleFact): boolean {
  if (school === 'warm') return warm_C !== undefined && Math.abs(reading.head_C - warm_C) <= WARM_WITHIN_K;
  if (cold && 'hours' in cold && reading.at < run.ranTo + cold.hours * MS_PER_HOUR) return false;
  return reading.head_C <= coldTarget(reading.ambient_C, headMetal, cold);
}

/** The run from which the head cools now, and the last reading since. */
function coolingFrom({ cycles, readings }: RetorqueInput, since: CycleFact) {
  // A short run that counts for nothing warms the head all the same.
  const run = cycles.filter(({ ranTo }) => ranTo >= since.ranTo).sort((a, b) => b.ranTo - a.ranTo)[0] ?? since;
  return { run, reading: readings.filter((one) => one.cycleId === run.id && one.at >= run.ranTo).at(-1) };
}

/** The last hour of which the log tells anything. */
const lastKnown = ({ cycles, readings, meters = [] }: RetorqueInput): number =>
  [...cycles.map(({ ranTo }) => ranTo), ...readings.map(({ at }) => at), ...meters.map(({ at }) => at)].reduce(
    (latest, at) => Math.max(latest, at),
    Number.NEGATIVE_INFINITY,
  );

/** The first stage of the rule for which nothing was gone over, and since when it is due; none once all were. */
function nextStage(input: RetorqueInput, tightenedAt: number, counting: readonly CycleFact[]) {
  const stages = input.stages && input.stages.length > 0 ? input.stages : FIRST_HEAT;
  const log = {
    runs: input.cycles.filter(({ ranTo }) => ranTo >= tightenedAt),
    counting,
    meters: input.meters ?? [],
    since: tightenedAt,
    ...(input.daysAfter && { daysAfter: input.daysAfter }),
  };
  const own = new Map(counting.map(({ id, ranTo }) => [id, ranTo]));
  // Clocks of two machines may differ: what was gone over after a run was gone over after it.
  const rounds = input.answered.flatMap(({ cycleId, at }) => {
    const ranTo = own.get(cycleId);
    return ranTo === undefined ? [] : [{ cycleId, at: Math.max(at, ranTo) }];
  });
  const latest = counting.at(-1)?.id;
  const index = stages.findIndex((stage) => !rounds.some(({ at }) => answersStage(stage, log, at)));
  const stage = stages[index];
  if (!stage) return undefined;
  const reached = reachedAt(stage, log);
  const isReached = reached !== undefined && reached <= lastKnown(input);
  const day = dayOf(stage, log);
  const next: NextRetorque = {
    stage: index,
    of: stages.length,
    asks: asksOf(stage, log),
    ...(day !== undefined && { dayAt: day }),
    isReached,
    isHot: latest !== undefined && rounds.every(({ cycleId }) => cycleId !== latest),
  };
  return { next, since: isReached ? reached : undefined, isPlain: stages === FIRST_HEAT };
}

/**
 * Where a joint's retorque stands. The window only proposes: a reading at the head, taken after the run, opens it.
 * What its rule asks for makes it fall due, the first heat cycle after the tightening where there is no rule; while it
 * has not been done, a later run starts the cooling anew. Once all was done, a later heat cycle gives it a further place.
 * Nothing is gone over that was not hot since it was last gone over, whatever its rule says: it has given nothing.
 */
export function retorqueState(input: RetorqueInput): RetorqueState {
  const { tightenedAt, cycles, readings, answered } = input;
  if (input.school === 'none') return { state: 'not-asked' };
  if (tightenedAt === undefined) return { state: 'waits-for-tightening' };
  if (input.school === 'warm' && input.warm_C === undefined) return { state: 'waits-for-page' };
  const after = cycles.filter(({ ranFrom }) => ranFrom >= tightenedAt).sort((a, b) => a.ranTo - b.ranTo);
  const answers = new Set(answered.map(({ cycleId }) => cycleId));
  const { counting } = heatCycles({ runs: after, readings, least: input.least, kind: input.kind, answered: answers });
  const cycle = counting.at(-1);
  const done = counting.findLast(({ id }) => answers.has(id));
  const due = nextStage(input, tightenedAt, counting);
  const beyond = due && !due.isPlain ? { next: due.next } : {};
  if (done && (due?.since === undefined || cycle === undefined || cycle === done)) {
    if (cycle === undefined || cycle === done) return { state: 'done', cycleId: done.id, ...beyond };
    const { run, reading } = coolingFrom(input, cycle);
    const open = reading !== undefined && opens(input, reading, run);
    return { state: 'done', cycleId: done.id, further: { cycleId: cycle.id, open }, ...beyond };
  }
  if (!cycle || due?.since === undefined) {
    const short = cycle ? undefined : after.at(-1);
    return { state: 'waits-for-heat', ...(short && { short }), ...beyond };
  }
  const { run, reading } = coolingFrom(input, cycle);
  const window = coolingWindow({ ...input, cycle: run });
  // It may have been driven between a reading at the head and the one of the odometer that made it due.
  if (reading === undefined || reading.at < due.since || !opens(input, reading, run))
    return { state: 'cooling', cycleId: cycle.id, window };
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
