'use client';

import { TextInput } from '@mantine/core';
import { ActionForm } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { useActionForm } from '@/interface/parts/use-action-form';
import { useLineSender, type Said } from '../record/use-line';

interface Props {
  readonly engineId: string;
  /** By which its draft is kept. */
  readonly name: string;
  readonly label: string;
  readonly hint?: string;
  readonly act: string;
  readonly rank?: 'main' | 'plain' | 'stop';
  /** The line that what was typed is sent as. */
  readonly line: (words: string) => Said;
  /** What of the line a refusal names. */
  readonly focus?: boolean;
}

/** One field and a key: a line of the order with a sentence of its own. */
export function LineForm({ engineId, name, label, hint, act, rank = 'plain', line, focus = false }: Props) {
  const send = useLineSender(engineId);
  const {
    form: fields,
    submit,
    pending,
    problem,
    draft,
  } = useActionForm(
    name,
    { words: '' },
    async ({ words }) => {
      const outcome = await send(line(words));
      // There is one field: whatever is wrong of what was typed stands at it.
      const isTyped = !outcome.ok && Object.keys(outcome.error.fields ?? {}).some((field) => field.includes('body.'));
      return isTyped ? { ok: false, error: { ...outcome.error, fields: { words: outcome.error.message } } } : outcome;
    },
    (_, entered) => entered.reset(),
  );
  return (
    <ActionForm label={act} focus={focus} onSubmit={fields.onSubmit(submit)} problem={problem} draft={draft}>
      <TextInput className={form.wide} label={label} description={hint} {...fields.getInputProps('words')} />
      <div className={form.acts}>
        <Button type="submit" rank={rank} busy={pending}>
          {act}
        </Button>
      </div>
    </ActionForm>
  );
}
