'use client';

import { nanoid } from 'nanoid';
import { useState } from 'react';
import { minutesAt, type LeastCycle, type NoCycle } from '@/core/heat';
import { useFigures } from '@/interface/figures/preferences';
import { nearTime } from '@/interface/figures/times';
import { stoodWords } from '@/interface/words/seen-words';
import { send } from '@/interface/parts/send';
import { strikeHeatAction } from './actions';
import { OpenLineRow } from './open-line-row';
import type { LoggedCycle } from './queries';
import styles from './run-in-screen.module.css';

interface Props {
  readonly engineId: string;
  readonly cycles: readonly LoggedCycle[];
  /** Runs of before, that are not shown. */
  readonly older: number;
  readonly now: number;
  readonly onDone: () => void;
}

/** From here a head is warm by every school. */
const WARM_C = 60;
/** As many of a recorder’s readings as are read at a glance: the latest. */
const GLANCE = 4;

/** Why a run is no heat cycle of its own. */
function noCycleWords(no: NoCycle, least: LeastCycle, plain: (value: number) => string): string {
  if (no.why === 'too-cool') return `it did not come to ${least.highest_C} °C`;
  if (no.why === 'too-brief')
    return `${plain(Math.floor(no.minutes))} of ${least.minutes} min at ${least.highest_C} °C`;
  return `started again at about ${Math.round(no.C)} °C, before it had cooled to ${least.cooledTo_C}; one with the run before`;
}

/** One run with its readings, the latest of them where there are many. */
function Run({
  engineId,
  cycle,
  now,
  onStrike,
}: Pick<Props, 'engineId' | 'now'> & {
  readonly cycle: LoggedCycle;
  readonly onStrike: (id: string) => void;
}) {
  const { plain } = useFigures();
  const { readings, ranFrom, ranTo, highest_C, ambient_C, went, series, stood, seenLines, noCycle, who, id } = cycle;
  const [all, setAll] = useState(false);
  const hidden = all || readings.length <= GLANCE + 1 ? 0 : readings.length - GLANCE;
  return (
    <li>
      <p className={styles.line}>
        <span>
          Ran {nearTime(ranFrom, now)} to {nearTime(ranTo, now)}, highest {plain(highest_C)} °C, air {plain(ambient_C)}{' '}
          °C
          {went && `, ${plain(went.value)} ${went.unit}`}
          {series && `, recorded: ${Math.round(minutesAt(series, WARM_C))} min at ${WARM_C} °C or over`}
          {stood && `, left ${stoodWords(stood)}`}
          {who && `, ${who}`}
        </span>
        <button type="button" className={`text-button ${styles.strike}`} onClick={() => onStrike(id)}>
          Undo this run
        </button>
      </p>
      {noCycle.map(({ joint, no, least }) => (
        <p key={joint} className="soft">
          To {joint} no heat cycle of its own: {noCycleWords(no, least, plain)}.
        </p>
      ))}
      {seenLines.length > 0 && (
        <ul className={styles.readings} aria-label={`Seen at the run of ${nearTime(ranTo, now)}`}>
          {seenLines.map((seen) => (
            <OpenLineRow key={seen.words} engineId={engineId} line={seen} what={seen.what} />
          ))}
        </ul>
      )}
      <ul className={styles.readings}>
        {hidden > 0 && (
          <li>
            <button type="button" className={`text-button ${styles.strike}`} onClick={() => setAll(true)}>
              {hidden} earlier readings
            </button>
          </li>
        )}
        {readings.slice(hidden).map((reading) => (
          <li key={reading.id} className={styles.line}>
            <span className="figure">
              {nearTime(reading.at, now)} head {plain(reading.head_C)} °C, air {plain(reading.ambient_C)} °C
              {reading.who && `, ${reading.who}`}
            </span>
            <button type="button" className={`text-button ${styles.strike}`} onClick={() => onStrike(reading.id)}>
              Undo
            </button>
          </li>
        ))}
      </ul>
    </li>
  );
}

/** The runs with their readings, the latest first; a wrong line is struck by a new one. */
export function CycleList({ engineId, cycles, older, now, onDone }: Props) {
  const [refusal, setRefusal] = useState<string>();
  const strike = async (strikesId: string) => {
    const outcome = await send(strikeHeatAction, { id: nanoid(), engineId, strikesId });
    if (outcome.ok) onDone();
    else setRefusal(outcome.error.message);
  };
  return (
    <>
      {refusal && <p role="alert">{refusal}</p>}
      <ul>
        {cycles.map((cycle) => (
          <Run key={cycle.id} engineId={engineId} cycle={cycle} now={now} onStrike={(id) => void strike(id)} />
        ))}
      </ul>
      {older > 0 && (
        <p className="soft">
          {older.toLocaleString('en-GB')} earlier {older === 1 ? 'run is' : 'runs are'} counted, and kept in the build
          file.
        </p>
      )}
    </>
  );
}
