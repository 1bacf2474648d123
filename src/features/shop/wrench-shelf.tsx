'use client';

import { NativeSelect, TextInput } from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import { useRouter } from 'next/navigation';
import { TORQUE_UNITS } from '@/core/units';
import type { Wrench } from '@/db/repositories/wrench-repository';
import { useFigures } from '@/interface/figures/preferences';
import { ActionForm } from '@/interface/parts/action-form';
import { Key } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { useActionForm } from '@/interface/parts/use-action-form';
import { addWrenchAction } from './actions';

const EMPTY = { name: '', unit: 'lbf·ft', min: '', max: '', graduation: '', accuracyPct: '4' };

function WrenchForm({ onDone }: { readonly onDone: () => void }) {
  const { form: fields, submit, pending, problem } = useActionForm(EMPTY, addWrenchAction, onDone);
  const field = fields.getInputProps;
  return (
    <ActionForm label="New wrench" onSubmit={fields.onSubmit(submit)} problem={problem}>
      <TextInput label="Name" description="What you know it by" {...field('name')} />
      <NativeSelect label="Marked in" data={[...TORQUE_UNITS]} {...field('unit')} />
      <TextInput label="Lowest mark" inputMode="decimal" {...field('min')} />
      <TextInput label="Highest mark" inputMode="decimal" {...field('max')} />
      <TextInput label="Graduation" description="From one mark to the next" inputMode="decimal" {...field('graduation')} />
      <TextInput label="Accuracy, ± %" description="4 where checked; 10 to 15 unchecked" inputMode="decimal" {...field('accuracyPct')} />
      <div className={form.acts}>
        <Key type="submit" rank="main" disabled={pending}>
          Hang it on the shelf
        </Key>
      </div>
    </ActionForm>
  );
}

/** The torque wrenches of the shop, and where a new one is entered. */
export function WrenchShelf({ wrenches }: { readonly wrenches: readonly Wrench[] }) {
  const router = useRouter();
  const { plain } = useFigures();
  const [adding, { open, close }] = useDisclosure(false);
  const done = () => {
    close();
    router.refresh();
  };
  return (
    <>
      {wrenches.length > 0 && (
        <ul>
          {wrenches.map((one) => (
            <li key={one.id}>
              <b>{one.name}</b>, <span className="figure">{plain(one.min)} to {plain(one.max)} {one.unit}</span>, marked every {plain(one.graduation)}, ±{plain(one.accuracyPct)} %
            </li>
          ))}
        </ul>
      )}
      {adding || wrenches.length === 0 ? <WrenchForm onDone={done} /> : <Key onClick={open}>Another wrench</Key>}
    </>
  ); // prettier-ignore
}
