'use client';

import { useRef, useState } from 'react';

/** A worn pedal, a shaking hand, a glove on glass: nobody pulls twice in this time. */
const BOUNCE_MS = 350;
/** The press that records the last pull must not also leave. */
const LEAVE_AFTER_MS = 1000;
/** A pull that recorded itself is often said once more by hand. */
const AFTER_READING_MS = 2000;

/** Why a press was not counted: close on another, or close on a pull that an instrument recorded. */
export type PassedOver = 'press' | 'reading';

export interface OnePress {
  /** Runs an act unless another was run just before, by key, pedal or touch alike. */
  readonly act: (run: () => unknown) => void;
  /** The same for taking back, also right after a pull that recorded itself. */
  readonly undo: (run: () => unknown) => void;
  /** The same for leaving: only a while after the last act. */
  readonly leave: (run: () => unknown) => void;
  /**
   * A pull was recorded otherwise than by this guard. Where an instrument did it by itself, whoever presses for it too
   * means the same one.
   */
  readonly recorded: (byItself: boolean) => void;
  /** A press was passed over; said until the next one counts. */
  readonly passedOver?: PassedOver;
}

/** One guard for every way of pressing: two presses close together are one. */
export function useOnePress(): OnePress {
  const last = useRef(-LEAVE_AFTER_MS);
  const readUntil = useRef(0);
  const [passedOver, setPassedOver] = useState<PassedOver>();
  const after = (pause: number, waits: boolean) => (run: () => unknown) => {
    const now = performance.now();
    const isRead = waits && now < readUntil.current;
    if (isRead || now - last.current < pause) {
      setPassedOver(isRead ? 'reading' : 'press');
      return;
    }
    last.current = now;
    setPassedOver(undefined);
    run();
  };
  const recorded = (byItself: boolean) => {
    readUntil.current = byItself ? performance.now() + AFTER_READING_MS : 0;
    setPassedOver(undefined);
  };
  return {
    act: after(BOUNCE_MS, true),
    undo: after(BOUNCE_MS, false),
    leave: after(LEAVE_AFTER_MS, true),
    recorded,
    passedOver,
  };
}
