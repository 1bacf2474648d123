'use client';

import { useEffect, useRef, type FormEvent, type ReactNode } from 'react';
import { Button } from './button';
import { ConflictNotice } from './conflict-notice';
import styles from './form.module.css';
import { HydrationGate } from './hydration-gate';
import { Notice } from './screen';
import type { FormProblem } from './use-action-form';
import type { KeptDraft } from './use-draft';

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

/** Says that what stands here was typed earlier and not saved. */
export const DraftNote = ({ draft }: { readonly draft: KeptDraft }) =>
  draft.from && (
    <p className={styles.draft} role="status">
      Typed at {draft.from} and not saved; kept on this device.{' '}
      <button type="button" className="text-button" onClick={draft.discard}>
        Throw it away
      </button>
    </p>
  );

interface Props {
  readonly label: string;
  readonly onSubmit: (event: FormEvent<HTMLFormElement>) => void;
  readonly problem?: FormProblem;
  /** What was typed earlier and not sent. */
  readonly draft?: KeptDraft;
  /**
   * It came up by an act, or is what the page is for: its first field takes the focus and comes into view; or the field
   * of this name, where what stands before it is known already.
   */
  readonly focus?: boolean | string;
  readonly children: ReactNode;
}

const FIELDS = 'input:not([type=hidden]), select, textarea';

/** Puts the focus into the first field of a form that came up, unless somebody is typing elsewhere already. */
function useFirstField(wanted: boolean | string) {
  const form = useRef<HTMLFormElement>(null);
  useEffect(() => {
    const elsewhere = document.activeElement;
    if (wanted === false || (elsewhere instanceof HTMLElement && elsewhere.matches(FIELDS))) return;
    const first = typeof wanted === 'string' ? `[data-path="${wanted}"]` : FIELDS;
    // A field whose gate is still shut takes no focus: on a slow device that is more than one paint.
    let frame = requestAnimationFrame(function take() {
      const field = form.current?.querySelector<HTMLElement>(first);
      if (field?.matches(':disabled')) frame = requestAnimationFrame(take);
      else field?.focus();
    });
    return () => cancelAnimationFrame(frame);
  }, [wanted]);
  return form;
}

/** The frame of a form. */
export function ActionForm({ label, onSubmit, problem, draft, focus = false, children }: Props) {
  const form = useFirstField(focus);
  return (
    <form ref={form} className={styles.form} onSubmit={onSubmit} noValidate aria-label={label}>
      {draft && <DraftNote draft={draft} />}
      <HydrationGate className={styles.grid}>{children}</HydrationGate>
      <Refusal problem={problem} />
    </form>
  );
}
