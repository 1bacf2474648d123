'use client';

import { Checkbox, TextInput } from '@mantine/core';
import type { UseFormReturnType } from '@mantine/form';
import form from '@/interface/parts/form.module.css';
import { SIGN_CHOICES } from '@/interface/words/seen-words';

interface Props {
  readonly label: string;
  readonly fields: Pick<
    UseFormReturnType<Record<string, string>>,
    'values' | 'errors' | 'setFieldValue' | 'getInputProps'
  >;
  readonly choices?: typeof SIGN_CHOICES;
}

/** What may be seen once it runs. */
export const RUNNING_CHOICES = SIGN_CHOICES.filter(({ value }) => value !== 'no-fire');

/** What was seen, ticked, and what and where it was in words. */
export const SeenFields = ({ label, fields, choices = SIGN_CHOICES }: Props) => (
  <>
    <Checkbox.Group
      className={form.wide}
      label={label}
      value={(fields.values.signs ?? '').split(',').filter((one) => one !== '')}
      onChange={(signs) => fields.setFieldValue('signs', signs.join(','))}
      error={fields.errors.seen}
    >
      <span className={form.acts}>
        {choices.map(({ value, label: sign }) => (
          <Checkbox key={value} value={value} label={sign} />
        ))}
      </span>
    </Checkbox.Group>
    <TextInput className={form.wide} label="What, and where" {...fields.getInputProps('seenWords')} />
  </>
);
