'use client';

import { useCallback, useRef, useState } from 'react';
import type { JointDetail } from '@/model/joint/joint-detail';
import type { Joint } from '@/model/joint/joint';
import { send } from '@/interface/parts/use-action-form';
import { alterJointAction } from './actions';

export interface KeptJoint {
  readonly joint: Joint;
  readonly change: (part: Partial<Joint>) => void;
  readonly changeDetail: (part: Partial<JointDetail>) => void;
  readonly problem?: string;
  readonly settled: () => Promise<unknown>;
}

/** Keeps changes on disk behind the figures, one at a time and in order. */
export function useKeptJoint(initial: Joint): KeptJoint {
  const [joint, setJoint] = useState(initial);
  const [problem, setProblem] = useState<string>();
  const queue = useRef<Promise<unknown>>(Promise.resolve());
  const latest = useRef(initial);
  const change = useCallback((part: Partial<Joint>) => {
    const next = { ...latest.current, ...part };
    latest.current = next;
    setJoint(next);
    queue.current = queue.current.then(async () => {
      // Only the newest of what has piled up is worth a write.
      if (latest.current !== next) return;
      const outcome = await send(alterJointAction, next);
      setProblem(outcome.ok ? undefined : outcome.error.message);
    });
  }, []);
  const changeDetail = useCallback(
    (part: Partial<JointDetail>) => change({ detail: { ...latest.current.detail, ...part } }),
    [change],
  );
  const settled = useCallback(() => queue.current, []);
  return { joint, change, changeDetail, problem, settled };
}
