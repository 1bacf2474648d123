'use client';

import { nanoid } from 'nanoid';
import { useState } from 'react';
import { useFigures } from '@/interface/figures/preferences';
import { nearTime } from '@/interface/figures/times';
import { send } from '@/interface/parts/use-action-form';
import { strikeHeatAction } from './actions';
import type { LoggedCycle } from './queries';
import styles from './run-in-screen.module.css';

interface Props {
  readonly engineId: string;
  readonly cycles: readonly LoggedCycle[];
  readonly now: number;
  readonly onDone: () => void;
}

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
                air {plain(cycle.ambient_C)} °C{cycle.who && `, ${cycle.who}`}
              </span>
              <button type="button" className={`text-button ${styles.strike}`} onClick={() => strike(cycle.id)}>
                Undo this run
              </button>
            </p>
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
