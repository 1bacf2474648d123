import type { SummarizedEngine } from '@/db/reads/engine-summaries';
import { fullDate, nearTime } from '@/interface/figures/times';
import type { Wait } from '@/model/engine/engine-wait';
import type { Wrench } from '@/model/shelf/wrench';
import { onStands } from './queries';
import { hrefOf, waitLine } from './wait-line';

/** In which part of the page a thing stands. */
export const DUE_PARTS = ['overdue', 'stopped', 'now', 'waits', 'later'] as const;
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

/** A retorque waits for miles, or for the first start: it is no more than told, and told at the end. */
const isLater = ({ state, to }: Wait): boolean => state === 'rest' && to.at === 'run-in';

const DAY_MS = 86_400_000;

/** With both ends of its window; what falls due on a day has no hour. */
function dueWords(wait: Wait, now: number): string {
  const { waitsFor, about, by } = wait;
  if (about === undefined || by === undefined || now > by) return waitLine(wait, now);
  return by - about >= DAY_MS
    ? `${waitsFor}, from ${fullDate(about)}`
    : `${waitsFor}: from ${nearTime(about, now)}, by ${nearTime(by, now)}`;
}

function partOf(wait: Wait, now: number): DuePart | undefined {
  const { state, by } = wait;
  if (isLater(wait)) return 'later';
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
      const line = { of: name, what: dueWords(wait, now), href: hrefOf(engineId, wait.to) };
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
