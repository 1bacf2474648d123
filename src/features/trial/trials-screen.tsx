'use client';

import { TextInput } from '@mantine/core';
import { Link } from '@/interface/parts/link';
import { useRouter } from 'next/navigation';
import { useState, type ReactNode } from 'react';
import type { FilmTrialRow } from '@/model/trial/film-trial';
import { fullDate } from '@/interface/figures/times';
import { ActionForm } from '@/interface/parts/action-form';
import { TakeAway } from '@/interface/parts/take-away';
import { useDrafts } from '@/interface/parts/use-draft';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { Section, Screen } from '@/interface/parts/screen';
import { useActionForm } from '@/interface/parts/use-action-form';
import { useDefaultWorking, type Working } from '@/interface/shell/working-margin';
import { addTrialAction } from './actions';
import styles from './trial-screen.module.css';

const WHY: Working = {
  title: 'Trying lubricants',
  remarks: [
    ['How', 'the same torque on several bolts in each lubricant; read how far each stretches.'],
    ['Order', 'is logged, and the uses of each bolt: threads burnish.'],
    ['Lesson', 'the difference between lubricants is large, and so is the scatter within one.'],
  ],
  caution: 'Bolts pulled in a trial have been used. Stand so that one that shears hurts nobody.',
};

function TrialForm() {
  const router = useRouter();
  const start = {
    name: '',
    thread: '',
    outer: '',
    inner: '',
    shank: '',
    shankDiameter: '',
    freeThread: '',
    E_GPa: '205',
  };
  const {
    form: fields,
    submit,
    pending,
    problem,
    draft,
  } = useActionForm('trial', start, addTrialAction, ({ href }) => router.push(href));
  const field = fields.getInputProps;
  return (
    <ActionForm label="A new trial" onSubmit={fields.onSubmit(submit)} problem={problem} draft={draft}>
      <TextInput label="Name" description="What is tried, on which bolts" {...field('name')} />
      <TextInput label="Thread" {...field('thread')} />
      <TextInput label="Face, outside" description="mm, or with its unit" {...field('outer')} />
      <TextInput label="Hole it turns on" {...field('inner')} />
      <TextInput label="Shank, length" {...field('shank')} />
      <TextInput label="Shank, diameter" {...field('shankDiameter')} />
      <TextInput label="Free thread in the grip" {...field('freeThread')} />
      <TextInput label="Modulus E, GPa" inputMode="decimal" {...field('E_GPa')} />
      <div className={form.acts}>
        <Button type="submit" rank="main" busy={pending}>
          Begin the trial
        </Button>
      </div>
    </ActionForm>
  );
}

/** Every trial of films that this shop has made. */
export function TrialsScreen({
  trials,
  children,
}: {
  readonly trials: readonly FilmTrialRow[];
  readonly children?: ReactNode;
}) {
  const [adding, setAdding] = useState(trials.length === 0);
  useDrafts((names) => names.includes('trial') && setAdding(true));
  useDefaultWorking(WHY);
  return (
    <Screen
      title="Lubricant trials"
      lead="What a lubricant does on your own bolts, measured."
      aside={
        !adding && (
          <Button rank="main" onClick={() => setAdding(true)}>
            New trial
          </Button>
        )
      }
    >
      {adding && (
        <Section title="A new trial">
          <TrialForm />
        </Section>
      )}
      <ul className={styles.trials}>
        {trials.map((trial) => (
          <li key={trial.id}>
            <Link href={`/shelves/trials/${trial.id}`}>{trial.name}</Link>{' '}
            <span className="soft">
              {trial.thread}, {fullDate(trial.createdAt)}
            </span>{' '}
            <TakeAway kind="trial" id={trial.id} name={trial.name} />
          </li>
        ))}
      </ul>
      {children}
    </Screen>
  );
}
