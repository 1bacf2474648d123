'use client';

import '@mantine/core/styles/ScrollArea.css';
import '@mantine/core/styles/Popover.css';
import '@mantine/core/styles/Combobox.css';
import '@mantine/core/styles/Pill.css';
import '@mantine/core/styles/PillsInput.css';
import { Checkbox, MultiSelect, NativeSelect, Textarea, TextInput } from '@mantine/core';
import { ActionForm } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { useActionForm } from '@/interface/parts/use-action-form';
import { choicesOf, EFFECT_WORDS, STEP_KIND_WORDS } from '@/interface/words/order-words';
import { PURPOSE_WORDS } from '@/interface/words/purpose-words';
import { EFFECTS, type Step } from '@/model/order/step';
import { PURPOSES } from '@/model/joint/tightening';
import { keepStepAction } from './actions';
import type { OrderPage } from './queries';
import { fieldsOf, newStepFields, sentOf } from './step-fields';

interface Props {
  readonly page: OrderPage;
  /** The step to change. */
  readonly step?: Step;
  /** The step that a new one is put behind. */
  readonly behind?: Step;
  readonly onDone: () => void;
}

const none = (label: string) => ({ value: '', label });

/** Changes a step, or puts a new one into the line. */
export function StepForm({ page, step, behind, onDone }: Props) {
  const { steps, choices, engineId } = page;
  const {
    form: fields,
    submit,
    pending,
    problem,
    draft,
  } = useActionForm(
    step ? `step-${step.id}` : `step-behind-${behind?.id ?? ''}`,
    step ? fieldsOf(step) : newStepFields(engineId, behind),
    (values) => keepStepAction(sentOf(values, step, behind)),
    (_, entered) => {
      if (!step) entered.reset();
      onDone();
    },
  );
  const field = fields.getInputProps;
  const { kind } = fields.getValues();
  const others = steps
    .filter((one) => one.step.id !== step?.id)
    .map((one) => ({ value: one.step.id, label: one.step.name }));
  const select = (all: readonly { readonly id: string; readonly name: string }[], empty: string) => [
    none(empty),
    ...all.map(({ id, name }) => ({ value: id, label: name })),
  ];
  return (
    <ActionForm
      label={step ? 'Change the step' : behind ? `A step behind ${behind.name}` : 'A new step'}
      focus={step !== undefined}
      onSubmit={fields.onSubmit(submit)}
      problem={problem}
      draft={draft}
    >
      <TextInput
        className={form.wide}
        label={step ? 'What is done' : behind ? 'Split it, or put a step behind it: what is done' : 'What is done'}
        {...field('name')}
      />
      <NativeSelect label="Kind" data={choicesOf(STEP_KIND_WORDS)} {...field('kind')} />
      <TextInput
        label="Sub-assembly"
        description="Empty on the line itself"
        list="order-branches"
        {...field('branch')}
      />
      <datalist id="order-branches">
        {choices.branches.map((branch) => (
          <option key={branch} value={branch} />
        ))}
      </datalist>
      {kind === 'joint' && (
        <>
          <NativeSelect label="Its joint" data={select(choices.joints, 'None: ticked by hand')} {...field('jointId')} />
          <NativeSelect
            label="Gone round"
            data={PURPOSES.map((value) => ({ value, label: PURPOSE_WORDS[value].name }))}
            {...field('purpose')}
          />
        </>
      )}
      {kind === 'fit' && (
        <NativeSelect label="Its fit" data={select(choices.fits, 'None: ticked by hand')} {...field('fitId')} />
      )}
      <NativeSelect label="Where it is from" data={select(choices.leaves, 'Own')} {...field('leafId')} />
      {step && (
        <>
          <MultiSelect
            className={form.wide}
            label="What comes before it"
            searchable
            data={others}
            {...field('after')}
          />
          <MultiSelect
            className={form.wide}
            label="What must not yet be there"
            description="Once one of these is done, this one can be done no more"
            searchable
            data={others}
            {...field('notUntil')}
          />
        </>
      )}
      <Textarea className={form.wide} label="How" autosize {...field('words')} />
      <TextInput
        className={form.wide}
        label="How it lies on this engine"
        description="Marks found, marks made"
        {...field('lies')}
      />
      <TextInput className={form.wide} label="Caution" {...field('caution')} />
      <Textarea
        className={form.wide}
        label="On its faces"
        description="A line each: what, on which part, how much, how long it sets, its date. “sealant; one face; a thin film; fit within 10 min; use by 2027-03”"
        autosize
        {...field('surfaces')}
      />
      <TextInput label="Lay out" description="With commas between" {...field('kit')} />
      <TextInput label="People" {...field('people')} />
      <TextInput
        label="Aids that go in"
        description="“rag*, guide studs”: * is inside the engine"
        {...field('putsIn')}
      />
      <TextInput label="Aids that come out" description="With commas between" {...field('takesOut')} />
      <Checkbox.Group className={form.wide} label="Once it is done" {...field('makes')}>
        {EFFECTS.map((effect) => (
          <Checkbox key={effect} value={effect} label={EFFECT_WORDS[effect]} mt="xs" />
        ))}
      </Checkbox.Group>
      <div className={form.acts}>
        <Button type="submit" rank={step ? 'main' : 'plain'} busy={pending}>
          {step ? 'Save the step' : 'Put it in'}
        </Button>
        {step && (
          <Button
            onClick={() => {
              draft.discard();
              onDone();
            }}
          >
            Leave it
          </Button>
        )}
      </div>
    </ActionForm>
  );
}
