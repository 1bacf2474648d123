'use client';

import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import type { BenchEvent } from '@/core/tightening';
import { FaceBody, type FaceBodyProps } from './face-body';
import type { SaidSince } from './queries';
import { TakeUp } from './take-up';
import { useBenchRecord } from './use-bench-record';
import { useSaidSince } from './use-said-since';
import { useHold } from './use-hold';

interface Props
  extends Omit<FaceBodyProps, 'record' | 'hold' | 'takeUp' | 'isRehearsal' | 'beside' | 'crank'>, SaidSince {
  readonly tighteningId: string;
  readonly events: readonly BenchEvent[];
}

/** The face of a round: what is pulled here is recorded. */
export function Face({ tighteningId, events, changed, held, ...props }: Props) {
  const { plan, back } = props;
  const router = useRouter();
  const record = useBenchRecord(tighteningId, plan, events);
  const hold = useHold(tighteningId, record.written);
  const said = useSaidSince(tighteningId, { changed, held });
  useEffect(() => {
    router.prefetch(back);
  }, [router, back]);
  return (
    <FaceBody
      {...props}
      record={record}
      hold={hold}
      changed={said.changed}
      crank={said.held}
      takeUp={<TakeUp tighteningId={tighteningId} />}
    />
  );
}
