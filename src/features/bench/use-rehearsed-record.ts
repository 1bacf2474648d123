'use client';

import { nanoid } from 'nanoid';
import { useMemo, useState } from 'react';
import type { BenchEvent, DoneEvent } from '@/core/tightening';
import type { TighteningPlan } from '@/model/joint/tightening-plan';
import { benchRecord, useRoundState, type BenchRecord } from './use-bench-record';

/** Something done in a rehearsal: lines of the round, or a nut that was pulled out of its turn. */
type Act =
  { readonly is: 'lines'; readonly lines: readonly BenchEvent[] } | { readonly is: 'wrong'; readonly step: number };

export interface Rehearsed {
  readonly record: BenchRecord;
  /** Everything that was done to a fastener, in plan and out of it, in its order. */
  readonly done: readonly DoneEvent[];
  /** @param step of the plan, whose turn it is not */
  readonly outOfTurn: (step: number) => void;
  /** Passes over whatever is left of the stage that is under way. */
  readonly skipStage: () => void;
  readonly again: () => void;
}

const SKIPPED = 'skipped in a rehearsal';
const now = () => new Date().toISOString();

const outOfTurn = (step: number): DoneEvent => ({ id: `wrong-${step}`, kind: 'pull', step, outcome: 'pulled', at: '' });

/** A record that is kept nowhere: it goes with the page. What is taken back in it is as if it had not been done. */
export function useRehearsedRecord(plan: TighteningPlan): Rehearsed {
  const [acts, setActs] = useState<readonly Act[]>([]);
  const lines = useMemo(() => acts.flatMap((act) => (act.is === 'lines' ? act.lines : [])), [acts]);
  const round = useRoundState(plan, lines);
  const put = (act: Act) => setActs((before) => [...before, act]);
  const record = benchRecord(plan, round, {
    lines,
    waiting: [],
    ready: true,
    add: (line) => put({ is: 'lines', lines: [line] }),
  });
  const at = plan.steps[round.next];
  return {
    record: { ...record, strikeLast: () => setActs((before) => before.slice(0, -1)) },
    done: useMemo(
      () =>
        acts.flatMap((act): readonly DoneEvent[] =>
          act.is === 'wrong'
            ? [outOfTurn(act.step)]
            : act.lines.flatMap((line) => (line.kind === 'strike' ? [] : [line])),
        ),
      [acts],
    ),
    outOfTurn: (step) => put({ is: 'wrong', step }),
    skipStage: () =>
      put({
        is: 'lines',
        lines: plan.steps.flatMap((step, i): readonly BenchEvent[] =>
          i >= round.next && step.kind === 'pull' && at?.kind === 'pull' && step.stage === at.stage
            ? [{ id: nanoid(), kind: 'skip', step: i, words: SKIPPED, at: now() }]
            : [],
        ),
      }),
    again: () => setActs([]),
  };
}
