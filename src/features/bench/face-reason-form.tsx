'use client';

import { TextInput } from '@mantine/core';
import { useState, type FormEvent } from 'react';
import keys from './face-keys.module.css';

export interface Asked {
  readonly label: string;
  /** What is done with it. */
  readonly act: string;
  readonly onReason: (words: string) => void;
  /** It is a figure, not a sentence. */
  readonly short?: boolean;
  /** Why what stands there cannot be taken. */
  readonly check?: (words: string) => string | undefined;
}

interface Props extends Asked {
  readonly onClose: () => void;
}

/** Asks for the reason, or the figure, and closes once it is given. */
export function FaceReasonForm({ label, act, onReason, short = false, check, onClose }: Props) {
  const [words, setWords] = useState('');
  const [wrong, setWrong] = useState<string>();
  const send = (event: FormEvent) => {
    event.preventDefault();
    if (words.trim() === '') return;
    const refused = check?.(words.trim());
    setWrong(refused);
    if (refused !== undefined) return;
    onReason(words.trim());
    onClose();
  };
  return (
    <form className={keys.reason} onSubmit={send}>
      <TextInput
        className={keys.why}
        label={label}
        maxLength={400}
        value={words}
        error={wrong}
        autoFocus
        inputMode={short ? 'decimal' : undefined}
        autoComplete={short ? 'off' : undefined}
        onChange={(event) => setWords(event.currentTarget.value)}
      />
      <button type="submit" className={keys.other} disabled={words.trim() === ''}>
        {act}
      </button>
      <button type="button" className={keys.other} onClick={onClose}>
        Not after all
      </button>
    </form>
  );
}
