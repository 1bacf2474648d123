import { sequence } from '@/core/sequence';
import { DomainError } from '@/core/units';
import { MAX_STEPS, type Step } from './step';

type Linked = Pick<Step, 'id' | 'name' | 'after' | 'notUntil'>;

/**
 * Refuses steps that wait for one another in a ring, with their names, and links to steps that are not there.
 * @throws DomainError loop, unknown-step, too-many
 */
export function assertOrder(steps: readonly Linked[]): void {
  if (steps.length > MAX_STEPS) throw new DomainError('too-many', `An order has at most ${MAX_STEPS} steps.`, 'steps');
  try {
    sequence({ steps });
  } catch (error) {
    if (!(error instanceof DomainError) || error.code !== 'loop') throw error;
    const named = steps.reduce((words, { id, name }) => words.split(id).join(`“${name}”`), error.message);
    throw new DomainError('loop', named, 'after');
  }
}

/** The steps whose links change when one is struck out: each waits for what that one waited for. */
export function closedOver(steps: readonly Step[], id: string): readonly Step[] {
  const gone = steps.find((step) => step.id === id);
  if (!gone) return [];
  const instead = (ids: readonly string[], others: readonly string[], own: string) =>
    ids.includes(id) ? [...new Set([...ids.filter((one) => one !== id), ...others])].filter((one) => one !== own) : ids;
  return steps.flatMap((step) => {
    if (step.id === id) return [];
    const after = instead(step.after, gone.after, step.id);
    const notUntil = instead(step.notUntil, gone.notUntil, step.id);
    return after === step.after && notUntil === step.notUntil ? [] : [{ ...step, after, notUntil }];
  });
}

/**
 * A chain of steps put into the line behind another, or before all others: what followed that one on its branch follows
 * the last of the chain. Answers with every step that is new or changed.
 */
export function insertedBehind(steps: readonly Step[], chain: readonly Step[], behind: string | null): readonly Step[] {
  const [first, last] = [chain[0], chain.at(-1)];
  if (!first || !last) return [];
  const before = steps.find(({ id }) => id === behind);
  const { branch } = before ?? first;
  const place = placeAfter(steps, behind);
  const room = placeAfter([...steps, { id: '', place }], '') - place;
  const linked = chain.map((step, i) => ({
    ...step,
    place: place + (room * i) / chain.length,
    after: i === 0 ? (before ? [before.id] : []) : [chain[i - 1]?.id ?? ''],
  }));
  const follows = ({ id, after, branch: own }: Step) =>
    own === branch && id !== behind && (before ? after.includes(before.id) : after.length === 0);
  const followers = steps
    .filter(follows)
    .map((step) => ({ ...step, after: [...step.after.filter((id) => id !== behind), last.id] }));
  return [...linked, ...followers];
}

/** A step taken from where it stands and put behind another; nothing that waited for it loses its place. */
export function movedBehind(steps: readonly Step[], id: string, behind: string | null): readonly Step[] {
  const step = steps.find((one) => one.id === id);
  if (!step || id === behind) return [];
  const closed = new Map(closedOver(steps, id).map((one) => [one.id, one]));
  const others = steps.filter((one) => one.id !== id).map((one) => closed.get(one.id) ?? one);
  const branch = others.find((one) => one.id === behind)?.branch ?? step.branch;
  const put = new Map(insertedBehind(others, [{ ...step, branch }], behind).map((one) => [one.id, one]));
  // What joins it from a sub-assembly goes with it.
  const joining = step.after.filter((one) => others.find(({ id: own }) => own === one)?.branch !== step.branch);
  const moved = put.get(id);
  if (moved) put.set(id, { ...moved, after: [...new Set([...moved.after, ...joining])] });
  return [...new Map([...closed, ...put]).values()];
}

/** Steps that nothing leads to and that lead to nothing: they hang beside the line. */
export function hangingSteps(steps: readonly Linked[]): readonly string[] {
  const led = new Set(steps.flatMap(({ after, notUntil }) => [...after, ...notUntil]));
  return steps.length < 2
    ? []
    : steps
        .filter(({ id, after, notUntil }) => after.length === 0 && notUntil.length === 0 && !led.has(id))
        .map(({ name }) => name);
}

/** A place between the step that is given and the one after it. */
export function placeAfter(steps: readonly Pick<Step, 'id' | 'place'>[], id: string | null): number {
  const sorted = [...steps].sort((a, b) => a.place - b.place);
  const at = id === null ? -1 : sorted.findIndex((step) => step.id === id);
  const [before, next] = [sorted[at]?.place, sorted[at + 1]?.place];
  if (before === undefined) return next === undefined ? 1 : next - 1;
  return next === undefined ? before + 1 : (before + next) / 2;
}
