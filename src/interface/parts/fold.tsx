'use client';

import type { ReactNode } from 'react';
import styles from './fold.module.css';

interface Props {
  readonly title: string;
  /** What it comes to, seen while it is shut. */
  readonly line: ReactNode;
  readonly id?: string;
  readonly open?: boolean;
  readonly children: ReactNode;
}

/** A part of a sheet that opens: its title, and in one line what it comes to. */
export const Fold = ({ title, line, id, open, children }: Props) => (
  <details className={styles.fold} id={id} open={open}>
    <summary className={styles.summary}>
      <h2 className={styles.title}>{title}</h2>
      <span className={styles.line}>{line}</span>
    </summary>
    <div className={styles.body}>{children}</div>
  </details>
);
