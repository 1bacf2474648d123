import { settlement, settlementByBreakAway, slopeOfStiffness, slopeRead, type Settlement } from '@/core/heat';
import { settling, type Settling } from '@/core/statistics';
import { ANGLE_BY_EYE_DEG, type BenchEvent, type PullStep } from '@/core/tightening';
import { threadNamed } from '@/core/thread';
import type { TurnedFastener } from '@/core/joint';
import { SETTLED_LIMITS, USUAL_PRACTICE } from '@/model/practice/house-practice';
import { inputsByName } from '@/model/joint/fastener-kind';
import { boltStiffness } from '@/model/joint/bolt-stiffness';
import { inItsThread, todayFacts } from '@/model/joint/joint-ladder';
import type { KeptSlope } from '@/model/joint/joint-detail';
import type { JointInputs } from '@/model/joint/joint-inputs';
import { computeJoint } from '@/model/joint/joint-result';
import type { JointState, TighteningState } from '@/model/joint/joint-state';
import { askedAt } from '@/model/joint/pull-reading';
import { DRIED_LESS } from '@/model/joint/retorque-guards';
import { figureAt, kindAt, type PlannedFigure, type TighteningPlan } from '@/model/joint/tightening-plan';
import { slopedOf, slopeToday } from '@/model/joint/sheet-changes';
import { tryCore } from '@/model/try-core';

/** A joint has settled where no nut lost more than this since it was gone over before, twice running; as shops usually say. */
export const SETTLED_LOSS = SETTLED_LIMITS[USUAL_PRACTICE.settled];
const RUNNING = 2;

/** @source 1.1 to 1.3 dry or after a heat cycle; the most is taken, for it bounds the least */
const STATIC_RATIO = 1.3;
const STATIC_LEAST = 1.1;

/** What a movement of one kind of fastener is turned into clamp load with. */
export interface SettlingFacts {
  readonly fastener: Omit<TurnedFastener, 'prevailing_Nm'>;
  readonly prevailing_Nm: number;
  /** N·m a degree at the wrench, as read of this very joint; else that of its stiffness, at the fastener. */
  readonly slope?: { readonly Nm_per_deg: number; readonly from: 'read' | 'stiffness' };
  /** What is in the joint today: a round of another thread or lubricant is not reckoned with it. */
  readonly of: KeptSlope['of'];
  /** A locker has set on it: nothing that it does at a torque tells what it holds. */
  readonly isLocked: boolean;
}

/** What a nut had lost when it was gone over, as shares of its clamp load; or why nobody can say. */
export type NutLoss = KnownLoss | { readonly is: 'unsaid' | 'no-slope' | 'locked' | 'stuck' | 'changed' };

export interface KnownLoss {
  readonly is: 'moved' | 'unmoved' | 'broke-away';
  readonly moved_deg: number;
  readonly middle: number;
  readonly low: number;
  readonly high: number;
}

export const isKnown = (nut: NutLoss | undefined): nut is KnownLoss =>
  nut?.is === 'moved' || nut?.is === 'unmoved' || nut?.is === 'broke-away';

export interface SettledRound {
  readonly roundId: string;
  readonly startedAt: string;
  /** By place. */
  readonly nuts: readonly NutLoss[];
}

export interface Settled {
  /** The most that a nut may have lost, as a share of its clamp load. */
  readonly limit: number;
  readonly rounds: readonly SettledRound[];
  readonly isSettled: boolean;
  /** Places that lost more than the limit twice running. */
  readonly losing: readonly number[];
  /** Places of which the last round does not show that they lost less. */
  readonly open: readonly number[];
  /** Places of which the last round says nothing. */
  readonly unsaid: readonly number[];
  /** How it goes on, from the nuts that moved in each of three rounds and more. */
  readonly further?: { readonly places: readonly number[]; readonly fit: Settling };
}

/** @throws DomainError where the joint cannot be reckoned */
export function settlingFacts(setting: JointInputs): SettlingFacts {
  const { joint } = setting;
  const { ladder } = computeJoint(setting);
  const facts = todayFacts(setting);
  const { thread, bearing } = inItsThread(facts, setting);
  const fastener = {
    thread,
    bearing,
    muThread: ladder.friction.thread.middle,
    muHead: ladder.friction.head.middle,
  };
  const { clampMap, parent } = joint.detail;
  const slope = slopeToday(joint);
  const { stressArea_mm2, major_mm } = threadNamed(facts.thread);
  const stiffness_N_per_mm =
    clampMap?.boltStiffness_N_per_mm ??
    (parent.grip_mm === null ? undefined : boltStiffness(stressArea_mm2, parent.grip_mm, major_mm));
  const known =
    slope !== null
      ? ({ Nm_per_deg: slopeRead(slope), from: 'read' } as const)
      : stiffness_N_per_mm !== undefined &&
        ({ Nm_per_deg: slopeOfStiffness(fastener, stiffness_N_per_mm), from: 'stiffness' } as const);
  return {
    fastener,
    prevailing_Nm: ladder.prevailing_Nm,
    ...(known && { slope: known }),
    of: slopedOf(joint),
    isLocked: joint.todayFilm === 'thread-locker' || facts.locking === 'compound',
  };
}

/** The same of each kind, by its name; the joint's own under ''. One that cannot be reckoned is left out. */
export function settlingFactsOf(setting: JointInputs): Readonly<Record<string, SettlingFacts>> {
  return Object.fromEntries(
    inputsByName(setting).flatMap(({ name, inputs }) => {
      const facts = tryCore(() => settlingFacts(inputs));
      return facts.ok ? [[name, facts.result] as const] : [];
    }),
  );
}

type Pulled = Extract<BenchEvent, { kind: 'pull' | 'again' }>;

const lossOf = (is: KnownLoss['is'], moved_deg: number, { remaining, low, high }: Settlement): NutLoss => ({
  is,
  moved_deg,
  middle: 1 - remaining,
  low: 1 - high,
  high: 1 - low,
});

/** Whether what was pulled is another thread or lubricant than what is in it now; older plans tell the thread alone. */
export const isOfOther = (
  { of }: Pick<SettlingFacts, 'of'>,
  { thread, films }: Pick<PlannedFigure, 'thread' | 'films'>,
): boolean =>
  thread !== of.thread || (films !== undefined && (films.thread !== of.threadFilm || films.head !== of.headFilm));

/** By the figure at which it broke away, read in the wrench's own figures. */
function lossByBreakAway(
  { fastener, prevailing_Nm }: SettlingFacts,
  plan: TighteningPlan,
  step: PullStep,
  broke_Nm: number,
): NutLoss {
  const found = tryCore(() =>
    settlementByBreakAway({
      ...fastener,
      torque_Nm: step.torque_Nm,
      broke_Nm: (broke_Nm * step.torque_Nm) / askedAt(plan, step).asked_Nm,
      prevailing_Nm,
      way: plan.act === 'slacken-and-pull' ? 'loosening' : 'tightening',
      staticLow: STATIC_LEAST,
      staticHigh: STATIC_RATIO,
    }),
  );
  return found.ok ? lossOf('broke-away', 0, found.result) : { is: 'unsaid' };
}

/** What a nut had lost, by what it did at its pull. */
export function lossAt(
  facts: SettlingFacts | undefined,
  plan: TighteningPlan,
  step: PullStep,
  pulled: Pulled | undefined,
): NutLoss {
  if (!pulled || !facts || plan.care === 'hand' || pulled.outcome === 'went-over') return { is: 'unsaid' };
  const figure = figureAt(plan, step.position);
  if (facts.isLocked || figure.locking === 'compound') return { is: 'locked' };
  if (plan.filmFound === 'stuck') return { is: 'stuck' };
  if (isOfOther(facts, figure)) return { is: 'changed' };
  const { fastener, slope } = facts;
  // Slackened first, a nut that comes back to its mark lost nothing; pulled straight, it only holds against the wrench.
  const stood = pulled.outcome !== 'pulled' || (pulled.turned_deg === 0 && plan.act === 'pull');
  if (stood) {
    const found = tryCore(() =>
      settlement({
        ...fastener,
        didNotMove: true,
        torque_Nm: step.torque_Nm,
        prevailing_Nm: facts.prevailing_Nm,
        staticRatio: STATIC_RATIO,
      }),
    );
    return found.ok ? lossOf('unmoved', 0, found.result) : { is: 'unsaid' };
  }
  const { turned_deg, broke_Nm } = pulled;
  // Movement says it best; where it was not read, or cannot be turned into a load, the figure at which it broke away does.
  if (broke_Nm !== undefined && (turned_deg === undefined || !slope))
    return lossByBreakAway(facts, plan, step, broke_Nm);
  if (turned_deg === undefined) return { is: 'unsaid' };
  if (!slope) return { is: 'no-slope' };
  // A slope that was read is in the wrench's figures, and so is the torque that is set against it.
  const torque_Nm = slope.from === 'read' ? askedAt(plan, step).asked_Nm : step.torque_Nm;
  const found = tryCore(() =>
    settlement({
      torque_Nm,
      prevailing_Nm: (facts.prevailing_Nm * torque_Nm) / step.torque_Nm,
      moved_deg: turned_deg,
      slope_Nm_per_deg: slope.Nm_per_deg,
      angleError_deg: ANGLE_BY_EYE_DEG,
    }),
  );
  if (!found.ok) return { is: 'unsaid' };
  // In a film that dried the figure is come to sooner: what it moved may be so much short of what it had lost.
  const short = plan.filmFound === 'dried' ? DRIED_LESS : 0;
  return lossOf('moved', turned_deg, { ...found.result, low: Math.max(0, found.result.low - short) });
}

/** What each place had lost when it was gone over in a round. */
function lossesOf(
  { tightening: { id, startedAt, plan }, state: { done } }: TighteningState,
  facts: Readonly<Record<string, SettlingFacts>>,
): SettledRound {
  const nuts = plan.positions.map((_, place): NutLoss => {
    const at = plan.steps.findLastIndex((step) => step.kind === 'pull' && step.position === place);
    const step = plan.steps[at];
    if (step?.kind !== 'pull') return { is: 'unsaid' };
    // The first pull of it tells what it had lost; one that was pulled again was slackened in between.
    const pulled = done.find((event): event is Pulled => event.kind === 'pull' && event.step === at);
    return lossAt(facts[kindAt(plan, place)?.name ?? ''], plan, step, pulled);
  });
  return { roundId: id, startedAt, nuts };
}

/**
 * Rounds after the last final one, whose fasteners lie as they do in the last of them. Where the joint was opened up
 * since there is none: what its nuts did then says nothing of how it will be closed.
 */
function retorquesOf({ tightenings, final }: Pick<JointState, 'tightenings' | 'final'>): readonly TighteningState[] {
  if (!final) return [];
  const all = tightenings.filter(
    ({ tightening: { purpose, startedAt }, state }) =>
      purpose === 'retorque' && state.complete && startedAt >= final.tightening.startedAt,
  );
  const lie = JSON.stringify(all.at(-1)?.tightening.plan.positions);
  return all.filter(({ tightening }) => JSON.stringify(tightening.plan.positions) === lie);
}

const isUnder = (nut: NutLoss | undefined, limit: number): boolean => isKnown(nut) && nut.high <= limit;
const isOver = (nut: NutLoss | undefined, limit: number): boolean =>
  (nut?.is === 'moved' || nut?.is === 'broke-away') && nut.middle > limit;

/** How the joint goes on settling, by the nuts that were seen to move in every round. */
function furtherOf(rounds: readonly SettledRound[]): Settled['further'] {
  const places = (rounds[0]?.nuts ?? []).flatMap((_, place) => {
    const own = rounds.map(({ nuts }) => nuts[place]);
    return own.every((nut) => nut?.is === 'moved' && nut.middle > 0) ? [place] : [];
  });
  if (places.length === 0) return undefined;
  const fit = tryCore(() =>
    settling({
      losses: places.map((place) =>
        rounds.map(({ nuts }) => {
          const nut = nuts[place];
          return isKnown(nut) ? nut.middle : 0;
        }),
      ),
    }),
  );
  return fit.ok ? { places, fit: fit.result } : undefined;
}

/**
 * Whether a joint has settled, by what its nuts did when it was gone over. Undefined where it never was.
 * It has where the most that each may have lost is under the limit, twice running, and not before.
 */
export function settledOf(
  joint: Pick<JointState, 'tightenings' | 'final'>,
  facts: Readonly<Record<string, SettlingFacts>>,
  limit = SETTLED_LOSS,
): Settled | undefined {
  const rounds = retorquesOf(joint).map((round) => lossesOf(round, facts));
  const last = rounds.at(-1);
  if (!last) return undefined;
  const running = rounds.slice(-RUNNING);
  const places = [...last.nuts.keys()];
  const losing =
    running.length < RUNNING ? [] : places.filter((place) => running.every(({ nuts }) => isOver(nuts[place], limit)));
  const further = furtherOf(rounds);
  return {
    rounds,
    limit,
    isSettled: running.length === RUNNING && running.every(({ nuts }) => nuts.every((nut) => isUnder(nut, limit))),
    losing,
    open: places.filter((place) => !isUnder(last.nuts[place], limit) && !losing.includes(place)),
    unsaid: places.filter((place) => !isKnown(last.nuts[place])),
    ...(further && { further }),
  };
}
