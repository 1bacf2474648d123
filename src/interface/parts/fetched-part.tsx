'use client';

import { useEffect, useState, type ComponentType, type ReactNode } from 'react';
import { OUT_OF_REACH } from './out-of-reach';
import styles from './fetched-part.module.css';

interface Place {
  /** What keeps its place meanwhile. */
  readonly space?: ReactNode;
  /** It opens over the page: so does what is said where it is out of reach. */
  readonly over?: boolean;
}

/**
 * A part of a page that is fetched when it is first drawn. Where the program is out of reach by then, that is said in its
 * place and tried again, and what stands and is typed beside it stays: left to itself, the whole page would give way.
 */
export function fetchedPart<Props extends object>(
  load: () => Promise<ComponentType<Props>>,
  { space, over = false }: Place = {},
) {
  let here: ComponentType<Props> | undefined;
  return function FetchedPart(props: Props) {
    const [Part, setPart] = useState<ComponentType<Props> | undefined>(() => here);
    const [tries, setTries] = useState(0);
    const [outAt, setOutAt] = useState<number>();
    useEffect(() => {
      if (Part) return;
      let gone = false;
      void load().then(
        (found) => {
          here = found;
          if (!gone) setPart(() => found);
        },
        () => !gone && setOutAt(tries),
      );
      return () => {
        gone = true;
      };
      // Asked for anew, as by its key, it is tried anew.
    }, [Part, tries, props]);
    if (Part) return <Part {...props} />;
    if (outAt !== tries) return space;
    return (
      <p role="alert" className={over ? styles.over : styles.out}>
        {OUT_OF_REACH}{' '}
        <button type="button" className="text-button" onClick={() => setTries((was) => was + 1)}>
          Try again
        </button>
      </p>
    );
  };
}
