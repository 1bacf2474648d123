import {
  KM_PER_MILE,
  coolingWindow,
  passedAt,
  type CoolingWindow,
  type CycleFact,
  type DistanceUnit,
  type LeastCycle,
  type NoCycle,
  type RetorqueState,
} from '@/core/heat';
import type { Position } from '@/core/tightening';
import { followsOf, openLineOf, type Follow, type OpenLine } from '@/model/heat/follows';
import { ownUnit } from '@/model/heat/meter';
import { LEAST_CYCLES, SETTLED_LIMITS } from '@/model/practice/house-practice';
import { seenWords } from '@/interface/words/seen-words';
import { fullDate } from '@/interface/figures/times';
import { settledOf, settlingFactsOf, type Settled } from '@/model/heat/settled';
import { inputsOf, type EngineRows } from '@/model/engine/engine-rows';
import {
  cyclesOf,
  headReadingsOf,
  heatCyclesOf,
  metersOf,
  schoolInForce,
  tightenedAtOf,
  type EngineState,
} from '@/model/engine/engine-state';
import type { CoolingReading, HeatCycle, MeterReading, SeenAtRun } from '@/model/heat/heat-log';
import type { Joint } from '@/model/joint/joint';
import { computeJoint } from '@/model/joint/joint-result';
import type { JointState } from '@/model/joint/joint-state';
import { warmHeadOf, type WarmHead } from '@/model/joint/warm-head';
import { shelvesFor, type Shelves } from '@/model/shelf/shelves';
import { tryCore } from '@/model/try-core';
import { barsOfStart, startStepOf } from '@/model/order/gate';
import { OIL_DRAINS_DAYS, startSheetOf, type AnsweredCheck, type StartSheet } from '@/model/order/start-sheet';
import { retorqueLine } from '@/interface/words/status-words';

export interface RetorqueDue {
  readonly jointId: string;
  readonly version: number;
  readonly name: string;
  readonly href: string;
  readonly state: RetorqueState;
  readonly line: string;
  readonly underWay: boolean;
  /** What follows, once it was gone over. */
  readonly follows?: readonly Follow[];
  /** What a warm head costs it, where it is waited for or read. */
  readonly warm?: WarmHead;
}

/** A joint that was gone over again, and whether it has settled. */
export interface SettledJoint {
  readonly jointId: string;
  readonly name: string;
  readonly positions: readonly Position[];
  readonly order: readonly number[];
  readonly settled: Settled;
}

/** A thing that was seen at a run, and whether it stands on the list of what is open. */
export interface SeenLine extends OpenLine {
  readonly what: string;
}

export interface LoggedCycle extends HeatCycle {
  readonly readings: readonly CoolingReading[];
  readonly seenLines: readonly SeenLine[];
  /** The joints to which it is no heat cycle, and why. */
  readonly noCycle: readonly { readonly joint: string; readonly no: NoCycle; readonly least: LeastCycle }[];
}

/** How far and how long an engine went since one of its joints was tightened, by its meters and its runs. */
export interface SinceTight {
  readonly jointId: string;
  readonly name: string;
  readonly since: number;
  readonly way?: { readonly value: number; readonly unit: DistanceUnit; readonly unsaidRuns: number };
  readonly hours?: number;
  readonly heats: number;
}

/** The first start's sheet, with what the order of the work says to it. */
export interface FirstStart {
  /** What stands against it. */
  readonly bars: readonly string[];
  readonly checks: readonly AnsweredCheck[];
  readonly isReady: boolean;
  /** Why it was started all the same is asked with the first run: the order was not asked before. */
  readonly asksWhy: boolean;
  readonly href: string;
}

/** A start that went wrong, and whether what was seen stands on the list of what is open. */
export interface WrongStart {
  readonly id: string;
  readonly on: string;
  readonly who?: string;
  readonly seenLines: readonly SeenLine[];
}

export interface RunIn {
  /** Until the first run was logged. */
  readonly start?: FirstStart;
  /** Starts that went wrong, the latest first. */
  readonly wrongStarts: readonly WrongStart[];
  /** Set where it stood so long that its oil has drained away: since when. */
  readonly stoodSince?: string;
  /** The latest runs, the latest first, and how many came before those. */
  readonly cycles: readonly LoggedCycle[];
  readonly older: number;
  readonly dues: readonly RetorqueDue[];
  /** As read, the latest first. */
  readonly meters: readonly MeterReading[];
  readonly unit: DistanceUnit;
  readonly sinceTight: readonly SinceTight[];
  /** How the latest run cools, whether or not a joint waits for it. */
  readonly window?: CoolingWindow;
}

/** As many runs as are read on one page. */
const MOST_RUNS = 40;

/** Whether a cold head is waited for, or may be gone over: then it is told what one that is not quite cold costs. */
const asksCold = ({ joint, retorque }: JointState): boolean =>
  joint.retorqueSchool !== 'warm' &&
  (retorque.state === 'cooling' ||
    retorque.state === 'open' ||
    (retorque.state === 'done' && retorque.further !== undefined));

const whatFollows = ({ order }: EngineState, joint: JointState): Pick<RetorqueDue, 'follows'> => {
  // Opened up or tightened anew since, nothing follows from what was gone over before.
  const follows = joint.retorque.state === 'done' ? followsOf(joint, order.lines) : undefined;
  return follows ? { follows } : {};
};

const DAY_MS = 86_400_000;

/** Whether a joint waits for a reading at the head: of one that has long been cold nothing else is said. */
const waitsForHead = (joints: readonly JointState[]): boolean =>
  joints.some(
    ({ retorque }) =>
      retorque.state === 'cooling' ||
      retorque.state === 'open' ||
      (retorque.state === 'done' && (retorque.further !== undefined || retorque.next !== undefined)),
  );

function firstStartOf(state: EngineState, { checks, open, passed }: StartSheet): FirstStart {
  const bars = barsOfStart(state).map(({ message }) => message);
  const isReady = open.length === 0 && bars.length === 0;
  return {
    checks,
    bars,
    isReady,
    asksWhy: !isReady && passed === undefined && startStepOf(state)?.state !== 'done',
    href: `/engines/${state.engine.id}/order`,
  };
}

function wrongStarts({ order: { lines } }: EngineState, { wrong }: StartSheet): readonly WrongStart[] {
  return [...wrong].reverse().map(({ id, who, body: { on, seen } }) => ({
    id,
    on,
    who,
    seenLines: seenAt('start', on, seen, lines),
  }));
}

const seenAt = (
  what: 'run' | 'start',
  at: string,
  seen: readonly SeenAtRun[],
  lines: EngineState['order']['lines'],
): readonly SeenLine[] =>
  seen.map((one) => {
    const words = seenWords(one);
    return { what: words, ...openLineOf(`At the ${what} of ${fullDate(at)}, ${words}`, lines, at) };
  });

/** Its odometer's own unit; before it was read, the one that goes with its torques. */
const unitOf = ({ engine, heat }: EngineState): DistanceUnit =>
  ownUnit(heat.meters) ?? (/lb|oz/.test(engine.preferredUnit) ? 'mi' : 'km');

/** The runs since each joint was tightened, and which of them are heat cycles to it: worked out once for all that ask. */
interface RunsSince extends ReturnType<typeof heatCyclesOf> {
  readonly of: JointState;
  readonly since: number;
  readonly runs: readonly CycleFact[];
}

function runsSince(state: EngineState): readonly RunsSince[] {
  const facts = cyclesOf(state.heat);
  return state.joints.flatMap((of) => {
    const since = tightenedAtOf(of.final);
    if (since === undefined || of.joint.retorqueSchool === 'none') return [];
    const runs = facts.filter(({ ranFrom }) => ranFrom >= since);
    return [{ of, since, runs, ...heatCyclesOf(state, of, runs) }];
  });
}

/** Why a run is no heat cycle to the joints that are gone over again, by the run. */
function noCyclesOf(all: readonly RunsSince[]): ReadonlyMap<string, LoggedCycle['noCycle']> {
  const found = new Map<string, LoggedCycle['noCycle'][number][]>();
  for (const { of, not } of all) {
    if (schoolInForce(of.joint) === 'none') continue;
    const least = LEAST_CYCLES[of.joint.detail.heatCycle];
    for (const [id, no] of not) {
      const said = { joint: of.joint.name, no, least };
      const before = found.get(id);
      if (before) before.push(said);
      else found.set(id, [said]);
    }
  }
  return found;
}

/** Everything that passed since a joint was tightened. */
function sinceTight(state: EngineState, { of: { joint }, since, runs, counting }: RunsSince, now: number): SinceTight {
  const log = { runs, counting, meters: metersOf(state.heat), since };
  const { way_km, unsaidRuns = 0, hours, heats } = passedAt(log, Math.max(now, since));
  const unit = unitOf(state);
  return {
    jointId: joint.id,
    name: joint.name,
    since,
    heats,
    ...(way_km !== undefined && {
      way: { value: way_km / (unit === 'mi' ? KM_PER_MILE : 1), unit, unsaidRuns },
    }),
    ...(hours !== undefined && { hours }),
  };
}

/**
 * The runs of an engine, its readings, and the retorques that follow from them.
 * @param warmOf what a warm head costs a joint
 */
export function runInOf(state: EngineState, now: number, warmOf?: (joint: Joint) => WarmHead | undefined): RunIn {
  const { engine, heat, joints } = state;
  const cycles = [...heat.cycles].sort((a, b) => Date.parse(b.ranTo) - Date.parse(a.ranTo));
  const facts = cyclesOf(heat);
  const latest = facts.find((cycle) => cycle.id === cycles[0]?.id);
  // Of the joint that waits for the cold: what counts as cold is its own.
  const waiting = joints.flatMap(({ retorque }) => ('window' in retorque ? [retorque.window] : []))[0];
  const window =
    waiting ??
    (latest &&
      coolingWindow({
        kind: engine.kind,
        headMetal: engine.headMetal,
        cycle: latest,
        cycles: facts,
        readings: headReadingsOf(heat),
      }));
  const last = cycles[0];
  const sheet = startSheetOf(state.order.lines, now);
  const since = runsSince(state);
  const noCycle = noCyclesOf(since);
  const isStood = last !== undefined && now - Date.parse(last.ranTo) > OIL_DRAINS_DAYS * DAY_MS;
  return {
    ...(last ? {} : { start: firstStartOf(state, sheet) }),
    ...(isStood && { stoodSince: last.ranTo }),
    wrongStarts: wrongStarts(state, sheet),
    // Hours are told to the minute: of two in one, the one that was written later is the later.
    meters: [...heat.meters].reverse().sort((a, b) => Date.parse(b.at) - Date.parse(a.at)),
    unit: unitOf(state),
    sinceTight: since.map((one) => sinceTight(state, one, now)),
    older: Math.max(0, cycles.length - MOST_RUNS),
    cycles: cycles.slice(0, MOST_RUNS).map((cycle) => ({
      ...cycle,
      noCycle: noCycle.get(cycle.id) ?? [],
      seenLines: seenAt('run', cycle.ranTo, cycle.seen ?? [], state.order.lines),
      readings: heat.readings
        .filter((reading) => reading.cycleId === cycle.id)
        .sort((a, b) => Date.parse(a.at) - Date.parse(b.at)),
    })),
    dues: joints.map((joint) => ({
      ...whatFollows(state, joint),
      ...(asksCold(joint) && { warm: warmOf?.(joint.joint) }),
      jointId: joint.joint.id,
      version: joint.joint.version,
      name: joint.joint.name,
      href: `/engines/${engine.id}/joints/${joint.joint.id}`,
      state: joint.retorque,
      line: retorqueLine(joint, now),
      underWay: joint.openRetorque !== undefined,
    })),
    ...(window && (waitsForHead(joints) || now < window.by + DAY_MS) && { window }),
  };
}

/** What a warm head costs a joint of the engine; nothing is said of one that cannot be reckoned. */
export const warmHeads =
  (rows: EngineRows, shelves: Shelves, now: number) =>
  (joint: Joint): WarmHead | undefined => {
    const found = tryCore(() => {
      const inputs = inputsOf(rows, joint, shelves, now);
      return warmHeadOf(inputs, computeJoint(inputs), rows.engine.headMetal);
    });
    return found.ok ? found.result : undefined;
  };

/** Whether the joints of an engine that were gone over again have settled. */
export function settledJoints(rows: EngineRows, joints: readonly JointState[], shelves: Shelves, now: number) {
  return joints.flatMap((state): readonly SettledJoint[] => {
    // Most were never gone over: nothing is reckoned of those.
    const last = state.tightenings.findLast(
      ({ tightening, state: round }) => tightening.purpose === 'retorque' && round.complete,
    );
    if (!last) return [];
    const facts = tryCore(() => settlingFactsOf(inputsOf(rows, state.joint, shelves, now)));
    const { settled: school } = shelvesFor(shelves, rows.engine).practice;
    const settled = settledOf(state, facts.ok ? facts.result : {}, SETTLED_LIMITS[school]);
    const { positions, order } = last.tightening.plan;
    return settled ? [{ jointId: state.joint.id, name: state.joint.name, positions, order, settled }] : [];
  });
}
