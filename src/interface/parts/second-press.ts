'use client';

import { useEffect } from 'react';

/** Whether a press is being handled, whether it wrote something, and where it fell. */
const now = { isPressed: false, wrote: false, x: 0, y: 0 };

/** Said by whatever writes: if a press did it, its second half, or its key held down, is no other press. */
export function noteWrite(): void {
  if (now.isPressed) now.wrote = true;
}

function begin(x: number, y: number): void {
  Object.assign(now, { isPressed: true, wrote: false, x, y });
  // What a press does at once, its form's sending too, is over by then; what is written of itself later is not of it.
  setTimeout(() => {
    now.isPressed = false;
  });
}

function passOver(event: Event): void {
  event.preventDefault();
  event.stopImmediatePropagation();
}

const keyOf = ({ target }: Event) => (target instanceof Element ? target.closest('button') : null);

/** What it does is under way. A form's own key is none of these: what was typed since may be sent as the next. */
const isBusy = (key: HTMLButtonElement) => key.type !== 'submit' && key.getAttribute('aria-disabled') === 'true';

/** Two taps of a finger count as a pair a whole key apart: what lies beside the first one was aimed at. */
function cameUnderIt(key: HTMLButtonElement): boolean {
  const { left, right, top, bottom } = key.getBoundingClientRect();
  return left <= now.x && now.x <= right && top <= now.y && now.y <= bottom;
}

function onClick(event: MouseEvent): void {
  const key = keyOf(event);
  if (key && isBusy(key)) passOver(event);
  // A key pressed by the keyboard counts as none, a double click's second half as two.
  else if (event.detail < 2) begin(event.clientX, event.clientY);
  else if (now.wrote && key && cameUnderIt(key)) passOver(event);
}

function onKey(event: KeyboardEvent): void {
  if (event.key !== 'Enter') return;
  if (!event.repeat) begin(NaN, NaN);
  else if (now.wrote) passOver(event);
}

/**
 * Where what was written takes its row from under the pointer, the second half of a double click would strike the next
 * row too, and an Enter held down the one after it. Keys that write nothing may be pressed as quickly as anybody likes.
 * A key that is told to be busy does nothing.
 */
export function useSecondPress(isOn: boolean): void {
  useEffect(() => {
    if (!isOn) return;
    window.addEventListener('click', onClick, true);
    window.addEventListener('keydown', onKey, true);
    return () => {
      window.removeEventListener('click', onClick, true);
      window.removeEventListener('keydown', onKey, true);
    };
  }, [isOn]);
}
