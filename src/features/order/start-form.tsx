'use client';

import { NativeSelect } from '@mantine/core';
import { useState } from 'react';
import { useRouter } from 'next/navigation';
import { Refusal } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { HydrationGate } from '@/interface/parts/hydration-gate';
import { Section } from '@/interface/parts/screen';
import { useAct } from '@/interface/parts/use-act';
import { START_IDS, STARTS, type StartId, type StartStep } from '@/model/order/starts';
import type { Meeting } from '@/model/order/steps-of-start';
import { startFromAction } from './actions';
import type { OrderPage } from './queries';
import styles from './order-screen.module.css';

interface Props {
  readonly page: OrderPage;
  readonly meetings: Readonly<Record<StartId, Meeting>>;
}

/** Begins an order from the line of a shape of engine; joints and fits take their places by their names, to be agreed. */
export function StartForm({ page, meetings }: Props) {
  const router = useRouter();
  const [start, setStart] = useState<StartId | ''>('');
  const [changed, setChanged] = useState<Meeting>({});
  const { act, pending, problem } = useAct();
  const steps: readonly StartStep[] = start === '' ? [] : STARTS[start].steps;
  const meeting: Meeting = start === '' ? {} : { ...meetings[start], ...changed };
  const tied = steps.filter(({ kind }) => kind === 'joint' || kind === 'fit');
  const choicesOf = ({ kind }: StartStep) => (kind === 'joint' ? page.choices.joints : page.choices.fits);
  const met = new Set(Object.values(meeting));
  const left = [...page.choices.joints, ...page.choices.fits].filter(({ id }) => !met.has(id));
  return (
    <>
      <Section title="A line to start from">
        <p className={styles.lead}>
          Written from general knowledge of engines, to be made this one’s own: steps are added, put elsewhere and
          struck out. What the manual says comes first.
        </p>
        <HydrationGate className={form.grid}>
          <NativeSelect
            className={form.double}
            label="Shape of the engine"
            data={[
              { value: '', label: 'Choose the nearest', disabled: true },
              ...START_IDS.map((id) => ({
                value: id,
                label: `${STARTS[id].name} (${STARTS[id].steps.length} steps)`,
              })),
            ]}
            value={start}
            onChange={(event) => {
              setStart(event.currentTarget.value as StartId);
              setChanged({});
            }}
          />
          <div className={form.acts}>
            <Button
              rank="main"
              busy={pending}
              disabled={start === ''}
              onClick={() =>
                act(
                  () => startFromAction({ engineId: page.engineId, start, meeting }),
                  ({ href }) => router.push(href),
                )
              }
            >
              Begin this order
            </Button>
          </div>
        </HydrationGate>
        <Refusal problem={problem} />
      </Section>
      {start !== '' && (
        <>
          <Section title="Where its joints and fits take their places">
            <p className={styles.lead}>
              Found by their names; look them through.
              {left.length > 0 && ` Without a place: ${left.map(({ name }) => name).join(', ')}.`}
            </p>
            <div className={styles.meeting}>
              {tied.map((step) => (
                <NativeSelect
                  key={`${start} ${step.key}`}
                  label={step.name}
                  data={[
                    { value: '', label: step.kind === 'joint' ? 'No joint: ticked by hand' : 'No fit: ticked by hand' },
                    ...choicesOf(step).map(({ id, name }) => ({ value: id, label: name })),
                  ]}
                  value={meeting[step.key] ?? ''}
                  onChange={(event) => setChanged({ ...changed, [step.key]: event.currentTarget.value || null })}
                />
              ))}
            </div>
          </Section>
          <Section title="The line, step by step">
            <ol className={styles.preview}>
              {steps.map(({ key, name, branch }) => (
                <li key={key}>
                  {name}
                  {branch && <span className="soft"> ({branch})</span>}
                </li>
              ))}
            </ol>
          </Section>
        </>
      )}
    </>
  );
}
