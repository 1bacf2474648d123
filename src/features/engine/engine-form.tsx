'use client';

import { type Engine, ENGINE_KINDS } from '@/model/engine/engine';
import { HEAD_METALS } from '@/core/heat';
import { choices } from '@/interface/words/choices';
import { NativeSelect, TextInput } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { TORQUE_UNITS } from '@/core/units';
import { ActionForm } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { useActionForm } from '@/interface/parts/use-action-form';
import { addEngineAction, alterEngineAction } from './actions';

const METALS = choices(HEAD_METALS, { unsaid: 'Not said yet', iron: 'Iron', aluminium: 'Aluminium' });

const EMPTY = {
  name: '',
  kind: 'car',
  year: '',
  engineNumber: '',
  headMetal: 'unsaid',
  blockMetal: 'unsaid',
  preferredUnit: 'lbf·ft',
};

const valuesOf = ({ id, version, name, kind, year, engineNumber, headMetal, blockMetal, preferredUnit }: Engine) => ({
  id,
  version: String(version),
  name,
  kind,
  year: year === null ? '' : String(year),
  engineNumber,
  headMetal,
  blockMetal,
  preferredUnit,
});

/** Puts an engine on a stand, or changes what is known of one that stands there. */
export function EngineForm({ engine }: { readonly engine?: Engine }) {
  const router = useRouter();
  const {
    form: fields,
    submit,
    pending,
    problem,
    draft,
  } = useActionForm<Record<string, string>, { href: string }>(
    'engine',
    engine ? valuesOf(engine) : EMPTY,
    engine ? alterEngineAction : addEngineAction,
    ({ href }) => router.push(href),
  );
  const field = fields.getInputProps;
  return (
    <ActionForm label="The engine" focus={!engine} onSubmit={fields.onSubmit(submit)} problem={problem} draft={draft}>
      <TextInput
        className={form.wide}
        label="Name"
        description="What you call it: the car, the motorcycle, the engine"
        {...field('name')}
      />
      <NativeSelect
        label="Car or motorcycle"
        data={choices(ENGINE_KINDS, { car: 'Car', motorcycle: 'Motorcycle' })}
        {...field('kind')}
      />
      <TextInput label="Year" inputMode="numeric" {...field('year')} />
      <TextInput label="Engine number" {...field('engineNumber')} />
      <NativeSelect label="Head" data={METALS} {...field('headMetal')} />
      <NativeSelect label="Block" data={METALS} {...field('blockMetal')} />
      <NativeSelect label="Show figures in" data={[...TORQUE_UNITS]} {...field('preferredUnit')} />
      <div className={form.acts}>
        <Button type="submit" rank="main" busy={pending}>
          {engine ? 'Save the engine' : 'Put it on a stand'}
        </Button>
      </div>
    </ActionForm>
  );
}
