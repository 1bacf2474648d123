'use client';

import { useCallback, useState, useTransition } from 'react';
import type { Problem, Result } from '@/model/result';
import { useOfferUndo } from './undo';
import { send } from './send';

export interface Act {
  /** Does it; while it is under way `pending` is true, and a refusal stays until the next act. */
  readonly act: <T>(
    work: () => Promise<Result<T>>,
    onDone?: (result: T) => void,
    onRefused?: (problem: Problem) => void,
  ) => void;
  readonly pending: boolean;
  readonly problem?: Problem;
}

/** An act of a screen that is no form: a key that writes, and what was said to it. */
export function useAct(): Act {
  const offerUndo = useOfferUndo();
  const [pending, startTransition] = useTransition();
  const [problem, setProblem] = useState<Problem>();
  const act = useCallback<Act['act']>(
    (work, onDone, onRefused) =>
      startTransition(async () => {
        const outcome = await send(work, undefined);
        setProblem(outcome.ok ? undefined : outcome.error);
        if (outcome.ok) {
          offerUndo(outcome.result);
          onDone?.(outcome.result);
        } else onRefused?.(outcome.error);
      }),
    [offerUndo],
  );
  return { act, pending, problem };
}
