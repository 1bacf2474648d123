import { does, type Effect, type Step } from './step';
import { latest } from './openings';
import { restsOn } from './rests-on';
import { standing, writtenAt } from './build-line';
import type { DoneFact, FactRows, StepFacts } from './step-facts';

/** Why a step is to be looked at, and through which other where it is not of itself. */
export interface Stale {
  readonly why: string;
  readonly through?: string;
  /** Looking at it puts it right: not where something beneath is open, tried or to be looked at itself. */
  readonly canLook: boolean;
}

const lastPullOf = (rows: FactRows): ReadonlyMap<string, string> =>
  new Map(
    rows.joints.map(({ joint, tightenings }) => [
      joint.id,
      latest(tightenings.flatMap(({ events }) => events.map(({ recordedAt }) => recordedAt))),
    ]),
  );

/**
 * Steps that are done and to be looked at again, each with the reason: what it rests on is not done any more, was done
 * anew since, or is itself to be looked at; a part was exchanged; freedom was tried before the last pass; the shaft was
 * turned since it was timed.
 * @param order the steps, each after all that it rests on
 */
export function staleSteps(rows: FactRows, facts: StepFacts, order: readonly string[]): ReadonlyMap<string, Stale> {
  const named = new Map(rows.steps.map((step) => [step.id, step]));
  const pulls = lastPullOf(rows);
  const stale = new Map<string, Stale>();
  for (const id of order) {
    const step = named.get(id);
    const own = facts.done.get(id);
    if (!step || !own) continue;
    const reason =
      exchangedSince(facts, id, own.at) ??
      (step.kind === 'freedom' ? pulledSince(step, named, pulls, own.at) : undefined) ??
      (step.kind === 'timing' && turnedSince(rows, facts, own.at) ? 'the crank was turned since' : undefined) ??
      restsOnMoved(step, own, facts, stale, named);
    if (reason !== undefined) stale.set(id, typeof reason === 'string' ? { why: reason, canLook: true } : reason);
  }
  return stale;
}

function exchangedSince({ exchanged }: StepFacts, id: string, at = ''): string | undefined {
  const one = exchanged.get(id);
  return one && one.at > at ? `exchanged since: ${one.words}` : undefined;
}

function pulledSince(
  step: Step,
  named: ReadonlyMap<string, Step>,
  pulls: ReadonlyMap<string, string>,
  at = '',
): string | undefined {
  const pulled = [...restsOn([...named.values()], step.id)]
    .map((id) => named.get(id))
    .find((one) => (pulls.get(one?.jointId ?? '') ?? '') > at);
  return pulled && `“${pulled.name}” was pulled since it was tried`;
}

/** When a round turned the crank between its stages. */
const turnsInRounds = (joints: FactRows['joints']): readonly string[] =>
  joints.flatMap(({ tightenings }) =>
    tightenings.flatMap(({ events, state }) =>
      events.flatMap((event) => (event.kind === 'shaft' && !state.struck.has(event.id) ? [event.recordedAt] : [])),
    ),
  );

/** Whether the shaft was turned after it was timed, and before what was timed was fixed so that it may turn. */
function turnedSince({ steps, lines, joints }: FactRows, { done }: StepFacts, timedAt = ''): boolean {
  const movedAt = (effect: Effect) =>
    steps.filter((step) => does(step, effect)).flatMap(({ id }) => done.get(id)?.movedAt ?? []);
  const turns = [
    ...standing(lines)
      .filter(({ kind }) => kind === 'turned')
      .map(writtenAt),
    ...movedAt('turns-crank'),
    ...turnsInRounds(joints),
  ];
  // A step may time it and leave it free to turn.
  const freed = movedAt('crank-free').filter((at) => at >= timedAt);
  return turns.some((turn) => turn > timedAt && !freed.some((at) => at <= turn));
}

function restsOnMoved(
  step: Step,
  own: DoneFact,
  { done, opened }: StepFacts,
  stale: ReadonlyMap<string, Stale>,
  named: ReadonlyMap<string, Step>,
): string | Stale | undefined {
  for (const id of step.after) {
    const before = named.get(id);
    if (!before) continue;
    const fact = done.get(id);
    const wait = (why: string) => ({ why: `“${before.name}” ${why}`, canLook: false });
    if (!fact) return wait(`is open again${opened.has(id) ? `: ${opened.get(id) ?? ''}` : ''}`);
    if (fact.isTrial && !own.isTrial) return wait('is only fitted for trial');
    if (fact.movedAt !== undefined && own.at !== undefined && fact.movedAt > own.at)
      return `“${before.name}” was done anew since`;
    const root = stale.get(id);
    if (root) return { ...wait('is to be looked at'), through: root.through ?? id };
  }
  return undefined;
}
