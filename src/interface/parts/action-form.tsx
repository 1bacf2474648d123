'use client';

import type { FormEvent, ReactNode } from 'react';
import type { Problem } from '@/model/outcome';
import { Alive } from './alive';
import styles from './form.module.css';
import { Remark } from './sheet';

interface Props {
  readonly label: string;
  readonly onSubmit: (event: FormEvent<HTMLFormElement>) => void;
  readonly problem?: Problem;
  readonly children: ReactNode;
}

/** The frame of a form. */
export const ActionForm = ({ label, onSubmit, problem, children }: Props) => (
  <form onSubmit={onSubmit} noValidate aria-label={label}>
    <Alive className={styles.grid}>{children}</Alive>
    {problem && <Remark kind="stop">{problem.message}</Remark>}
  </form>
);
