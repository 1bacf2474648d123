'use client';

import { TextInput } from '@mantine/core';
import { useState } from 'react';
import type { Override, Rung, RungId } from '@/core/joint';
import { Button } from '@/interface/parts/button';
import { MeasureField } from '@/interface/parts/measure-field';
import { Notice } from '@/interface/parts/screen';
import { useReadCells } from '@/interface/parts/use-read-cells';
import styles from './ladder-view.module.css';

// On these a typed figure would break the tie between wrench and clamp load: they can only be taken out.
const ONLY_OUT: ReadonlySet<RungId> = new Set(['adaptor', 'calibration']);

interface Props {
  readonly rung: Rung;
  readonly onKeep: (override: Override) => void;
  readonly onLeave: () => void;
}

/** Takes a rung out, or overrules it with a figure; the reason is printed in the record. */
export function SetAside({ rung, onKeep, onLeave }: Props) {
  const [reason, setReason] = useState('');
  const [value_Nm, setValue] = useState<number | null>(null);
  const { part, ifRead, unread } = useReadCells();
  // A figure that was not taken must not become none: that takes the rung out.
  const keep = () => ifRead(() => onKeep({ value_Nm, reason: reason.trim() }));
  return (
    <div className={styles.aside} ref={part}>
      <TextInput
        label="Why"
        description="Printed in the record"
        value={reason}
        onChange={(event) => setReason(event.currentTarget.value)}
        autoFocus
      />
      {!ONLY_OUT.has(rung.id) && (
        <MeasureField
          kind="torque"
          label="Figure instead"
          description="Nothing here takes the rung out"
          value={null}
          onChange={setValue}
        />
      )}
      <div className={styles.asideKeys}>
        <Button onClick={keep} disabled={reason.trim() === ''}>
          {value_Nm === null ? 'Take it out' : 'Overrule it'}
        </Button>
        <Button onClick={onLeave}>Leave it</Button>
      </div>
      {unread && <Notice kind="stop">{unread}</Notice>}
    </div>
  );
}
