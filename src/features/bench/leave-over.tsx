'use client';

import { TextInput } from '@mantine/core';
import { useState, type FormEvent } from 'react';
import styles from './face.module.css';

/** A fastener that went over is left as it is, for a reason that goes into the record. */
export function LeaveOver({ onLeave }: { readonly onLeave: (words: string) => void }) {
  const [words, setWords] = useState<string>();
  if (words === undefined)
    return (
      <div className={styles.others}>
        <button type="button" className={styles.other} onClick={() => setWords('')}>
          Leave it as it is, with a reason
        </button>
      </div>
    );
  const leave = (event: FormEvent) => {
    event.preventDefault();
    if (words.trim() === '') return;
    onLeave(words.trim());
    setWords(undefined);
  };
  return (
    <form className={styles.reason} onSubmit={leave}>
      <TextInput
        className={styles.why}
        label="Why it is left as it is"
        maxLength={400}
        value={words}
        autoFocus
        onChange={(event) => setWords(event.currentTarget.value)}
      />
      <button type="submit" className={styles.other} disabled={words.trim() === ''}>
        Leave it so
      </button>
      <button type="button" className={styles.other} onClick={() => setWords(undefined)}>
        Not after all
      </button>
    </form>
  );
}
