import { openLineOf, type OpenLine } from '@/model/heat/follows';
import { seenWords } from '@/interface/words/seen-words';
import { fullDate } from '@/interface/figures/times';
import type { EngineState } from '@/model/engine/engine-state';
import type { SeenAtRun } from '@/model/heat/heat-log';
import { barsOfStart, startStepOf } from '@/model/order/gate';
import type { AnsweredCheck, StartSheet } from '@/model/order/start-sheet';

/** A thing that was seen at a run, and whether it stands on the list of what is open. */
export interface SeenLine extends OpenLine {
  readonly what: string;
}

/** The first start's sheet, with what the order of the work says to it. */
export interface FirstStart {
  /** What stands against it. */
  readonly bars: readonly string[];
  readonly checks: readonly AnsweredCheck[];
  readonly isReady: boolean;
  /** Why it was started all the same is asked with the first run: the order was not asked before. */
  readonly asksWhy: boolean;
  readonly href: string;
}

/** A start that went wrong, and whether what was seen stands on the list of what is open. */
export interface WrongStart {
  readonly id: string;
  readonly on: string;
  readonly who?: string;
  readonly seenLines: readonly SeenLine[];
}

/** What was seen at a run or a start, each with where it stands. */
export const seenAt = (
  what: 'run' | 'start',
  at: string,
  seen: readonly SeenAtRun[],
  lines: EngineState['order']['lines'],
): readonly SeenLine[] =>
  seen.map((one) => {
    const words = seenWords(one);
    return { what: words, ...openLineOf(`At the ${what} of ${fullDate(at)}, ${words}`, lines, at) };
  });

/** The first start, until the first run was logged. */
export function firstStartOf(state: EngineState, { checks, open, passed }: StartSheet): FirstStart {
  const bars = barsOfStart(state).map(({ message }) => message);
  const isReady = open.length === 0 && bars.length === 0;
  return {
    checks,
    bars,
    isReady,
    asksWhy: !isReady && passed === undefined && startStepOf(state)?.state !== 'done',
    href: `/engines/${state.engine.id}/order`,
  };
}

/** Starts that went wrong, the latest first. */
export function wrongStarts({ order: { lines } }: EngineState, { wrong }: StartSheet): readonly WrongStart[] {
  return [...wrong].reverse().map(({ id, who, body: { on, seen } }) => ({
    id,
    on,
    who,
    seenLines: seenAt('start', on, seen, lines),
  }));
}
