'use client';

import { useEffect, useState, type ComponentType, type ReactNode } from 'react';
import { createPortal } from 'react-dom';
import { awaitForm } from './awaited-form';
import { OUT_OF_REACH } from './out-of-reach';
import { whenIdle } from './when-idle';
import styles from './fetched-part.module.css';

interface Place<Props> {
  /** What keeps its place meanwhile. */
  readonly space?: ReactNode;
  /** It opens over the page while this is so: only then is it fetched, and said over the page that it is out of reach. */
  readonly over?: (props: Props) => boolean;
  /** It is a form that a key opens: until it is there, what is typed next is meant for it, and is no single key. */
  readonly isTypedInto?: boolean;
}

const OVERS = 'said-over-the-page';

/** One place for all that is said over the page: each stands under the other, none on it. */
function overPlace(): HTMLElement {
  const there = document.getElementById(OVERS);
  if (there) return there;
  const made = document.createElement('div');
  made.id = OVERS;
  made.className = styles.overs ?? '';
  return document.body.appendChild(made);
}

/** A part that may be fetched before it is drawn. */
interface Fetched<Props> {
  (props: Props): ReactNode;
  /** Fetches it once the browser has nothing else to do: what a key opens has to be there for what is typed after it. */
  readonly ahead: () => void;
}

/**
 * A part of a page that is fetched when it is first drawn. Where the program is out of reach by then, that is said in its
 * place and tried again, and what stands and is typed beside it stays: left to itself, the whole page would give way.
 */
export function fetchedPart<Props extends object>(
  load: () => Promise<ComponentType<Props>>,
  { space, over, isTypedInto = false }: Place<Props> = {},
): Fetched<Props> {
  let here: ComponentType<Props> | undefined;
  function FetchedPart(props: Props) {
    const [Part, setPart] = useState<ComponentType<Props> | undefined>(() => here);
    const [tries, setTries] = useState(0);
    const [outAt, setOutAt] = useState<number>();
    useEffect(() => {
      if (Part || over?.(props) === false) return;
      let gone = false;
      const isHere = isTypedInto ? awaitForm() : undefined;
      void load().then(
        (found) => {
          here = found;
          if (!gone) setPart(() => found);
        },
        () => {
          isHere?.();
          if (!gone) setOutAt(tries);
        },
      );
      return () => {
        gone = true;
        isHere?.();
      };
      // Asked for anew, as by its key, it is tried anew.
    }, [Part, tries, props]);
    if (Part) return <Part {...props} />;
    if (outAt !== tries || over?.(props) === false) return space;
    const said = (
      <p role="alert" className={over ? styles.over : styles.out}>
        {OUT_OF_REACH}{' '}
        <button type="button" className="text-button" onClick={() => setTries((was) => was + 1)}>
          Try again
        </button>
        {over && (
          <>
            {' '}
            <button type="button" className="text-button" onClick={() => setOutAt(undefined)}>
              Leave it
            </button>
          </>
        )}
      </p>
    );
    return over ? createPortal(said, overPlace()) : said;
  }
  const ahead = () =>
    whenIdle(() => {
      load().then(
        (found) => (here ??= found),
        () => undefined,
      );
    });
  return Object.assign(FetchedPart, { ahead });
}
