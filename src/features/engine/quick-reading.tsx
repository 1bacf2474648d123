'use client';

import { TextInput } from '@mantine/core';
import { useState } from 'react';
import { Alive } from '@/interface/parts/alive';
import { TorqueReadingView, readPrint } from '@/interface/parts/torque-reading';

/** A figure can be read without an engine: type it as printed, see it in every unit. */
export function QuickReading() {
  const [text, setText] = useState('');
  const [chosen, setChosen] = useState(0);
  const type = (next: string) => {
    setText(next);
    setChosen(0);
  };
  return (
    <Alive>
      <TextInput
        label="As printed on the page"
        placeholder="5½ mkg"
        value={text}
        onChange={(event) => type(event.currentTarget.value)}
        size="lg"
        maw={420}
      />
      <div aria-live="polite">
        {text.trim() !== '' && <TorqueReadingView read={readPrint(text)} chosen={chosen} onChoose={setChosen} everyUnit />}
      </div>
    </Alive>
  );
}
