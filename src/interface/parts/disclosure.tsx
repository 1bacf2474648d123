'use client';

import { useEffect, useRef, useState, type ReactNode } from 'react';
import styles from './fold.module.css';
import { useDrafts } from './use-draft';

const NO_FORMS: readonly string[] = [];

interface Props {
  readonly title: string;
  /** What it comes to, seen while it is shut. */
  readonly line: ReactNode;
  readonly id?: string;
  readonly open?: boolean;
  /** The names of the forms in it: it opens where one of them was left half filled. */
  readonly forms?: readonly string[];
  readonly children: ReactNode;
}

/**
 * A part of a sheet that opens: its title, and in one line what it comes to. What is shut is not drawn, so that
 * figures move at once.
 */
export function Disclosure({ title, line, id, open = false, forms = NO_FORMS, children }: Props) {
  const [opened, setOpened] = useState(open);
  const fold = useRef<HTMLDetailsElement>(null);
  // Pressed before the page listened, the browser has opened it by itself, and nobody was told.
  useEffect(() => {
    if (fold.current) setOpened(fold.current.open);
  }, []);
  useDrafts((names) => {
    if (forms.some((form) => names.includes(form))) setOpened(true);
  });
  return (
    <details
      ref={fold}
      className={styles.fold}
      id={id}
      open={opened}
      onToggle={(event) => setOpened(event.currentTarget.open)}
    >
      <summary className={styles.summary}>
        <h2 className={styles.title}>{title}</h2>
        <span className={styles.line}>{line}</span>
      </summary>
      {opened && <div className={styles.body}>{children}</div>}
    </details>
  );
}
