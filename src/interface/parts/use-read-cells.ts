import { useRef, useState, type RefObject } from 'react';
import { unreadWithin } from './unread-cell';

/** A part of the page with measured cells, and a key in it that keeps what they hold. */
interface ReadCells<Part extends Element> {
  readonly part: RefObject<Part | null>;
  /** Does it, unless the text of a cell was not taken: what goes out would then be what stood there before it. */
  readonly ifRead: (work: () => void) => void;
  /** Which cell that was. */
  readonly unread: string | undefined;
}

export function useReadCells<Part extends Element = HTMLDivElement>(): ReadCells<Part> {
  const part = useRef<Part>(null);
  const [unread, setUnread] = useState<string>();
  const ifRead = (work: () => void) => {
    const message = unreadWithin(part.current);
    setUnread(message);
    if (message === undefined) work();
  };
  return { part, ifRead, unread };
}
