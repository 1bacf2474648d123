'use client';

import { useDisclosure } from '@mantine/hooks';
import { Link } from '@/interface/parts/link';
import { useEffect, useMemo } from 'react';
import { useSingleKeys } from '@/interface/shell/use-single-keys';
import { nearTime } from '@/interface/figures/times';
import { useDrafts } from '@/interface/parts/use-draft';
import { Button } from '@/interface/parts/button';
import { Section, Notice, Screen } from '@/interface/parts/screen';
import form from '@/interface/parts/form.module.css';
import { timeFieldsAhead } from '@/interface/parts/time-fields';
import { useDefaultWorking } from '@/interface/shell/working-margin';
import { CurveOfWindow } from './cooling-window';
import { CycleForm } from './cycle-form';
import { FollowsSection } from './follows-section';
import { FirstStart } from './first-start';
import { CycleList } from './cycle-list';
import { MeterSection } from './meter-section';
import type { RunIn, SettledJoint } from './queries';
import { ReadingForm } from './reading-form';
import { RetorqueDue } from './retorque-due';
import { WrongStartForm } from './wrong-start-form';
import { WrongStarts } from './wrong-starts';
import { SettledSection } from './settled-section';
import styles from './run-in-screen.module.css';
import { workingOfWindow } from './window-working';

const useOpened = () => {
  const [opened, { open, close }] = useDisclosure(false);
  return { opened, open, close };
};

interface Props extends RunIn {
  readonly engineId: string;
  readonly now: number;
  readonly settled: readonly SettledJoint[];
}

/** Runs, readings while it cools, and the retorques that fall due. */
export function RunInScreen({
  engineId,
  now,
  start,
  stoodSince,
  metalUnsaid,
  wrongStarts,
  cycles,
  older,
  dues,
  window,
  settled,
  unit,
  meters,
  road,
  sinceTight,
}: Props) {
  const [logging, { open, close }] = useDisclosure(cycles.length === 0);
  const wrong = useOpened();
  useSingleKeys({ n: open });
  useEffect(timeFieldsAhead, []);
  useDrafts((names) => {
    if (names.includes('run')) open();
    if (names.includes('wrong-start')) wrong.open();
  });
  const latest = cycles[0];
  const ranTo = latest ? Date.parse(latest.ranTo) : 0;
  useDefaultWorking(
    useMemo(() => (window && latest ? workingOfWindow(window, ranTo) : undefined), [window, latest, ranTo]),
  );
  return (
    <Screen
      title="Run-in"
      lead="First start, heat cycles, and what has to be gone over again."
      aside={
        !logging && (
          <Button rank="main" onClick={open}>
            Log a run
          </Button>
        )
      }
    >
      {dues.length > 0 && (
        <ul className={styles.dues} aria-label="Retorques">
          {dues.map((due) => (
            <RetorqueDue key={due.jointId} due={due} />
          ))}
        </ul>
      )}
      {metalUnsaid && (
        <Notice kind="wait">
          What its head is made of is not said: it counts as cold as an aluminium one does.{' '}
          <Link href={`/engines/${engineId}/about`}>Say it</Link>
        </Notice>
      )}
      {stoodSince !== undefined && !logging && (
        <Notice kind="wait">
          It has stood since {nearTime(stoodSince, now)}: its oil has drained away. The pressure is raised without
          firing before it is started.
        </Notice>
      )}
      {logging && (
        <Section title={start ? 'First start' : 'Another run'}>
          {start ? (
            <FirstStart engineId={engineId} start={start} now={now} />
          ) : (
            <Notice kind="stop">
              Belts, fans and hot metal; fumes. Doors open, extinguisher at hand, and nobody in line with the fan.
              {stoodSince !== undefined &&
                ` It has stood since ${nearTime(stoodSince, now)}: raise the oil pressure without firing first.`}
              {road && ` ${road}`}
            </Notice>
          )}
          {start && <h3 className={styles.after}>When it has run</h3>}
          <p className="soft">
            From a recorder: <Link href={`/engines/${engineId}/run-in/recorded`}>read its table of temperatures</Link>
          </p>
          <CycleForm
            engineId={engineId}
            now={now}
            onDone={close}
            focus={!start}
            unit={unit}
            asksWhy={start?.asksWhy ?? false}
          />
        </Section>
      )}
      {(logging || wrong.opened || wrongStarts.length > 0) && (
        <Section title="Starts that went wrong">
          <WrongStarts engineId={engineId} starts={wrongStarts} now={now} />
          {wrong.opened ? (
            <WrongStartForm engineId={engineId} now={now} onDone={wrong.close} />
          ) : (
            <p className={form.acts}>
              <Button onClick={wrong.open}>Log a start that went wrong</Button>
            </p>
          )}
        </Section>
      )}
      {latest && window && (
        <Section title="Cooling">
          {window.byHours === undefined ? (
            <CurveOfWindow window={window} ranTo={ranTo} now={now} />
          ) : (
            <p className={styles.window}>
              Cold enough from <b>{nearTime(window.from, now)}</b>, {window.byHours} hours after it was stopped. The
              clock only proposes; a reading of {window.target_C.toFixed(0)} °C or less at the head then opens it.
            </p>
          )}
          <ReadingForm
            key={latest.id}
            engineId={engineId}
            cycleId={latest.id}
            ambient_C={latest.readings.at(-1)?.ambient_C ?? latest.ambient_C}
            now={now}
            onDone={close}
          />
        </Section>
      )}
      <SettledSection joints={settled} now={now} />
      <FollowsSection engineId={engineId} dues={dues} />
      <MeterSection engineId={engineId} now={now} unit={unit} meters={meters} sinceTight={sinceTight} />
      {cycles.length > 0 && (
        <Section title="Runs so far">
          <CycleList engineId={engineId} cycles={cycles} older={older} now={now} onDone={close} />
        </Section>
      )}
    </Screen>
  );
}
