'use client';

import { NativeSelect } from '@mantine/core';
import { useState } from 'react';
import type { HousePractice } from '@/model/practice/house-practice';
import { careOf, type JointDetail } from '@/model/joint/joint-detail';
import type { Joint } from '@/model/joint/joint';
import form from '@/interface/parts/form.module.css';
import type { HeadMetal } from '@/core/heat';
import type { WarmHead } from '@/model/joint/warm-head';
import type { JointChange } from './schema';
import { PrintedTurn } from './printed-turn';
import { CARE_CHOICES, CLASSES, TURNS, WORK_UNITS } from './joint-words';
import { RetorqueFields } from './retorque-fields';
import { ConfirmingField, StageFields } from './stage-fields';

interface Props {
  readonly joint: Joint;
  readonly practice: HousePractice;
  readonly headMetal: HeadMetal;
  readonly warm?: WarmHead;
  readonly unit: string;
  readonly stageFigures: readonly number[];
  readonly onChange: (part: JointChange) => void;
  readonly onDetail: (part: Partial<JointDetail>) => void;
}

/** What the shop's practice says to it: which cap takes the thrust is a fact of the engine, and asked for. */
const FIRST_CAP_WHY: Readonly<Record<HousePractice['firstCap'], string>> = {
  thrust: 'House practice: the thrust cap, with the float read; of mains, say which it is',
  middle: 'House practice: the middle, then outwards',
};

/** Stages, turn, shaft and retorque of a joint. */
export function PlanControls({ joint, practice, headMetal, warm, unit, stageFigures, onChange, onDetail }: Props) {
  const inherited = CARE_CHOICES.find(
    ({ value }) => value === careOf({ ...joint.detail, care: null }, practice),
  )?.label.toLowerCase();
  // Chosen, and not whole yet: the one before is in force until it is.
  const [isEntering, setEntering] = useState(false);
  const isPrinted = isEntering || joint.orderSchool === 'as-printed';
  return (
    <div className={`${form.grid} ${form.broad}`}>
      <StageFields joint={joint} unit={unit} stageFigures={stageFigures} onChange={onChange} />
      <NativeSelect
        label="Order"
        data={[...TURNS]}
        value={isPrinted ? 'as-printed' : joint.orderSchool}
        onChange={(event) => {
          const school = event.currentTarget.value as Joint['orderSchool'];
          // The book's own is kept once every place is in it.
          const waits = school === 'as-printed' && joint.detail.turn === null;
          setEntering(waits);
          if (!waits) onChange({ orderSchool: school });
        }}
      />
      {isPrinted && (
        <PrintedTurn
          joint={joint}
          onTurn={(turn) => {
            setEntering(false);
            onChange({ orderSchool: 'as-printed' });
            onDetail({ turn });
          }}
        />
      )}
      {joint.pattern === 'caps' && (
        <NativeSelect
          label="Unit of work"
          data={[...WORK_UNITS]}
          value={joint.unitOfWork}
          onChange={(event) => onChange({ unitOfWork: event.currentTarget.value as Joint['unitOfWork'] })}
        />
      )}
      {joint.pattern === 'caps' && !isPrinted && (
        <NativeSelect
          label="Which cap goes first"
          description={FIRST_CAP_WHY[practice.firstCap]}
          data={[
            { value: '', label: 'By the order' },
            ...Array.from({ length: joint.fasteners / 2 }, (_, i) => ({
              value: String(i + 1),
              label: `Cap ${i + 1}, with numbers ${2 * i + 1} and ${2 * i + 2} of the places`,
            })),
          ]}
          value={joint.detail.firstCap === null ? '' : String(joint.detail.firstCap)}
          onChange={(event) => onDetail({ firstCap: Number(event.currentTarget.value) || null })}
        />
      )}
      <RetorqueFields joint={joint} headMetal={headMetal} warm={warm} onChange={onChange} onDetail={onDetail} />
      <label className={form.choice}>
        <input
          type="checkbox"
          checked={joint.turnShaft}
          onChange={(event) => onChange({ turnShaft: event.currentTarget.checked })}
        />
        <span>Turn the crank between stages</span>
      </label>
      <ConfirmingField joint={joint} onDetail={onDetail} />
      <NativeSelect
        label="What sort of joint"
        data={[...CLASSES]}
        value={joint.detail.jointClass}
        onChange={(event) => onDetail({ jointClass: event.currentTarget.value as JointDetail['jointClass'] })}
      />
      <NativeSelect
        label="Care"
        data={[{ value: '', label: `as the shop: ${inherited}` }, ...CARE_CHOICES]}
        value={joint.detail.care ?? ''}
        onChange={(event) => onDetail({ care: (event.currentTarget.value || null) as JointDetail['care'] })}
      />
    </div>
  );
}
