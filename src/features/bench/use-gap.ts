'use client';

import { useCallback, useEffect, useRef, useState } from 'react';

/** Longer than this since the last pull, and nobody remembers which nut is under the wrench. */
export const GAP_MS = 30 * 60_000;
const LOOK_MS = 20_000;

export interface Gap {
  /** The work was left for long, and the last fastener was not touched again since. */
  readonly isLong: boolean;
  /** Something was done just now. */
  readonly touched: () => void;
}

/**
 * Whether the work at the bench was left for long. The hours of the file and of this device are never mixed: the file's
 * own clock says how long it had been when the page came, and this device's how long it has been open since.
 * @param before_ms how long the last line was before the page came; undefined where nothing was done yet
 */
export function useGap(before_ms: number | undefined): Gap {
  const since = useRef<number>(undefined);
  const [isLong, setLong] = useState(before_ms !== undefined && before_ms > GAP_MS);
  const begun = before_ms !== undefined;
  useEffect(() => {
    since.current ??= begun ? performance.now() - before_ms : undefined;
    const look = setInterval(() => {
      if (since.current !== undefined && performance.now() - since.current > GAP_MS) setLong(true);
    }, LOOK_MS);
    return () => clearInterval(look);
  }, [begun, before_ms]);
  const touched = useCallback(() => {
    since.current = performance.now();
    setLong(false);
  }, []);
  return { isLong, touched };
}
