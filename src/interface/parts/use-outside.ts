import { useState } from 'react';

/**
 * Follows a value that is kept elsewhere and also written from here: when it becomes another than the one written here,
 * as by taking an act back, what stands here begins anew from it.
 * @returns told of what is written from here, in the same event
 */
export function useOutside<T>(kept: T, beginAnew: (kept: T) => void): (own: T) => void {
  const [seen, setSeen] = useState(kept);
  if (kept !== seen) {
    setSeen(kept);
    beginAnew(kept);
  }
  return setSeen;
}
