'use client';

import type { FormEvent, ReactNode } from 'react';
import type { Problem } from '@/model/result';
import { HydrationGate } from './hydration-gate';
import styles from './form.module.css';
import { Notice } from './screen';

interface Props {
  readonly label: string;
  readonly onSubmit: (event: FormEvent<HTMLFormElement>) => void;
  readonly problem?: Problem;
  readonly children: ReactNode;
}

/** The frame of a form. */
export const ActionForm = ({ label, onSubmit, problem, children }: Props) => (
  <form onSubmit={onSubmit} noValidate aria-label={label}>
    <HydrationGate className={styles.grid}>{children}</HydrationGate>
    {problem && <Notice kind="stop">{problem.message}</Notice>}
  </form>
);
