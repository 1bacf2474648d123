'use client';

import { plainFigure } from '@/core/units';
import { NativeSelect, TextInput } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { FIT_KINDS, placesOf } from '@/core/fits';
import type { Engine } from '@/model/engine/engine';
import { ActionForm } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { Section, Screen } from '@/interface/parts/screen';
import { useActionForm } from '@/interface/parts/use-action-form';
import { useDefaultWorking, type Working } from '@/interface/shell/working-margin';
import { addListedFitsAction, addOwnFitAction } from './actions';
import styles from './fits-screen.module.css';

const LISTED = FIT_KINDS.filter(({ id }) => !id.startsWith('own-'));
/** What is measured on nearly every engine of the kind; the rest is a tick away. */
const USUAL: Readonly<Record<Engine['kind'], readonly string[]>> = {
  car: [
    'main-clearance',
    'big-end-clearance',
    'crank-float',
    'cam-float',
    'rod-side',
    'piston-bore',
    'ring-gap',
    'valve-guide',
  ],
  motorcycle: [
    'big-end-clearance',
    'crank-float',
    'cam-float',
    'rod-side',
    'piston-bore',
    'ring-gap',
    'valve-guide',
    'runout',
  ],
};
const MAKE = {
  car: { cylinders: '4', mains: '3', rings: '3', valves: '8' },
  motorcycle: { cylinders: '1', mains: '2', rings: '3', valves: '2' },
} as const;

const ABOUT: Working = {
  title: 'Measure before ordering',
  remarks: [
    ['First', 'has the shaft been ground, the housing bored, is everything standard? Shells follow from both.'],
    ['Conditions', 'cap at its final figure, seal absent, no oil, room temperature, shaft not turned.'],
    ['Void', 'a reading is void when its conditions change.'],
  ],
};

const count = (text: string) => Math.max(0, Math.min(plainFigure(text) ?? 0, 64));

function ListForm({ engine, has }: { readonly engine: Engine; readonly has: readonly string[] }) {
  const router = useRouter();
  const start = {
    engineId: engine.id,
    ...MAKE[engine.kind],
    kinds: USUAL[engine.kind].filter((id) => !has.includes(id)),
  };
  const {
    form: fields,
    submit,
    pending,
    problem,
    draft,
  } = useActionForm<typeof start, { href: string }>('listed-fits', start, addListedFitsAction, ({ href }) =>
    router.push(href),
  );
  const field = fields.getInputProps;
  const { kinds, cylinders, mains, rings, valves } = fields.values;
  const make = { cylinders: count(cylinders), mains: count(mains), rings: count(rings), valves: count(valves) };
  return (
    <ActionForm
      label="The list fitted to this engine"
      onSubmit={fields.onSubmit(submit)}
      problem={problem}
      draft={draft}
    >
      <TextInput label="Cylinders" inputMode="numeric" {...field('cylinders')} />
      <TextInput label="Main bearings" inputMode="numeric" {...field('mains')} />
      <TextInput label="Rings of a piston" inputMode="numeric" {...field('rings')} />
      <TextInput label="Valves" inputMode="numeric" {...field('valves')} />
      <fieldset className={form.fieldset}>
        <legend className={form.legend}>What is measured</legend>
        {LISTED.map(({ id, name, at }) => {
          const places = placesOf(at, make).length;
          return (
            <label key={id} className={`${form.choice} ${styles.listed}`}>
              <input
                type="checkbox"
                checked={kinds.includes(id)}
                onChange={(event) =>
                  fields.setFieldValue(
                    'kinds',
                    event.currentTarget.checked ? [...kinds, id] : kinds.filter((one) => one !== id),
                  )
                }
              />
              <span>
                {name}{' '}
                <span className="soft">
                  {places === 1 ? 'one place' : `${places} places`}
                  {has.includes(id) ? ', there already' : ''}
                </span>
              </span>
            </label>
          );
        })}
      </fieldset>
      <div className={form.acts}>
        <Button type="submit" rank="main" disabled={pending || kinds.length === 0}>
          Make these fits
        </Button>
      </div>
    </ActionForm>
  );
}

function OwnForm({ engine }: { readonly engine: Engine }) {
  const router = useRouter();
  const start = { engineId: engine.id, kind: 'own-pair', name: '', places: '1', stations: '2', angles: '2' };
  const {
    form: fields,
    submit,
    pending,
    problem,
    draft,
  } = useActionForm('own-fit', start, addOwnFitAction, ({ href }) => router.push(href));
  const field = fields.getInputProps;
  const isPair = FIT_KINDS.find(({ id }) => id === fields.values.kind)?.shape === 'pair';
  return (
    <ActionForm label="A fit of your own" onSubmit={fields.onSubmit(submit)} problem={problem} draft={draft}>
      <TextInput label="Name" description="Water pump spindle, oil pump gears" {...field('name')} />
      <NativeSelect
        label="Kind"
        data={FIT_KINDS.map(({ id, name }) => ({ value: id, label: name }))}
        {...field('kind')}
      />
      <TextInput label="Places" description="1, or names: front, middle, rear" {...field('places')} />
      <TextInput
        label={isPair ? 'Stations along it' : 'Readings at each place'}
        inputMode="numeric"
        {...field('stations')}
      />
      {isPair && <TextInput label="Angles round it" inputMode="numeric" {...field('angles')} />}
      <div className={form.acts}>
        <Button type="submit" busy={pending}>
          Make the fits
        </Button>
      </div>
    </ActionForm>
  );
}

/** New fits: from the list fitted to the engine, or one of the user's own. */
export function NewFitsScreen({ engine, has }: { readonly engine: Engine; readonly has: readonly string[] }) {
  useDefaultWorking(ABOUT);
  return (
    <Screen
      title="New fits"
      lead="What is wanted of each is said on its own sheet: a page, a rule, or limits of your own."
    >
      <Section title="The list fitted to this engine">
        <ListForm engine={engine} has={has} />
      </Section>
      <Section title="A fit of your own">
        <OwnForm engine={engine} />
      </Section>
    </Screen>
  );
}
