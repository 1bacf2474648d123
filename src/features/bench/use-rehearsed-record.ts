'use client';

import { nanoid } from 'nanoid';
import { useMemo, useState } from 'react';
import type { BenchEvent, PullStep } from '@/core/tightening';
import type { TighteningPlan } from '@/model/joint/tightening-plan';
import { benchRecord, useRoundState, type BenchRecord } from './use-bench-record';

/** A line of the round, or a nut that was pulled out of its turn. */
export type RehearsedMove =
  { readonly is: 'line'; readonly line: BenchEvent } | { readonly is: 'out-of-turn'; readonly step: PullStep };

export interface Rehearsed {
  readonly record: BenchRecord;
  readonly moves: readonly RehearsedMove[];
  readonly outOfTurn: (step: PullStep) => void;
  /** Passes over whatever is left of the stage that is under way. */
  readonly skipStage: () => void;
  readonly again: () => void;
}

const SKIPPED = 'skipped in a rehearsal';

/** A record that is kept nowhere: it goes with the page. */
export function useRehearsedRecord(plan: TighteningPlan): Rehearsed {
  const [moves, setMoves] = useState<readonly RehearsedMove[]>([]);
  const lines = useMemo(() => moves.flatMap((move) => (move.is === 'line' ? [move.line] : [])), [moves]);
  const round = useRoundState(plan, lines);
  const put = (...more: readonly RehearsedMove[]) => setMoves((before) => [...before, ...more]);
  const record = benchRecord(plan, round, {
    lines,
    waiting: [],
    add: (line) => put({ is: 'line', line }),
  });
  const at = plan.steps[round.next];
  return {
    record,
    moves,
    outOfTurn: (step) => put({ is: 'out-of-turn', step }),
    skipStage: () =>
      put(
        ...plan.steps.flatMap((step, i): readonly RehearsedMove[] =>
          i >= round.next && step.kind === 'pull' && at?.kind === 'pull' && step.stage === at.stage && !round.isOwed
            ? [
                {
                  is: 'line',
                  line: { id: nanoid(), kind: 'skip', step: i, words: SKIPPED, at: new Date().toISOString() },
                },
              ]
            : [],
        ),
      ),
    again: () => setMoves([]),
  };
}
