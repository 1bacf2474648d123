'use client';

import { useDisclosure } from '@mantine/hooks';
import { Textarea } from '@mantine/core';
import { fetchedPart } from '@/interface/parts/fetched-part';
import { Link } from '@/interface/parts/link';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { useSingleKeys } from '@/interface/shell/use-single-keys';
import { nearTime } from '@/interface/figures/times';
import { useFigures } from '@/interface/figures/preferences';
import { useDrafts } from '@/interface/parts/use-draft';
import { Button } from '@/interface/parts/button';
import { Section, Notice, Screen } from '@/interface/parts/screen';
import form from '@/interface/parts/form.module.css';
import { useAct } from '@/interface/parts/use-act';
import { useDefaultWorking } from '@/interface/shell/working-margin';
import { FILMS_FOUND, type FilmFound } from '@/model/joint/retorque-guards';
import { choices } from '@/interface/words/choices';
import type { WarmHead } from '@/model/joint/warm-head';
import { startRetorqueAction } from './actions';
import { CycleForm } from './cycle-form';
import { FollowsSection } from './follows-section';
import { FirstStart } from './first-start';
import { CycleList } from './cycle-list';
import { MeterSection } from './meter-section';
import type { RetorqueDue, RunIn, SettledJoint } from './queries';
import { ReadingForm } from './reading-form';
import { WrongStartForm } from './wrong-start-form';
import { WrongStarts } from './wrong-starts';
import { SettledSection } from './settled-section';
import styles from './run-in-screen.module.css';
import { workingOfWindow } from './window-working';

const CoolingChart = fetchedPart(() => import('./cooling-chart').then((module) => module.default), {
  space: <div className={styles.chartSpace} />,
});

const KIND = {
  'not-asked': 'plain',
  'waits-for-tightening': 'plain',
  'waits-for-heat': 'plain',
  'waits-for-page': 'wait',
  cooling: 'wait',
  open: 'done',
  done: 'done',
} as const;

/** What a head that is not quite cold may cost the joint: why the reading at the head decides, and how near it has to be. */
function Warm({ warm, href }: { readonly warm: WarmHead; readonly href: string }) {
  const { significant } = useFigures();
  return (
    <span className={styles.steady}>
      {' '}
      {warm.is === 'known' ? (
        `It counts as cold within ${warm.counts_K} K of the air: up to ${significant(100 * warm.share, 2)} % of its clamp load; 2 % at ${significant(warm.within_K, 2)} K.`
      ) : (
        <>
          What a warm head costs this joint is not known: <Link href={href}>its grip</Link> was not given.
        </>
      )}
    </span>
  );
}

const FILM_CHOICES = choices(FILMS_FOUND, {
  'as-pulled': 'As it was pulled',
  dried: 'Dried or burnished',
  stuck: 'Stuck, rusted, varnished',
});

/** One joint's retorque: what it waits for, and the way to the face when it is open. */
function Due({ due }: { readonly due: RetorqueDue }) {
  const router = useRouter();
  const { act, pending, problem } = useAct();
  const [asks, setAsks] = useState<'changed' | 'film' | 'reason'>();
  const [film, setFilm] = useState<FilmFound | ''>('');
  const [asPulled, setAsPulled] = useState(false);
  const [reason, setReason] = useState('');
  const go = (pulled = asPulled, found = film) =>
    act(
      () => startRetorqueAction({ jointId: due.jointId, version: due.version, asPulled: pulled, reason, film: found }),
      ({ href }) => router.push(href),
      ({ code }) => {
        if (code === 'sheet-changed') setAsks('changed');
        if (code === 'film-unsaid') setAsks('film');
        if (code === 'needs-reason') setAsks('reason');
      },
    );
  const further = due.state.state === 'done' && due.state.further?.open === true;
  const open = due.state.state === 'open' || due.underWay || further;
  return (
    <li className={styles.due} data-kind={KIND[due.state.state]}>
      <span>
        <b className={styles.dueName}>{due.name}</b> {due.line}
        {due.state.state === 'open' && !due.state.steady && (
          <span className={styles.steady}>
            {' '}
            A second reading half an hour on that changes by under 1 K would show that head and studs are at one
            temperature.
          </span>
        )}
        {due.warm && <Warm warm={due.warm} href={due.href} />}
        {problem && (
          <span className={problem.code === 'film-unsaid' ? styles.steady : styles.refusal}>{problem.message}</span>
        )}
        {asks === 'changed' && problem?.code === 'sheet-changed' && (
          <span className={styles.answers}>
            <Button
              onClick={() => {
                setAsPulled(true);
                go(true);
              }}
            >
              It is as it was pulled
            </Button>
            <Link href={due.href}>Coated afresh: to its sheet</Link>
          </span>
        )}
        {asks === 'film' && problem?.code === 'film-unsaid' && (
          <span className={styles.answers} role="group" aria-label="How the lubricant is found">
            {FILM_CHOICES.map(({ value, label }) => (
              <Button
                key={value}
                onClick={() => {
                  setFilm(value);
                  go(asPulled, value);
                }}
              >
                {label}
              </Button>
            ))}
            <Link href={due.href}>Cleaned and coated afresh: to its sheet</Link>
          </span>
        )}
        {asks === 'reason' && (
          <Textarea
            label="Why it is gone over all the same"
            description="It is printed in the record, beside what stands against it."
            autosize
            value={reason}
            onChange={(event) => setReason(event.currentTarget.value)}
          />
        )}
      </span>
      {open && (
        <Button rank="main" onClick={() => go()} disabled={pending || (asks === 'reason' && reason.trim() === '')}>
          {due.underWay ? 'Go on with the retorque' : further ? 'Go over it once more' : 'Go over it again'}
        </Button>
      )}
    </li>
  );
}

/** How the head cools, and the window in which it is cold enough. */
const CurveOfWindow = ({
  window,
  ranTo,
  now,
}: {
  readonly window: NonNullable<RunIn['window']>;
  readonly ranTo: number;
  readonly now: number;
}) => (
  <>
    <p className={styles.window}>
      Cold enough from <b>{nearTime(window.from, now)}</b>, by <b>{nearTime(window.by, now)}</b>. The clock only
      proposes; a reading of {window.target_C.toFixed(0)} °C or less at the head opens it.
    </p>
    <div
      role="img"
      aria-label={`The head cools to ${window.target_C.toFixed(0)} °C between ${nearTime(window.from, now)} and ${nearTime(window.by, now)}`}
    >
      <CoolingChart window={window} ranTo={ranTo} />
    </div>
    <p className={styles.legend}>
      Full line: exponential, the early end. Broken line: still air, the late end. Diamonds: readings reckoned with.
      <span> The band is wider on either side by what sensor and air may be off.</span>
    </p>
  </>
);

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
  wrongStarts,
  cycles,
  older,
  dues,
  window,
  settled,
  unit,
  meters,
  sinceTight,
}: Props) {
  const [logging, { open, close }] = useDisclosure(cycles.length === 0);
  const wrong = useOpened();
  useSingleKeys({ n: open });
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
            <Due key={due.jointId} due={due} />
          ))}
        </ul>
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
