'use client';

import { Checkbox, TextInput } from '@mantine/core';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import { ListenKey } from '@/interface/instruments/listen-key';
import { ActionForm } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import { DayAndTimeFields } from '@/interface/parts/time-fields';
import form from '@/interface/parts/form.module.css';
import { useActionForm } from '@/interface/parts/use-action-form';
import { addReadingAction } from './actions';
import { fieldOf, isoOfField, timeProps, useOwnClock } from './time-field';

interface Props {
  readonly engineId: string;
  readonly cycleId: string;
  readonly ambient_C: number;
  readonly now: number;
  readonly onDone: () => void;
}

const add = (sure: boolean) => (fields: Record<string, string>) =>
  addReadingAction({ ...fields, sure, at: isoOfField(fields.at ?? ''), sentAt: new Date().toISOString() });

/** A reading at the head, on the metal beside a stud. */
export function ReadingForm({ engineId, cycleId, ambient_C, now, onDone }: Props) {
  const initial: Record<string, string> = {
    id: nanoid(),
    engineId,
    cycleId,
    at: fieldOf(now),
    head_C: '',
    ambient_C: String(ambient_C),
  };
  // What is doubtful is said to be so of the very reading that was asked about: another one is asked anew.
  const [agreed, setAgreed] = useState<string>();
  const saidOf = (values: Record<string, string>) =>
    `${values.at ?? ''} ${values.head_C ?? ''} ${values.ambient_C ?? ''}`;
  const {
    form: fields,
    submit,
    pending,
    problem,
    draft,
  } = useActionForm(
    `reading-${cycleId}`,
    initial,
    (values) => add(agreed === saidOf(values))(values),
    (_, entered) => {
      entered.setValues({ id: nanoid(), head_C: '' });
      setAgreed(undefined);
      onDone();
    },
  );
  const doubtful = problem?.code === 'doubtful' || fields.errors.head_C !== undefined;
  useOwnClock({ at: now }, now, fields);
  const field = fields.getInputProps;
  return (
    <ActionForm label="A reading at the head" onSubmit={fields.onSubmit(submit)} problem={problem} draft={draft}>
      <DayAndTimeFields label="Read at" {...timeProps(fields, 'at')} />
      <TextInput label="Head, °C" description="or 64 F" {...field('head_C')} />
      <TextInput label="Air, °C" {...field('ambient_C')} />
      <div className={form.acts}>
        <Button type="submit" rank="main" busy={pending}>
          Save the reading
        </Button>
        {doubtful && (
          <Checkbox
            label="Yes: I read it again"
            checked={agreed === saidOf(fields.getValues())}
            onChange={(event) => setAgreed(event.currentTarget.checked ? saidOf(fields.getValues()) : undefined)}
          />
        )}
        <ListenKey
          what="a probe"
          onReading={(heard) => {
            if (heard.kind !== 'thermometer') return false;
            fields.setFieldValue('head_C', `${heard.value} ${heard.unit}`);
            return true;
          }}
        />
        <span className="soft">On the metal beside a stud, not the coolant or the air.</span>
      </div>
    </ActionForm>
  );
}
