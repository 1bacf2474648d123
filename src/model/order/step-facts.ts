import { isFinalRound } from './rounds-of-joint';
import { standing, writtenAt, type BuildLine, type LineOf } from './build-line';
import { latest } from './openings';
import { restsOn } from './rests-on';
import { does, type Step } from './step';
import { isProven, type FitState } from '@/model/fit/place-state';
import type { JointState, TighteningState } from '@/model/joint/joint-state';

/** How a step was done last. */
export interface DoneFact {
  readonly isTrial: boolean;
  /**
   * When it was done, or said to stand still; what happened later to what it rests on makes it stale. Missing where a
   * fit says it: its own readings tell whether they are stale.
   */
  readonly at?: string;
  /** When the thing itself last moved; undefined of what only proves, which moves nothing. */
  readonly movedAt?: string;
  /** The line that says so; missing where joint or fit say it by themselves. */
  readonly line?: LineOf<'done'>;
}

/** What was written of a step by hand. */
interface ByHand {
  done?: LineOf<'done'>;
  lookedAt?: string;
  opened?: { readonly at: string; readonly reason: string };
  exchanged?: { readonly at: string; readonly words: string };
}

export interface StepFacts {
  readonly done: ReadonlyMap<string, DoneFact>;
  /** Steps that were done and opened up again, with the reason. */
  readonly opened: ReadonlyMap<string, string>;
  /** What was exchanged since a step was done, in words. */
  readonly exchanged: ReadonlyMap<string, { readonly at: string; readonly words: string }>;
}

function fold(lines: readonly BuildLine[]): ReadonlyMap<string, ByHand> {
  const byStep = new Map<string, ByHand>();
  const of = (id: string): ByHand => {
    const known = byStep.get(id) ?? {};
    byStep.set(id, known);
    return known;
  };
  for (const line of lines) {
    if (line.kind === 'done') Object.assign(of(line.stepId), { done: line, lookedAt: undefined });
    else if (line.kind === 'undone')
      Object.assign(of(line.stepId), { done: undefined, opened: { at: writtenAt(line), reason: line.body.reason } });
    else if (line.kind === 'looked') of(line.stepId).lookedAt = writtenAt(line);
    else if (line.kind === 'exchanged') of(line.stepId).exchanged = { at: writtenAt(line), words: line.body.words };
    else if (line.kind === 'stripped')
      for (const one of byStep.values()) if (one.done?.body.trial) one.done = undefined;
  }
  return byStep;
}

/** The round that completes a step of a joint: the final one for good, else any that was gone round for its purpose. */
function roundOf(step: Step, joint: JointState): TighteningState | undefined {
  if (step.purpose === null || step.purpose === 'final') return joint.final?.state.complete ? joint.final : undefined;
  return joint.tightenings.findLast((round) => !isFinalRound(round) && round.state.complete);
}

const lastLine = ({ events }: TighteningState): string => latest(events.map(({ recordedAt }) => recordedAt));

function ofJoint(step: Step, { done, opened, lookedAt }: ByHand, joint: JointState): DoneFact | undefined {
  const round = roundOf(step, joint);
  const at = round && lastLine(round);
  if (at !== undefined && round && round.tightening.startedAt > (opened?.at ?? ''))
    return { isTrial: false, at: latest([at, lookedAt]), movedAt: at };
  // Put on by hand for a trial: no round says so.
  return done?.body.trial ? ofHand({ done, lookedAt }) : undefined;
}

function ofFit({ done }: ByHand, fit: FitState): DoneFact | undefined {
  if (fit.places.every(({ state }) => isProven(state))) return { isTrial: false };
  // Passed over in a trial build: it proves nothing.
  return done?.body.trial ? ofHand({ done }) : undefined;
}

/** As it was ticked by hand. */
const ofHand = ({ done, lookedAt }: ByHand): DoneFact | undefined =>
  done && {
    isTrial: done.body.trial ?? false,
    at: latest([writtenAt(done), lookedAt]),
    movedAt: writtenAt(done),
    line: done,
  };

/**
 * When something last made swarf: written by hand, cut for a fit, or by a step that does. A step with a cleaning of its
 * own behind it makes none: that cleaning is in the order.
 */
function swarfAt({ steps, cutAt }: FactRows, done: ReadonlyMap<string, DoneFact>, lines: readonly BuildLine[]): string {
  const written = lines.filter(({ kind }) => kind === 'swarf').map(writtenAt);
  const isCleanedBehind = (id: string) =>
    steps.some((step) => step.kind === 'clean' && restsOn(steps, step.id).has(id));
  const made = steps
    .filter((step) => does(step, 'swarf') && done.has(step.id) && !isCleanedBehind(step.id))
    .map(({ id }) => done.get(id)?.movedAt);
  return latest([...written, ...cutAt, ...made]);
}

export interface FactRows {
  /** When a bore or a journal was cut, as its fit has it. */
  readonly cutAt: readonly string[];
  readonly steps: readonly Step[];
  readonly lines: readonly BuildLine[];
  readonly joints: readonly JointState[];
  readonly fits: readonly FitState[];
}

/**
 * How each step was done. A joint's step is done by its rounds and a fit's by its readings, never by a tick: there is
 * one place that says a joint is tight.
 */
export function stepFacts(rows: FactRows): StepFacts {
  const { steps, lines, joints, fits } = rows;
  const stood = standing(lines);
  const hands = fold(stood);
  const [jointOf, fitOf] = [
    new Map(joints.map((state) => [state.joint.id, state])),
    new Map(fits.map((state) => [state.fit.id, state])),
  ];
  const factOf = (step: Step): DoneFact | undefined => {
    const hand = hands.get(step.id) ?? {};
    const [joint, fit] = [jointOf.get(step.jointId ?? ''), fitOf.get(step.fitId ?? '')];
    if (step.kind === 'joint' && joint) return ofJoint(step, hand, joint);
    return step.kind === 'fit' && fit ? ofFit(hand, fit) : ofHand(hand);
  };
  const done = new Map(
    steps.flatMap((step): [string, DoneFact][] => {
      const fact = factOf(step);
      return fact ? [[step.id, fact]] : [];
    }),
  );
  const swarf = swarfAt(rows, done, stood);
  const opened = new Map(
    [...hands].flatMap(([id, { opened: one }]) => (one && !done.has(id) ? [[id, one.reason]] : [])),
  );
  for (const { id, kind } of steps)
    if (kind === 'clean' && (done.get(id)?.movedAt ?? swarf) < swarf) {
      done.delete(id);
      opened.set(id, 'something was cut, honed or filed since');
    }
  return {
    done,
    opened,
    exchanged: new Map([...hands].flatMap(([id, { exchanged: one }]) => (one ? [[id, one]] : []))),
  };
}
