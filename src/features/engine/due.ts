import type { SummarizedEngine } from '@/db/reads/engine-summaries';
import type { Wait } from '@/model/engine/engine-wait';
import type { Wrench } from '@/model/shelf/wrench';
import { onStands } from './queries';
import { hrefOf, waitLine } from './wait-line';

/** In which part of the page a thing stands. */
export const DUE_PARTS = ['overdue', 'stopped', 'now', 'waits'] as const;
export type DuePart = (typeof DUE_PARTS)[number];

/** One thing that is due, and where it is done. */
export interface DueLine {
  readonly part: DuePart;
  /** The engine, or the wrench. */
  readonly of: string;
  readonly what: string;
  readonly href: string;
  /** ms since 1970, where it has an hour. */
  readonly about?: number;
}

interface WrenchDue {
  readonly wrench: Pick<Wrench, 'id' | 'name'>;
  readonly overdue: boolean;
}

function partOf({ state, by }: Wait, now: number): DuePart | undefined {
  if (state === 'rest') return undefined;
  if (by !== undefined && now > by) return 'overdue';
  return state === 'stop' ? 'stopped' : state === 'ready' ? 'now' : 'waits';
}

/**
 * Everything over all engines that is out, due, waiting or overdue, and the wrenches whose check is: the overdue first,
 * and what has an hour by its hour.
 */
export function dueLines(
  engines: readonly SummarizedEngine[],
  wrenches: readonly WrenchDue[],
  now: number,
): readonly DueLine[] {
  const ofEngines = onStands(engines).flatMap(({ engineId, name, summary: { waits } }) =>
    waits.flatMap((wait): readonly DueLine[] => {
      const part = partOf(wait, now);
      const line = { of: name, what: waitLine(wait, now), href: hrefOf(engineId, wait.to) };
      return part ? [{ part, ...line, ...(wait.about !== undefined && { about: wait.about }) }] : [];
    }),
  );
  const ofWrenches = wrenches.flatMap(({ wrench, overdue }): readonly DueLine[] =>
    overdue ? [{ part: 'overdue', of: wrench.name, what: 'its check is overdue', href: '/shelves/wrenches' }] : [],
  );
  const rank = (part: DuePart) => DUE_PARTS.indexOf(part);
  return [...ofEngines, ...ofWrenches].sort(
    (a, b) => rank(a.part) - rank(b.part) || (a.about ?? Infinity) - (b.about ?? Infinity) || 0,
  );
}
