'use client';

import { useEffect, useRef } from 'react';
import { usePreferences } from '../figures/preferences';
import { isAnyAwaited } from '../parts/awaited-form';
import { isAnyHalfFilled } from '../parts/drafts';

/** A key by its place on the keyboard (`Digit1`, `BracketLeft`) where it is no letter, else by its letter. */
export type SingleKeys = Readonly<Record<string, () => void>>;

const TYPED_INTO = 'input:not([type=checkbox],[type=radio]), textarea, select, [contenteditable=true]';

const isTypedInto = (target: EventTarget | null) => target instanceof Element && target.matches(TYPED_INTO);

/** A letter with Shift is no single key; a digit with Shift is the digit's key on a French keyboard. */
function nameOf(event: KeyboardEvent): string {
  if (/^(Digit\d|Bracket(Left|Right))$/.test(event.code)) return event.code;
  return event.shiftKey && event.key !== '?' ? '' : event.key.toLowerCase();
}

/**
 * Single keys of a screen, where this person has them on. They rest while something is typed, while a form is half
 * filled or on its way, and under an open dialog.
 * @param always where they are off, and under a dialog, too
 */
export function useSingleKeys(keys: SingleKeys, always = false): void {
  const { keys: isOn } = usePreferences();
  const latest = useRef(keys);
  useEffect(() => {
    latest.current = keys;
  });
  useEffect(() => {
    if (!isOn && !always) return;
    const down = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat || event.defaultPrevented) return;
      if (isTypedInto(event.target)) return;
      const run = latest.current[nameOf(event)];
      if (!run) return;
      if (isAnyHalfFilled() || isAnyAwaited()) return;
      if (!always && document.querySelector('[role=dialog]')) return;
      event.preventDefault();
      run();
    };
    document.addEventListener('keydown', down);
    return () => document.removeEventListener('keydown', down);
  }, [isOn, always]);
}
