import type { Step } from './step';
import type { DoneFact } from './step-facts';

/** What holds the crank. */
export interface Crank {
  readonly state: 'free' | 'held' | 'locked';
  /** The step that made it so. */
  readonly stepId?: string;
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
    crank = { state, stepId: id };
  }
  return crank;
}
