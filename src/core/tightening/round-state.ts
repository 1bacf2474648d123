import { DomainError } from '@/core/units';
import type { PullStep, Step } from './plan';
import type { PullReading } from './pull-reading';

/** How a pull went. Each is recorded as such, none is made to look like another. */
export const PULL_OUTCOMES = ['pulled', 'did-not-move', 'already-past', 'went-over'] as const;
export type PullOutcome = (typeof PULL_OUTCOMES)[number];

/** One line of the bench record. Lines are only ever added; `strike` takes back the last one that still stands. */
export type BenchEvent =
  | ({
      readonly id: string;
      readonly kind: 'pull';
      readonly step: number;
      readonly outcome: PullOutcome;
      /** What more is to be said of it: copied from paper, turned on to a slot, why it is left outside its figure. */
      readonly words?: string;
      readonly at: string;
    } & PullReading)
  /** The shaft went round as freely as before; with what was read or felt at it. */
  | { readonly id: string; readonly kind: 'shaft'; readonly step: number; readonly words?: string; readonly at: string }
  /** It did not, and how: nothing is pulled until it does. */
  | { readonly id: string; readonly kind: 'bind'; readonly step: number; readonly words: string; readonly at: string }
  /** A fastener that went over at its final figure was slackened and pulled again. */
  | ({
      readonly id: string;
      readonly kind: 'again';
      readonly step: number;
      readonly outcome: PullOutcome;
      readonly at: string;
    } & PullReading)
  /** It was left as it is, and why. */
  | { readonly id: string; readonly kind: 'left'; readonly step: number; readonly words: string; readonly at: string }
  /** It was passed over, and why; a fastener comes back when the others are done, a turn of the shaft does not. */
  | { readonly id: string; readonly kind: 'skip'; readonly step: number; readonly words: string; readonly at: string }
  | { readonly id: string; readonly kind: 'strike'; readonly strikes: string; readonly at: string };

export const EVENT_KINDS = [
  'pull',
  'shaft',
  'bind',
  'again',
  'left',
  'skip',
  'strike',
] as const satisfies readonly BenchEvent['kind'][];

export type DoneEvent = Exclude<BenchEvent, { kind: 'strike' }>;

/** What the drawing shows of one fastener. */
export interface FastenerMark {
  readonly ticks: number;
  /** Passes at which the wrench gave its sign without the fastener moving, counted from 0. */
  readonly unmoved: readonly number[];
  readonly final: boolean;
  /** True where a pull went over, or where it was passed over and not pulled since: look at it before going on. */
  readonly attention: boolean;
}

export interface RoundState {
  /** Index of the next step; equal to the number of steps when all are done. */
  readonly next: number;
  /** How many steps were done. */
  readonly stepsDone: number;
  /** Steps that were passed over and have still to be done, in the order in which they come back. */
  readonly owed: readonly number[];
  /** Whether the next step is one of those. */
  readonly isOwed: boolean;
  readonly complete: boolean;
  /** Steps at the final figure that went over and were neither pulled again nor left with a reason. */
  readonly over: readonly number[];
  /** The shaft that is to be turned now did not go round freely, and nobody said since that it does. */
  readonly binds?: Extract<BenchEvent, { kind: 'bind' }>;
  /** Steps that stand, in the order in which they were done. */
  readonly done: readonly DoneEvent[];
  readonly struck: ReadonlySet<string>;
  readonly last?: DoneEvent;
  readonly marks: readonly FastenerMark[];
}

const isStruck = (events: readonly BenchEvent[]): ReadonlySet<string> =>
  new Set(events.flatMap((event) => (event.kind === 'strike' ? [event.strikes] : [])));

/**
 * Steps that were passed over, and no later stage of the same fastener was done since. A turn goes on from the torque
 * before it: where that is owed, the turn is too.
 */
function owedOf(steps: readonly Step[], done: readonly DoneEvent[], front: number): readonly number[] {
  const pulled = new Map<number, number>();
  const isSkipped = new Set<number>();
  for (const event of done) {
    const step = steps[event.step];
    if (step?.kind !== 'pull') continue;
    if (event.kind === 'skip') isSkipped.add(event.step);
    else if (event.kind === 'pull') pulled.set(step.position, Math.max(step.stage, pulled.get(step.position) ?? -1));
  }
  return steps.flatMap((step, at) => {
    if (step.kind !== 'pull' || at >= front) return [];
    const stage = pulled.get(step.position) ?? -1;
    return step.stage > stage && (isSkipped.has(at) || step.turn !== undefined) ? [at] : [];
  });
}

/** The first step that nobody came to yet; a turn whose torque is owed is passed by. */
function frontOf(steps: readonly Step[], done: readonly DoneEvent[]): number {
  const reached = done.reduce((front, { kind, step }) => (kind === 'bind' ? front : Math.max(front, step + 1)), 0);
  let front = reached;
  for (let step = steps[front]; step?.kind === 'pull' && step.turn; step = steps[front]) {
    const { position, stage } = step;
    const isReady = done.some((event) => {
      const before = steps[event.step];
      return (
        event.kind === 'pull' && before?.kind === 'pull' && before.position === position && before.stage === stage - 1
      );
    });
    if (isReady) break;
    front += 1;
  }
  return front;
}

function marksOf(
  steps: readonly Step[],
  done: readonly DoneEvent[],
  count: number,
  owed: readonly number[],
): readonly FastenerMark[] {
  const marks = Array.from({ length: count }, () => ({
    ticks: 0,
    unmoved: [] as number[],
    final: false,
    attention: false,
  }));
  for (const event of done) {
    const step = steps[event.step] as PullStep;
    const mark = event.kind === 'pull' || event.kind === 'again' ? marks[step.position] : undefined;
    if (!mark || (event.kind !== 'pull' && event.kind !== 'again')) continue;
    if (event.kind === 'pull') {
      if (event.outcome === 'did-not-move' || event.outcome === 'already-past') mark.unmoved.push(mark.ticks);
      mark.ticks += 1;
    }
    mark.final ||= step.final;
    mark.attention = event.outcome === 'went-over';
  }
  for (const at of owed) {
    const step = steps[at];
    const mark = step?.kind === 'pull' ? marks[step.position] : undefined;
    if (mark) mark.attention = true;
  }
  return marks;
}

/** Final steps by what was last done at them: those that went over, and nobody said what came of it. */
function overOf(steps: readonly Step[], done: readonly DoneEvent[]): readonly number[] {
  const over = new Set<number>();
  for (const event of done) {
    const step = steps[event.step];
    if (
      step?.kind !== 'pull' ||
      !step.final ||
      !(event.kind === 'pull' || event.kind === 'again' || event.kind === 'left')
    )
      continue;
    if (event.kind !== 'left' && event.outcome === 'went-over') over.add(event.step);
    else over.delete(event.step);
  }
  return [...over];
}

/**
 * Derives where a tightening stands from its plan and the lines recorded so far. Nothing else is kept.
 * @param asksOver a fastener that went over at its final figure leaves it unfinished until it is seen to; plans of
 *   before did not ask
 */
export function roundState(
  steps: readonly Step[],
  events: readonly BenchEvent[],
  fasteners: number,
  asksOver = false,
): RoundState {
  const struck = isStruck(events);
  const done = events.filter((event): event is DoneEvent => event.kind !== 'strike' && !struck.has(event.id));
  const front = frontOf(steps, done);
  const owed = owedOf(steps, done, front);
  const isOwed = front >= steps.length && owed.length > 0;
  const next = isOwed ? (owed[0] ?? front) : front;
  const over = asksOver ? overOf(steps, done) : [];
  const binds = done.findLast((event) => event.kind === 'bind' && event.step === next);
  return {
    next,
    ...(binds?.kind === 'bind' && { binds }),
    stepsDone: done.filter(({ kind }) => kind === 'pull' || kind === 'shaft').length,
    owed,
    isOwed,
    complete: next >= steps.length && over.length === 0,
    over,
    done,
    struck,
    last: done.at(-1),
    marks: marksOf(steps, done, fasteners, owed),
  };
}

/**
 * Refuses a line that cannot follow what is recorded: a step out of turn, or a strike of anything but the last line
 * that stands.
 * @throws DomainError out-of-turn, nothing-to-strike; not-over where nothing is to be pulled again
 */
export function assertFollows(steps: readonly Step[], events: readonly BenchEvent[], event: BenchEvent): void {
  const now = roundState(steps, events, 0, true);
  if (event.kind === 'strike') {
    if (now.last?.id !== event.strikes)
      throw new DomainError('nothing-to-strike', 'Only the last line that still stands can be undone.', 'strikes');
    return;
  }
  if (event.kind === 'again' || event.kind === 'left') {
    if (!now.over.includes(event.step))
      throw new DomainError('not-over', 'That fastener did not go over at its final figure.', 'step');
    return;
  }
  const expected = steps[now.next];
  if (event.kind === 'bind') {
    if (event.step !== now.next || expected?.kind !== 'shaft')
      throw new DomainError('out-of-turn', 'The shaft is not to be turned now, so it cannot be said to bind.', 'step');
    return;
  }
  if (event.kind === 'skip') {
    // A turn of the shaft that is passed over does not come back: what it was to show is shown by no later one.
    if (now.isOwed || event.step !== now.next || !expected || now.binds)
      throw new DomainError('out-of-turn', 'Only that whose turn it is can be passed over, and once.', 'step');
    return;
  }
  if (event.step !== now.next || expected?.kind !== event.kind)
    throw new DomainError(
      'out-of-turn',
      `The record stands at step ${now.next + 1} of ${steps.length}; this line is for step ${event.step + 1}.`,
      'step',
    );
}
