import { coolingWindow, type CoolingWindow, type DistanceUnit, type RetorqueState } from '@/core/heat';
import type { Position } from '@/core/tightening';
import { followsOf, type Follow } from '@/model/heat/follows';
import { SETTLED_LIMITS } from '@/model/practice/house-practice';
import { settledOf, settlingFactsOf, type Settled } from '@/model/heat/settled';
import { inputsOf, type EngineRows } from '@/model/engine/engine-rows';
import { cyclesOf, headReadingsOf, type EngineState } from '@/model/engine/engine-state';
import type { CoolingReading, HeatCycle, MeterReading } from '@/model/heat/heat-log';
import type { Joint } from '@/model/joint/joint';
import { computeJoint } from '@/model/joint/joint-result';
import type { JointState } from '@/model/joint/joint-state';
import { HAZARDS } from '@/model/order/hazards';
import { gasketGuards } from '@/model/joint/retorque-guards';
import { warmHeadOf, type WarmHead } from '@/model/joint/warm-head';
import { shelvesFor, type Shelves } from '@/model/shelf/shelves';
import { tryCore } from '@/model/try-core';
import { OIL_DRAINS_DAYS, startSheetOf } from '@/model/order/start-sheet';
import { retorqueLine } from '@/interface/words/status-words';
import { noCyclesOf, runsSince, sinceTight, unitOf, type NotCounted, type SinceTight } from './since-tight';
import { firstStartOf, seenAt, wrongStarts, type FirstStart, type SeenLine, type WrongStart } from './starts';

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
  /** What its gasket says of it, where nobody has read it. */
  readonly unread?: string;
}

/** A joint that was gone over again, and whether it has settled. */
export interface SettledJoint {
  readonly jointId: string;
  readonly name: string;
  readonly positions: readonly Position[];
  readonly order: readonly number[];
  readonly settled: Settled;
}

export interface LoggedCycle extends HeatCycle {
  readonly readings: readonly CoolingReading[];
  readonly seenLines: readonly SeenLine[];
  /** The joints to which it is no heat cycle, and why. */
  readonly noCycle: readonly NotCounted[];
}

export interface RunIn {
  /** Until the first run was logged. */
  readonly start?: FirstStart;
  /** Starts that went wrong, the latest first. */
  readonly wrongStarts: readonly WrongStart[];
  /** Set where it stood so long that its oil has drained away: since when. */
  readonly stoodSince?: string;
  /** Nobody said what its head is made of, and something waits for it to be cold. */
  readonly metalUnsaid?: true;
  /** The latest runs, the latest first, and how many came before those. */
  readonly cycles: readonly LoggedCycle[];
  readonly older: number;
  readonly dues: readonly RetorqueDue[];
  /** As read, the latest first. */
  readonly meters: readonly MeterReading[];
  readonly unit: DistanceUnit;
  readonly sinceTight: readonly SinceTight[];
  /** What to mind on the road, while it has hardly been there. */
  readonly road?: string;
  /** How the latest run cools, whether or not a joint waits for it. */
  readonly window?: CoolingWindow;
}

/** After so many it knows the road. */
const FIRST_RUNS = 2;
/** As many runs as are read on one page. */
const MOST_RUNS = 40;

/** Whether a joint may be gone over, or waits for its head to be; once it was, after a run that came later too. */
const isToGoOver = ({ retorque }: JointState): boolean =>
  retorque.state === 'cooling' ||
  retorque.state === 'open' ||
  (retorque.state === 'done' && retorque.further !== undefined);

/** Where a cold head is waited for it is told what one that is not quite cold costs. */
const asksCold = (state: JointState): boolean => state.joint.retorqueSchool !== 'warm' && isToGoOver(state);

/** What was not read of a joint that is to be gone over, or waits for it. */
const unreadOf = (state: JointState): Pick<RetorqueDue, 'unread'> => {
  const [found] = isToGoOver(state) || state.retorque.state === 'waits-for-page' ? gasketGuards(state.joint) : [];
  return found ? { unread: found.message } : {};
};

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
    ...(cycles.length <= FIRST_RUNS && { road: HAZARDS.road.says }),
    ...(isStood && { stoodSince: last.ranTo }),
    ...(engine.headMetal === 'unsaid' && joints.some(asksCold) && { metalUnsaid: true as const }),
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
      ...unreadOf(joint),
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
