'use client';

import { NativeSelect, TextInput } from '@mantine/core';
import { fetchedPart } from '@/interface/parts/fetched-part';
import { useMemo, useState, useTransition } from 'react';
import { useFigures } from '@/interface/figures/preferences';
import type { Result } from '@/model/result';
import { ActionForm } from '@/interface/parts/action-form';
import { HydrationGate } from '@/interface/parts/hydration-gate';
import type { BandRow } from '@/interface/parts/band-chart';
import { bandHeight } from '@/interface/parts/band-height';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { Section, Notice, Screen } from '@/interface/parts/screen';
import { useOfferUndo } from '@/interface/parts/undo';
import { useActionForm } from '@/interface/parts/use-action-form';
import { send } from '@/interface/parts/send';
import { useDefaultWorking } from '@/interface/shell/working-margin';
import { addTrialPullAction, trialReachAction } from './actions';
import { FilmResult, workingOfFilm } from './film-result';
import type { TrialPage, TrialReach, TriedFilm } from './queries';
import { RenameTrial } from './rename-trial';
import styles from './trial-screen.module.css';

const BandChart = fetchedPart(() => import('@/interface/parts/band-chart').then((module) => module.default), {
  space: <div className={styles.space} />,
});

const ROW_PX = 60;

const rowsOf = (tried: readonly TriedFilm[]): readonly BandRow[] =>
  tried.map(({ film, result, pulls }) => ({
    name: film.name,
    band: result?.nextPreload_N && [result.nextPreload_N.low / 1000, result.nextPreload_N.high / 1000],
    points: pulls.map((pull) => pull.preload_N / 1000),
  }));

function PullForm({ page: { trial, films, tried } }: { readonly page: TrialPage }) {
  const last = tried.at(-1);
  const start = {
    trialId: trial.id,
    bolt: '1',
    film: last?.film.id ?? 'engine-oil',
    torque: last ? String(last.pulls.at(-1)?.torque_Nm ?? '') : '',
    stretch: '',
  };
  const {
    form: fields,
    submit,
    pending,
    problem,
    draft,
  } = useActionForm('pull', start, addTrialPullAction, (_, entered) => {
    const bolt = Number(entered.getValues().bolt);
    entered.setValues({ stretch: '', ...(bolt > 0 && { bolt: String(bolt + 1) }) });
  });
  const field = fields.getInputProps;
  return (
    <ActionForm label="A pull" onSubmit={fields.onSubmit(submit)} problem={problem} draft={draft}>
      <TextInput label="Bolt" {...field('bolt')} />
      <NativeSelect
        label="Lubricant"
        data={films.map(({ id, name }) => ({ value: id, label: name }))}
        {...field('film')}
      />
      <TextInput label="Torque" description="N·m, or with its unit" {...field('torque')} />
      <TextInput label="Stretch" description="mm, or 4.2 thou" autoComplete="off" {...field('stretch')} />
      <div className={form.acts}>
        <Button type="submit" rank="main" busy={pending}>
          Save the pull
        </Button>
      </div>
    </ActionForm>
  );
}

/** One trial: the points by film against what the next bolt will do, and the way onto the shelf. */
export function TrialScreen(page: TrialPage) {
  const { trial, tried, stiffness_N_per_mm } = page;
  const [reach, setReach] = useState<TrialReach>();
  const targets = reach?.targets ?? [];
  const [against, setAgainst] = useState(0);
  const target = targets[against];
  const [refusal, setRefusal] = useState<string>();
  const offerUndo = useOfferUndo();
  const [, startTransition] = useTransition();
  const first = tried[0];
  useDefaultWorking(useMemo(() => first && workingOfFilm(first), [first]));
  const { significant } = useFigures();
  const act = (work: () => Promise<Result<unknown>>) =>
    startTransition(async () => {
      const outcome = await send(work, undefined);
      setRefusal(outcome.ok ? undefined : outcome.error.message);
      if (outcome.ok) offerUndo(outcome.result);
      setReach(undefined);
    });
  // What was asked for is of the pulls as they were.
  const ask = () =>
    startTransition(async () => {
      const outcome = await send(trialReachAction, { trialId: trial.id });
      setRefusal(outcome.ok ? undefined : outcome.error.message);
      if (outcome.ok) setReach(outcome.result);
    });
  return (
    <Screen
      title={trial.name}
      lead={`${trial.thread}, face ${trial.outer_mm} over ${trial.inner_mm} mm, ${significant(stiffness_N_per_mm / 1000, 4)} kN a mm of stretch.`}
    >
      <HydrationGate>
        {refusal && <Notice kind="stop">{refusal}</Notice>}
        {tried.length > 0 && (
          <div style={{ minHeight: bandHeight(tried.length, ROW_PX) }}>
            <BandChart
              rows={rowsOf(tried)}
              unit="kN"
              rowHeight={ROW_PX}
              pointColour="var(--red-lead)"
              behind={target && [target.low_N / 1000, target.high_N / 1000]}
            />
          </div>
        )}
        {tried.length > 0 && (
          <p className="soft">
            A point a pull; the bar is where the next bolt lies, 5th to 95th percentile.
            {target && ` The band behind is what ${target.name} wants.`}
          </p>
        )}
        {tried.length > 0 && !reach && (
          <p>
            <Button onClick={ask}>Against the joints of this shop</Button>
          </p>
        )}
        {targets.length > 1 && (
          <NativeSelect
            label="Against the band of"
            data={targets.map(({ name }, i) => ({ value: String(i), label: name }))}
            value={String(against)}
            onChange={(event) => setAgainst(Number(event.currentTarget.value))}
            maw={420}
          />
        )}
        <Section title="A pull">
          <PullForm page={page} />
        </Section>
        {tried.map((one) => (
          <FilmResult
            key={one.film.id}
            tried={one}
            moves={one.own && reach?.moves[one.own.id]}
            onAsk={ask}
            onAct={act}
          />
        ))}
        <RenameTrial trialId={trial.id} name={trial.name} />
      </HydrationGate>
    </Screen>
  );
}
