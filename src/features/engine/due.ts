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

/** What is due, before it is put into words: of ten thousand things a page tells six. */
interface Found {
  readonly part: DuePart;
  readonly about?: number;
  readonly line: () => Omit<DueLine, 'part' | 'about'>;
}

/** The first of what is due in words, and how much there is in all. */
export interface DueFirst {
  readonly lines: readonly DueLine[];
  readonly total: number;
}

/** What has an hour by its hour, the rest behind it as it was found. */
const byHour = (found: readonly Found[]): readonly Found[] => [
  ...found.filter(({ about }) => about !== undefined).sort((a, b) => (a.about ?? 0) - (b.about ?? 0)),
  ...found.filter(({ about }) => about === undefined),
];

/**
 * What is due over all engines: out, waiting or overdue, and the wrenches whose check is; the overdue first, and what
 * has an hour by its hour. All are counted; of the first `most` it is told what they are.
 */
export function dueFirst(
  engines: readonly SummarizedEngine[],
  wrenches: readonly WrenchDue[],
  now: number,
  most: number,
): DueFirst {
  const found: Readonly<Record<DuePart, Found[]>> = { overdue: [], stopped: [], now: [], waits: [], later: [] };
  for (const { engineId, name, summary } of onStands(engines))
    for (const wait of summary.waits) {
      const part = partOf(wait, now);
      if (!part) continue;
      const line = () => ({ of: name, what: dueWords(wait, now), href: hrefOf(engineId, wait.to) });
      found[part].push({ part, about: wait.about, line });
    }
  for (const { wrench, overdue } of wrenches) {
    const line = () => ({ of: wrench.name, what: 'its check is overdue', href: '/shelves/wrenches' });
    if (overdue) found.overdue.push({ part: 'overdue', line });
  }
  const all = DUE_PARTS.flatMap((part) => byHour(found[part]));
  const lines = all
    .slice(0, most)
    .map(({ part, about, line }) => ({ part, ...line(), ...(about !== undefined && { about }) }));
  return { lines, total: all.length };
}

/** All of it, in words. */
export const dueLines = (
  engines: readonly SummarizedEngine[],
  wrenches: readonly WrenchDue[],
  now: number,
): readonly DueLine[] => dueFirst(engines, wrenches, now, Infinity).lines;
