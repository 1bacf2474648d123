'use client';

import { useMemo } from 'react';
import type { ClampScatter, ClampScatterInput, Percentiles } from '@/core/statistics';
import { deviationsOf } from '@/model/joint/clamp-map';
import type { JointResult } from '@/model/joint/joint-result';
import { useFigures } from '@/interface/figures/preferences';
import { Button } from '@/interface/parts/button';
import type { ClampWorks } from './clamp-works';
import { useWorkerRun } from './use-worker-run';
import styles from './clamp-map-body.module.css';

interface Props {
  readonly worked: JointResult;
  readonly shown: ClampWorks;
}

const SAMPLES = 10_000;
const SEED = 1936;
// Below this share of the whole, what nuts do to each other is lost in the rest.
const LOST = 0.5;

const openWorker = () =>
  new Worker(new URL('../../workers/clamp-scatter.worker.ts', import.meta.url), { type: 'module' });

/** How far apart the fasteners come out, with lubricant and wrench as they are. */
export function ClampScatterPart({ worked, shown }: Props) {
  const { band } = worked.ladder;
  const { accuracy_pct } = worked.wrench;
  const input = useMemo(
    (): ClampScatterInput => ({
      giving: shown.giving,
      pulls: shown.pulls,
      deviations: deviationsOf(band, accuracy_pct),
      samples: SAMPLES,
      seed: SEED,
    }),
    [shown, band, accuracy_pct],
  );
  const { run, start, stop } = useWorkerRun<ClampScatterInput, ClampScatter>(openWorker, input);
  return (
    <section className={styles.asked}>
      <h3>With the scatter of lubricant and wrench</h3>
      <p className="soft">
        Half the variance of the lubricant moves all of them alike, half each by itself; the wrench errs anew at every
        pull. The halves are a judgement.
      </p>
      <div className={styles.run} aria-live="polite">
        {!run && <Button onClick={start}>Draw 10,000 rounds</Button>}
        {run?.running && (
          <>
            <progress className={styles.progress} value={run.done} max={run.of} aria-label="Rounds drawn" />
            <Button onClick={stop}>Stop</Button>
          </>
        )}
        {run?.refusal && <p>{run.refusal}</p>}
        {run?.result && <Scatter result={run.result} shown={shown} />}
      </div>
    </section>
  );
}

interface ScatterProps {
  readonly result: ClampScatter;
  readonly shown: ClampWorks;
}

function Scatter({ result, shown }: ScatterProps) {
  const { kilonewtons, significant } = useFigures();
  const { least_N, variation_pct, lowest } = result;
  const row = (name: string, { p5, p50, p95 }: Percentiles, told: (value: number) => string) => (
    <tr>
      <th scope="row">{name}</th>
      {[p5, p50, p95].map((value, i) => (
        <td key={i} className="figure">
          {told(value)}
        </td>
      ))}
    </tr>
  );
  const most = lowest.reduce((best, share, place) => (share > (lowest[best] ?? 0) ? place : best), 0);
  const alone = shown.own.variation_pct;
  return (
    <div data-testid="scatter">
      <table className={styles.ways}>
        <caption className="only-spoken">{result.samples} rounds drawn by chance</caption>
        <thead>
          <tr>
            <th scope="col">Of 100 rounds</th>
            <th scope="col">5 are under</th>
            <th scope="col">Middle</th>
            <th scope="col">5 are over</th>
          </tr>
        </thead>
        <tbody>
          {row('Left in the lowest', least_N, kilonewtons)}
          {row('Uneven by', variation_pct, (value) => `${significant(value, 2)} %`)}
        </tbody>
      </table>
      <p>
        Number {shown.turn.indexOf(most) + 1} was the lowest most often, in {Math.round(100 * (lowest[most] ?? 0))} of
        100.{' '}
        {alone < LOST * variation_pct.p50
          ? `Without scatter they would be uneven by ${significant(alone, 2)} %, from nuts that let each other go. The rest is lubricant and wrench, which passes do not mend: one lubricant, clean threads and a steady pull do.`
          : `Without scatter they would be uneven by ${significant(alone, 2)} %, from nuts that let each other go: here passes and a confirming round tell.`}
      </p>
    </div>
  );
}
