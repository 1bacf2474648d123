'use client';

import { NativeSelect, TextInput } from '@mantine/core';
import { fetchedPart } from '@/interface/parts/fetched-part';
import { Link } from '@/interface/parts/link';
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
import { send, useActionForm } from '@/interface/parts/use-action-form';
import { useShowWorking, useDefaultWorking, type Working } from '@/interface/shell/working-margin';
import { addTrialPullAction, shelveFilmAction, strikeTrialPullAction, trialReachAction } from './actions';
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

const workingOfFilm = ({ film, result, own }: TriedFilm): Working => ({
  title: film.name,
  lines: result && [
    {
      formula: 'c = T / F, F = k · stretch; ȳ = mean of ln c',
      figures: ['K = ', { value: result.K, digits: 3 }, ', μ = ', { value: result.mu, digits: 3 }],
    },
    ...(result.nextMu
      ? [
          {
            formula: 'next bolt: exp(ȳ ± t·s·√(1 + 1/n))',
            figures: ['μ ', { value: result.nextMu.low, digits: 3 }, ' to ', { value: result.nextMu.high, digits: 3 }],
          },
        ]
      : []),
    ...(result.meanMu
      ? [
          {
            formula: 'the lubricant’s mean, 95 %',
            figures: ['μ ', { value: result.meanMu.low, digits: 3 }, ' to ', { value: result.meanMu.high, digits: 3 }],
          },
        ]
      : []),
  ],
  remarks: [
    ['Reason', result?.shrunk ? 'few bolts: their deviation leans on the shelf’s row' : 'the bolts’ own deviation'],
    ['Spread', 'E ±2 % and the lengths do not average out, and are in it'],
    ...(result?.wear_pct === undefined
      ? []
      : [['Wear', `${result.wear_pct.toFixed(1)} % a pull from a bolt’s first to its last`] as const]),
    ...(own ? [['On the shelf', `μ ${own.thread.low} · ${own.thread.middle} · ${own.thread.high}`] as const] : []),
  ],
});

/** What a film would move if it stood on the shelf; the whole shop is looked through only when it is asked for. */
function Moves({ moves, onAsk }: { readonly moves?: TrialReach['moves'][string]; readonly onAsk: () => void }) {
  const { plain } = useFigures();
  if (!moves)
    return (
      <p>
        <Button onClick={onAsk}>What it would move in this shop</Button>
      </p>
    );
  if (moves.length === 0) return <p className="soft">On the shelf it would move no joint.</p>;
  return (
    <p>
      On the shelf it would move:{' '}
      {moves.map((moved, i) => (
        <span key={moved.href}>
          {i > 0 && '; '}
          <Link href={moved.href}>
            {moved.engine}, {moved.joint}
          </Link>{' '}
          <span className="figure">
            {plain(moved.before)} → {plain(moved.after)} {moved.unit}
          </span>
        </span>
      ))}
      .
    </p>
  );
}

interface FilmResultProps {
  readonly tried: TriedFilm;
  readonly moves?: TrialReach['moves'][string];
  readonly onAsk: () => void;
  readonly onAct: (work: () => Promise<Result<unknown>>) => void;
}

function FilmResult({ tried, moves, onAsk, onAct }: FilmResultProps) {
  const { significant, plain } = useFigures();
  const working = workingOfFilm(tried);
  const show = useShowWorking([working]);
  const { film, result, own, pulls, refusal } = tried;
  const isShelved = film.provenance === 'own' && own !== undefined && JSON.stringify(own) === JSON.stringify(film);
  const trialId = pulls[0]?.trialId ?? '';
  const range = (low: number, high: number) => `${significant(low)} to ${significant(high)}`;
  return (
    <section className={styles.film} tabIndex={0} {...show(working)} aria-label={film.name}>
      <h3>
        {film.name}
        {film.provenance === 'own' && <span className={styles.own}> own</span>}
      </h3>
      {refusal && <Notice kind="stop">{refusal}</Notice>}
      {result && (
        <dl className={styles.facts}>
          <div>
            <dt>μ</dt>
            <dd>{significant(result.mu)}</dd>
          </div>
          <div>
            <dt>K</dt>
            <dd>{significant(result.K)}</dd>
          </div>
          <div>
            <dt>Next bolt, μ</dt>
            <dd data-testid={`next-${film.id}`}>
              {result.nextMu ? range(result.nextMu.low, result.nextMu.high) : 'one bolt says nothing'}
            </dd>
          </div>
          <div>
            <dt>Next bolt, K</dt>
            <dd>{result.nextK ? range(result.nextK.low, result.nextK.high) : ''}</dd>
          </div>
          <div>
            <dt>Next bolt, clamp</dt>
            <dd>
              {result.nextPreload_N
                ? `${range(result.nextPreload_N.low / 1000, result.nextPreload_N.high / 1000)} kN`
                : ''}
            </dd>
          </div>
          <div>
            <dt>Mean, μ</dt>
            <dd>{result.meanMu ? range(result.meanMu.low, result.meanMu.high) : ''}</dd>
          </div>
          <div>
            <dt>Scatter, 1 s</dt>
            <dd>{result.deviation === undefined ? '' : `±${significant(result.deviation * 100, 2)} %`}</dd>
          </div>
          <div>
            <dt>Bolts, pulls</dt>
            <dd>
              {result.bolts}, {result.pulls}
            </dd>
          </div>
        </dl>
      )}
      <ol className={`counted ${styles.pulls}`}>
        {pulls.map((pull) => (
          <li key={pull.id}>
            Bolt {pull.bolt}, use {pull.use}:{' '}
            <span className="figure">
              {plain(pull.torque_Nm)} N·m, {pull.stretch_mm.toFixed(3)} mm, {significant(pull.preload_N / 1000)} kN
            </span>{' '}
            <button
              type="button"
              className={`text-button ${styles.link}`}
              onClick={() => onAct(() => strikeTrialPullAction({ trialId, pullId: pull.id }))}
            >
              Undo
              <span className="only-spoken">
                {' '}
                bolt {pull.bolt} in {film.name}
              </span>
            </button>
          </li>
        ))}
      </ol>
      {own && !isShelved && (
        <>
          <Moves moves={moves} onAsk={onAsk} />
          <Button onClick={() => onAct(() => shelveFilmAction({ trialId, film: film.id }))}>
            Save to the shelf as our own<span className="only-spoken">: {film.name}</span>
          </Button>
        </>
      )}
      {isShelved && <Notice kind="done">On the shelf as our own: {film.source}</Notice>}
    </section>
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
