'use client';

import { Textarea } from '@mantine/core';
import { useState } from 'react';
import { Button } from './button';
import { chosenAnew, textOfFile, type FileText } from './file-text';
import form from './form.module.css';
import { Notice, Section } from './screen';

interface Props {
  readonly text: string;
  readonly onText: (text: string) => void;
  readonly onLook: (text: string) => void;
  readonly pending: boolean;
}

/** A table to be read in: pasted, or chosen as a file. */
export function TableInput({ text, onText, onLook, pending }: Props) {
  const [chosen, setChosen] = useState<FileText>();
  const choose = async (file: File | undefined) => {
    if (!file) return;
    const read = await textOfFile(file);
    setChosen(read);
    if ('refusal' in read) return;
    onText(read.text);
    onLook(read.text);
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
        onChange={(event) => {
          setChosen(undefined);
          onText(event.currentTarget.value);
        }}
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
            onClick={chosenAnew}
            onChange={(event) => void choose(event.currentTarget.files?.[0])}
          />
        </label>
      </p>
      {chosen && 'refusal' in chosen && <Notice kind="stop">{chosen.refusal}</Notice>}
      {chosen && 'guess' in chosen && (
        <Notice kind="wait">
          The file does not say how its signs are written. They were read as {chosen.guess}: see that ½, ° and letters
          with accents stand as they should. If they do not, save it as CSV in UTF-8.
        </Notice>
      )}
    </Section>
  );
}
