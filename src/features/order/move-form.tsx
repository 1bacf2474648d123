'use client';

import { NativeSelect } from '@mantine/core';
import { useState } from 'react';
import { Refusal } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import { useAct } from '@/interface/parts/use-act';
import type { Step } from '@/model/order/step';
import { moveStepAction } from './actions';
import type { OrderPage } from './queries';
import styles from './order-screen.module.css';

const FIRST = 'first';

/** Puts a step behind another, by a choice; in the list of all steps it is dragged. */
export function MoveForm({ page, step }: { readonly page: OrderPage; readonly step: Step }) {
  const [behind, setBehind] = useState('');
  const { act, pending, problem } = useAct();
  const others = page.steps.filter((one) => one.step.id !== step.id);
  return (
    <div className={styles.move}>
      <NativeSelect
        label="Put it behind"
        data={[
          { value: '', label: 'Choose where', disabled: true },
          { value: FIRST, label: 'Before all others' },
          ...others.map((one) => ({ value: one.step.id, label: one.step.name })),
        ]}
        value={behind}
        onChange={(event) => setBehind(event.currentTarget.value)}
      />
      <Button
        busy={pending}
        disabled={behind === ''}
        onClick={() =>
          act(() =>
            moveStepAction({ stepId: step.id, version: step.version, behind: behind === FIRST ? null : behind }),
          )
        }
      >
        Put it there
      </Button>
      <Refusal problem={problem} />
    </div>
  );
}
