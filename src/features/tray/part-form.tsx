'use client';

import { NativeSelect, TextInput } from '@mantine/core';
import { ActionForm } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { useActionForm } from '@/interface/parts/use-action-form';
import { choicesOf, ORIGIN_WORDS, PART_CONDITION_WORDS } from '@/interface/words/order-words';
import type { Part } from '@/model/order/part';
import { keepPartAction } from './actions';
import type { TrayPage } from './queries';

interface Props {
  readonly page: TrayPage;
  /** The part to change. */
  readonly part?: Part;
  readonly onDone: () => void;
}

const cellsOf = (engineId: string, part: Part | undefined) => ({
  engineId,
  id: part?.id ?? '',
  version: part?.version ?? 0,
  stepId: part?.stepId ?? '',
  name: part?.name ?? '',
  need: part ? String(part.need) : '',
  here: part ? String(part.here) : '',
  mark: part?.mark ?? '',
  serial: part?.serial ?? '',
  bag: part?.bag ?? '',
  origin: part?.origin ?? ('taken-off' as const),
  condition: part?.condition ?? ('not-said' as const),
  mates: part?.detail.mates ?? '',
  hides: part?.detail.hides ?? '',
  words: part?.detail.words ?? '',
});

/** Puts a part on the tray, or changes one. */
export function PartForm({ page, part, onDone }: Props) {
  const {
    form: fields,
    submit,
    pending,
    problem,
    draft,
  } = useActionForm(
    part ? `part-${part.id}` : 'new-part',
    cellsOf(page.engineId, part),
    ({ mates, hides, words, ...cells }) => keepPartAction({ ...cells, detail: { mates, hides, words } }),
    (_, entered) => {
      if (!part) {
        // The next of the same bag or step is likely.
        const { stepId, bag, origin } = entered.getValues();
        entered.setValues({ ...cellsOf(page.engineId, undefined), stepId, bag, origin });
      }
      onDone();
    },
  );
  const field = fields.getInputProps;
  return (
    <ActionForm
      label={part ? 'Change the part' : 'A part for the tray'}
      focus={part !== undefined}
      onSubmit={fields.onSubmit(submit)}
      problem={problem}
      draft={draft}
    >
      <TextInput className={form.double} label="Part" {...field('name')} />
      <TextInput className={form.short} label="Needed" {...field('need')} />
      <TextInput className={form.short} label="Here" {...field('here')} />
      <NativeSelect
        label="Goes to"
        data={[{ value: '', label: 'No step said' }, ...page.steps.map(({ id, name }) => ({ value: id, label: name }))]}
        {...field('stepId')}
      />
      <NativeSelect label="From" data={choicesOf(ORIGIN_WORDS)} {...field('origin')} />
      <NativeSelect label="Condition" data={choicesOf(PART_CONDITION_WORDS)} {...field('condition')} />
      <TextInput label="Bag or tin" {...field('bag')} />
      <TextInput label="Mark" description="As it is read on the part" {...field('mark')} />
      <TextInput label="Belongs with" description="Cap 2 on saddle 2; these two together" {...field('mates')} />
      <TextInput label="A number of its own" description="No other part of the shop has it" {...field('serial')} />
      <TextInput label="Where it hides" description="Stays stuck to the shaft" {...field('hides')} />
      <TextInput className={form.wide} label="Words of its own" {...field('words')} />
      <div className={form.acts}>
        <Button type="submit" rank="main" busy={pending}>
          {part ? 'Save the part' : 'Put it on the tray'}
        </Button>
        {part && (
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
