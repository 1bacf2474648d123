import { readThread, threadsOfSize, type ThreadSeries } from '@/core/thread';
import { DomainError } from '@/core/units';
import { tryCore } from '@/model/try-core';

/** What an engine says of the threads that may be on it. */
export interface ThreadHints {
  readonly year: number | null;
  /** Threads of its other joints. */
  readonly others: readonly string[];
}

/** The Unified threads were agreed in November 1948; before, an engine has them only by a repair. */
const UNIFIED_FROM = 1949;
const UNIFIED: ReadonlySet<ThreadSeries> = new Set(['UNC', 'UNF']);

/**
 * The threads of a bare size, the likeliest on this engine first: of a series that is on it already, then by its age.
 * An order to ask in, never an answer.
 */
export function likelyThreads(designation: string, { year, others }: ThreadHints): readonly string[] {
  const series = new Map<ThreadSeries, number>();
  for (const name of others) {
    const read = tryCore(() => readThread(name).thread.series);
    if (read.ok) series.set(read.result, (series.get(read.result) ?? 0) + 1);
  }
  const late = (one: ThreadSeries) => (year !== null && year < UNIFIED_FROM && UNIFIED.has(one) ? 1 : 0);
  return threadsOfSize(designation)
    .map((thread) => ({ name: thread.designation, known: series.get(thread.series) ?? 0, late: late(thread.series) }))
    .sort((a, b) => b.known - a.known || a.late - b.late)
    .map(({ name }) => name);
}

/** Asks which thread of a bare size it is, the likeliest first. @throws DomainError unknown-thread */
export function assertThreadTold(designation: string, hints: ThreadHints): void {
  const [first, ...rest] = likelyThreads(designation, hints);
  if (first === undefined || rest.length === 0) return;
  throw new DomainError(
    'unknown-thread',
    `“${designation.trim()}” is a size, not yet a thread: on this engine likeliest ${first}, else ${rest.join(', ')}. Its pitch tells which; the finder under Threads measures it.`,
    'thread',
  );
}
