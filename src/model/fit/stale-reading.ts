import { CHANGES, isVoidedBy, type ConditionId, type FitKind, type Part } from '@/core/fits';
import type { FitLine, ReadingLine } from './fit';
import type { FitPageSays } from './fit-page';
import { clampChange, isOpenedSince, isOpenedUp, workedOnSince, type FitRound } from './fit-rounds';

/** What a fit's readings rest on outside of it: the going-rounds of its joint, and its bolts as they are now. */
export interface FitContext {
  readonly rounds: readonly FitRound[];
  /** When its joint was opened up again in the order of the build. */
  readonly openings?: readonly string[];
  readonly bolts?: string;
  readonly jointName?: string;
  /** When a head that its readings rest on was gone over, tightened or opened up, by its name. */
  readonly headWork?: readonly { readonly at: string; readonly jointName: string }[];
  /** The page that what is wanted was taken from. */
  readonly page?: FitPageSays;
}

/** Under which conditions a part of a fit is read. */
export const conditionsOf = (kind: FitKind, part: Part): readonly ConditionId[] => kind.conditions[part] ?? [];

/** Why a reading no longer counts; undefined where it does. */
export function staleReason(
  reading: ReadingLine,
  lines: readonly FitLine[],
  kind: FitKind,
  context: FitContext,
): string | undefined {
  const conditions = conditionsOf(kind, reading.part);
  const after = lines.slice(lines.indexOf(reading) + 1);
  const change = after.find((line) => line.kind === 'change' && isVoidedBy(line.body.change, reading.part, conditions));
  if (change?.kind === 'change')
    return `Since it was read ${CHANGES[change.body.change].name}${change.body.words ? `: ${change.body.words}` : ''}.`;
  if (conditions.includes('cap-final') && isOpenedUp(reading, context.openings))
    return `Since it was read ${CHANGES['cap-loosened'].name}: ${context.jointName ?? 'its joint'} was opened up.`;
  if (conditions.includes('cap-final') && isOpenedSince(reading, context.rounds))
    return `Since it was read ${CHANGES['cap-loosened'].name}: ${context.jointName ?? 'its joint'} was gone round again.`;
  const head = conditions.includes('head-final') ? workedOnSince(reading, context.headWork) : undefined;
  if (head !== undefined) return `Since it was read ${CHANGES['head-gone-over'].name}: ${head}.`;
  const clamp = conditions.includes('cap-final') ? clampChange(reading, context.rounds) : undefined;
  if (clamp !== undefined) return clamp;
  if (
    conditions.includes('final-bolts') &&
    reading.body.bolts !== undefined &&
    context.bolts !== undefined &&
    reading.body.bolts !== context.bolts
  )
    return `Since it was read ${CHANGES['bolts-changed'].name}: ${reading.body.bolts} then, ${context.bolts} now.`;
  return undefined;
}
