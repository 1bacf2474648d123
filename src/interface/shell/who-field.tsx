'use client';

import { TextInput } from '@mantine/core';
import { useState } from 'react';
import { initialsIn } from '@/model/initials';
import { usePreferences } from '../figures/preferences';

/** Whose initials stand on what is written at this device; changed as they are typed. */
export function WhoField() {
  const { who = '', change } = usePreferences();
  const [text, setText] = useState(who);
  const isNone = text.trim() !== '' && initialsIn(text) === '';
  return (
    <TextInput
      mt="sm"
      w="16rem"
      label="Initials on every line written here"
      description="Of this device; empty for none"
      maxLength={8}
      autoComplete="off"
      value={text}
      error={isNone ? 'One to four letters.' : undefined}
      onChange={(event) => {
        const typed = event.currentTarget.value;
        setText(typed);
        if (typed.trim() === '' || initialsIn(typed) !== '') change({ who: initialsIn(typed) });
      }}
    />
  );
}
