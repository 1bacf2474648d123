'use client';

import { Textarea } from '@mantine/core';
import { Key } from './button';
import form from './form.module.css';
import { Part } from './sheet';

interface Props {
  readonly text: string;
  readonly onText: (text: string) => void;
  readonly onLook: (text: string) => void;
  readonly pending: boolean;
}

/** A table to be read in: pasted, or chosen as a file. */
export function TableInput({ text, onText, onLook, pending }: Props) {
  const choose = async (file: File | undefined) => {
    if (!file) return;
    const read = await file.text();
    onText(read);
    onLook(read);
  };
  return (
    <Part title="The table">
      <Textarea
        label="Paste it here"
        description="With a line of headings; commas, semicolons or tabs between"
        autosize
        minRows={4}
        maxRows={10}
        value={text}
        onChange={(event) => onText(event.currentTarget.value)}
      />
      <p className={form.acts}>
        <Key onClick={() => onLook(text)} disabled={pending || text.trim() === ''}>
          Look at it
        </Key>
        <label className={form.file}>
          or choose its file{' '}
          <input
            type="file"
            accept=".csv,text/csv,text/plain"
            aria-label="Table file"
            onChange={(event) => void choose(event.currentTarget.files?.[0])}
          />
        </label>
      </p>
    </Part>
  );
}
