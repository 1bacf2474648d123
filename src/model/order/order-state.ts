import { sequence } from '@/core/sequence';
import { isDomainError } from '@/core/units';
import { stripsIn } from '@/model/fit/fit-gate';
import { aidsIn, type AidIn } from './aids';
import { standing, writtenAt, type BuildLine } from './build-line';
import { crankOf, type Crank } from './crank';
import { looseOf, type Loose } from './loose';
import type { Part } from './part';
import { staleSteps } from './stale-steps';
import type { Step } from './step';
import { stepFacts, type FactRows } from './step-facts';
import type { StepState, WaitsFor } from './step-state';
import { trayOf, type TrayPart } from './tray';
import { trialOf, type Trial } from './trial';

export interface OrderState {
  /** In the order in which they are done. */
  readonly steps: readonly StepState[];
  readonly byId: ReadonlyMap<string, StepState>;
  /** Set where the steps wait for one another in a ring, as a file from elsewhere may have them. */
  readonly trouble?: string;
  readonly trial?: Trial;
  readonly aids: readonly AidIn[];
  readonly loose: readonly Loose[];
  readonly tray: readonly TrayPart[];
  readonly crank: Crank;
  /** Where a strip lies in a bearing. */
  readonly strips: readonly string[];
  /** Set while the work lies still. */
  readonly paused?: { readonly at: string; readonly words: string; readonly covered: string };
  /** Every line that stands, the oldest first. */
  readonly lines: readonly BuildLine[];
}

export interface OrderRows extends FactRows {
  readonly parts: readonly Part[];
}

interface Ordered {
  readonly order: readonly string[];
  readonly waiting: ReadonlyMap<string, readonly string[]>;
  readonly trouble?: string;
}

/** The order of the steps by the contract of the core; a ring, which no screen lets in, is said and not thrown. */
function ordered(steps: readonly Step[], done: readonly string[]): Ordered {
  const known = new Set(steps.map(({ id }) => id));
  const kept = (ids: readonly string[]) => ids.filter((id) => known.has(id));
  try {
    const { order, waiting } = sequence({
      steps: steps.map(({ id, after, notUntil }) => ({ id, after: kept(after), notUntil: kept(notUntil) })),
      done: done.filter((id) => known.has(id)),
    });
    return { order, waiting: new Map(waiting.map((one) => [one.id, one.for])) };
  } catch (error) {
    if (!isDomainError(error)) throw error;
    return {
      order: steps.map(({ id }) => id),
      waiting: new Map(steps.map(({ id, after }) => [id, kept(after)])),
      trouble: error.message,
    };
  }
}

function pausedIn(lines: readonly BuildLine[]): OrderState['paused'] {
  const last = lines.findLast(({ kind }) => kind === 'paused' || kind === 'resumed');
  return last?.kind === 'paused' ? { at: writtenAt(last), ...last.body } : undefined;
}

/** Where the order of one engine stands: what can be done now, and what each other step waits for. */
export function orderState({ parts, ...rows }: OrderRows): OrderState {
  const lines = standing(rows.lines);
  const facts = stepFacts(rows);
  const trial = trialOf(rows.steps, lines, facts.done);
  // In a trial what was tried carries what is tried next; for good only what was done for good does.
  const isThere = (id: string) => {
    const fact = facts.done.get(id);
    return fact !== undefined && (!fact.isTrial || (trial?.isGoing ?? false));
  };
  const there = rows.steps.map(({ id }) => id).filter(isThere);
  const { order, waiting, trouble } = ordered(rows.steps, there);
  const stale = staleSteps(rows, facts, order);
  const tray = trayOf(parts, lines, facts.done, new Set(rows.steps.map(({ id }) => id)));
  const named = new Map(rows.steps.map((step) => [step.id, step]));
  const stateOf = (step: Step): StepState => {
    const done = facts.done.get(step.id);
    const doubt = stale.get(step.id);
    const why = doubt?.why ?? facts.opened.get(step.id);
    if (done && (!done.isTrial || trial?.isGoing))
      return {
        step,
        state: doubt ? 'stale' : done.isTrial ? 'trial' : 'done',
        done,
        why,
        ...(doubt?.through !== undefined && { through: doubt.through }),
        ...(doubt && { canLook: doubt.canLook }),
        waits: [],
      };
    const waits = waitsOf(step);
    const isBarred = waits.length > 0 && waits.every(({ kind }) => kind === 'part' || kind === 'trial');
    const state = waits.length === 0 ? 'open' : isBarred ? 'barred' : 'waiting';
    // Tried in a trial whose beginning was cancelled: it is still on, and loose.
    return { step, state, ...(done && { done }), why, waits };
  };
  const waitsOf = (step: Step): readonly WaitsFor[] => {
    const missing = (waiting.get(step.id) ?? []).map((stepId): WaitsFor => ({
      kind: isThere(stepId) && step.notUntil.includes(stepId) ? 'hides' : 'step',
      stepId,
    }));
    const doubtful = step.after.filter((id) => stale.has(id)).map((stepId): WaitsFor => ({ kind: 'stale', stepId }));
    const short = tray
      .filter(({ part }) => part.stepId === step.id)
      .flatMap((one): readonly WaitsFor[] =>
        one.asks ? [{ kind: 'part', partId: one.part.id, words: one.asks }] : [],
      );
    const unclean = trial?.asksClean && !trial.isGoing && step.kind !== 'clean' && trial.stretch.has(step.id);
    return [
      ...missing,
      ...doubtful,
      ...short,
      ...(unclean ? [{ kind: 'trial' as const, words: 'what was tried is to be cleaned first' }] : []),
    ];
  };
  const steps = order.flatMap((id) => named.get(id) ?? []).map(stateOf);
  return {
    steps,
    byId: new Map(steps.map((one) => [one.step.id, one])),
    ...(trouble !== undefined && { trouble }),
    ...(trial && { trial }),
    aids: aidsIn(rows.steps, lines, facts.done),
    loose: looseOf(rows.joints, lines, steps),
    tray,
    crank: crankOf(rows.steps, facts.done),
    strips: stripsIn(rows.fits),
    paused: pausedIn(lines),
    lines,
  };
}
