'use client';

import { useRef, useState } from 'react';
import type { EngineMeasures, MeasureKind } from '@/model/engine/engine-measure';
import { fail } from '@/model/result';
import { DraftNote, Refusal } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import type { TableDraft } from '@/interface/parts/use-table-draft';
import { unreadWithin } from '@/interface/parts/unread-cell';
import { useAct } from '@/interface/parts/use-act';
import { keepMeasureAction } from './actions';

interface Props<K extends MeasureKind> {
  readonly engineId: string;
  readonly kind: K;
  /** Undefined while something is still to be given. */
  readonly body: EngineMeasures[K] | undefined;
  readonly words?: string;
  /** It knows which sheet it was typed over, so that one kept elsewhere since is not passed over. */
  readonly draft: TableDraft;
}

/** The key that keeps a measure of the engine, and what was said to it. */
export function KeepMeasure<K extends MeasureKind>({ engineId, kind, body, words = 'Save it', draft }: Props<K>) {
  const [savedAs, setSavedAs] = useState<string>();
  const { act, pending, problem } = useAct();
  const here = useRef<HTMLParagraphElement>(null);
  const keep = (over: string | null) => {
    const unread = unreadWithin(here.current?.closest('section, main'));
    act(
      async () =>
        unread === undefined
          ? keepMeasureAction({ engineId, kind, body, basedOn: over })
          : fail({ code: 'unread-cell', message: unread }),
      ({ id }) => {
        setSavedAs(id);
        draft.saved(id);
      },
    );
  };
  const onDisk = problem?.stale?.current as { readonly id: string } | undefined;
  return (
    <>
      <DraftNote draft={draft} />
      <p className={form.acts} ref={here}>
        <Button rank="main" onClick={() => keep(draft.over)} disabled={pending || body === undefined}>
          {words}
        </Button>
        {savedAs !== undefined && savedAs === draft.over && !problem && !pending && (
          <span className="soft" role="status">
            Kept.
          </span>
        )}
      </p>
      <Refusal problem={problem && { ...problem, ...(onDisk && { overrule: () => keep(onDisk.id) }) }} />
    </>
  );
}
