'use client';

import { fetchedPart } from '@/interface/parts/fetched-part';
import { useMemo } from 'react';
import { spreadOf, type ClampBand, type Spread } from '@/core/joint';
import type { MonteCarloInput } from '@/core/statistics';
import { ladderInput } from '@/model/joint/joint-ladder';
import type { JointInputs } from '@/model/joint/joint-inputs';
import type { JointResult } from '@/model/joint/joint-result';
import { useFigures } from '@/interface/figures/preferences';
import { Button } from '@/interface/parts/button';
import { Disclosure } from '@/interface/parts/disclosure';
import type { BandLine, BandRow } from '@/interface/parts/band-chart';
import { useWorkerRun } from './use-worker-run';
import styles from './spread-fold.module.css';

const BandChart = fetchedPart(() => import('@/interface/parts/band-chart').then((module) => module.default), {
  space: <div className={styles.space} />,
});

const rowsOf = ({ rows }: Spread): readonly BandRow[] =>
  rows.map(({ name, band }, i) => ({
    name,
    band: [band.p5_N / 1000, band.p95_N / 1000],
    strong: i === 0,
    points: [band.p50_N / 1000],
  }));

const linesOf = ({ least_N, yield_N }: Spread): readonly BandLine[] => [
  { at: least_N / 1000, label: 'least wanted', colour: 'var(--brass)' },
  ...(yield_N === undefined ? [] : [{ at: yield_N / 1000, label: 'yield', colour: 'var(--red-lead)' }]),
];

const COMPARED = ['dry-bare', 'engine-oil', 'moly-paste'];
const SAMPLES = 1_000_000;
const SEED = 1936;

const openWorker = () =>
  new Worker(new URL('../../workers/monte-carlo.worker.ts', import.meta.url), { type: 'module' });

interface Props {
  readonly setting: JointInputs;
  readonly worked: JointResult;
}

/** The band of clamp load of one joint, in one line, and opened whole. */
export function SpreadFold(props: Props) {
  const { significant } = useFigures();
  const { clamp, band } = props.worked.ladder;
  if (clamp !== 'clamps') return null;
  const { p5_N, p95_N } = band;
  return (
    <Disclosure title="The spread" line={`${significant(p5_N / 1000)} to ${significant(p95_N / 1000)} kN a fastener`}>
      <SpreadBody {...props} />
    </Disclosure>
  );
}

/** Closed form at once, simulation on asking, beside other films and stretch. */
function SpreadBody({ setting, worked }: Props) {
  const { ladder, wrench } = worked;
  const { significant } = useFigures();
  const spread = useMemo(() => {
    const films = setting.shelves.films.filter((film) => COMPARED.includes(film.id));
    return spreadOf(ladderInput(setting, wrench), ladder, films);
  }, [setting, ladder, wrench]);
  const input = useMemo((): MonteCarloInput => {
    const { today } = ladderInput(setting, wrench);
    return {
      thread: today.thread,
      bearing: today.bearing,
      torque_Nm: ladder.setting.achieved_Nm,
      muThread: ladder.friction.thread,
      muHead: ladder.friction.head,
      prevailing_Nm: ladder.prevailing_Nm,
      prevailingSpread_Nm: (today.prevailing?.high_Nm ?? 0) - (today.prevailing?.low_Nm ?? 0),
      wrenchAccuracy_pct: wrench.accuracy_pct,
      sharedFilm: ladder.friction.shared,
      samples: SAMPLES,
      seed: SEED,
    };
  }, [setting, ladder, wrench]);
  const { run, start, stop } = useWorkerRun<MonteCarloInput, ClampBand>(openWorker, input);
  const kN = (newtons: number) => `${significant(newtons / 1000)} kN`;
  const range = ({ p5_N, p50_N, p95_N }: ClampBand) => `${kN(p5_N)} · ${kN(p50_N)} · ${kN(p95_N)}`;
  return (
    <>
      <BandChart rows={rowsOf(spread)} unit="kN" rowHeight={44} pointColour="var(--ink)" lines={linesOf(spread)} />
      <p>
        Clamp load at the 5th, 50th and 95th percentile, closed form: <b className="figure">{range(ladder.band)}</b>.
        Least that the book’s own figure would leave: <b className="figure">{kN(spread.least_N)}</b>.{' '}
        {spread.yield_N === undefined ? (
          'The fastener’s grade is not known, so no yield is drawn.'
        ) : (
          <>
            Yield while turning: <b className="figure">{kN(spread.yield_N)}</b>.
          </>
        )}
      </p>
      <div className={styles.simulation} aria-live="polite">
        {!run && <Button onClick={start}>Simulate 1,000,000</Button>}
        {run?.running && (
          <>
            <progress className={styles.progress} value={run.done} max={run.of} aria-label="Samples drawn" />
            <Button onClick={stop}>Stop</Button>
          </>
        )}
        {run?.result && (
          <p data-testid="simulated">
            Drawn a million times, seed {SEED}: <b className="figure">{range(run.result)}</b>.
          </p>
        )}
        {run?.refusal && <p>{run.refusal}</p>}
      </div>
      <p className="soft">
        One nut’s band. A batch of lubricant moves all nuts together, so they are more even among themselves than this.
      </p>
    </>
  );
}
