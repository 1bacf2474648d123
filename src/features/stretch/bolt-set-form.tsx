'use client';

import { NativeSelect, TextInput } from '@mantine/core';
import type { Joint } from '@/model/joint/joint';
import { ownPlaces } from '@/model/joint/kind-places';
import { ActionForm } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { useActionForm } from '@/interface/parts/use-action-form';
import { addBoltSetAction } from './actions';

/** What is known already of the joint's own fasteners, or of those of a kind. */
function ofFasteners(joint: Joint, kind: string) {
  const of = joint.detail.kinds.find(({ name }) => name === kind);
  return {
    kind,
    name: of ? `${joint.name}, ${of.name}` : joint.name,
    bolts: String((of?.places ?? ownPlaces(joint)).length),
    thread: of ? (of.detail.today?.thread ?? of.fields.thread) : (joint.detail.today?.thread ?? joint.thread),
  };
}

/** Describes a set of bolts as segments, with the stretch wanted and the ceiling. */
export function BoltSetForm({ joint, onDone }: { readonly joint: Joint; readonly onDone: () => void }) {
  const start = {
    jointId: joint.id,
    ...ofFasteners(joint, ''),
    shank: '',
    shankDiameter: '',
    waist: '',
    waistDiameter: '',
    freeThread: '',
    E_GPa: '205',
    minStretch: '',
    maxStretch: '',
    ceiling: '',
    maxSet: '0.013',
    bothEnds: true,
  };
  const {
    form: fields,
    submit,
    pending,
    problem,
    draft,
  } = useActionForm('set', start, addBoltSetAction, () => {
    onDone();
  });
  const field = fields.getInputProps;
  return (
    <ActionForm label="A set of bolts" onSubmit={fields.onSubmit(submit)} problem={problem} draft={draft}>
      {joint.detail.kinds.length > 0 && (
        <NativeSelect
          label="Which fasteners"
          data={[
            { value: '', label: 'The joint’s own' },
            ...joint.detail.kinds.map(({ name }) => ({ value: name, label: name })),
          ]}
          {...field('kind')}
          onChange={(event) => fields.setValues(ofFasteners(joint, event.currentTarget.value))}
        />
      )}
      <TextInput label="Name" {...field('name')} />
      <TextInput label="Bolts" inputMode="numeric" {...field('bolts')} />
      <TextInput label="Thread" {...field('thread')} />
      <TextInput label="Shank, length" description="mm, or with its unit" {...field('shank')} />
      <TextInput label="Shank, diameter" {...field('shankDiameter')} />
      <TextInput label="Reduced part, length" description="Empty where there is none" {...field('waist')} />
      <TextInput label="Reduced part, diameter" {...field('waistDiameter')} />
      <TextInput label="Free thread in the grip" {...field('freeThread')} />
      <TextInput label="Modulus E, GPa" inputMode="decimal" {...field('E_GPa')} />
      <TextInput label="Stretch wanted, least" description="0.11, or 4.5 thou" {...field('minStretch')} />
      <TextInput label="Stretch wanted, most" {...field('maxStretch')} />
      <TextInput label="Torque ceiling" description="N·m, or with its unit" {...field('ceiling')} />
      <TextInput label="Set allowed after release" description="Longer than this is scrap" {...field('maxSet')} />
      <label className={form.choice}>
        <input type="checkbox" {...fields.getInputProps('bothEnds', { type: 'checkbox' })} />
        <span>Both ends can be reached</span>
      </label>
      <div className={form.acts}>
        <Button type="submit" rank="main" busy={pending}>
          Save the set
        </Button>
      </div>
    </ActionForm>
  );
}
