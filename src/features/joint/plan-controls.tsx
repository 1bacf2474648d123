'use client';

import { NativeSelect, TextInput } from '@mantine/core';
import { useState } from 'react';
import { PRACTICE_QUESTIONS, type HousePractice } from '@/model/practice/house-practice';
import { careOf, type JointDetail } from '@/model/joint/joint-detail';
import type { Joint } from '@/model/joint/joint';
import form from '@/interface/parts/form.module.css';
import { MeasureField } from '@/interface/parts/measure-field';
import type { JointChange } from './schema';
import { PrintedTurn } from './printed-turn';
import { CARE_CHOICES, CLASSES, RETORQUES, TURNS, WORK_UNITS } from './joint-words';
import { ConfirmingField, StageFields } from './stage-fields';

interface Props {
  readonly joint: Joint;
  readonly practice: HousePractice;
  readonly unit: string;
  readonly stageFigures: readonly number[];
  readonly onChange: (part: JointChange) => void;
  readonly onDetail: (part: Partial<JointDetail>) => void;
}

const HEAT_CYCLES =
  PRACTICE_QUESTIONS.find(({ row }) => row === 'heatCycle')?.schools.map(({ value, name }) => ({
    value,
    label: name,
  })) ?? [];

/** A warm retorque rests on a page: how warm, and where it says so. */
function WarmFields({ joint, onDetail }: Pick<Props, 'joint' | 'onDetail'>) {
  const { warm } = joint.detail;
  const [head_C, setHead] = useState(warm?.head_C ?? null);
  const [page, setPage] = useState(warm?.page ?? '');
  const keep = (next_C: number | null, text: string) =>
    onDetail({ warm: next_C === null || text.trim() === '' ? null : { head_C: next_C, page: text.trim() } });
  return (
    <>
      <MeasureField
        kind="number"
        label="How warm, °C"
        description="At the head, as the page says"
        value={head_C}
        onChange={(next) => {
          setHead(next);
          keep(next, page);
        }}
      />
      <TextInput
        label="The page that says so"
        value={page}
        onChange={(event) => {
          setPage(event.currentTarget.value);
          keep(head_C, event.currentTarget.value);
        }}
      />
    </>
  );
}

/** What the shop's practice says to it: which cap takes the thrust is a fact of the engine, and asked for. */
const FIRST_CAP_WHY: Readonly<Record<HousePractice['firstCap'], string>> = {
  thrust: 'House practice: the thrust cap, with the float read; of mains, say which it is',
  middle: 'House practice: the middle, then outwards',
};

/** Stages, turn, shaft and retorque of a joint. */
export function PlanControls({ joint, practice, unit, stageFigures, onChange, onDetail }: Props) {
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
      <NativeSelect
        label="Retorque after the first heat"
        data={[...RETORQUES]}
        value={joint.retorqueSchool}
        onChange={(event) => onChange({ retorqueSchool: event.currentTarget.value as Joint['retorqueSchool'] })}
      />
      {joint.retorqueSchool !== 'none' && (
        <NativeSelect
          label="A run counts from"
          data={HEAT_CYCLES}
          value={joint.detail.heatCycle}
          onChange={(event) => onDetail({ heatCycle: event.currentTarget.value as JointDetail['heatCycle'] })}
        />
      )}
      {joint.retorqueSchool === 'warm' && <WarmFields joint={joint} onDetail={onDetail} />}
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
