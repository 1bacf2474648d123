'use client';

import { TextInput } from '@mantine/core';
import { useState, type FormEvent } from 'react';
import keys from './face-keys.module.css';

interface Props {
  /** What the key says that asks for the reason. */
  readonly open: string;
  readonly label: string;
  /** What is done with it. */
  readonly act: string;
  readonly onReason: (words: string) => void;
  /** It is a figure, not a sentence. */
  readonly short?: boolean;
  /** Why what stands there cannot be taken. */
  readonly check?: (words: string) => string | undefined;
}

/** Something at the bench that is done only for a reason, which goes into the record. */
export function FaceReason({ open, label, act, onReason, short = false, check }: Props) {
  const [words, setWords] = useState<string>();
  const [wrong, setWrong] = useState<string>();
  if (words === undefined)
    return (
      <button type="button" className={keys.other} onClick={() => setWords('')}>
        {open}
      </button>
    );
  const send = (event: FormEvent) => {
    event.preventDefault();
    if (words.trim() === '') return;
    const refused = check?.(words.trim());
    setWrong(refused);
    if (refused !== undefined) return;
    onReason(words.trim());
    setWords(undefined);
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
      <button type="button" className={keys.other} onClick={() => setWords(undefined)}>
        Not after all
      </button>
    </form>
  );
}
