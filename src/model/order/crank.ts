import type { Step } from './step';
import type { DoneFact } from './step-facts';

/** What holds the crank. */
export interface Crank {
  readonly state: 'free' | 'held' | 'locked';
  /** The step that made it so, and when. */
  readonly stepId?: string;
  readonly since?: string;
}

/** What keeps the crank from being turned. */
export interface CrankHeld {
  readonly by: 'strip' | 'order';
  /** `A strip lies in Big ends, 2`; `It is locked by “Cam timing”` */
  readonly why: string;
}

/** By a strip, or by what was done in the order; undefined where it is free. */
export function crankHeld({
  strips,
  crank: { state, stepId },
  byId,
}: {
  readonly strips: readonly string[];
  readonly crank: Crank;
  readonly byId: ReadonlyMap<string, { readonly step: Pick<Step, 'name'> }>;
}): CrankHeld | undefined {
  if (strips.length > 0) return { by: 'strip', why: `A strip lies in ${strips.join(', ')}` };
  if (state === 'free') return undefined;
  const step = byId.get(stepId ?? '')?.step;
  return { by: 'order', why: `It is ${state}${step ? ` by “${step.name}”` : ''}` };
}

const MAKES = { 'crank-free': 'free', 'crank-held': 'held', 'crank-locked': 'locked' } as const;

/** Free, held or locked, by the step done last that says so; a timing that was set locks the shaft. */
export function crankOf(steps: readonly Step[], done: ReadonlyMap<string, DoneFact>): Crank {
  let crank: Crank = { state: 'free' };
  let last = '';
  for (const { id, kind, detail } of steps) {
    const fact = done.get(id);
    const at = fact?.movedAt ?? '';
    const made = detail.makes.flatMap((effect) => (effect in MAKES ? [MAKES[effect as keyof typeof MAKES]] : []))[0];
    const state = made ?? (kind === 'timing' ? ('locked' as const) : undefined);
    if (!fact || state === undefined || at < last) continue;
    last = at;
    crank = { state, stepId: id, ...(at && { since: at }) };
  }
  return crank;
}
