'use client';

import { nanoid } from 'nanoid';
import { ActionForm } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { DayAndTimeFields } from '@/interface/parts/time-fields';
import { useActionForm } from '@/interface/parts/use-action-form';
import { startWrongAction } from './actions';
import { SeenFields } from './seen-fields';
import { seenTyped } from './seen-typed';
import { fieldOf, isoOfField, timeProps, useOwnClock } from './time-field';

interface Props {
  readonly engineId: string;
  readonly now: number;
  readonly onDone: () => void;
}

const add = ({ signs = '', seenWords = '', on = '', ...fields }: Record<string, string>) =>
  startWrongAction({
    ...fields,
    seen: seenTyped(signs, seenWords),
    on: isoOfField(on),
    sentAt: new Date().toISOString(),
  });

/** Logs a start that went wrong, of which nobody has a temperature. */
export function WrongStartForm({ engineId, now, onDone }: Props) {
  const initial: Record<string, string> = { id: nanoid(), engineId, on: fieldOf(now), signs: '', seenWords: '' };
  const { form: fields, submit, pending, problem, draft } = useActionForm('wrong-start', initial, add, onDone);
  useOwnClock({ on: now }, now, fields);
  return (
    <ActionForm
      label="A start that went wrong"
      focus="seenWords"
      onSubmit={fields.onSubmit(submit)}
      problem={problem}
      draft={draft}
    >
      <DayAndTimeFields label="Tried at" {...timeProps(fields, 'on')} />
      <SeenFields label="What happened" fields={fields} />
      <div className={form.acts}>
        <Button type="submit" rank="main" busy={pending}>
          Log the start
        </Button>
        <Button onClick={onDone}>Close</Button>
      </div>
    </ActionForm>
  );
}
