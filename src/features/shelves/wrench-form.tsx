'use client';

import { NativeSelect, TextInput } from '@mantine/core';
import { TORQUE_UNITS } from '@/core/units';
import type { Wrench } from '@/model/shelf/wrench';
import { dayOf } from '@/model/wall-day';
import { ActionForm } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import { TakeAway } from '@/interface/parts/take-away';
import { DayField } from '@/interface/parts/time-fields';
import form from '@/interface/parts/form.module.css';
import { useActionForm } from '@/interface/parts/use-action-form';
import { keepWrenchAction } from './actions';

const EMPTY = {
  id: '',
  version: 0,
  name: '',
  unit: 'lbf·ft',
  min: '',
  max: '',
  graduation: '',
  accuracy_pct: '4',
  calibration: '',
  checkedAt: '',
};

const valuesOf = (wrench: Wrench): typeof EMPTY => ({
  id: wrench.id,
  version: wrench.version,
  name: wrench.name,
  unit: wrench.unit,
  min: String(wrench.min),
  max: String(wrench.max),
  graduation: String(wrench.graduation),
  accuracy_pct: String(wrench.accuracy_pct),
  calibration: wrench.calibration.map((point) => `${point.set} ${point.true}`).join(', '),
  checkedAt: wrench.checkedAt === null ? '' : dayOf(wrench.checkedAt),
});

interface Props {
  readonly wrench?: Wrench;
  /** It came up by an act, or is what the page is for. */
  readonly focus?: boolean;
  readonly onDone?: () => void;
}

/** Hangs a wrench on the shelf, or changes what is known of one: its scale, its accuracy and its last check. */
export function WrenchForm({ wrench, focus, onDone }: Props) {
  const {
    form: fields,
    submit,
    pending,
    problem,
    draft,
  } = useActionForm(
    wrench ? `wrench-${wrench.id}` : 'wrench',
    wrench ? valuesOf(wrench) : EMPTY,
    keepWrenchAction,
    () => onDone?.(),
  );
  const field = fields.getInputProps;
  return (
    <ActionForm
      label={wrench ? `Change ${wrench.name}` : 'New wrench'}
      onSubmit={fields.onSubmit(submit)}
      problem={problem}
      draft={draft}
      focus={focus === true ? 'min' : false}
    >
      <NativeSelect label="Marked in" data={[...TORQUE_UNITS]} {...field('unit')} />
      <TextInput label="Lowest mark" inputMode="decimal" {...field('min')} />
      <TextInput label="Highest mark" inputMode="decimal" {...field('max')} />
      <TextInput
        label="Graduation"
        description="From one mark to the next"
        inputMode="decimal"
        {...field('graduation')}
      />
      <TextInput
        label="Accuracy, ± %"
        description="4 where checked; 10 to 15 unchecked"
        inputMode="decimal"
        {...field('accuracy_pct')}
      />
      <DayField
        label="Last checked"
        value={fields.values.checkedAt ?? ''}
        error={fields.errors.checkedAt}
        onChange={(day) => fields.setFieldValue('checkedAt', day)}
        clearable
      />
      <TextInput
        className={form.wide}
        label="Points of that check"
        description="Set and delivered, in its own unit: 20 19.5, 60 61, 100 103"
        {...field('calibration')}
      />
      <TextInput
        label="Name"
        description="What you know it by"
        placeholder="its scale, if left empty"
        {...field('name')}
      />
      <div className={form.acts}>
        <Button type="submit" rank="main" busy={pending}>
          Save the wrench
        </Button>
        {wrench && <TakeAway kind="wrench" id={wrench.id} name={wrench.name} />}
      </div>
    </ActionForm>
  );
}
