import { useCallback, useEffect, useState } from 'react';

/** Rest enough for the key to open first, on a slow tablet too. */
const AFTER_MS = 1500;

export interface Fetched {
  /** Goes on once it is there. */
  readonly ready: (then: () => void) => void;
  /** It was asked for and could not be fetched. */
  readonly isOut: boolean;
}

/**
 * Fetches what is drawn later while the program still answers: at the bench it may be out of reach by then. The work
 * is to be the same at every drawing.
 */
export function useFetched(work: () => Promise<unknown>): Fetched {
  const [isOut, setOut] = useState(false);
  useEffect(() => {
    // Once more, if need be, when it is asked for.
    const clock = setTimeout(() => void work().catch(() => undefined), AFTER_MS);
    return () => clearTimeout(clock);
  }, [work]);
  const ready = useCallback(
    (then: () => void) =>
      void work().then(
        () => {
          setOut(false);
          then();
        },
        () => setOut(true),
      ),
    [work],
  );
  return { ready, isOut };
}
