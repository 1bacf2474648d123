'use client';

import { nanoid } from 'nanoid';
import { useMemo } from 'react';
import { roundState, type BenchEvent, type PullOutcome, type PullReading, type RoundState } from '@/core/tightening';
import type { TighteningPlan } from '@/model/joint/tightening-plan';
import { useRecord, type Kept } from '@/interface/record/use-record';
import { benchId } from './bench-id';

export interface BenchRecord {
  readonly round: RoundState;
  /** Positions whose line is not yet on disk. */
  readonly pending: ReadonlySet<number>;
  /** How many lines are on disk, as far as this screen knows; and whether any is on its way there. */
  readonly written: number;
  /** How many lines there are, on disk or on their way. */
  readonly count: number;
  readonly isWaiting: boolean;
  /** Nothing may be added before: whose turn it is is not known. */
  readonly ready: boolean;
  readonly trouble?: string;
  /**
   * @param words what more is to be said of it
   * @param reading what was read at it
   */
  readonly pull: (outcome: PullOutcome, words?: string, reading?: PullReading) => void;
  /** @param words what was read or felt at it */
  readonly shaftTurned: (words?: string) => void;
  /** It did not go round as freely as before. */
  readonly shaftBinds: (words: string) => void;
  /** The one that went over at its final figure, slackened and pulled again. */
  readonly again: (outcome: PullOutcome, reading?: PullReading) => void;
  /** The next one is passed over for now. */
  readonly skip: (words: string) => void;
  /** Left as it is. */
  readonly leaveOver: (words: string) => void;
  readonly strikeLast: () => void;
}

const now = () => new Date().toISOString();

/** What may be added to a record, and what it comes to. */
export function benchRecord(
  plan: TighteningPlan,
  current: RoundState,
  { lines, waiting, ready, trouble, add }: Kept<BenchEvent>,
): BenchRecord {
  const over = current.over[0];
  const pending = new Set(
    waiting.flatMap((event) => {
      const step = event.kind === 'pull' || event.kind === 'again' ? plan.steps[event.step] : undefined;
      return step?.kind === 'pull' ? [step.position] : [];
    }),
  );
  return {
    round: current,
    pending,
    written: lines.length - waiting.length,
    count: lines.length,
    isWaiting: waiting.length > 0,
    ready,
    trouble,
    pull: (outcome, words, reading) =>
      add({ id: nanoid(), kind: 'pull', step: current.next, outcome, ...(words && { words }), ...reading, at: now() }),
    again: (outcome, reading) =>
      over !== undefined && add({ id: nanoid(), kind: 'again', step: over, outcome, ...reading, at: now() }),
    skip: (words) => add({ id: nanoid(), kind: 'skip', step: current.next, words, at: now() }),
    leaveOver: (words) => over !== undefined && add({ id: nanoid(), kind: 'left', step: over, words, at: now() }),
    shaftTurned: (words) =>
      add({ id: nanoid(), kind: 'shaft', step: current.next, ...(words && { words }), at: now() }),
    shaftBinds: (words) => add({ id: nanoid(), kind: 'bind', step: current.next, words, at: now() }),
    strikeLast: () => current.last && add({ id: nanoid(), kind: 'strike', strikes: current.last.id, at: now() }),
  };
}

/** What the lines of a round come to, worked out once for each. */
export const useRoundState = (plan: TighteningPlan, lines: readonly BenchEvent[]): RoundState =>
  useMemo(() => roundState(plan.steps, lines, plan.positions.length, plan.asksOver), [plan, lines]);

/**
 * The record of one tightening at the bench: what is on disk, what is on its way there, and the acts that add to it.
 */
export function useBenchRecord(tighteningId: string, plan: TighteningPlan, events: readonly BenchEvent[]): BenchRecord {
  const kept = useRecord(tighteningId, `/api/tightenings/${tighteningId}/events`, events);
  // Each line says from which screen it comes, also one that is only sent once it is opened again.
  const add = (line: BenchEvent) => kept.add(Object.assign(line, { bench: benchId() }));
  return benchRecord(plan, useRoundState(plan, kept.lines), { ...kept, add });
}
