'use client';

import { TextInput } from '@mantine/core';
import { useState } from 'react';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';

/** A kind is called otherwise: its figure and its stretch sheets stay what they are. */
export function OtherName({
  name,
  others,
  onName,
}: {
  readonly name: string;
  readonly others: readonly string[];
  readonly onName: (name: string) => void;
}) {
  const [typed, setTyped] = useState<string>();
  if (typed === undefined)
    return (
      <button type="button" className="text-button" onClick={() => setTyped(name)}>
        Call it otherwise<span className="only-spoken">: {name}</span>
      </button>
    );
  const next = typed.trim();
  const isTaken = others.some((other) => other.trim().toLowerCase() === next.toLowerCase());
  return (
    <form
      className={form.grid}
      onSubmit={(event) => {
        event.preventDefault();
        if (next === '' || isTaken) return;
        setTyped(undefined);
        if (next !== name) onName(next);
      }}
    >
      <TextInput
        label={`What “${name}” are called`}
        autoFocus
        maxLength={60}
        value={typed}
        error={isTaken && 'A kind of that name is there.'}
        onChange={(event) => setTyped(event.currentTarget.value)}
      />
      <div className={form.acts}>
        <Button type="submit" disabled={next === '' || isTaken}>
          Call it so
        </Button>
        <Button onClick={() => setTyped(undefined)}>Leave it</Button>
      </div>
    </form>
  );
}
