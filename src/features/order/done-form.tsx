'use client';

import { TextInput, Textarea } from '@mantine/core';
import { useRef } from 'react';
import { ActionForm } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { useActionForm } from '@/interface/parts/use-action-form';
import { useSingleKeys } from '@/interface/shell/use-single-keys';
import type { Bar } from '@/model/order/gate';
import type { StepState } from '@/model/order/step-state';
import { Bars } from './bars';
import { useLineSender } from '@/interface/record/use-line';

interface Props {
  readonly engineId: string;
  readonly step: StepState['step'];
  readonly bars: readonly Bar[];
  /** Marks that are to be read as the part goes on. */
  readonly marks: readonly string[];
  readonly isTrial: boolean;
  readonly onDone: () => void;
}

/** Says that a step is done, with what has to be written down of it. */
export function DoneForm({ engineId, step, bars, marks, isTrial, onDone }: Props) {
  const send = useLineSender(engineId);
  const key = useRef<HTMLButtonElement>(null);
  const {
    form: fields,
    submit,
    pending,
    problem,
    draft,
  } = useActionForm(
    `done-${step.id}`,
    { reason: '', set: '', felt: '', turnsAt: '', markOwn: '', markPlace: '' },
    ({ reason, set, felt, turnsAt, markOwn, markPlace }) =>
      send({
        kind: 'done',
        stepId: step.id,
        reason,
        body: {
          ...(set !== '' && { set }),
          ...(felt !== '' && { felt }),
          ...(turnsAt !== '' && { turnsAt }),
          ...((markOwn !== '' || markPlace !== '') && { marks: [markOwn, markPlace] as const }),
        },
      }),
    (_, entered) => {
      entered.reset();
      onDone();
    },
  );
  useSingleKeys({ x: () => key.current?.click() });
  const field = fields.getInputProps;
  const absolute = bars.some((bar) => bar.absolute);
  return (
    <>
      <Bars bars={bars} engineId={engineId} />
      {!absolute && (
        <ActionForm label={`Done: ${step.name}`} onSubmit={fields.onSubmit(submit)} problem={problem} draft={draft}>
          {step.kind === 'timing' && (
            <TextInput
              className={form.wide}
              label="How it was set, and to what"
              description="By the marks; by links between them; degrees on a disc; the piston’s drop"
              {...field('set')}
            />
          )}
          {step.kind === 'freedom' && (
            <>
              <TextInput
                className={form.wide}
                label="What was felt"
                description="Felt, not measured: free all round; tight at one place, and where"
                {...field('felt')}
              />
              <TextInput
                label="Turns over at"
                description="As read, with its unit, where it was measured"
                {...field('turnsAt')}
              />
            </>
          )}
          {marks.length > 0 && (
            <>
              <TextInput label="Mark on the part" description={marks.join('; ')} {...field('markOwn')} />
              <TextInput label="Mark where it goes" description="As read, not as remembered" {...field('markPlace')} />
            </>
          )}
          {bars.length > 0 && (
            <Textarea
              className={form.wide}
              label="Why it is done all the same"
              description="Stands in the record beside what stood against it"
              autosize
              {...field('reason')}
            />
          )}
          <div className={form.acts}>
            <Button type="submit" rank="main" busy={pending} ref={key}>
              {isTrial ? 'Done for trial' : 'Done'}
            </Button>
          </div>
        </ActionForm>
      )}
    </>
  );
}
