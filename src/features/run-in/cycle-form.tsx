'use client';

import { NativeSelect, TextInput } from '@mantine/core';
import { nanoid } from 'nanoid';
import { ListenKey } from '@/interface/instruments/listen-key';
import { ActionForm } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import { DayAndTimeFields } from '@/interface/parts/time-fields';
import form from '@/interface/parts/form.module.css';
import { useActionForm } from '@/interface/parts/use-action-form';
import { DISTANCE_UNITS, type DistanceUnit } from '@/core/heat';
import { addCycleAction } from './actions';
import { STOOD_CHOICES } from '@/interface/words/seen-words';
import { RUNNING_CHOICES, SeenFields } from './seen-fields';
import { seenTyped } from './seen-typed';
import { fieldOf, isoOfField, timeProps, useOwnClock } from './time-field';

const HALF_HOUR_MS = 30 * 60_000;

interface Props {
  readonly engineId: string;
  readonly now: number;
  readonly onDone: () => void;
  /** Asked for by a press, and not there from the beginning, above which there is something to be read first. */
  readonly focus: boolean;
  /** The one that its odometer reads in. */
  readonly unit: DistanceUnit;
  /** It is the first, and its sheet is not finished. */
  readonly asksWhy: boolean;
}

const add = ({ signs = '', seenWords = '', ...fields }: Record<string, string>) =>
  addCycleAction({
    ...fields,
    seen: seenTyped(signs, seenWords),
    ranFrom: isoOfField(fields.ranFrom ?? ''),
    ranTo: isoOfField(fields.ranTo ?? ''),
    sentAt: new Date().toISOString(),
  });

/** Logs a first start or a later run. */
export function CycleForm({ engineId, now, onDone, focus, unit, asksWhy }: Props) {
  const initial: Record<string, string> = {
    id: nanoid(),
    engineId,
    ranFrom: fieldOf(now - HALF_HOUR_MS),
    ranTo: fieldOf(now),
    highest_C: '',
    ambient_C: '',
    went: '',
    reads: '',
    unit,
    signs: '',
    seenWords: '',
    startReason: '',
    stood: '',
  };
  const { form: fields, submit, pending, problem, draft } = useActionForm('run', initial, add, onDone);
  useOwnClock({ ranFrom: now - HALF_HOUR_MS, ranTo: now }, now, fields);
  const field = fields.getInputProps;
  const time = (name: string) => timeProps(fields, name);
  return (
    <ActionForm label="Log a run" focus={focus} onSubmit={fields.onSubmit(submit)} problem={problem} draft={draft}>
      <TextInput label="Highest temperature, °C" description="or 185 F" {...field('highest_C')} />
      <TextInput label="Air, °C" {...field('ambient_C')} />
      <DayAndTimeFields label="Ran from" {...time('ranFrom')} />
      <DayAndTimeFields label="Stopped" {...time('ranTo')} />
      <TextInput label="It went" description="Left empty where nobody knows" inputMode="decimal" {...field('went')} />
      <TextInput label="Odometer when stopped" description="If it has one" inputMode="decimal" {...field('reads')} />
      <NativeSelect label="Both in" data={[...DISTANCE_UNITS]} {...field('unit')} />
      <NativeSelect
        label="Left to cool"
        description="It cools by the same law again where it stands alike"
        data={[{ value: '', label: 'Nobody said' }, ...STOOD_CHOICES]}
        {...field('stood')}
      />
      <SeenFields label="Seen at it" fields={fields} choices={RUNNING_CHOICES} />
      {asksWhy && (
        <TextInput
          className={form.wide}
          label="Why it was started all the same"
          description="The sheet above is not finished. If it ran before it came here, say that."
          {...field('startReason')}
        />
      )}
      <div className={form.acts}>
        <Button type="submit" rank="main" busy={pending}>
          Log the run
        </Button>
        <ListenKey
          what="a probe"
          onReading={(heard) => {
            if (heard.kind !== 'thermometer') return false;
            fields.setFieldValue('highest_C', `${heard.value} ${heard.unit}`);
            return true;
          }}
        />
      </div>
    </ActionForm>
  );
}
