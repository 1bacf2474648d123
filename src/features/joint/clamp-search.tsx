'use client';

import { useMemo } from 'react';
import {
  isFromMiddle,
  largestStep,
  roundsOf,
  type JudgedWay,
  type RoundWay,
  type SearchResult,
} from '@/core/interaction';
import { ringsOf } from '@/model/joint/clamp-map';
import type { Joint } from '@/model/joint/joint';
import { positionsOf } from '@/model/joint/joint-shape';
import { useFigures } from '@/interface/figures/preferences';
import { Button } from '@/interface/parts/button';
import type { SeededSearch } from '@/workers/clamp-search.worker';
import type { ClampWorks } from './clamp-works';
import { useWorkerRun } from './use-worker-run';
import styles from './clamp-map-body.module.css';

interface Props {
  readonly joint: Joint;
  readonly shown: ClampWorks;
  readonly onTake: (way: RoundWay) => void;
}

const TURNS = 400;
const SEED = 1936;
// A turn that is more even by less than this is not worth learning.
const WORTH_PCT = 0.1;

const openWorker = () =>
  new Worker(new URL('../../workers/clamp-search.worker.ts', import.meta.url), { type: 'module' });

/** The plan as shares of its last figure; that figure twice is a confirming round. */
function ownWay({ turn, targets, final_N }: ClampWorks): RoundWay {
  const shares = targets.map((target) => target / final_N);
  const confirming = shares.length > 1 && shares.at(-2) === 1;
  return { order: turn, shares: confirming ? shares.slice(0, -1) : shares, confirming };
}

/** Looks for stages, a confirming round and a turn that leave the fasteners more even than the plan does. */
export function ClampSearchPart({ joint, shown, onTake }: Props) {
  const own = useMemo(() => ownWay(shown), [shown]);
  const isOfBook = joint.orderSchool === 'as-printed';
  const input = useMemo(
    (): SeededSearch => ({
      ...own,
      giving: shown.giving,
      target_N: shown.final_N,
      ...(!isOfBook && { rings: ringsOf(positionsOf(joint)) }),
      turns: TURNS,
      seed: SEED,
    }),
    [own, shown, joint, isOfBook],
  );
  const { run, start, stop } = useWorkerRun<SeededSearch, SearchResult>(openWorker, input);
  return (
    <section className={styles.asked}>
      <h3>A more even way</h3>
      <p className="soft">
        Other stages, a confirming round and, from the middle out, other turns. Nothing brings on more at once than the
        plan does, and the book’s own turn is left alone.
      </p>
      <div className={styles.run} aria-live="polite">
        {!run && <Button onClick={start}>Look for one</Button>}
        {run?.running && (
          <>
            <progress className={styles.progress} value={run.done} max={run.of} aria-label="Ways tried" />
            <Button onClick={stop}>Stop</Button>
          </>
        )}
        {run?.refusal && <p>{run.refusal}</p>}
        {run?.result && <Found result={run.result} joint={joint} isOfBook={isOfBook} onTake={onTake} />}
      </div>
    </section>
  );
}

interface FoundProps extends Omit<Props, 'shown'> {
  readonly result: SearchResult;
  readonly isOfBook: boolean;
}

function Found({ result: { own, ways, turn }, joint, isOfBook, onTake }: FoundProps) {
  const { kilonewtons, significant } = useFigures();
  const asMany = ways.find((way) => roundsOf(way) === roundsOf(own));
  const better = asMany && asMany.variation_pct < own.variation_pct;
  const pct = (value: number, figures = 2) => `${significant(value, figures)} %`;
  const name = ({ shares, confirming }: JudgedWay) =>
    `${shares.map((share) => Math.round(100 * share)).join(', ')} %${confirming ? ', and once more' : ''}`;
  const turnWords = (): string => {
    if (isOfBook) return 'The turn is the book’s own and was not looked at.';
    if (!isFromMiddle(own.order, ringsOf(positionsOf(joint))))
      return 'The turn does not go from the middle out, and no other was looked at.';
    if (turn === own) return `None of ${TURNS} turns tried was more even.`;
    const found = `of ${TURNS} turns tried leaves ${pct(turn.variation_pct, 3)} where the plan leaves ${pct(own.variation_pct, 3)}`;
    return own.variation_pct - turn.variation_pct < WORTH_PCT
      ? `The most even ${found}: not worth learning another.`
      : `The most even ${found}: it takes ${turn.order.map((place) => own.order.indexOf(place) + 1).join(', ')} of the plan’s turn one after another.`;
  };
  // Stages that climb to the bottom of a range first are the range's, and not the plan's to change here.
  const mayTake = joint.rangeSchool !== 'bottom-then-middle';
  return (
    <div data-testid="found">
      <table className={styles.ways}>
        <caption className="only-spoken">The most even way for each number of times round</caption>
        <thead>
          <tr>
            <th scope="col">Way</th>
            <th scope="col">Least</th>
            <th scope="col">Uneven by</th>
            {mayTake && <th scope="col">Take it</th>}
          </tr>
        </thead>
        <tbody>
          {ways.map((way) => (
            <tr key={roundsOf(way)}>
              <th scope="row">
                {roundsOf(way)} times round: {name(way)}
              </th>
              <td className="figure">{kilonewtons(way.least_N)}</td>
              <td className="figure">{pct(way.variation_pct)}</td>
              {mayTake && (
                <td>
                  {way.shares === own.shares && way.confirming === own.confirming ? (
                    'the plan'
                  ) : (
                    <Button aria-label={`Take the stages ${name(way)}`} onClick={() => onTake(way)}>
                      Take
                    </Button>
                  )}
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </table>
      <p>
        {better
          ? `At as many times round, the plan leaves ${pct(own.variation_pct)}.`
          : 'At as many times round nothing was found that is more even than the plan.'}{' '}
        {turnWords()} No stage brings on more than {Math.round(100 * largestStep(own.shares))} % at once, as in the
        plan.
      </p>
    </div>
  );
}
