import { pulled, slackened, turnedOn, unpulled, type Giving, type Standing } from '@/core/interaction';
import { threadNamed } from '@/core/thread';
import type { DoneEvent, PullStep, Step } from '@/core/tightening';
import { askedAt } from './pull-reading';
import { DomainError } from '@/core/units';
import { figureAt, type TighteningPlan } from './tightening-plan';

/** What a fastener holds at its final torque, and what of that torque clamps nothing. */
export interface FigureLeft {
  readonly clamp_N: number;
  readonly prevailing_Nm: number;
  readonly pitch_mm: number;
}

/** How far a nut that went over is drawn past its figure where nobody read it. */
export const WENT_OVER_BY = 0.2;

/**
 * What a nut that does not move at a torque is shown to hold of what that torque gives: at least so much, and no more is
 * known of it.
 * @source static friction up to 1.3 times the moving one, as after heat or dry, with common lubricants
 */
export const HOLDS_AT_LEAST = 0.79;

/** Something done to one fastener, in plan or out of it. */
export type ClampMove = { readonly place: number; readonly stage: number } & (
  | { readonly is: 'pull'; readonly share: number }
  | { readonly is: 'turn'; readonly turn_deg: number }
  | { readonly is: 'slacken' }
);

/** What was done to the fasteners of a joint one after another, and what each would hold at its own figure. */
export interface Passage {
  readonly moves: readonly ClampMove[];
  /** Place by place. */
  readonly figures: readonly FigureLeft[];
}

/** What all of them hold after a move, as a share of what its own figure gives each. */
export interface PassageFrame {
  readonly place: number;
  readonly stage: number;
  readonly shares: readonly number[];
}

/** The torque that a fastener is left at, before any turn. */
const finalTorque = (steps: readonly Step[], place: number): number =>
  Math.max(
    ...steps.flatMap((step) => (step.kind === 'pull' && step.position === place && !step.turn ? [step.torque_Nm] : [])),
  );

/** How much of its final clamp load a torque asks of a fastener; less than none where it only turns a locking nut. */
function shareOf(
  plan: TighteningPlan,
  { position, torque_Nm }: PullStep,
  { prevailing_Nm }: FigureLeft,
  factor: number,
): number {
  const last = finalTorque(plan.steps, position);
  if (!(last > prevailing_Nm)) return 0;
  return (torque_Nm * factor - prevailing_Nm) / (last - prevailing_Nm);
}

/**
 * What a line of a record does to its fastener. One that did not move, or was past its figure, is shown to hold a part of
 * it at least; where the model has less, it goes by what was seen.
 * @returns none where it does nothing
 */
function movesOf(
  plan: TighteningPlan,
  event: DoneEvent,
  figureOf: (place: number) => FigureLeft,
): readonly ClampMove[] {
  const step = plan.steps[event.step];
  if ((event.kind !== 'pull' && event.kind !== 'again') || step?.kind !== 'pull') return [];
  const { position: place, stage, turn } = step;
  const at = { place, stage };
  const slack: readonly ClampMove[] = event.kind === 'again' ? [{ ...at, is: 'slacken' }] : [];
  const pull = (factor: number): ClampMove => ({
    ...at,
    is: 'pull',
    share: factor * shareOf(plan, step, figureOf(place), 1),
  });
  if (event.outcome === 'did-not-move' || event.outcome === 'already-past')
    return turn ? slack : [...slack, pull(HOLDS_AT_LEAST)];
  const over = event.outcome === 'went-over' ? 1 + WENT_OVER_BY : 1;
  if (turn) {
    const turn_deg = event.turned_deg ?? over * ((turn.min_deg + turn.max_deg) / 2);
    // Slackened it is brought to its torque again first: the angle goes on from there.
    return [...slack, ...(event.kind === 'again' ? [pull(1)] : []), { ...at, is: 'turn', turn_deg }];
  }
  const factor = event.read_Nm === undefined ? over : event.read_Nm / askedAt(plan, step).asked_Nm;
  return [...slack, { ...at, is: 'pull', share: shareOf(plan, step, figureOf(place), factor) }];
}

/**
 * Does one thing to one fastener, and lets the others find what they hold then. The gasket gives as one that is pressed
 * for the first time where the fastener is brought further than it ever was.
 */
function moved(
  giving: Giving,
  standing: Standing,
  move: ClampMove,
  { clamp_N, pitch_mm }: FigureLeft,
  highest_N: number,
): Standing {
  if (move.is === 'slacken') return slackened(giving.unloading, standing, move.place);
  if (move.is === 'turn') return turnedOn(giving.loading, standing, move.place, (pitch_mm * move.turn_deg) / 360);
  const target_N = clamp_N * move.share;
  const gives = target_N > highest_N ? giving.loading : giving.unloading;
  return target_N > 0 ? pulled(gives, standing, move.place, target_N) : standing;
}

/** Goes through a passage move by move. @throws DomainError where what gives cannot be solved */
export function framesOf(giving: Giving, { moves, figures }: Passage): readonly PassageFrame[] {
  const figureOf = (place: number) => figures[place] as FigureLeft;
  const highest = new Map<number, number>();
  let standing = unpulled(giving.loading.length);
  return moves.map((move) => {
    const before = highest.get(move.place) ?? 0;
    standing = moved(giving, standing, move, figureOf(move.place), before);
    highest.set(move.place, Math.max(before, standing.forces_N[move.place] as number));
    const shares = standing.forces_N.map((force, place) => force / figureOf(place).clamp_N);
    return { place: move.place, stage: move.stage, shares };
  });
}

/** What a record leaves in each fastener, as a share of what its own figure gives it. */
export const sharesAfter = (giving: Giving, passage: Passage): readonly number[] =>
  framesOf(giving, passage).at(-1)?.shares ?? giving.loading.map(() => 0);

/** What the lines of a round come to. */
export function passageOf(
  plan: TighteningPlan,
  done: readonly DoneEvent[],
  prevailing_Nm: Readonly<Record<string, number>>,
): Passage {
  const figureOf = figuresLeft(plan, prevailing_Nm);
  return {
    moves: done.flatMap((event) => movesOf(plan, event, figureOf)),
    figures: plan.positions.map((_, place) => figureOf(place)),
  };
}

/** A plan gone through as it stands, every pull as it was meant. */
export const asPlanned = (plan: TighteningPlan): readonly DoneEvent[] =>
  plan.steps.flatMap((step, i): readonly DoneEvent[] =>
    step.kind === 'pull' ? [{ id: String(i), kind: 'pull', step: i, outcome: 'pulled', at: '' }] : [],
  );

/** Pulls of which less is known than the map draws. */
export interface DrawnByRule {
  /** Went over, and nobody read how far. */
  readonly over: number;
  /** Did not move at their figure. */
  readonly unmoved: number;
}

export function drawnByRule(done: readonly DoneEvent[]): DrawnByRule {
  const pulls = done.flatMap((event) => (event.kind === 'pull' || event.kind === 'again' ? [event] : []));
  return {
    over: pulls.filter(
      ({ outcome, read_Nm, turned_deg }) =>
        outcome === 'went-over' && read_Nm === undefined && turned_deg === undefined,
    ).length,
    unmoved: pulls.filter(({ outcome }) => outcome === 'did-not-move' || outcome === 'already-past').length,
  };
}

/**
 * What the figures of a plan leave, place by place.
 * @param prevailing_Nm what a locking nut of each kind turns with by itself, by the kind's name; the joint's own under ''
 * @throws DomainError bad-field where a figure clamps nothing that is known
 */
function figuresLeft(
  plan: TighteningPlan,
  prevailing_Nm: Readonly<Record<string, number>>,
): (place: number) => FigureLeft {
  const known = new Map<number, FigureLeft>();
  return (place) => {
    const found = known.get(place);
    if (found) return found;
    const figure = figureAt(plan, place);
    const name = 'name' in figure ? String(figure.name) : '';
    const { p50_N } = figure.ladder.band;
    if (!(p50_N > 0))
      throw new DomainError(
        'bad-field',
        'What its figure clamps is not known, so nothing is left to be shown.',
        'ladder',
      );
    const made: FigureLeft = {
      clamp_N: p50_N,
      prevailing_Nm: prevailing_Nm[name] ?? 0,
      pitch_mm: threadNamed(figure.thread).pitch_mm,
    };
    known.set(place, made);
    return made;
  };
}
