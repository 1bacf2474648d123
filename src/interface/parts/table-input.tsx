'use client';

import { Textarea } from '@mantine/core';
import { Button } from './button';
import form from './form.module.css';
import { Section } from './screen';

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
    <Section title="The table">
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
        <Button onClick={() => onLook(text)} disabled={pending || text.trim() === ''}>
          Look at it
        </Button>
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
    </Section>
  );
}
