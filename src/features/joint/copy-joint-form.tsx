'use client';

import { TextInput } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { ActionForm } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { useActionForm } from '@/interface/parts/use-action-form';
import { copyJointAction } from './copy-joint';

/** A second head, the other bank: the same joint once more, with a record of its own. */
export function CopyJointForm({ jointId }: { readonly jointId: string }) {
  const router = useRouter();
  const {
    form: fields,
    submit,
    pending,
    problem,
    draft,
  } = useActionForm<Record<string, string>, { href: string }>(
    'copy-joint',
    { jointId, name: '' },
    copyJointAction,
    ({ href }) => router.push(href),
  );
  return (
    <ActionForm label="Another one like it" onSubmit={fields.onSubmit(submit)} problem={problem} draft={draft}>
      <TextInput
        className={form.double}
        label="Another one like it, called"
        description="The second head, the other bank: it keeps a record of its own"
        maxLength={80}
        {...fields.getInputProps('name')}
      />
      <div className={form.acts}>
        <Button type="submit" busy={pending}>
          Copy the joint
        </Button>
      </div>
    </ActionForm>
  );
}
