'use client';

import type { FormEvent, ReactNode } from 'react';
import { Button } from './button';
import { ConflictNotice } from './conflict-notice';
import styles from './form.module.css';
import { HydrationGate } from './hydration-gate';
import { Notice } from './screen';
import type { FormProblem } from './use-action-form';

/** What was said to an act or a form: a sentence, or two values and a choice where somebody else wrote meanwhile. */
export function Refusal({ problem }: { readonly problem?: FormProblem }) {
  if (!problem) return null;
  if (!problem.stale || !problem.overrule) return <Notice kind="stop">{problem.message}</Notice>;
  return (
    <ConflictNotice
      what="This was changed in another window or on another device since it was opened here. Nothing is written yet."
      differences={problem.stale.differences}
    >
      <Button rank="main" onClick={problem.overrule}>
        Put what stands here over it
      </Button>
    </ConflictNotice>
  );
}

interface Props {
  readonly label: string;
  readonly onSubmit: (event: FormEvent<HTMLFormElement>) => void;
  readonly problem?: FormProblem;
  readonly children: ReactNode;
}

/** The frame of a form. */
export const ActionForm = ({ label, onSubmit, problem, children }: Props) => (
  <form onSubmit={onSubmit} noValidate aria-label={label}>
    <HydrationGate className={styles.grid}>{children}</HydrationGate>
    <Refusal problem={problem} />
  </form>
);
