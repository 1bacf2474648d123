'use client';

import { TextInput } from '@mantine/core';
import { ActionForm, Refusal } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import { Disclosure } from '@/interface/parts/disclosure';
import form from '@/interface/parts/form.module.css';
import { Notice } from '@/interface/parts/screen';
import { useActionForm } from '@/interface/parts/use-action-form';
import { fullDate } from '@/interface/figures/times';
import { CRANK_WORDS } from '@/interface/words/order-words';
import type { OrderPage } from './queries';
import { LineForm } from '@/interface/parts/line-form';
import { useLine, useLineSender } from '@/interface/record/use-line';

interface Props {
  readonly page: OrderPage;
}

/** A trial build that is going, or was taken apart and is not clean. */
export function TrialNotice({ page }: Props) {
  const { write, pending, problem } = useLine(page.engineId);
  const { trial, steps } = page;
  if (!trial) return null;
  const upTo = steps.find(({ step }) => step.id === trial.upTo)?.step.name ?? 'its last step';
  return (
    <>
      <Notice kind="wait">
        {trial.isGoing
          ? `Trial build, up to “${upTo}”: what is done now is tried, and does not count. ${trial.isTried ? 'All of it was tried: take it apart, clean it, build it for good.' : ''}`
          : 'What was tried is taken apart. Clean it before it is built for good.'}
      </Notice>
      <p>
        <Button
          rank={trial.isTried || !trial.isGoing ? 'main' : 'plain'}
          busy={pending}
          onClick={() => write({ kind: trial.isGoing ? 'stripped' : 'cleaned', body: {} })}
        >
          {trial.isGoing ? 'Taken apart again' : 'Everything is clean'}
        </Button>
      </p>
      <Refusal problem={problem} />
    </>
  );
}

/** What holds the crank, where something does. */
export function CrankNotice({ page: { crank, steps, strips } }: Props) {
  if (strips.length > 0)
    return <Notice kind="stop">A strip lies in {strips.join(', ')}: the crank is not turned.</Notice>;
  if (crank.state === 'free') return null;
  const by = steps.find(({ step }) => step.id === crank.stepId)?.step.name;
  return <Notice kind="plain">{`${CRANK_WORDS[crank.state]}${by ? `, by “${by}”` : ''}.`}</Notice>;
}

/** What was to be touched again first, on coming back. */
export function PausedNotice({ page }: Props) {
  const { paused, loose, aids, onOrder, steps } = page;
  if (!paused) return null;
  const wet = steps.filter(
    ({ step, state }) => state === 'done' && step.detail.surfaces.some(({ sets }) => sets !== ''),
  );
  const first = [
    ...loose.map(({ words }) => words),
    ...aids.map(({ name }) => `${name} in`),
    ...onOrder.map((one) => `on order: ${one}`),
    ...wet.slice(-2).map(({ step }) => `was setting: ${step.name}`),
  ];
  return (
    <>
      <Notice kind="wait">
        The work lies still since {fullDate(paused.at)}
        {paused.covered ? `; covered: ${paused.covered}` : '; what was covered was not said'}.
        {paused.words && ` ${paused.words}`}
      </Notice>
      <h3>To touch again first</h3>
      <ul className="points">
        {first.map((one) => (
          <li key={one}>{one}</li>
        ))}
        <li>Oil: bearings that stood for months are oiled again, and pressure is raised before it fires.</li>
      </ul>
      <LineForm
        engineId={page.engineId}
        name="resumed"
        label="What was seen on coming back"
        act="Go on with it"
        rank="main"
        line={(words) => ({ kind: 'resumed', body: { words } })}
      />
    </>
  );
}

/** Lays the work still for weeks. */
export function PauseFold({ page }: Props) {
  const send = useLineSender(page.engineId);
  const {
    form: fields,
    submit,
    pending,
    problem,
    draft,
  } = useActionForm(
    'paused',
    { words: '', covered: '' },
    ({ words, covered }) => send({ kind: 'paused', body: { words, covered } }),
    (_, entered) => entered.reset(),
  );
  if (page.paused) return null;
  return (
    <Disclosure title="Leave it for weeks" line="what is covered; what to begin with again" forms={['paused']}>
      <p>
        Loose: {page.loose.length}. In: {page.aids.length}. All of it is listed again on coming back.
      </p>
      <ActionForm label="Lay the work still" onSubmit={fields.onSubmit(submit)} problem={problem} draft={draft}>
        <TextInput
          label="What was covered"
          description="Ports, bores, oilways, the whole engine"
          {...fields.getInputProps('covered')}
        />
        <TextInput label="What to begin with again" {...fields.getInputProps('words')} />
        <div className={form.acts}>
          <Button type="submit" busy={pending}>
            Lay it still
          </Button>
        </div>
      </ActionForm>
    </Disclosure>
  );
}
