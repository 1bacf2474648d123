'use client';

import { useEffect, useRef } from 'react';

export interface FaceKeys {
  readonly main: () => void;
  readonly strike: () => void;
  readonly leave: () => void;
  readonly say: () => void;
  readonly didNotMove: () => void;
  readonly alreadyPast: () => void;
  readonly wentOver: () => void;
}

const onAnotherButton = (target: EventTarget | null) =>
  target instanceof HTMLElement && target.matches('button, a, input') && target.dataset.main === undefined;

/** Space bar, foot pedal and letters at the face. A key held down counts once. */
export function useFaceKeys(keys: FaceKeys): void {
  const latest = useRef(keys);
  useEffect(() => {
    latest.current = keys;
  });
  useEffect(() => {
    const letters: Readonly<Record<string, keyof FaceKeys>> = {
      m: 'didNotMove',
      p: 'alreadyPast',
      o: 'wentOver',
      s: 'say',
      backspace: 'strike',
      escape: 'leave',
    };
    const down = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      const isMain =
        event.key === 'PageDown' || ((event.key === ' ' || event.key === 'Enter') && !onAnotherButton(event.target));
      const name = letters[event.key.toLowerCase()];
      // What is being typed is no order.
      if (event.target instanceof HTMLInputElement) return;
      if (!isMain && !name) return;
      event.preventDefault();
      if (event.repeat) return;
      if (name && !isMain) return latest.current[name]();
      latest.current.main();
    };
    window.addEventListener('keydown', down);
    return () => window.removeEventListener('keydown', down);
  }, []);
}
