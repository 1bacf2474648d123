'use client';

import { TextInput } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { ActionForm } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { useActionForm } from '@/interface/parts/use-action-form';
import { putAsideAction } from './actions';

/** Takes an engine off its stand; everything of it stays. */
export function PutAside({ engineId }: { readonly engineId: string }) {
  const router = useRouter();
  const {
    form: fields,
    submit,
    pending,
    problem,
    draft,
  } = useActionForm<{ engineId: string; reason: string }, { href: string }>(
    'aside',
    { engineId, reason: '' },
    putAsideAction,
    ({ href }) => router.push(href),
  );
  return (
    <ActionForm label="Put it aside" onSubmit={fields.onSubmit(submit)} problem={problem} draft={draft}>
      <TextInput
        className={form.wide}
        label="Why"
        description="Finished, sold, waiting for parts. It leaves the rail and the stands; its record stays, and it is brought back with one key."
        {...fields.getInputProps('reason')}
      />
      <div className={form.acts}>
        <Button type="submit" busy={pending}>
          Put it aside
        </Button>
      </div>
    </ActionForm>
  );
}
