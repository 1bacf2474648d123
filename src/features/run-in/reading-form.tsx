'use client';

import { TextInput } from '@mantine/core';
import { nanoid } from 'nanoid';
import { ActionForm } from '@/interface/parts/action-form';
import { Key } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { useActionForm } from '@/interface/parts/use-action-form';
import { addReadingAction } from './actions';
import { fieldOf, isoOfField } from './time-field';

interface Props {
  readonly engineId: string;
  readonly cycleId: string;
  readonly ambientC: number;
  readonly now: number;
  readonly onDone: () => void;
}

const add = (fields: Record<string, string>) => addReadingAction({ ...fields, at: isoOfField(fields.at ?? '') });

/** A reading at the head, on the metal beside a stud. */
export function ReadingForm({ engineId, cycleId, ambientC, now, onDone }: Props) {
  const initial: Record<string, string> = { id: nanoid(), engineId, cycleId, at: fieldOf(now), headC: '', ambientC: String(ambientC) };
  const {
    form: fields,
    submit,
    pending,
    problem,
  } = useActionForm(initial, add, (_, entered) => {
    entered.setValues({ id: nanoid(), headC: '' });
    onDone();
  });
  const field = fields.getInputProps;
  return (
    <ActionForm label="A reading at the head" onSubmit={fields.onSubmit(submit)} problem={problem}>
      <TextInput label="Read at" type="datetime-local" {...field('at')} />
      <TextInput label="Head, °C" inputMode="decimal" {...field('headC')} />
      <TextInput label="Air, °C" inputMode="decimal" {...field('ambientC')} />
      <div className={form.acts}>
        <Key type="submit" rank="main" disabled={pending}>
          Enter the reading
        </Key>
        <span className="soft">On the metal beside a stud, not the coolant or the air.</span>
      </div>
    </ActionForm>
  );
}
