'use client';

import { Link } from '@/interface/parts/link';
import { useState } from 'react';
import { fullTime } from '@/interface/figures/times';
import { Button } from '@/interface/parts/button';
import { Disclosure } from '@/interface/parts/disclosure';
import { NotesSeen } from '@/interface/parts/notes-seen';
import { TakeAway } from '@/interface/parts/take-away';
import { EFFECT_WORDS, STEP_KIND_WORDS, STEP_STATE_WORDS } from '@/interface/words/order-words';
import type { StepState } from '@/model/order/step-state';
import { HAZARDS, hazardsOf } from '@/model/order/hazards';
import { isGated, type Step } from '@/model/order/step';
import { Bars } from './bars';
import { DoneForm } from './done-form';
import type { OrderPage } from './queries';
import { LineForm } from '@/interface/parts/line-form';
import { Station } from './station';
import { StepFacts } from './step-facts-list';
import { StepForm } from './fetched-forms';
import { MoveForm } from './move-form';
import { WhyNotYet } from './why-not-yet';
import styles from './order-screen.module.css';

interface Props {
  readonly page: OrderPage;
  readonly one: StepState;
  readonly onSelect: (id: string) => void;
}

/** When and by whom it was done, what was felt, and what it passed. */
function DoneLine({ one: { done, step } }: { readonly one: StepState }) {
  if (!done) return null;
  const { line } = done;
  const at = line ? (line.recordedAt ?? line.at) : done.movedAt;
  const { set, felt, turnsAt, passed, marks } = line?.body ?? {};
  return (
    <p>
      {done.isTrial ? 'Done for trial' : 'Done'}
      {at && `, ${fullTime(at)}`}
      {line?.who && `, ${line.who}`}
      {!line && (step.kind === 'joint' ? ', by its round at the bench' : ', by its readings')}.{set && ` Set: ${set}.`}
      {felt && ` Felt: ${felt}.`}
      {turnsAt && ` Turns over at ${turnsAt}.`}
      {marks && ` Marks read: ${marks[0]} on the part, ${marks[1]} where it goes.`}
      {passed && (
        <>
          {' '}
          <b>Passed with a reason:</b> {passed.reason} <span className="soft">({passed.bars.join(' ')})</span>
        </>
      )}
    </p>
  );
}

/** Where a joint or a fit of a step is done. */
function ElsewhereLink({ engineId, step }: { readonly engineId: string; readonly step: StepState['step'] }) {
  if (step.kind === 'joint' && step.jointId)
    return <Link href={`/engines/${engineId}/joints/${step.jointId}`}>Its joint: tightened at the bench</Link>;
  if (step.kind === 'fit' && step.fitId)
    return <Link href={`/engines/${engineId}/fits/${step.fitId}`}>Its fit: proven by its readings</Link>;
  return null;
}

/** What can be said of a step as it stands. */
function Acts({ page, one, onSelect }: Props) {
  const { step, state } = one;
  const { engineId, bars, marked } = page;
  const byItself = (step.kind === 'joint' && step.jointId !== null) || (step.kind === 'fit' && step.fitId !== null);
  const isTrial = (page.trial?.isGoing ?? false) && (page.trial?.stretch.includes(step.id) ?? false);
  return (
    <>
      {state === 'open' && (!byItself || isTrial) && (
        <DoneForm
          key={step.id}
          engineId={engineId}
          step={step}
          bars={bars[step.id] ?? []}
          marks={marked[step.id] ?? []}
          isTrial={isTrial}
          onDone={() => onSelect('')}
        />
      )}
      {state !== 'open' && isGated(step) && <Bars bars={bars[step.id] ?? []} engineId={engineId} />}
      {one.canLook && (
        <LineForm
          key={`looked ${step.id}`}
          engineId={engineId}
          name={`looked-${step.id}`}
          label="Looked at again"
          hint="What was seen; it stands as it was done"
          act="It stands"
          rank="main"
          line={(words) => ({ kind: 'looked', stepId: step.id, body: { words } })}
        />
      )}
      {one.done && step.kind !== 'fit' && (
        <Disclosure key={`undone ${step.id}`} title="Open it up again" line="" forms={[`undone-${step.id}`]}>
          <LineForm
            engineId={engineId}
            name={`undone-${step.id}`}
            label="Why it is opened up"
            act="Opened up again"
            rank="stop"
            line={(reason) => ({ kind: 'undone', stepId: step.id, body: { reason } })}
          />
          <LineForm
            engineId={engineId}
            name={`exchanged-${step.id}`}
            label="What was exchanged in it"
            hint="It stays done, and is to be looked at"
            act="Exchanged"
            line={(words) => ({ kind: 'exchanged', stepId: step.id, body: { words } })}
          />
        </Disclosure>
      )}
    </>
  );
}

/** What its step says, and what can hurt at any step like it, until it is done. */
function Cautions({ step, isDone }: { readonly step: Step; readonly isDone: boolean }) {
  const hazards = isDone ? [] : hazardsOf(step).map((id) => HAZARDS[id].says);
  const said = [step.detail.caution, ...hazards].filter(Boolean);
  if (said.length === 0) return null;
  return (
    <div className={styles.caution}>
      <b>Caution.</b>
      {said.map((words) => (
        <p key={words}>{words}</p>
      ))}
    </div>
  );
}

/** One step of the order: how it stands, what it waits for, and what is done about it. */
export function StepPanel({ page, one, onSelect }: Props) {
  const [changing, setChanging] = useState(false);
  const { step, state, why } = one;
  const { engineId } = page;
  return (
    <section className={styles.panel} aria-labelledby="step-name">
      <h2 id="step-name" className={styles.stepName}>
        <Station state={state} /> {step.name}
      </h2>
      <p className="soft">
        {STEP_KIND_WORDS[step.kind]}
        {step.branch && `, ${step.branch}`}: <b>{STEP_STATE_WORDS[state]}</b>
        {why && `. ${why.charAt(0).toUpperCase()}${why.slice(1)}.`}
      </p>
      <Cautions step={step} isDone={one.done !== undefined} />
      <DoneLine one={one} />
      <WhyNotYet page={page} one={one} onSelect={onSelect} />
      <ElsewhereLink engineId={engineId} step={step} />
      <Acts page={page} one={one} onSelect={onSelect} />
      <StepFacts
        step={step}
        effects={step.detail.makes.map((effect) => EFFECT_WORDS[effect])}
        from={page.choices.leaves.find(({ id }) => id === step.leafId)?.name}
      />
      <NotesSeen href={`/engines/${engineId}/order/steps/${step.id}`} notes={page.notes[step.id] ?? []} />
      <Disclosure
        title="Change the order here"
        line=""
        forms={[`step-${step.id}`, `step-behind-${step.id}`, `move-${step.id}`]}
      >
        {changing ? (
          <StepForm page={page} step={step} onDone={() => setChanging(false)} />
        ) : (
          <>
            <p className={styles.keys}>
              <Button onClick={() => setChanging(true)}>Change this step</Button>
              <TakeAway kind="step" id={step.id} name={step.name} />
            </p>
            <MoveForm key={`move ${step.id}`} page={page} step={step} />
            <StepForm key={`behind ${step.id}`} page={page} behind={step} onDone={() => undefined} />
          </>
        )}
      </Disclosure>
    </section>
  );
}
