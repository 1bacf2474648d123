'use client';

import { useSyncExternalStore, type ReactNode } from 'react';
import styles from './alive.module.css';

const never = () => () => undefined;

/** Whether the page listens: at once where it comes up by an act, after the first paint where the server drew it. */
export const useAlive = (): boolean =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  );

/** Controls that open once the page is alive, so that nothing chosen or typed before is lost. */
export const HydrationGate = ({
  children,
  className = styles.contents,
  isOpen = true,
}: {
  readonly children: ReactNode;
  /** What else they wait for. */
  readonly isOpen?: boolean;
  readonly className?: string;
}) => (
  <fieldset className={className} disabled={!useAlive() || !isOpen}>
    {children}
  </fieldset>
);
