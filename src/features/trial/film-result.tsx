'use client';

import { Link } from '@/interface/parts/link';
import { useFigures } from '@/interface/figures/preferences';
import type { Result } from '@/model/result';
import { Button } from '@/interface/parts/button';
import { Notice } from '@/interface/parts/screen';
import { useShowWorking, type Working } from '@/interface/shell/working-margin';
import { shelveFilmAction, strikeTrialPullAction } from './actions';
import type { TrialReach, TriedFilm } from './queries';
import styles from './trial-screen.module.css';

/** How a film's figures came about, for the margin. */
export const workingOfFilm = ({ film, result, own }: TriedFilm): Working => ({
  title: film.name,
  lines: result && [
    {
      formula: 'K and μ by c = T / F, F = k · stretch; ȳ = mean of ln c',
      figures: [{ value: result.K, digits: 3 }, ', ', { value: result.mu, digits: 3 }],
    },
    ...(result.nextMu
      ? [
          {
            formula: 'μ of the next bolt, by exp(ȳ ± t·s·√(1 + 1/n))',
            figures: [{ value: result.nextMu.low, digits: 3 }, ' to ', { value: result.nextMu.high, digits: 3 }],
          },
        ]
      : []),
    ...(result.meanMu
      ? [
          {
            formula: 'μ of the lubricant’s mean, 95 %',
            figures: [{ value: result.meanMu.low, digits: 3 }, ' to ', { value: result.meanMu.high, digits: 3 }],
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

interface Props {
  readonly tried: TriedFilm;
  readonly moves?: TrialReach['moves'][string];
  readonly onAsk: () => void;
  readonly onAct: (work: () => Promise<Result<unknown>>) => void;
}

/** What the pulls on one film say, and the way onto the shelf. */
export function FilmResult({ tried, moves, onAsk, onAct }: Props) {
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
