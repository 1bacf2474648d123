'use client';

import { TextInput } from '@mantine/core';
import { ActionForm } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import { Disclosure } from '@/interface/parts/disclosure';
import form from '@/interface/parts/form.module.css';
import { useActionForm } from '@/interface/parts/use-action-form';
import { renameTrialAction } from './actions';

const NAME = 'trial-name';

function RenameForm({ trialId, name }: { readonly trialId: string; readonly name: string }) {
  const {
    form: fields,
    submit,
    pending,
    problem,
    draft,
  } = useActionForm(NAME, { trialId, name }, renameTrialAction, () => undefined);
  return (
    <ActionForm label="The trial’s name" onSubmit={fields.onSubmit(submit)} problem={problem} draft={draft}>
      <TextInput className={form.double} label="Name" {...fields.getInputProps('name')} />
      <div className={form.acts}>
        <Button type="submit" busy={pending}>
          Save the name
        </Button>
      </div>
    </ActionForm>
  );
}

/** Gives a trial another name. */
export const RenameTrial = ({ trialId, name }: { readonly trialId: string; readonly name: string }) => (
  <Disclosure title="Its name" line={name} forms={[NAME]}>
    <RenameForm key={name} trialId={trialId} name={name} />
  </Disclosure>
);
