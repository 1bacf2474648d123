import { cancelledOf } from '@/model/cancelled-lines';
import type { SeenAtRun } from '@/model/heat/heat-log';
import type { StartAnswer, StartCheck } from './start-checks';
import type { StepAid } from './step';

interface Line<Kind extends string, Body> {
  readonly id: string;
  readonly kind: Kind;
  readonly at: string;
  /** When the server wrote it down; absent while it is on its way there. */
  readonly recordedAt?: string;
  readonly who?: string;
  readonly body: Body;
}

type OfStep<Kind extends string, Body> = Line<Kind, Body> & { readonly stepId: string };
type OfPart<Kind extends string, Body> = Line<Kind, Body> & { readonly partId: string };

/** What passed a gate: the bars that stood, in words, and the reason why it was passed. */
export interface Passed {
  readonly bars: readonly string[];
  readonly reason: string;
}

export interface DoneBody {
  /** Set of a step done loose, to be taken apart again. */
  readonly trial?: true;
  readonly passed?: Passed;
  /** The aids that it put in and took out, as the step said when it was done. */
  readonly putsIn?: readonly StepAid[];
  readonly takesOut?: readonly string[];
  /** How and to what a timing was set. */
  readonly set?: string;
  /** What was felt, of a step that tries the freedom; a torque to turn over with its unit as it was read. */
  readonly felt?: string;
  readonly turnsAt?: string;
  /** The mark read on the part and on what it goes on. */
  readonly marks?: readonly [part: string, place: string];
}

export type BuildLine =
  | OfStep<'done', DoneBody>
  // The server puts in the joint that was opened with it: none where the step was only tried, or has none.
  | OfStep<'undone', { readonly reason: string; readonly jointId?: string }>
  | OfStep<'looked', { readonly words: string }>
  | Line<'trial', { readonly upTo: string }>
  | Line<'stripped', object>
  | Line<'cleaned', object>
  | Line<'aid-in', { readonly name: string; readonly count: number; readonly inside: boolean }>
  | Line<'aid-out', { readonly of: string; readonly count: number }>
  | Line<'loose', { readonly words: string }>
  // What came of it, where that is worth a word: clearances by feelers, before and after.
  | Line<'tight', { readonly of: string; readonly words?: string }>
  | Line<'swarf', { readonly words: string }>
  | Line<'turned', { readonly words: string }>
  | OfStep<'exchanged', { readonly words: string }>
  | Line<'start-look', { readonly check: StartCheck; readonly is: StartAnswer; readonly words: string }>
  // Tried when, and what was seen: it may have warmed nothing.
  | Line<'start-wrong', { readonly on: string; readonly seen: readonly SeenAtRun[] }>
  // What stood open when it was started all the same, and why.
  | Line<'start-passed', { readonly bars: readonly string[]; readonly reason: string }>
  | Line<'paused', { readonly words: string; readonly covered: string }>
  | Line<'resumed', { readonly words: string }>
  | OfPart<'part-in', { readonly count: number; readonly checked: readonly string[] }>
  | OfPart<'part-checked', { readonly checked: readonly string[] }>
  | OfPart<'part-off', { readonly count: number; readonly reason: string }>
  | OfPart<'part-order', { readonly words: string }>
  | (Line<'strike', object> & { readonly strikes: string });

export type BuildLineKind = BuildLine['kind'];
export type LineOf<Kind extends BuildLineKind> = Extract<BuildLine, { readonly kind: Kind }>;

/** Every kind there is; a new one is an entry here and in the union above. */
export const BUILD_LINE_KINDS = [
  'done',
  'undone',
  'looked',
  'trial',
  'stripped',
  'cleaned',
  'aid-in',
  'aid-out',
  'loose',
  'tight',
  'swarf',
  'turned',
  'exchanged',
  'start-look',
  'start-wrong',
  'start-passed',
  'paused',
  'resumed',
  'part-in',
  'part-checked',
  'part-off',
  'part-order',
  'strike',
] as const satisfies readonly BuildLineKind[];

/** Kinds that are of one step, and of one part. */
export const STEP_LINES = ['done', 'undone', 'looked', 'exchanged'] as const satisfies readonly BuildLineKind[];
export const PART_LINES = [
  'part-in',
  'part-checked',
  'part-off',
  'part-order',
] as const satisfies readonly BuildLineKind[];

/** The lines that stand, in the order in which they were written. */
export function standing(lines: readonly BuildLine[]): readonly BuildLine[] {
  const cancelled = cancelledOf(
    lines.map((line) => ({ id: line.id, ...(line.kind === 'strike' && { strikes: line.strikes }) })),
  );
  return lines.filter(({ id, kind }) => kind !== 'strike' && !cancelled.has(id));
}

/** When a line was written down, by the server's clock. */
export const writtenAt = ({ at, recordedAt }: Pick<BuildLine, 'at' | 'recordedAt'>): string => recordedAt ?? at;
