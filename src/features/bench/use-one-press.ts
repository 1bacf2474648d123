'use client';

import { useRef, useState } from 'react';

/** A worn pedal, a shaking hand, a glove on glass: nobody pulls twice in this time. */
const BOUNCE_MS = 350;
/** The press that records the last pull must not also leave. */
const LEAVE_AFTER_MS = 1000;

export interface OnePress {
  /** Runs an act unless another was run just before, by key, pedal or touch alike. */
  readonly act: (run: () => unknown) => void;
  /** The same for leaving: only a while after the last act. */
  readonly leave: (run: () => unknown) => void;
  /** A press was passed over; said until the next one counts. */
  readonly passedOver: boolean;
}

/** One guard for every way of pressing: two presses close together are one. */
export function useOnePress(): OnePress {
  const last = useRef(-LEAVE_AFTER_MS);
  const [passedOver, setPassedOver] = useState(false);
  const after = (pause: number) => (run: () => unknown) => {
    const now = performance.now();
    if (now - last.current < pause) {
      setPassedOver(true);
      return;
    }
    last.current = now;
    setPassedOver(false);
    run();
  };
  return { act: after(BOUNCE_MS), leave: after(LEAVE_AFTER_MS), passedOver };
}
