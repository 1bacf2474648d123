'use client';

import { useLine } from '@/interface/record/use-line';
import { nearTime } from '@/interface/figures/times';
import { OpenLineRow } from './open-line-row';
import type { WrongStart } from './starts';
import styles from './run-in-screen.module.css';

interface Props {
  readonly engineId: string;
  readonly starts: readonly WrongStart[];
  readonly now: number;
}

const MOST = 12;

function Start({ engineId, start, now }: Omit<Props, 'starts'> & { readonly start: WrongStart }) {
  const { write, pending, problem } = useLine(engineId);
  const when = nearTime(start.on, now);
  return (
    <li>
      <p className={styles.line}>
        <span>
          {when}
          {start.who && `, ${start.who}`}
        </span>
        <button
          type="button"
          className={`text-button ${styles.strike}`}
          onClick={() => !pending && write({ kind: 'strike', strikes: start.id, body: {} })}
        >
          Undo<span className="only-spoken"> the start of {when}</span>
        </button>
      </p>
      {problem && <p role="alert">{problem.message}</p>}
      <ul className={styles.readings} aria-label={`Seen at the start of ${when}`}>
        {start.seenLines.map((seen) => (
          <OpenLineRow key={seen.words} engineId={engineId} line={seen} what={seen.what} />
        ))}
      </ul>
    </li>
  );
}

/** Starts that went wrong, the latest first, each with what was seen. */
export const WrongStarts = ({ engineId, starts, now }: Props) => (
  <ul aria-label="Starts that went wrong">
    {starts.slice(0, MOST).map((start) => (
      <Start key={start.id} engineId={engineId} start={start} now={now} />
    ))}
    {starts.length > MOST && <li className="soft">{starts.length - MOST} before these.</li>}
  </ul>
);
