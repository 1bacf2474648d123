'use client';

import { nanoid } from 'nanoid';
import { useState } from 'react';
import { useFigures } from '@/interface/figures/preferences';
import { nearTime } from '@/interface/figures/times';
import { send } from '@/interface/parts/use-action-form';
import { minutesAt } from '@/core/heat';
import { strikeHeatAction } from './actions';
import { OpenLineRow } from './open-line-row';
import type { LoggedCycle } from './queries';
import styles from './run-in-screen.module.css';

interface Props {
  readonly engineId: string;
  readonly cycles: readonly LoggedCycle[];
  readonly now: number;
  readonly onDone: () => void;
}

/** From here a head is warm by every school. */
const WARM_C = 60;

/** Every run with its readings; a wrong line is struck by a new one. */
export function CycleList({ engineId, cycles, now, onDone }: Props) {
  const { plain } = useFigures();
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
          <li key={cycle.id}>
            <p className={styles.line}>
              <span>
                Ran {nearTime(cycle.ranFrom, now)} to {nearTime(cycle.ranTo, now)}, highest {plain(cycle.highest_C)} °C,
                air {plain(cycle.ambient_C)} °C
                {cycle.went && `, ${plain(cycle.went.value)} ${cycle.went.unit}`}
                {cycle.series &&
                  `, recorded in ${cycle.series.length} points: ${Math.round(minutesAt(cycle.series, WARM_C))} min at ${WARM_C} °C or over`}
                {cycle.who && `, ${cycle.who}`}
              </span>
              <button type="button" className={`text-button ${styles.strike}`} onClick={() => strike(cycle.id)}>
                Undo this run
              </button>
            </p>
            {cycle.seenLines.length > 0 && (
              <ul className={styles.readings} aria-label={`Seen at the run of ${nearTime(cycle.ranTo, now)}`}>
                {cycle.seenLines.map((seen) => (
                  <OpenLineRow key={seen.words} engineId={engineId} line={seen} what={seen.what} />
                ))}
              </ul>
            )}
            <ul className={styles.readings}>
              {cycle.readings.map((reading) => (
                <li key={reading.id} className={styles.line}>
                  <span className="figure">
                    {nearTime(reading.at, now)} head {plain(reading.head_C)} °C, air {plain(reading.ambient_C)} °C
                    {reading.who && `, ${reading.who}`}
                  </span>
                  <button type="button" className={`text-button ${styles.strike}`} onClick={() => strike(reading.id)}>
                    Undo
                  </button>
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ul>
    </>
  );
}
