'use client';

import { useMemo } from 'react';
import type { Purpose } from '@/model/joint/tightening';
import { givingOfJoint } from '@/model/joint/clamp-map';
import { passageOf, sharesAfter } from '@/model/joint/clamp-left';
import type { Joint } from '@/model/joint/joint';
import type { TighteningPlan } from '@/model/joint/tightening-plan';
import { tryCore } from '@/model/try-core';
import { FaceBody } from './face-body';
import type { KnownOfPlaces } from './known-of-places';
import { RehearsalBeside } from './rehearsal-beside';
import type { Hold } from './use-hold';
import { useRehearsedRecord } from './use-rehearsed-record';

interface Props {
  readonly joint: Joint;
  readonly engineName: string;
  readonly plan: TighteningPlan;
  readonly known: KnownOfPlaces;
  readonly prevailing_Nm: Readonly<Record<string, number>>;
  readonly sheet: string;
  readonly openedAt: number;
}

const PURPOSE: Purpose = 'final';
/** Nobody else is at a rehearsal. */
const OWN: Hold = { looksOn: false, move: () => {} };

/** The bench with nothing behind it: to learn the turn, and to see what a slip does to the other nuts. */
export function Rehearsal({ joint, engineName, plan, known, prevailing_Nm, sheet, openedAt }: Props) {
  const rehearsed = useRehearsedRecord(plan);
  const { record, done } = rehearsed;
  const { clampMap } = joint.detail;
  const giving = useMemo(
    () => (clampMap && plan.care !== 'hand' ? tryCore(() => givingOfJoint(joint, clampMap)) : undefined),
    [joint, clampMap, plan.care],
  );
  const shares = useMemo(
    () => (giving?.ok ? tryCore(() => sharesAfter(giving.result, passageOf(plan, done, prevailing_Nm))) : giving),
    [giving, plan, done, prevailing_Nm],
  );
  return (
    <FaceBody
      jointName={joint.name}
      engineName={engineName}
      purpose={PURPOSE}
      plan={plan}
      caps={joint.pattern === 'caps'}
      back={sheet}
      known={known}
      sheet={sheet}
      openedAt={openedAt}
      standIn
      isRehearsal
      record={record}
      hold={OWN}
      beside={
        <RehearsalBeside
          plan={plan}
          rehearsed={rehearsed}
          shares={shares?.ok ? shares.result : undefined}
          refusal={shares && !shares.ok ? shares.error.message : undefined}
          sheet={sheet}
        />
      }
    />
  );
}
