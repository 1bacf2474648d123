'use client';

import { TextInput } from '@mantine/core';
import { ActionForm } from '@/interface/parts/action-form';
import { Key } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { useActionForm } from '@/interface/parts/use-action-form';
import { addSourceAction } from './actions';

interface Props {
  readonly engineId: string;
  readonly onAdded: (sourceId: string) => void;
}

/** Enters a manual or another source into the engine's book. */
export function SourceForm({ engineId, onAdded }: Props) {
  const {
    form: fields,
    submit,
    pending,
    problem,
  } = useActionForm({ engineId, title: '', edition: '', year: '' }, addSourceAction, ({ id }, entered) => {
    entered.reset();
    onAdded(id);
  });
  const field = fields.getInputProps;
  return (
    <ActionForm label="New source" onSubmit={fields.onSubmit(submit)} problem={problem}>
      <TextInput label="Title" {...field('title')} />
      <TextInput label="Edition" {...field('edition')} />
      <TextInput label="Year" inputMode="numeric" {...field('year')} />
      <div className={form.acts}>
        <Key type="submit" disabled={pending}>
          Enter the source
        </Key>
      </div>
    </ActionForm>
  );
}
