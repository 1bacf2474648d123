'use client';

import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import type { Purpose } from '@/model/joint/tightening';
import type { BenchEvent } from '@/core/tightening';
import type { TighteningPlan } from '@/model/joint/tightening-plan';
import { FaceBody } from './face-body';
import type { KnownOfPlaces } from './known-of-places';
import { TakeUp } from './take-up';
import { useBenchRecord } from './use-bench-record';
import type { ChangedSince } from './queries';
import { useChangedSheet } from './use-changed-sheet';
import { useHold } from './use-hold';

interface Props {
  readonly tighteningId: string;
  readonly jointName: string;
  readonly engineName: string;
  readonly purpose: Purpose;
  readonly plan: TighteningPlan;
  readonly events: readonly BenchEvent[];
  readonly caps: boolean;
  readonly back: string;
  /** Where a strip lies: the crank is held, and no turn is asked for. */
  readonly strips: readonly string[];
  /** What the sheet says otherwise since this was begun. */
  readonly known: KnownOfPlaces;
  readonly changed?: ChangedSince;
  readonly sheet: string;
  readonly openedAt: number;
  /** A wrench that is none may be pulled here: in the demonstration. */
  readonly standIn: boolean;
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
