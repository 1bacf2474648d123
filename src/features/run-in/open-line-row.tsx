'use client';

import { TextInput } from '@mantine/core';
import { Link } from '@/interface/parts/link';
import { useState } from 'react';
import type { OpenLine } from '@/model/heat/follows';
import { useLine } from '@/interface/record/use-line';
import styles from './run-in-screen.module.css';

const SIGN: Readonly<Record<OpenLine['state'], string>> = { unsaid: '○', open: '◔', done: '●' };
const SAYS: Readonly<Record<OpenLine['state'], string>> = { unsaid: 'not said', open: 'open', done: 'done' };

interface Props {
  readonly engineId: string;
  readonly line: OpenLine;
  readonly what: string;
}

/** One thing to be seen to: put on the list of what is open, and taken off it when it is done. */
export function OpenLineRow({ engineId, line, what }: Props) {
  const { write, pending, problem } = useLine(engineId);
  const { words, state, key, outcome } = line;
  const [came, setCame] = useState('');
  const end = (of: string) =>
    write({ kind: 'tight', body: { of, ...(came.trim() !== '' && { words: came.trim() }) } }, () => setCame(''));
  return (
    <li className={styles.line}>
      <span>
        <span aria-hidden>{SIGN[state]} </span>
        {what}
        <span className={state === 'open' ? undefined : 'soft'}>
          , {SAYS[state]}
          {outcome && `: ${outcome}`}
        </span>
        {/clearance/i.test(what) && (
          <>
            {' '}
            <Link href={`/engines/${engineId}/fits`}>By feelers, among the fits</Link>
          </>
        )}
        {problem && <span role="alert"> {problem.message}</span>}
      </span>
      {key !== undefined && (
        <TextInput
          className={styles.came}
          aria-label={`What came of it: ${words}`}
          placeholder={/clearance/i.test(what) ? 'cold, inlet 0.004 in goes, 0.006 stops' : 'what came of it'}
          value={came}
          onChange={(event) => setCame(event.currentTarget.value)}
        />
      )}
      {state !== 'done' && (
        <button
          type="button"
          className="text-button"
          aria-disabled={pending || undefined}
          onClick={() => (key === undefined ? write({ kind: 'loose', body: { words } }) : end(key))}
        >
          {key === undefined ? 'It is to be done' : 'It is done'}
          <span className="only-spoken">: {words}</span>
        </button>
      )}
    </li>
  );
}
