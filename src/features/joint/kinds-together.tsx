'use client';

import { NativeSelect, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { KindTurn, PlannedStage } from '@/core/tightening';
import type { JointDetail } from '@/model/joint/joint-detail';
import type { Joint } from '@/model/joint/joint';
import form from '@/interface/parts/form.module.css';
import { useOutside } from '@/interface/parts/use-outside';
import { KIND_TURN_CHOICES, kindLetter, kindSequenceText, readKindSequence } from '@/interface/words/kind-words';

interface Props {
  readonly joint: Joint;
  /** The stages of each kind, the joint's own first; empty where they are not known. */
  readonly stages: readonly (readonly PlannedStage[])[];
  readonly onDetail: (part: Partial<JointDetail>) => void;
}

/** How the kinds come up together: by stages, in one turn, or as typed. */
export function KindsTogether({ joint, stages, onDetail }: Props) {
  const { kinds, kindTurn, kindSequence } = joint.detail;
  const begun = kindSequence.length > 0 ? kindSequence : stages.flatMap((own, at) => own.map(() => at));
  const [text, setText] = useState(kindSequenceText(begun));
  const wrote = useOutside(kindSequenceText(kindSequence), (kept) => setText(kept || kindSequenceText(begun)));
  const read = readKindSequence(text, kinds.length + 1);
  const counts = stages.map((own, at) => `${kindLetter(at)} ${own.length}`).join(', ');
  const wrong =
    'unread' in read ? `“${read.unread}” is no kind: they are A to ${kindLetter(kinds.length)}.` : undefined;
  return (
    <div className={form.grid}>
      <NativeSelect
        className={form.double}
        label="They come up together"
        description={KIND_TURN_CHOICES.find(({ value }) => value === kindTurn)?.why}
        data={KIND_TURN_CHOICES.map(({ value, label }) => ({ value, label }))}
        value={kindTurn}
        onChange={(event) => {
          const how = event.currentTarget.value as KindTurn;
          if (how === 'as-typed') wrote(kindSequenceText(begun));
          onDetail({ kindTurn: how, ...(how === 'as-typed' && { kindSequence: begun }) });
        }}
      />
      {kindTurn === 'as-typed' && (
        <TextInput
          className={form.double}
          label="Kind after kind"
          description={`The second time a letter comes is its second stage. Stages: ${counts}`}
          value={text}
          error={wrong}
          maxLength={300}
          onChange={(event) => {
            const typed = event.currentTarget.value;
            setText(typed);
            const next = readKindSequence(typed, kinds.length + 1);
            if ('unread' in next) return;
            wrote(kindSequenceText(next));
            onDetail({ kindSequence: next });
          }}
        />
      )}
    </div>
  );
}
