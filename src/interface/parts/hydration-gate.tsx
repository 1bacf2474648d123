'use client';

import { useMounted } from '@mantine/hooks';
import type { ReactNode } from 'react';
import styles from './alive.module.css';

/** Controls that open once the page is alive, so that nothing chosen or typed before is lost. */
export const HydrationGate = ({
  children,
  className = styles.contents,
}: {
  readonly children: ReactNode;
  readonly className?: string;
}) => (
  <fieldset className={className} disabled={!useMounted()}>
    {children}
  </fieldset>
);
