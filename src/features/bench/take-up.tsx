'use client';

import { Link } from '@/interface/parts/link';
import { useState } from 'react';
import type { Result } from '@/model/result';
import type { OtherRound } from './other-rounds';
import keys from './face-keys.module.css';
import styles from './face-instruments.module.css';

/** Puts this round down and takes another up: both stand as they were left. */
export function TakeUp({ tighteningId }: { readonly tighteningId: string }) {
  const [others, setOthers] = useState<readonly OtherRound[]>();
  const [trouble, setTrouble] = useState('');
  const ask = async () => {
    if (others) return setOthers(undefined);
    try {
      const answer = await fetch(`/api/tightenings/${tighteningId}/others`);
      const said = (await answer.json()) as Result<readonly OtherRound[]>;
      setTrouble(said.ok ? '' : said.error.message);
      if (said.ok) setOthers(said.result);
    } catch {
      setTrouble('The program on this machine does not answer.');
    }
  };
  return (
    <div className={styles.takeUp}>
      <button type="button" className={keys.other} aria-expanded={others !== undefined} onClick={() => void ask()}>
        Another round
      </button>
      {trouble && <p role="alert">{trouble}</p>}
      {others && (
        <ul className={styles.rounds} aria-label="Other rounds under way">
          {others.length === 0 && <li>No other round is under way.</li>}
          {others.map(({ id, engine, line }) => (
            <li key={id}>
              <Link href={`/face/${id}`} prefetch={false}>
                <b>{engine}</b>
                <br />
                {line}
              </Link>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
