'use client';

import { TextInput } from '@mantine/core';
import { nanoid } from 'nanoid';
import { ActionForm } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import { DayAndTimeFields } from '@/interface/parts/time-fields';
import form from '@/interface/parts/form.module.css';
import { useActionForm } from '@/interface/parts/use-action-form';
import { addCycleAction } from './actions';
import { fieldOf, isoOfField, timeProps, useOwnClock } from './time-field';

const HALF_HOUR_MS = 30 * 60_000;

interface Props {
  readonly engineId: string;
  readonly now: number;
  readonly onDone: () => void;
  /** Asked for by a press, and not there from the beginning, above which there is something to be read first. */
  readonly focus: boolean;
}

const add = (fields: Record<string, string>) =>
  addCycleAction({
    ...fields,
    ranFrom: isoOfField(fields.ranFrom ?? ''),
    ranTo: isoOfField(fields.ranTo ?? ''),
    sentAt: new Date().toISOString(),
  });

/** Logs a first start or a later run. */
export function CycleForm({ engineId, now, onDone, focus }: Props) {
  const initial: Record<string, string> = {
    id: nanoid(),
    engineId,
    ranFrom: fieldOf(now - HALF_HOUR_MS),
    ranTo: fieldOf(now),
    highest_C: '',
    ambient_C: '',
  };
  const { form: fields, submit, pending, problem, draft } = useActionForm('run', initial, add, onDone);
  useOwnClock({ ranFrom: now - HALF_HOUR_MS, ranTo: now }, now, fields);
  const field = fields.getInputProps;
  const time = (name: string) => timeProps(fields, name);
  return (
    <ActionForm label="Log a run" focus={focus} onSubmit={fields.onSubmit(submit)} problem={problem} draft={draft}>
      <DayAndTimeFields label="Ran from" {...time('ranFrom')} />
      <DayAndTimeFields label="Stopped" {...time('ranTo')} />
      <TextInput label="Highest temperature, °C" description="or 185 F" {...field('highest_C')} />
      <TextInput label="Air, °C" {...field('ambient_C')} />
      <div className={form.acts}>
        <Button type="submit" rank="main" busy={pending}>
          Log the run
        </Button>
      </div>
    </ActionForm>
  );
}
