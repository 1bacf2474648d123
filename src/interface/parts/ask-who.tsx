'use client';

import { useState } from 'react';
import { initialsIn } from '@/model/initials';
import { usePreferences } from '../figures/preferences';
import styles from './undo.module.css';

/** Asks once a device whose initials stand on what is written there. */
export function AskWho() {
  const { change } = usePreferences();
  const [text, setText] = useState('');
  const own = initialsIn(text);
  return (
    <form
      className={styles.line}
      onSubmit={(event) => {
        event.preventDefault();
        change({ who: own });
      }}
    >
      <label className={styles.ask}>
        Whose initials stand on what is written here?
        <input
          className={styles.initials}
          value={text}
          maxLength={8}
          autoComplete="off"
          onChange={(event) => setText(event.currentTarget.value)}
        />
      </label>
      <button type="submit" className={styles.key}>
        {own === '' ? 'Nobody’s' : `Put ${own}`}
      </button>
    </form>
  );
}
