'use client';

import { useCallback, useEffect, useRef, useState } from 'react';

/** Longer than this since the last pull, and nobody remembers which nut is under the wrench. */
const GAP_MS = 30 * 60_000;
const LOOK_MS = 20_000;

export interface Gap {
  /** The work was left for long, and the last fastener was not touched again since. */
  readonly isLong: boolean;
  /**
   * Something is about to be done. True where it must not be: the press says that the last one was touched again, or,
   * where the gap was not on view yet, brings it up.
   */
  readonly stops: () => boolean;
}

/**
 * Whether the work at the bench was left for long. The hours of the file and of this device are never mixed: the file's
 * own clock says how long it had been when the page came, and this device's how long it has been open since, asleep or
 * not.
 * @param before_ms how long the last line was before the page came; undefined where nothing was done yet
 */
export function useGap(before_ms: number | undefined): Gap {
  const since = useRef<number>(undefined);
  const [isLong, setLong] = useState(before_ms !== undefined && before_ms > GAP_MS);
  useEffect(() => {
    if (before_ms !== undefined) since.current ??= Date.now() - before_ms;
  }, [before_ms]);
  const isOverdue = () => since.current !== undefined && Date.now() - since.current > GAP_MS;
  useEffect(() => {
    const look = setInterval(() => isOverdue() && setLong(true), LOOK_MS);
    return () => clearInterval(look);
  }, []);
  const stops = useCallback(() => {
    // A device that slept may be pressed before it was looked at.
    if (!isLong && isOverdue()) {
      setLong(true);
      return true;
    }
    since.current = Date.now();
    setLong(false);
    return isLong;
  }, [isLong]);
  return { isLong, stops };
}
