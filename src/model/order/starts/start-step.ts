import type { Effect, StepAid, StepKind, Surface } from '../step';
import type { Purpose } from '@/model/joint/tightening';

/** A step of a line to start from; its prerequisites by key. */
export interface StartStep {
  readonly key: string;
  readonly kind: StepKind;
  readonly name: string;
  readonly branch: string;
  readonly after: readonly string[];
  readonly notUntil: readonly string[];
  /** Words in the name of the joint, or of the fit, that takes its place here. */
  readonly meets: readonly string[];
  readonly purpose?: Purpose;
  readonly makes: readonly Effect[];
  readonly putsIn: readonly StepAid[];
  readonly takesOut: readonly string[];
  readonly surfaces: readonly Surface[];
  readonly kit: readonly string[];
  readonly people: number;
  readonly caution: string;
  readonly words: string;
  /** What of it the shop’s practice decides. */
  readonly by: readonly BySchool[];
}

/** Rows of house practice that say how a step is done. */
export type BySchool = 'shellBacks' | 'handling' | 'sealSeats';

type Given = Partial<Omit<StartStep, 'key' | 'kind' | 'name' | 'branch' | 'surfaces'>> & {
  readonly surfaces?: readonly (readonly [what: string, on: string, much?: string, sets?: string])[];
};

/** A step; without `after` it follows the one before it on its branch. */
export type Draft = Omit<StartStep, 'after'> & { readonly after?: readonly string[] };

/** A way of writing steps of one branch, one a line. */
export const stepsOf =
  (branch: string) =>
  (kind: StepKind, key: string, name: string, given: Given = {}): Draft => ({
    key,
    kind,
    name,
    branch,
    notUntil: [],
    meets: [],
    makes: [],
    putsIn: [],
    takesOut: [],
    kit: [],
    people: 1,
    caution: '',
    words: '',
    by: [],
    ...given,
    surfaces: (given.surfaces ?? []).map(([what, on, much = '', sets = '']) => ({ what, on, much, sets })),
  });

export const main = stepsOf('');

/** Fills in what was left to the order in which steps are written. */
export function inOrder(drafts: readonly Draft[]): readonly StartStep[] {
  const last = new Map<string, string>();
  return drafts.map((draft) => {
    const before = last.get(draft.branch);
    last.set(draft.branch, draft.key);
    return { ...draft, after: draft.after ?? (before === undefined ? [] : [before]) };
  });
}
