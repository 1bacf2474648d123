import type { ReactNode } from 'react';
import { SHEET } from '../shell/sheet-id';
import styles from './sheet.module.css';

/** One piece of work: a heading, what it is for, and the work. */
export const Screen = ({
  title,
  lead,
  aside,
  plain = false,
  children,
}: {
  readonly title: string;
  readonly lead?: ReactNode;
  readonly aside?: ReactNode;
  /** Nothing on it has a working: the margin leaves its room to the sheet. */
  readonly plain?: boolean;
  readonly children: ReactNode;
}) => (
  <main className={styles.sheet} id={SHEET} data-plain={plain || undefined}>
    <header className={styles.head}>
      <div>
        <h1 className={styles.title}>{title}</h1>
        {lead && <p className={styles.lead}>{lead}</p>}
      </div>
      {aside}
    </header>
    {children}
  </main>
);

/** A ruled-off part of a sheet. */
export const Section = ({
  title,
  children,
  id,
}: {
  readonly title: string;
  readonly children: ReactNode;
  readonly id?: string;
}) => (
  <section className={styles.part} id={id}>
    <h2 className={styles.partTitle}>{title}</h2>
    {children}
  </section>
);

/** A sentence that stands out: something waits, is done, or stops the work. */
export const Notice = ({
  kind,
  children,
}: {
  readonly kind: 'wait' | 'done' | 'stop' | 'plain';
  readonly children: ReactNode;
}) => (
  <p className={styles.remark} data-kind={kind} role={kind === 'stop' ? 'alert' : undefined}>
    {children}
  </p>
);
