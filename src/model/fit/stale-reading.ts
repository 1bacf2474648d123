import { CHANGES, isVoidedBy, type ConditionId, type FitKind, type Part } from '@/core/fits';
import type { FitLine, ReadingLine } from './fit';
import type { FitContext } from './fit-context';
import { clampChange, isOpenedSince, isOpenedUp, workedOnSince } from './fit-rounds';

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
