import { useState } from 'react';

/**
 * Follows a value that is kept elsewhere and also written from here: when it becomes another than was written here, as
 * by taking an act back, what stands here begins anew from it. What is written from here may be a while on its way there,
 * several of them one behind the other; until one has arrived, what was kept before stands, and is nothing new.
 * @returns told of what is written from here, in the same event
 */
export function useOutside<T>(kept: T, beginAnew: (kept: T) => void): (own: T) => void {
  const [seen, setSeen] = useState(kept);
  const [own, setOwn] = useState<readonly T[]>([]);
  if (kept !== seen) {
    setSeen(kept);
    const arrived = own.lastIndexOf(kept);
    setOwn(own.slice(arrived + 1 || own.length));
    if (arrived < 0) beginAnew(kept);
  }
  return (one) => setOwn((before) => [...before, one]);
}

/**
 * The cells of something that is kept whole or not at all: they hold what is typed until it is, and begin anew where
 * another stands than was written from them.
 * @param kept plain data
 * @returns `wrote` is told of what is written from the cells, in the same event
 */
export function useCells<Kept, Cells extends object>(kept: Kept, begun: (kept: Kept) => Cells) {
  const [cells, setCells] = useState(() => begun(kept));
  const wrote = useOutside(JSON.stringify(kept), () => setCells(begun(kept)));
  return {
    cells,
    put: (part: Partial<Cells>) => setCells((before) => ({ ...before, ...part })),
    wrote: (own: Kept) => wrote(JSON.stringify(own)),
  };
}
