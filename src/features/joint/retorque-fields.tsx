'use client';

import { NativeSelect, TextInput, Textarea } from '@mantine/core';
import { useState } from 'react';
import { PRACTICE_QUESTIONS } from '@/model/practice/practice-questions';
import { FOLLOWING } from '@/model/heat/follows';
import { stagesText, stagesTyped } from '@/model/heat/retorque-rule';
import { GASKET_SAYS, type GasketSays, type JointDetail } from '@/model/joint/joint-detail';
import type { Joint } from '@/model/joint/joint';
import { tryCore } from '@/model/try-core';
import form from '@/interface/parts/form.module.css';
import { useCells } from '@/interface/parts/use-outside';
import { MeasureField } from '@/interface/parts/measure-field';
import { choices } from '@/interface/words/choices';
import { GASKET_WORDS } from '@/interface/words/retorque-words';
import type { HeadMetal } from '@/core/heat';
import type { WarmHead } from '@/model/joint/warm-head';
import { ColdFields, WarmLoss } from './cold-fields';
import type { JointChange } from './schema';
import { RETORQUES } from './joint-words';

interface Props {
  readonly joint: Joint;
  readonly headMetal: HeadMetal;
  /** What a warm head costs it; undefined where its figure cannot be reckoned. */
  readonly warm?: WarmHead;
  readonly onChange: (part: JointChange) => void;
  readonly onDetail: (part: Partial<JointDetail>) => void;
}

const HEAT_CYCLES =
  PRACTICE_QUESTIONS.find(({ row }) => row === 'heatCycle')?.schools.map(({ value, name }) => ({
    value,
    label: name,
  })) ?? [];

interface WarmCells {
  readonly head_C: number | null;
  readonly page: string;
}

const warmCells = (warm: JointDetail['warm']): WarmCells => warm ?? { head_C: null, page: '' };

/** A warm retorque rests on a page: how warm, and where it says so. */
function WarmFields({ joint, onDetail }: Pick<Props, 'joint' | 'onDetail'>) {
  const { cells, put, wrote } = useCells(joint.detail.warm, warmCells);
  const keep = (part: Partial<WarmCells>) => {
    put(part);
    const { head_C, page } = { ...cells, ...part };
    const warm = head_C === null || page.trim() === '' ? null : { head_C, page: page.trim() };
    wrote(warm);
    onDetail({ warm });
  };
  return (
    <>
      <MeasureField
        kind="number"
        label="How warm, °C"
        description="At the head, as the page says"
        value={cells.head_C}
        onChange={(head_C) => keep({ head_C })}
      />
      <TextInput
        label="The page that says so"
        value={cells.page}
        onChange={(event) => keep({ page: event.currentTarget.value })}
      />
    </>
  );
}

/** After what it is gone over, as a book has it; what cannot be read is told, and the rule before it stands. */
function RuleField({ joint, onDetail }: Pick<Props, 'joint' | 'onDetail'>) {
  const standing = stagesText(joint.detail.again);
  // While it is typed, and where it could not be read; else what stands, which may have been taken back.
  const [text, setText] = useState<string>();
  const [refusal, setRefusal] = useState<string>();
  return (
    <TextInput
      label="When"
      description="As: first heat; 300 miles or 30 days. Since it was tightened; empty: the first heat"
      value={text ?? standing}
      error={refusal}
      onChange={({ currentTarget: { value } }) => {
        setText(value);
        setRefusal(undefined);
      }}
      onBlur={() => {
        const read = tryCore(() => stagesTyped(text ?? standing));
        setRefusal(read.ok ? undefined : `${read.error.message} The rule before it stands.`);
        if (!read.ok) return;
        setText(undefined);
        // Once it is whole: “3 days” on the way to “30 days” is nobody's rule.
        if (stagesText(read.result) !== standing) onDetail({ again: read.result });
      }}
    />
  );
}

const linesOf = (text: string): readonly string[] => [
  ...new Set(
    text
      .split('\n')
      .map((line) => line.trim().slice(0, MOST_CHARACTERS))
      .filter((line) => line !== ''),
  ),
];
const MOST_CHARACTERS = 120;
const MOST_ROWS = 8;

/** What is looked at after it was gone over: ours to start from, the engine's own once somebody wrote it. */
function FollowsField({ joint, onDetail }: Pick<Props, 'joint' | 'onDetail'>) {
  const standing = (joint.detail.follows ?? FOLLOWING).join('\n');
  const [text, setText] = useState<string>();
  return (
    <Textarea
      className={form.wide}
      label="What follows it"
      description="A line each, in order"
      // As tall as it is drawn by the server: one that is measured here would push the page about.
      rows={Math.min(MOST_ROWS, (text ?? standing).split('\n').length + 1)}
      value={text ?? standing}
      onChange={({ currentTarget: { value } }) => {
        setText(value);
        const lines = linesOf(value).slice(0, 20);
        const isOurs = lines.join('\n') === FOLLOWING.join('\n');
        onDetail({ follows: isOurs ? null : lines });
      }}
      onBlur={() => setText(undefined)}
    />
  );
}

/** Who says so; without its blanks it goes out, and with them it is typed. */
function SourceField({ joint, onDetail }: Pick<Props, 'joint' | 'onDetail'>) {
  const [text, setText] = useState<string>();
  return (
    <TextInput
      label="Who says so"
      description="The page, the leaflet, the bulletin"
      value={text ?? joint.detail.retorqueSource}
      onChange={({ currentTarget: { value } }) => {
        setText(value);
        onDetail({ retorqueSource: value.trim() });
      }}
      onBlur={() => setText(undefined)}
    />
  );
}

const GASKET_CHOICES = choices(GASKET_SAYS, GASKET_WORDS);

/** How a joint is gone over again, when, and who says so. */
export function RetorqueFields({ joint, headMetal, warm, onChange, onDetail }: Props) {
  const { retorqueSchool, detail } = joint;
  const isForbidden = detail.gasketSays === 'no-retorque';
  const isAsked = retorqueSchool !== 'none';
  return (
    <>
      <NativeSelect
        label="Gone over again"
        description={isForbidden && isAsked ? 'The gasket governs: it is not gone over' : undefined}
        data={[...RETORQUES]}
        value={retorqueSchool}
        onChange={(event) => onChange({ retorqueSchool: event.currentTarget.value as Joint['retorqueSchool'] })}
      />
      {isAsked && (
        <>
          {retorqueSchool === 'slacken' && (
            <MeasureField
              kind="number"
              label="Slackened by, degrees"
              description="Empty: a little"
              value={detail.slackenBy_deg}
              onChange={(slackenBy_deg) => onDetail({ slackenBy_deg })}
            />
          )}
          <RuleField joint={joint} onDetail={onDetail} />
          <NativeSelect
            label="Printed on its gasket"
            description="It governs over the manual"
            data={[...GASKET_CHOICES]}
            value={detail.gasketSays}
            onChange={(event) => onDetail({ gasketSays: event.currentTarget.value as GasketSays })}
          />
          <SourceField joint={joint} onDetail={onDetail} />
          <FollowsField joint={joint} onDetail={onDetail} />
          <NativeSelect
            label="A run counts from"
            data={HEAT_CYCLES}
            value={detail.heatCycle}
            onChange={(event) => onDetail({ heatCycle: event.currentTarget.value as JointDetail['heatCycle'] })}
          />
        </>
      )}
      {isAsked && retorqueSchool !== 'warm' && (
        <ColdFields detail={detail} headMetal={headMetal} warm={warm} onDetail={onDetail} />
      )}
      {retorqueSchool === 'warm' && (
        <>
          <WarmFields joint={joint} onDetail={onDetail} />
          <WarmLoss detail={detail} headMetal={headMetal} warm={warm} />
        </>
      )}
    </>
  );
}
