import type { StepState } from './step-state';

/** What proves or frees comes before what is built on: a gate before what it bars. */
const FIRST_KINDS: ReadonlySet<string> = new Set(['fit', 'freedom', 'aid-out', 'clean']);

const timeOf = ({ done }: StepState) => done?.movedAt ?? done?.at ?? '';

/**
 * The steps that can be done now, the likeliest first: what follows on what was done last, then its sub-assembly.
 * @param stretch the steps of a trial build that is going: they come before all others
 */
export function likeliestFirst(steps: readonly StepState[], stretch?: ReadonlySet<string>): readonly StepState[] {
  const last = steps.reduce<StepState | undefined>(
    (latest, one) => (timeOf(one) !== '' && (!latest || timeOf(one) >= timeOf(latest)) ? one : latest),
    undefined,
  );
  const near = ({ step }: StepState): number => {
    if (!last) return 1;
    if (step.after.includes(last.step.id)) return 0;
    return step.branch === last.step.branch ? 1 : 2;
  };
  const rank = (one: StepState) =>
    (stretch === undefined || stretch.has(one.step.id) ? 0 : 10) +
    near(one) * 2 +
    (FIRST_KINDS.has(one.step.kind) ? 0 : 1);
  const place = new Map(steps.map(({ step }, i) => [step.id, i]));
  return steps
    .filter(({ state }) => state === 'open')
    .sort((a, b) => rank(a) - rank(b) || (place.get(a.step.id) ?? 0) - (place.get(b.step.id) ?? 0));
}

/** Everything that one step waits for, each with what it waits for in turn, the nearest first. */
export function whyNotYet(
  byId: ReadonlyMap<string, StepState>,
  id: string,
): readonly { readonly stepId: string; readonly depth: number }[] {
  const found: { stepId: string; depth: number }[] = [];
  const seen = new Set([id]);
  const follow = (of: string, depth: number): void => {
    for (const wait of byId.get(of)?.waits ?? []) {
      if (!('stepId' in wait) || seen.has(wait.stepId)) continue;
      seen.add(wait.stepId);
      found.push({ stepId: wait.stepId, depth });
      follow(wait.stepId, depth + 1);
    }
  };
  follow(id, 0);
  return found;
}
