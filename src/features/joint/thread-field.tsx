'use client';

import { TextInput } from '@mantine/core';
import { useState } from 'react';
import { threadNamed } from '@/core/thread';
import { isDomainError } from '@/core/units';
import { designationOn, type Shelves } from '@/model/shelf/shelves';
import { useOutside } from '@/interface/parts/use-outside';

interface Props {
  readonly label: string;
  readonly description?: string;
  readonly value: string | null;
  readonly empty?: boolean;
  readonly shelves: Pick<Shelves, 'threads'>;
  readonly onChange: (value: string | null) => void;
}

/** The name of a thread; what is not known is refused in words and stays as typed. */
export function ThreadField({ label, description, value, empty = false, shelves, onChange }: Props) {
  const [text, setText] = useState(value ?? '');
  const [refusal, setRefusal] = useState<string>();
  const wrote = useOutside(value, (stands) => {
    setText(stands ?? '');
    setRefusal(undefined);
  });
  const keep = (next: string | null) => {
    wrote(next);
    onChange(next);
  };
  const type = (next: string) => {
    setText(next);
    if (next.trim() === '') {
      setRefusal(empty ? undefined : 'Give the thread, such as 3/8 BSF or M8.');
      if (empty) keep(null);
      return;
    }
    try {
      const { designation } = threadNamed(designationOn(shelves, next));
      setRefusal(undefined);
      keep(designation);
    } catch (error) {
      if (!isDomainError(error)) throw error;
      setRefusal(error.message);
    }
  };
  return (
    <TextInput
      label={label}
      description={description}
      value={text}
      error={refusal}
      onChange={(event) => type(event.currentTarget.value)}
    />
  );
}
