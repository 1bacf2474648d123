'use client';

import { TextInput } from '@mantine/core';
import { useState } from 'react';
import type { Leaf } from '@/model/book/leaf';
import { sourceLine } from '@/model/joint/joint-ladder';
import type { JointDetail } from '@/model/joint/joint-detail';
import type { JointInputs } from '@/model/joint/joint-inputs';
import { Button } from '@/interface/parts/button';
import { Disclosure } from '@/interface/parts/disclosure';
import { useOutside } from '@/interface/parts/use-outside';
import form from '@/interface/parts/form.module.css';
import { LeafChoice } from './leaf-choice';

interface Props {
  readonly setting: JointInputs;
  readonly leaves: readonly Leaf[];
  readonly onLeaf: (leaf: Leaf) => void;
  readonly onDetail: (part: Partial<JointDetail>) => void;
}

/** The page that the figure of a kind is from; why that one, where another page governs. */
export function KindPagesFold({ setting: { joint, leaf, source }, leaves, onLeaf, onDetail }: Props) {
  const kept = joint.detail.leafReason ?? '';
  const [reason, setReason] = useState(kept);
  useOutside(kept, setReason);
  return (
    <Disclosure title="Which page applies" line={`${sourceLine(source)}, p. ${leaf.page}`}>
      <div className={form.grid}>
        <LeafChoice
          leaves={leaves}
          value={joint.leafId}
          onChange={(id) => {
            const taken = leaves.find((one) => one.id === id);
            if (taken) onLeaf(taken);
          }}
        />
        <TextInput
          className={form.double}
          label="Why that page, where another governs"
          description="Printed in the record"
          maxLength={400}
          value={reason}
          onChange={(event) => setReason(event.currentTarget.value)}
        />
        <div className={form.acts}>
          <Button
            onClick={() => onDetail({ leafReason: reason.trim() || null })}
            disabled={reason.trim() === kept.trim()}
          >
            Save why
          </Button>
        </div>
      </div>
    </Disclosure>
  );
}
