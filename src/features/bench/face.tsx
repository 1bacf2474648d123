'use client';

import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import type { BenchEvent } from '@/core/tightening';
import { FaceBody, type FaceBodyProps } from './face-body';
import { TakeUp } from './take-up';
import { useBenchRecord } from './use-bench-record';
import { useChangedSheet } from './use-changed-sheet';
import { useHold } from './use-hold';

interface Props extends Omit<FaceBodyProps, 'record' | 'hold' | 'takeUp' | 'isRehearsal' | 'beside'> {
  readonly tighteningId: string;
  readonly events: readonly BenchEvent[];
}

/** The face of a round: what is pulled here is recorded. */
export function Face({ tighteningId, events, changed, ...props }: Props) {
  const { plan, back } = props;
  const router = useRouter();
  const record = useBenchRecord(tighteningId, plan, events);
  const hold = useHold(tighteningId, record.written);
  const now = useChangedSheet(tighteningId, changed);
  useEffect(() => {
    router.prefetch(back);
  }, [router, back]);
  return (
    <FaceBody {...props} record={record} hold={hold} changed={now} takeUp={<TakeUp tighteningId={tighteningId} />} />
  );
}
